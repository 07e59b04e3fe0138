package org.scholion.sheets.paper;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.function.BinaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.scholion.core.item.BlanksItem;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.CorrectionItem;
import org.scholion.core.item.Item;
import org.scholion.core.item.Named;
import org.scholion.core.item.OpenItem;
import org.scholion.core.item.OrderItem;
import org.scholion.core.item.PairsItem;
import org.scholion.core.item.PassageItem;
import org.scholion.core.item.Rubric;
import org.scholion.core.item.SpotItem;
import org.scholion.core.item.WorkingItem;
import org.scholion.core.maths.Latex;
import org.scholion.core.maths.MathNames;
import org.scholion.core.number.Fraction;
import org.scholion.core.score.HowItScores;
import org.scholion.core.score.RightAnswer;
import org.scholion.formats.assessment.AssessmentFile;
import org.scholion.formats.assessment.PaperOrder;
import org.scholion.formats.assessment.Particulars;
import org.scholion.formats.rich.RichText;

/** One item on paper: what is asked, where to answer, and in a key what is right and how it scores. */
final class ItemMarkup {
    private static final Pattern IMAGE = Pattern.compile("<img\\b[^>]*src=\"/api/files/([0-9a-f]{64})\"[^>]*>");
    private static final Pattern ALT = Pattern.compile("alt=\"([^\"]*)\"");
    private static final Pattern SOUND = Pattern.compile("<audio\\b[^>]*>.*?</audio>", Pattern.DOTALL);
    private static final Pattern FORMULA =
            Pattern.compile("<span data-formula=\"([^\"]*)\">.*?</span>", Pattern.DOTALL);
    private static final int OPEN_LINES = 8;

    private final Item item;
    private final Particulars particulars;
    private final BinaryOperator<String> picture;
    private final boolean withAnswers;
    private final Random chance;
    private final StringBuilder out = new StringBuilder();

    /** @param chance mixes steps and what is matched, in the paper as in its key */
    ItemMarkup(AssessmentFile file, Item item, BinaryOperator<String> picture, boolean withAnswers, Random chance) {
        this.item = item;
        this.particulars = file.particulars(item.id());
        this.picture = picture;
        this.withAnswers = withAnswers;
        this.chance = chance;
    }

    String write(int number, List<ChoiceItem.Option> options) {
        boolean passage = item instanceof PassageItem;
        out.append(passage ? "<div class=\"passage\">" : "<div class=\"item\">");
        if (!passage) {
            String points = item.points().toPoints();
            out.append("<span class=\"points\">")
                    .append(points)
                    .append(
                            item.points().compareTo(Fraction.ONE) <= 0
                                            && item.points().signum() > 0
                                    ? " point"
                                    : " points")
                    .append("</span><span class=\"number\">")
                    .append(number)
                    .append("</span><div class=\"asked\">");
        }
        asked();
        if (particulars.picture() != null) {
            out.append(picture.apply(
                    particulars.picture().file(), particulars.picture().alt()));
        }
        place(options);
        if (withAnswers && !passage) {
            key(options);
        }
        return out.append(passage ? "</div>" : "</div></div>").toString();
    }

    private void asked() {
        if (item instanceof BlanksItem blanks && blanks.hasPlaces()) {
            out.append("<p>").append(sentence(blanks)).append("</p>");
        } else if (particulars.body() == null) {
            out.append("<div").append(Markup.direction(item.head().prompt())).append('>');
            out.append(Markup.lines(item.head().prompt())).append("</div>");
        } else {
            out.append(rich(particulars.body()));
        }
    }

    private String sentence(BlanksItem blanks) {
        return blanks.sentence(Markup.lines(item.head().prompt()), id -> "<span class=\"blank\">&#160;</span>");
    }

    /** Formatted text as XHTML: pictures inside the document, formulas as objects, sound as a remark. */
    private String rich(String body) {
        String clean = RichText.clean(body).replace("<br>", "<br/>").replace("<hr>", "<hr/>");
        String pictured = IMAGE.matcher(clean).replaceAll(m -> {
            Matcher alt = ALT.matcher(m.group());
            return Matcher.quoteReplacement(picture.apply(m.group(1), alt.find() ? alt.group(1) : ""));
        });
        String silent = SOUND.matcher(pictured).replaceAll("<p>[a recording that is heard on screen]</p>");
        return FORMULA.matcher(silent).replaceAll(m -> {
            String latex = RichText.plain(m.group(1));
            return Matcher.quoteReplacement(formula(latex, latex));
        });
    }

    private static String formula(String latex, String otherwise) {
        return Formulas.markup(latex).orElse(RichText.escaped(otherwise));
    }

    /** A line of mathematics as it is printed; one that cannot be read as it is typed. */
    private static String maths(String line, MathNames names) {
        return Latex.of(line, names).map(l -> formula(l, line)).orElse(RichText.escaped(line));
    }

    private void place(List<ChoiceItem.Option> options) {
        remark();
        if (item instanceof ChoiceItem) {
            out.append("<div class=\"options\">");
            for (int i = 0; i < options.size(); i++) {
                out.append("<div")
                        .append(Markup.direction(options.get(i).text()))
                        .append("><span class=\"box\"></span>")
                        .append(Letters.of(i))
                        .append("&#160;&#160;")
                        .append(RichText.escaped(options.get(i).text()))
                        .append("</div>");
            }
            out.append("</div>");
        } else if (item instanceof PairsItem pairs) {
            table(pairs.left(), PaperOrder.rights(pairs, chance));
        } else if (item instanceof OrderItem order) {
            PaperOrder.steps(order, chance)
                    .forEach(n -> out.append("<div><span class=\"box\"></span>")
                            .append(RichText.escaped(n.text()))
                            .append("</div>"));
        } else if (item instanceof CorrectionItem correction) {
            out.append("<p><i>").append(RichText.escaped(correction.source())).append("</i></p>");
            write(2);
        } else if (item instanceof WorkingItem working) {
            out.append("<p>")
                    .append(maths(working.start(), new MathNames(working.variables())))
                    .append("</p>");
            write(OPEN_LINES / 2);
        } else if (item instanceof OpenItem) {
            write(OPEN_LINES);
        } else if (item instanceof BlanksItem blanks) {
            blanks(blanks);
        } else if (!(item instanceof PassageItem || item instanceof SpotItem)) {
            write(1);
        }
    }

    /** What is to be kept in mind while answering: how many may be chosen, how long it may be, what it is read by. */
    private void remark() {
        if (item instanceof ChoiceItem choice && choice.max() > 1) {
            small("Choose up to " + choice.max() + ".");
        }
        if (item instanceof OpenItem open) {
            String words = (open.minWords() == null ? "" : "at least " + open.minWords())
                    + (open.minWords() != null && open.maxWords() != null ? ", " : "")
                    + (open.maxWords() == null ? "" : "at most " + open.maxWords());
            if (!words.isEmpty()) {
                small("In words: " + words + ".");
            }
            if (particulars.rubricShown() && !withAnswers) {
                open.criteria().forEach(this::criterion);
            }
        }
    }

    private void small(String remark) {
        out.append("<p class=\"remark\">").append(RichText.escaped(remark)).append("</p>");
    }

    /** Blanks that stand in no sentence have a line each; what can be chosen for one is named. */
    private void blanks(BlanksItem blanks) {
        boolean named = !blanks.hasPlaces();
        for (int i = 0; i < blanks.parts().size(); i++) {
            Item part = blanks.parts().get(i).item();
            String choice = part instanceof ChoiceItem c
                    ? "<span class=\"remark\">"
                            + c.options().stream()
                                    .map(o -> RichText.escaped(o.text()))
                                    .collect(Collectors.joining(" / "))
                            + "</span>"
                    : "";
            if (named || !choice.isEmpty()) {
                out.append("<p>").append(i + 1).append(". ");
                if (named) {
                    out.append(RichText.escaped(part.head().prompt())).append(" <span class=\"blank\">&#160;</span> ");
                }
                out.append(choice).append("</p>");
            }
        }
    }

    private void write(int lines) {
        if (!withAnswers) {
            out.append("<div class=\"write\"></div>".repeat(lines));
        }
    }

    private void table(List<Named> left, List<Named> right) {
        out.append("<table>");
        for (int i = 0; i < Math.max(left.size(), right.size()); i++) {
            out.append("<tr><td>")
                    .append(
                            i < left.size()
                                    ? (i + 1) + ". "
                                            + RichText.escaped(left.get(i).text())
                                    : "")
                    .append("</td><td>")
                    .append(
                            i < right.size()
                                    ? Letters.of(i).toLowerCase(Locale.ROOT) + ") "
                                            + RichText.escaped(right.get(i).text())
                                    : "")
                    .append("</td></tr>");
        }
        out.append("</table>");
    }

    private void key(List<ChoiceItem.Option> options) {
        out.append("<div class=\"key\"><p><b>").append(right(options)).append("</b></p>");
        if (item instanceof OpenItem open) {
            open.criteria().forEach(this::criterion);
        }
        out.append("<p>").append(RichText.escaped(HowItScores.of(item))).append("</p></div>");
    }

    private void criterion(Rubric.Criterion criterion) {
        out.append("<p><i>").append(RichText.escaped(criterion.title())).append("</i> ");
        criterion
                .levels()
                .forEach(l -> out.append(l.points().toPoints())
                        .append(": ")
                        .append(RichText.escaped(l.text()))
                        .append("; "));
        out.append("</p>");
    }

    private String right(List<ChoiceItem.Option> options) {
        if (item instanceof ChoiceItem choice) {
            List<String> letters = new ArrayList<>();
            for (int i = 0; i < options.size(); i++) {
                if (choice.key().contains(options.get(i).id())) {
                    letters.add(Letters.of(i) + " " + options.get(i).text());
                }
            }
            return RichText.escaped(String.join(" · ", letters));
        }
        return RightAnswer.inWords(item).map(RichText::escaped).orElse("");
    }
}
