package org.scholion.core.score;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.Faulty;
import org.scholion.core.item.TextItem;
import org.scholion.core.item.TextItem.Ignore;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Reason;
import org.scholion.core.reason.Reason.Code;
import org.scholion.core.text.Normaliser;
import org.scholion.core.text.SafePattern;
import org.scholion.core.text.WordRuns;

/** A short text against its key: exact entries first, then typing slips, then what the item says of the rest. */
final class TextScorer implements Scorer {
    private final TextItem item;
    private final Normaliser normaliser;
    private final Map<String, TextItem.Rejected> rejected = new HashMap<>();
    private final Map<String, Integer> texts = new HashMap<>();
    private final List<Compiled> others = new ArrayList<>();
    private final Nearest nearest;

    /** A pattern or words entry, ready to match. */
    private record Compiled(
            int index,
            @Nullable SafePattern pattern,
            @Nullable WordLists words) {}

    private record WordLists(List<List<String>> all, List<List<String>> any, List<List<String>> none) {
        boolean match(List<String> words) {
            return all.stream().allMatch(p -> WordRuns.hold(words, p))
                    && (any.isEmpty() || any.stream().anyMatch(p -> WordRuns.hold(words, p)))
                    && none.stream().noneMatch(p -> WordRuns.hold(words, p));
        }
    }

    TextScorer(TextItem item) {
        this.item = item;
        this.normaliser = normaliser(item, item.ignore());
        for (int i = 0; i < item.accept().size(); i++) {
            compile(i, item.accept().get(i));
        }
        item.reject().forEach(r -> rejected.putIfAbsent(normaliser.apply(r.text()), r));
        this.nearest = new Nearest(item, normaliser);
    }

    private void compile(int i, TextItem.Accepted entry) {
        if (entry instanceof TextItem.SameText same) {
            texts.merge(normaliser.apply(same.text()), i, this::better);
        } else if (entry instanceof TextItem.Pattern pattern) {
            others.add(new Compiled(i, pattern(i, pattern.pattern()), null));
        } else if (entry instanceof TextItem.Words words) {
            others.add(new Compiled(
                    i, null, new WordLists(phrases(words.all()), phrases(words.any()), phrases(words.none()))));
        }
    }

    private SafePattern pattern(int i, String pattern) {
        try {
            return SafePattern.compile(pattern, item.ignore().contains(Ignore.CASE));
        } catch (IllegalArgumentException e) {
            throw new Faulty("accept[" + i + "].pattern", String.valueOf(e.getMessage()));
        }
    }

    private List<List<String>> phrases(List<String> listed) {
        Normaliser words = normaliser.keepingArticles();
        return listed.stream().map(w -> WordRuns.of(words.apply(w))).toList();
    }

    static Normaliser normaliser(TextItem item, Set<Ignore> ignore) {
        return new Normaliser(
                ignore.contains(Ignore.ACCENTS),
                ignore.contains(Ignore.CASE),
                ignore.contains(Ignore.MARKS),
                ignore.contains(Ignore.SPACE) || ignore.contains(Ignore.ARTICLES),
                ignore.contains(Ignore.ARTICLES) ? Normaliser.articlesOf(item.language()) : List.of());
    }

    @Override
    public Mark score(Answer answer) {
        String typed = Expect.typed(item, answer);
        if (answer.isBlank()) {
            return Mark.BLANK;
        }
        String said = normaliser.apply(typed);
        TextItem.Rejected wrong = rejected.get(said);
        if (wrong != null) {
            return rejected(Code.TEXT_REJECTED, wrong, null);
        }
        int entry = matching(said);
        if (entry >= 0) {
            return matched(item.accept().get(entry), typed);
        }
        Nearest.Find near = nearest.to(said);
        return near == null ? otherwise() : slip(near);
    }

    private int matching(String said) {
        int best = texts.getOrDefault(said, -1);
        List<String> words = null;
        for (Compiled other : others) {
            boolean matches;
            if (other.pattern() != null) {
                matches = other.pattern().matches(said);
            } else {
                words = words == null ? WordRuns.of(said) : words;
                matches = other.words() != null && other.words().match(words);
            }
            best = matches ? better(best, other.index()) : best;
        }
        return best;
    }

    /** The entry with the higher credit, the first on a tie. */
    private int better(int a, int b) {
        if (a < 0 || b < 0) {
            return Math.max(a, b);
        }
        int order = item.accept().get(a).credit().compareTo(item.accept().get(b).credit());
        return order > 0 ? a : order < 0 ? b : Math.min(a, b);
    }

    private Mark matched(TextItem.Accepted entry, String typed) {
        if (entry instanceof TextItem.Words words) {
            Reason reason = Reason.of(Code.TEXT_WORDS);
            reason = words.all().isEmpty() ? reason : reason.with("all", words.all());
            reason = words.any().isEmpty() ? reason : reason.with("any", words.any());
            return Mark.scored(entry.credit(), words.none().isEmpty() ? reason : reason.with("none", words.none()));
        }
        Code code = entry instanceof TextItem.Pattern ? Code.TEXT_PATTERN : Code.TEXT_SAME;
        Reason reason = Reason.of(code).with("entry", entry.shown());
        List<String> ignored = entry instanceof TextItem.SameText ? whatWasIgnored(typed, entry.shown()) : List.of();
        reason = ignored.isEmpty() ? reason : reason.with("ignored", ignored);
        return Mark.scored(entry.credit(), noted(reason, entry instanceof TextItem.SameText s ? s.note() : null));
    }

    /** Which of the things that do not matter made the difference: without ignoring it the texts would not be equal. */
    private List<String> whatWasIgnored(String typed, String entry) {
        if (typed.equals(entry)) {
            return List.of();
        }
        List<String> names = new ArrayList<>();
        for (Ignore one : EnumSet.copyOf(item.ignore().isEmpty() ? Set.of(Ignore.SPACE) : item.ignore())) {
            Set<Ignore> rest = EnumSet.noneOf(Ignore.class);
            rest.addAll(item.ignore());
            rest.remove(one);
            Normaliser without = normaliser(item, rest);
            if (!without.apply(typed).equals(without.apply(entry))) {
                names.add(
                        switch (one) {
                            case CASE -> "capitals";
                            case SPACE -> "spaces";
                            case MARKS -> "punctuation";
                            case ACCENTS -> "accents";
                            case ARTICLES -> "a, an, the";
                        });
            }
        }
        return names;
    }

    private Mark slip(Nearest.Find near) {
        if (near.accepted() != null && near.rejected() != null) {
            return Mark.settle(Reason.of(Code.TEXT_TORN)
                    .with("entry", near.accepted().text())
                    .with("against", near.rejected().text()));
        }
        if (near.rejected() != null) {
            return rejected(Code.TEXT_SLIP_REJECTED, near.rejected(), near.distance());
        }
        TextItem.SameText entry = java.util.Objects.requireNonNull(near.accepted());
        Reason reason = Reason.of(Code.TEXT_SLIP).with("entry", entry.text()).with("distance", near.distance());
        reason = item.spellingCredit().equals(Fraction.ONE) ? reason : reason.with("times", item.spellingCredit());
        return Mark.scored(entry.credit().times(item.spellingCredit()), noted(reason, entry.note()));
    }

    private Mark rejected(Code code, TextItem.Rejected entry, @Nullable Integer distance) {
        Reason reason = noted(Reason.of(code).with("entry", entry.text()), entry.note());
        return Mark.wrong(item.penalty(), distance == null ? reason : reason.with("distance", distance));
    }

    private Mark otherwise() {
        return item.otherwiseWrong()
                ? Mark.wrong(item.penalty(), Reason.of(Code.TEXT_OTHERWISE_WRONG))
                : Mark.settle(Reason.of(Code.TEXT_UNKNOWN));
    }

    private static Reason noted(Reason reason, @Nullable String note) {
        return note == null ? reason : reason.with("note", note);
    }

    @Override
    public String form(Answer answer) {
        return normaliser.apply(Expect.typed(item, answer));
    }
}
