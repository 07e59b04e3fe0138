package org.scholion.core.score;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.scholion.core.item.BlanksItem;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.CorrectionItem;
import org.scholion.core.item.FormulaItem;
import org.scholion.core.item.Item;
import org.scholion.core.item.NumberItem;
import org.scholion.core.item.OpenItem;
import org.scholion.core.item.OrderItem;
import org.scholion.core.item.PairsItem;
import org.scholion.core.item.PassageItem;
import org.scholion.core.item.SpotItem;
import org.scholion.core.item.TextItem;
import org.scholion.core.item.WorkingItem;
import org.scholion.core.number.Fraction;

/** An item's rule in plain words, for whoever writes the key. */
public final class HowItScores implements Item.ByKind<String> {
    public static String of(Item item) {
        return item.read(new HowItScores());
    }

    @Override
    public String choice(ChoiceItem item) {
        Labels labels = new Labels(item);
        String key = labels.of(item.key()).stream().map(HowItScores::quoted).collect(Collectors.joining(" and "));
        if (item.max() == 1) {
            String any = item.key().size() > 1 ? "Any one of " : "";
            return any + key + " earns full points." + credits(item, labels) + penalty(item.penalty())
                    + (item.severalWrong()
                            ? " Two choices are wrong."
                            : " Two choices where one was asked come to you in Settle.");
        }
        String rule = switch (item.rule()) {
            case EXACT -> "Full points for exactly " + key + ", nothing otherwise." + penalty(item.penalty());
            case EACH ->
                "Each of the " + item.options().size()
                        + " options counts: chosen when it is right, or left when it is not. Right are " + key + ".";
            case NET ->
                "Each right choice adds a share, each wrong one takes a share away, never below 0. Right are " + key
                        + ".";
            case HITS ->
                "Each right choice adds a share; more choices than there are right ones earn nothing." + " Right are "
                        + key + ".";
            case WEIGHTS ->
                "The credits of the chosen options are added up, never "
                        + (item.negative() ? "outside of -1 to 1." : "outside of 0 to 1.") + credits(item, labels);
        };
        return rule + " At most " + item.max() + " can be chosen.";
    }

    private static String credits(ChoiceItem item, Labels labels) {
        return item.credits().isEmpty()
                ? ""
                : " "
                        + item.credits().entrySet().stream()
                                .sorted(java.util.Map.Entry.comparingByKey())
                                .map(e -> quoted(labels.of(e.getKey())) + " earns " + e.getValue())
                                .collect(Collectors.joining(", "))
                        + " of the points.";
    }

    @Override
    public String text(TextItem item) {
        StringBuilder out = new StringBuilder("An answer counts when it ");
        out.append(item.accept().stream().map(HowItScores::accepted).collect(Collectors.joining(", or ")));
        List<String> ignored = ignored(item);
        if (!ignored.isEmpty()) {
            out.append("; ").append(String.join(", ", ignored)).append(" do not matter");
        }
        out.append(
                switch (item.spelling()) {
                    case NONE -> ".";
                    case ONE -> ". One typing slip is forgiven";
                    case TWO -> ". Two typing slips are forgiven";
                    case LENGTH -> ". A typing slip is forgiven from 4 letters on, two from 8";
                });
        if (item.spelling() != TextItem.Spelling.NONE) {
            out.append(
                    item.spellingCredit().equals(Fraction.ONE)
                            ? "."
                            : ", for " + item.spellingCredit() + " of the credit.");
        }
        if (!item.reject().isEmpty()) {
            out.append(" Known to be wrong: ");
            out.append(item.reject().stream().map(r -> quoted(r.text())).collect(Collectors.joining(", ")))
                    .append('.');
        }
        out.append(
                item.otherwiseWrong()
                        ? " Anything else is wrong."
                        : " Anything else comes to you in Settle; it is not marked wrong.");
        return out + penalty(item.penalty());
    }

    private static String accepted(TextItem.Accepted entry) {
        String worth = entry.credit().equals(Fraction.ONE) ? "" : " (for " + entry.credit() + " of the points)";
        if (entry instanceof TextItem.Words words) {
            List<String> parts = new ArrayList<>();
            if (!words.all().isEmpty()) {
                parts.add("has " + list(words.all(), " and "));
            }
            if (!words.any().isEmpty()) {
                parts.add("has " + list(words.any(), " or "));
            }
            if (!words.none().isEmpty()) {
                parts.add("does not have " + list(words.none(), " or "));
            }
            return String.join(" and ", parts) + worth;
        }
        return (entry instanceof TextItem.Pattern ? "matches the pattern " : "says ") + quoted(entry.shown()) + worth;
    }

    private static String list(List<String> words, String between) {
        return words.stream().map(HowItScores::quoted).collect(Collectors.joining(between));
    }

    private static List<String> ignored(TextItem item) {
        List<String> names = new ArrayList<>();
        for (TextItem.Ignore one : TextItem.Ignore.values()) {
            if (item.ignore().contains(one)) {
                names.add(
                        switch (one) {
                            case CASE -> "capitals";
                            case SPACE -> "spaces";
                            case MARKS -> "punctuation marks";
                            case ACCENTS -> "accents";
                            case ARTICLES -> "leading articles";
                        });
            }
        }
        return names;
    }

    @Override
    public String number(NumberItem item) {
        String bands = item.accept().stream()
                .map(a ->
                        a.shown() + (a.credit().equals(Fraction.ONE) ? "" : " (for " + a.credit() + " of the points)"))
                .collect(Collectors.joining(", or "));
        StringBuilder out =
                new StringBuilder("A number counts when it is ").append(bands).append(", ends included.");
        NumberItem.UnitRule unit = item.unit();
        if (unit == null) {
            out.append(" A number with a unit cannot be read.");
        } else {
            out.append(" In ").append(unit.expect());
            out.append(
                    unit.convert() ? ", or another unit of the same kind, which is converted." : ", in no other unit.");
            out.append(" Without a unit: ").append(share(unit.missing()));
            out.append("; with a wrong one: ").append(share(unit.wrong())).append('.');
        }
        if (item.figures() != null) {
            out.append(" To ").append(item.figures().count()).append(" significant figures; otherwise ");
            out.append(share(item.figures().otherwise())).append('.');
        }
        out.append(
                item.otherwiseWrong()
                        ? " What cannot be read as a number is wrong."
                        : " What cannot be read as a number comes to you in Settle.");
        return out + penalty(item.penalty());
    }

    private static String share(Fraction share) {
        return share.isZero() ? "no points" : share.equals(Fraction.ONE) ? "full credit" : share + " of the credit";
    }

    @Override
    public String blanks(BlanksItem item) {
        String how =
                item.exact() ? "All of the parts must be right; otherwise nothing." : "Each part counts by its weight.";
        String order = item.anyOrder().isEmpty() ? "" : " Answers may change places within " + item.anyOrder() + ".";
        return how + order + " "
                + item.parts().stream().map(p -> p.id() + ": " + of(p.item())).collect(Collectors.joining(" "));
    }

    @Override
    public String pairs(PairsItem item) {
        return switch (item.rule()) {
            case EACH -> "Each of the " + item.key().size() + " right pairs adds a share.";
            case NET -> "Each right pair adds a share, each wrong one takes a share away, never below 0.";
            case EXACT -> "Exactly the " + item.key().size() + " right pairs, or nothing.";
        };
    }

    @Override
    public String order(OrderItem item) {
        return switch (item.rule()) {
            case EXACT -> "The right order, or nothing.";
            case PLACES -> "Each thing at its own place adds a share.";
            case NEIGHBOURS -> "Each two that follow one another rightly add a share.";
            case COUPLES -> "Each two that stand in the right order, near or far, add a share.";
            case LONGEST -> "The longest run in the right order counts, whatever stands between.";
        };
    }

    @Override
    public String spot(SpotItem item) {
        return switch (item.rule()) {
            case HITS ->
                item.key().size() == 1
                        ? "The place has to be found; more points than one earn nothing."
                        : "Each of the " + item.key().size()
                                + " places that is found adds a share; more points than places earn nothing.";
            case NET ->
                "Each place that is found adds a share, each point outside of them takes a share away, never below 0.";
            case EXACT -> "All " + item.key().size() + " places and no point elsewhere, or nothing.";
        };
    }

    @Override
    public String correction(CorrectionItem item) {
        return "The share of the way from the faulty sentence to the nearest corrected one, word by word; capitals count.";
    }

    @Override
    public String formula(FormulaItem item) {
        String form = switch (item.form()) {
            case ANY -> "";
            case EXPANDED -> " It has to be multiplied out";
            case FACTORED -> " It has to be factored";
            case LOWEST -> " It has to be a fraction in lowest terms";
        };
        return "Any expression that is equal to "
                + item.accept().stream().map(HowItScores::quoted).collect(Collectors.joining(" or ")) + " counts."
                + (form.isEmpty()
                        ? ""
                        : form + "; in another form it earns "
                                + (item.formCredit().isZero() ? "nothing." : item.formCredit() + " of the points."))
                + " What cannot be decided comes to you in Settle.";
    }

    @Override
    public String working(WorkingItem item) {
        return "Each line has to follow from the last right one, beginning with " + quoted(item.start())
                + ". Right lines earn their share of " + item.steps() + " of the points, reaching "
                + item.accept().stream().map(HowItScores::quoted).collect(Collectors.joining(" or ")) + " earns "
                + item.result() + "."
                + (item.followThrough() ? " After a wrong line, the next are judged against it." : "")
                + " What cannot be decided comes to you in Settle.";
    }

    @Override
    public String open(OpenItem item) {
        String words = (item.maxWords() == null ? "" : " At most " + item.maxWords() + " words are asked for.")
                + mastered(item);
        return item.rubric() == null
                ? "You read each answer and give from 0 to " + item.points() + " points." + words
                : "You read each answer and choose a level "
                        + (item.criteria().size() == 1
                                ? "on one scale; "
                                : "for each of " + item.criteria().size() + " criteria; ")
                        + item.rubric().maximum() + " on the rubric are worth "
                        + item.points() + " points." + words;
    }

    private static String mastered(OpenItem item) {
        if (item.mastery() == null) {
            return "";
        }
        if (!item.masteryIsLevel()) {
            Fraction bound = Fraction.exactly(item.mastery());
            boolean beyond = bound.compareTo(item.points()) > 0;
            return " It counts as mastered from " + bound + " points on"
                    + (beyond ? ", which no answer can reach." : ".");
        }
        List<String> levels = item.criteria().stream()
                .flatMap(c -> c.level(item.mastery()).stream())
                .map(l -> l.text().isBlank() ? "level " + l.id() : quoted(l.text()))
                .distinct()
                .toList();
        return " It counts as mastered from " + String.join(" and ", levels) + " on.";
    }

    @Override
    public String passage(PassageItem item) {
        return "Nothing is answered here, so nothing is scored.";
    }

    private static String penalty(Fraction penalty) {
        return penalty.isZero() ? "" : " A wrong answer costs " + penalty + " of the points; a blank never does.";
    }

    private static String quoted(String text) {
        return "“" + text + "”";
    }
}
