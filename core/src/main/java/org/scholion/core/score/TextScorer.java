package org.scholion.core.score;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.Faulty;
import org.scholion.core.item.TextItem;
import org.scholion.core.item.TextItem.Ignore;
import org.scholion.core.reason.Reason;
import org.scholion.core.reason.Reason.Code;
import org.scholion.core.text.Normaliser;
import org.scholion.core.text.SafePattern;
import org.scholion.core.text.WordRuns;

/** A short text against its key: exact entries first, then typing slips, then what the item says of the rest. */
final class TextScorer implements Scorer {
    private static final int SEEN = 256;
    private static final int SHORT = 80;

    private final TextItem item;
    private final Normaliser normaliser;
    /** Listed texts by their form: the place of an accepted entry, or -1 - the place of a rejected one, which goes first. */
    private final Map<String, Integer> texts = new HashMap<>();

    private final List<Compiled> others = new ArrayList<>();
    private final Nearest nearest;
    private final TextMarks marks;
    private final Mark otherwise;

    /** Some answers of late with their marks, by hash. A race loses an entry, never mixes two. */
    private final @Nullable Seen[] seen = new Seen[SEEN];

    private final Comparator<Integer> byCredit;

    private record Seen(String typed, Mark mark) {}

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
        for (int i = item.reject().size() - 1; i >= 0; i--) {
            texts.put(normaliser.apply(item.reject().get(i).text()), -1 - i);
        }
        this.nearest = new Nearest(item, normaliser);
        this.marks = new TextMarks(item);
        this.byCredit = Comparator.comparing(i -> item.accept().get(i).credit());
        this.otherwise = item.otherwiseWrong()
                ? Mark.wrong(item.penalty(), Reason.of(Code.TEXT_OTHERWISE_WRONG))
                : Mark.settle(Reason.of(Code.TEXT_UNKNOWN));
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
        Seen before = seen[typed.hashCode() & SEEN - 1];
        if (before != null && before.typed().equals(typed)) {
            return before.mark();
        }
        Mark mark = answer.isBlank() ? Mark.BLANK : decide(typed);
        if (typed.length() <= SHORT) {
            seen[typed.hashCode() & SEEN - 1] = new Seen(typed, mark);
        }
        return mark;
    }

    private Mark decide(String typed) {
        String said = normaliser.apply(typed);
        Integer listed = texts.get(said);
        if (listed != null && listed < 0) {
            return rejected(Code.TEXT_REJECTED, item.reject().get(-1 - listed), null);
        }
        int entry = matching(said, listed == null ? -1 : listed);
        if (entry >= 0) {
            return marks.matched(entry, typed);
        }
        Nearest.Find near = nearest.to(said, byCredit);
        return near == null ? otherwise : slip(near);
    }

    /** The best entry that matches, beginning with the one that is equal, -1 for none. */
    private int matching(String said, int equal) {
        int best = equal;
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

    private Mark slip(Nearest.Find near) {
        if (near.accepted() >= 0 && near.rejected() >= 0) {
            return Mark.settle(Reason.of(Code.TEXT_TORN)
                    .with("entry", item.accept().get(near.accepted()).shown())
                    .with("against", item.reject().get(near.rejected()).text()));
        }
        return near.rejected() >= 0
                ? rejected(Code.TEXT_SLIP_REJECTED, item.reject().get(near.rejected()), near.distance())
                : marks.slipped(near.accepted(), near.distance());
    }

    private Mark rejected(Code code, TextItem.Rejected entry, @Nullable Integer distance) {
        Reason reason = TextMarks.noted(Reason.of(code).with("entry", entry.text()), entry.note());
        return Mark.wrong(item.penalty(), distance == null ? reason : reason.with("distance", distance));
    }

    @Override
    public String form(Answer answer) {
        return normaliser.apply(Expect.typed(item, answer));
    }
}
