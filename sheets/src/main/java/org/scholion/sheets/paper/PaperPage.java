package org.scholion.sheets.paper;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.function.Function;
import org.scholion.core.draw.Chance;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.Item;
import org.scholion.core.item.PassageItem;
import org.scholion.core.total.Part;
import org.scholion.formats.assessment.AssessmentFile;
import org.scholion.formats.assessment.PaperOrder;
import org.scholion.formats.json.Texts;
import org.scholion.formats.rich.RichText;

/**
 * A paper as XHTML, or its key. A version above 0 has its own order of items and options; paper and key of the same
 * version agree.
 */
public final class PaperPage {
    /** A picture by its hash. */
    public record Picture(String type, byte[] bytes) {}

    private final AssessmentFile file;
    private final Function<String, Optional<Picture>> pictures;
    private final boolean withAnswers;
    private final int version;
    private final StringBuilder page = new StringBuilder();
    private final Map<String, byte[]> shown = new HashMap<>();

    private PaperPage(
            AssessmentFile file, Function<String, Optional<Picture>> pictures, boolean withAnswers, int version) {
        this.file = file;
        this.pictures = pictures;
        this.withAnswers = withAnswers;
        this.version = version;
    }

    public static PaperDocument of(
            AssessmentFile file, Function<String, Optional<Picture>> pictures, boolean withAnswers, int version) {
        return new PaperPage(file, pictures, withAnswers, version).write();
    }

    private PaperDocument write() {
        String title = RichText.escaped(file.assessment().title());
        String which = version == 0 ? "" : " · " + letter();
        page.append("<html><head><style>")
                .append(Markup.STYLE)
                .append("@page { @bottom-left { " + Markup.FONT + " font-size: 9pt; content: '")
                .append(Markup.styled(
                        Joining.asSeen(file.assessment().title() + which + (withAnswers ? " · key" : ""))))
                .append("'; } }</style><title>")
                .append(title)
                .append("</title></head><body><h1>")
                .append(title)
                .append(which)
                .append(withAnswers ? " · key" : "")
                .append("</h1>");
        if (!withAnswers) {
            page.append(
                    "<p class=\"name\">Name: <span class=\"line\"></span> Section: <span class=\"short\"></span></p>");
        }
        items();
        page.append("</body></html>");
        return new PaperDocument(Texts.printable(page.toString()), shown);
    }

    private String letter() {
        return "version " + (char) ('A' + version - 1);
    }

    private void items() {
        String part = "";
        int number = 0;
        for (Item item : order()) {
            String own = item.head().part() == null ? "" : item.head().part();
            if (!own.equals(part)) {
                part = own;
                head(own);
            }
            number += item instanceof PassageItem ? 0 : 1;
            page.append(
                    new ItemMarkup(file, item, this::picture, withAnswers, chance(item)).write(number, options(item)));
        }
    }

    private List<Item> order() {
        return version == 0 ? file.assessment().items() : PaperOrder.shuffled(file, Chance.of(version), true);
    }

    private List<ChoiceItem.Option> options(Item item) {
        if (!(item instanceof ChoiceItem choice)) {
            return List.of();
        }
        return version == 0 ? choice.options() : PaperOrder.shuffled(file, choice, chance(item));
    }

    private Random chance(Item item) {
        return Chance.of(
                31L * version + item.id().hashCode() + file.assessment().title().hashCode());
    }

    private void head(String part) {
        Optional<Part> found = file.assessment().parts().stream()
                .filter(p -> p.id().equals(part))
                .findFirst();
        found.ifPresent(p -> {
            page.append("<h2>").append(RichText.escaped(p.title())).append("</h2>");
            if (p.best() != null) {
                page.append("<p class=\"remark\">")
                        .append(
                                p.best() == 1
                                        ? "Only the best question counts."
                                        : "Only the best " + p.best() + " questions count.")
                        .append("</p>");
            }
            String instructions = file.layout().instructions().get(p.id());
            if (instructions != null) {
                page.append("<p>").append(RichText.escaped(instructions)).append("</p>");
            }
        });
    }

    /** A picture by its name; what is not there leaves its words. */
    private String picture(String hash, String alt) {
        if (!shown.containsKey(hash)) {
            pictures.apply(hash).ifPresent(p -> shown.put(hash, p.bytes()));
        }
        return shown.containsKey(hash)
                ? "<img src=\"" + PaperDocument.PICTURE + ":" + hash + "\" alt=\"" + RichText.escaped(alt) + "\"/>"
                : "<p>[" + RichText.escaped(alt) + "]</p>";
    }
}
