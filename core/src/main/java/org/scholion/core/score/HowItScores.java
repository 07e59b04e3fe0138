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
            return any + key + " earns full credit." + credits(item, labels) + penalty(item.penalty())
                    + (item.severalWrong()
                            ? " More than one choice is wrong."
                            : " An answer with more than one choice comes to you in Settle.");
        }
        String rule = switch (item.rule()) {
            case EXACT -> "Full credit for exactly " + key + "; otherwise none." + penalty(item.penalty());
            case EACH ->
                "Each of the " + item.options().size()
                        + " options counts: a right one when chosen, a wrong one when left. Right: " + key + ".";
            case NET ->
                "Each right choice adds an equal part of the credit; each wrong one takes the same part away,"
                        + " never below 0. Right: " + key + ".";
            case HITS ->
                "Each right choice adds an equal part of the credit; more choices than right options earn nothing."
                        + " Right: " + key + ".";
            case WEIGHTS ->
                "The credits of the chosen options are added up and kept between "
                        + (item.negative() ? "−1 and 1." : "0 and 1.") + credits(item, labels);
        };
        return rule + " At most " + item.max() + " can be chosen.";
    }

    private static String credits(ChoiceItem item, Labels labels) {
        return item.credits().isEmpty()
                ? ""
                : " "
                        + item.credits().entrySet().stream()
                                .sorted(java.util.Map.Entry.comparingByKey())
                                .map(e -> quoted(labels.of(e.getKey())) + " earns "
                                        + e.getValue().toPoints())
                                .collect(Collectors.joining(", "))
                        + " of the points.";
    }

    @Override
    public String text(TextItem item) {
        StringBuilder out = new StringBuilder("Accepted: an answer that ");
        out.append(item.accept().stream().map(HowItScores::accepted).collect(Collectors.joining(", or ")));
        List<String> ignored = ignored(item);
        if (!ignored.isEmpty()) {
            out.append(", ignoring ").append(String.join(", ", ignored));
        }
        out.append(
                switch (item.spelling()) {
                    case NONE -> ".";
                    case ONE -> ". One typing slip is allowed";
                    case TWO -> ". Two typing slips are allowed";
                    case LENGTH -> ". One typing slip is allowed from 4 letters, two from 8";
                });
        if (item.spelling() != TextItem.Spelling.NONE) {
            out.append(
                    item.spellingCredit().equals(Fraction.ONE)
                            ? "."
                            : ", for " + item.spellingCredit().toPoints() + " of the credit.");
        }
        if (!item.reject().isEmpty()) {
            out.append(" Listed as wrong: ");
            out.append(item.reject().stream().map(r -> quoted(r.text())).collect(Collectors.joining(", ")))
                    .append('.');
        }
        out.append(
                item.otherwiseWrong()
                        ? " Any other answer is wrong."
                        : " Any other answer waits for you in Settle and is not marked wrong.");
        return out + penalty(item.penalty());
    }

    private static String accepted(TextItem.Accepted entry) {
        String worth = entry.credit().equals(Fraction.ONE)
                ? ""
                : " (for " + entry.credit().toPoints() + " of the points)";
        if (entry instanceof TextItem.Words words) {
            List<String> parts = new ArrayList<>();
            if (!words.all().isEmpty()) {
                parts.add("contains " + list(words.all(), " and "));
            }
            if (!words.any().isEmpty()) {
                parts.add("contains " + list(words.any(), " or "));
            }
            if (!words.none().isEmpty()) {
                parts.add("does not contain " + list(words.none(), " or "));
            }
            return String.join(" and ", parts) + worth;
        }
        return (entry instanceof TextItem.Pattern ? "matches the pattern " : "is ") + quoted(entry.shown()) + worth;
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
                .map(a -> a.shown()
                        + (a.credit().equals(Fraction.ONE)
                                ? ""
                                : " (for " + a.credit().toPoints() + " of the points)"))
                .collect(Collectors.joining(", or "));
        StringBuilder out = new StringBuilder("Accepted: ").append(bands).append(", limits included.");
        NumberItem.UnitRule unit = item.unit();
        if (unit == null) {
            out.append(" An answer with a unit cannot be read as a number.");
        } else {
            out.append(" Unit: ").append(unit.expect());
            out.append(
                    unit.convert() ? ", or another unit of the same kind, which is converted." : ", in no other unit.");
            out.append(" Without a unit: ").append(share(unit.missing()));
            out.append(". With a wrong unit: ").append(share(unit.wrong())).append('.');
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
        return share.isZero()
                ? "no credit"
                : share.equals(Fraction.ONE) ? "full credit" : share.toPoints() + " of the credit";
    }

    @Override
    public String blanks(BlanksItem item) {
        String how =
                item.exact() ? "All the blanks must be right; otherwise nothing." : "Each blank counts by its weight.";
        List<String> ids = item.parts().stream().map(BlanksItem.Part::id).toList();
        StringBuilder out = new StringBuilder(how);
        for (List<String> group : item.anyOrder()) {
            out.append(" Blanks ")
                    .append(group.stream()
                            .map(id -> String.valueOf(ids.indexOf(id) + 1))
                            .collect(Collectors.joining(" and ")))
                    .append(" are accepted in any order.");
        }
        for (int i = 0; i < ids.size(); i++) {
            out.append(" Blank ")
                    .append(i + 1)
                    .append(": ")
                    .append(of(item.parts().get(i).item()));
        }
        return out.toString();
    }

    @Override
    public String pairs(PairsItem item) {
        return switch (item.rule()) {
            case EACH -> "Each of the " + item.key().size() + " right pairs earns an equal part.";
            case NET -> "Each right pair earns an equal part; each wrong one takes the same part away, never below 0.";
            case EXACT -> "Exactly the " + item.key().size() + " right pairs; otherwise nothing.";
        };
    }

    @Override
    public String order(OrderItem item) {
        return switch (item.rule()) {
            case EXACT -> "The right order; otherwise nothing.";
            case PLACES -> "Each step in its right place earns an equal part.";
            case NEIGHBOURS -> "Each step followed directly by the right next step earns an equal part.";
            case COUPLES -> "Each pair of steps in the right order, near or far apart, earns an equal part.";
            case LONGEST -> "The longest sequence of steps in the right order counts; steps in between are left out.";
        };
    }

    @Override
    public String spot(SpotItem item) {
        return switch (item.rule()) {
            case HITS ->
                item.key().size() == 1
                        ? "The area must be found; more than one place earns nothing."
                        : "Each of the " + item.key().size()
                                + " areas that is found earns an equal part; more places than areas earn nothing.";
            case NET ->
                "Each area that is found earns an equal part; each place outside every area takes the same part away,"
                        + " never below 0.";
            case EXACT ->
                item.key().size() == 1
                        ? "The area, and no extra place; otherwise nothing."
                        : "Every one of the " + item.key().size() + " areas, and no extra place; otherwise nothing.";
        };
    }

    @Override
    public String correction(CorrectionItem item) {
        return "Credit is the part of the needed changes that were made, word by word, against the accepted sentence that"
                + " gives most. Capitals count.";
    }

    @Override
    public String formula(FormulaItem item) {
        String form = switch (item.form()) {
            case ANY -> "";
            case EXPANDED -> " It must be expanded";
            case FACTORED -> " It must be factorised";
            case LOWEST -> " It must be a fraction in lowest terms";
        };
        return "Any expression that is equal to "
                + item.accept().stream().map(HowItScores::quoted).collect(Collectors.joining(" or ")) + " is accepted."
                + (form.isEmpty()
                        ? ""
                        : form + "; in another form it earns "
                                + (item.formCredit().isZero()
                                        ? "nothing."
                                        : item.formCredit().toPoints() + " of the points."))
                + " What cannot be decided comes to you in Settle.";
    }

    @Override
    public String working(WorkingItem item) {
        return "Each line must follow from the last right line, starting from " + quoted(item.start())
                + ". Right lines earn up to " + item.steps().toPoints() + " of the points, in proportion; reaching "
                + item.accept().stream().map(HowItScores::quoted).collect(Collectors.joining(" or ")) + " earns "
                + item.result().toPoints() + "."
                + (item.followThrough() ? " After a wrong line, the next lines are judged against it." : "")
                + " What cannot be decided comes to you in Settle.";
    }

    @Override
    public String open(OpenItem item) {
        String words = (item.maxWords() == null ? "" : " At most " + item.maxWords() + " words are asked for.")
                + attached(item)
                + mastered(item);
        return item.rubric() == null
                ? "You read each answer and give from 0 to " + points(item.points()) + "." + words
                : "You read each answer and choose a level "
                        + (item.criteria().size() == 1
                                ? "on one scale; "
                                : "for each of " + item.criteria().size() + " criteria; ")
                        + item.rubric().maximum() + " rubric points are worth "
                        + points(item.points()) + "." + words;
    }

    private static String attached(OpenItem item) {
        return item.attachments() == 0
                ? ""
                : " It may have up to " + item.attachments()
                        + (item.attachments() == 1 ? " picture or PDF" : " pictures or PDFs")
                        + "; one without words is read as well.";
    }

    private static String mastered(OpenItem item) {
        if (item.mastery() == null) {
            return "";
        }
        if (!item.masteryIsLevel()) {
            Fraction bound = Fraction.exactly(item.mastery());
            boolean beyond = bound.compareTo(item.points()) > 0;
            return " It counts as mastered from " + points(bound) + (beyond ? ", which no answer can reach." : ".");
        }
        List<String> levels = item.criteria().stream()
                .flatMap(c -> c.level(item.mastery()).stream())
                .map(l -> l.text().isBlank() ? "level " + l.id() : quoted(l.text()))
                .distinct()
                .toList();
        return " It counts as mastered from " + String.join(" and ", levels) + ".";
    }

    @Override
    public String passage(PassageItem item) {
        return "Nothing is answered here, so nothing is scored.";
    }

    private static String penalty(Fraction penalty) {
        return penalty.isZero()
                ? ""
                : " A wrong answer loses " + penalty.toPoints()
                        + " of the points. Leaving it unanswered loses nothing.";
    }

    private static String points(Fraction points) {
        return points + (points.equals(Fraction.ONE) ? " point" : " points");
    }

    private static String quoted(String text) {
        return "“" + text + "”";
    }
}
