package org.scholion.formats.assessment;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.scholion.core.item.Alignment;
import org.scholion.core.item.BlanksItem;
import org.scholion.core.item.Item;
import org.scholion.core.item.OpenItem;
import org.scholion.core.item.PassageItem;
import org.scholion.core.number.Fraction;
import org.scholion.core.score.Scorer;
import org.scholion.core.standard.Framework;
import org.scholion.core.total.Adjustment;
import org.scholion.core.total.Assessment;
import org.scholion.core.total.Grading;
import org.scholion.core.total.Part;
import org.scholion.formats.json.Cursor;
import org.scholion.formats.json.Fault;
import org.scholion.formats.json.Faults;
import org.scholion.formats.json.Json;
import tools.jackson.databind.JsonNode;

/** Reads assessment files; refuses unknown fields and wrong references with their path, all at once. */
public final class AssessmentReader {
    private final Cursor root;

    private AssessmentReader(Cursor root) {
        this.root = root;
    }

    /**
     * Reads a whole file.
     *
     * @throws Faults with everything that is wrong
     */
    public static AssessmentFile read(String text) {
        return read(Json.read(text));
    }

    public static AssessmentFile read(JsonNode node) {
        AssessmentReader reader = new AssessmentReader(Cursor.at(node));
        Optional<AssessmentFile> file = reader.file();
        reader.root.refuseFaulty();
        return file.orElseThrow(() -> new Faults(List.of(new Fault("", "the file could not be read"))));
    }

    /** What is wrong with a file; empty when nothing is. */
    public static List<Fault> check(JsonNode node) {
        try {
            read(node);
            return List.of();
        } catch (Faults e) {
            return e.all();
        }
    }

    private Optional<AssessmentFile> file() {
        String format = root.text("format");
        if (!format.equals(AssessmentFile.FORMAT)) {
            root.field("format").ifPresent(c -> c.fault("this is not a " + AssessmentFile.FORMAT + " file"));
        }
        String title = root.text("title");
        String language = root.text("language", "en");
        List<Framework> frameworks = all(root.list("frameworks"), FrameworkReader::read);
        List<Part> parts = all(root.list("parts"), AssessmentReader::part);
        List<ItemReader.Read> read = all(root.list("items"), c -> ItemReader.read(c, language));
        List<Item> items = read.stream().map(ItemReader.Read::item).toList();
        List<Adjustment> adjustments = all(root.list("adjustments"), AssessmentReader::adjustment);
        Optional<Grading> grading = root.field("grading").isPresent()
                ? root.field("grading").flatMap(c -> c.build(() -> GradingReader.read(c)))
                : Optional.of(Grading.PLAIN);
        Layout layout = LayoutReader.read(root);
        // The bytes of pictures may travel with the file; whoever keeps them looks at them.
        root.field("files");
        root.refuseUnknown();
        if (!root.faults().isEmpty() || grading.isEmpty()) {
            return Optional.empty();
        }
        Optional<Assessment> assessment =
                root.build(() -> new Assessment(title, language, parts, items, adjustments, grading.get()));
        return assessment.map(a -> {
            AssessmentFile file = new AssessmentFile(a, frameworks, particulars(read), layout);
            refuseUncompilable(a);
            refuseUnknownCodes(a, frameworks);
            new Ties(file).refuseLost(root.list("items"));
            LayoutReader.refuseUndrawable(root, file);
            return file;
        });
    }

    private static Map<String, Particulars> particulars(List<ItemReader.Read> read) {
        Map<String, Particulars> all = new HashMap<>();
        for (ItemReader.Read one : read) {
            if (!one.particulars().equals(Particulars.NONE)) {
                all.put(one.item().id(), one.particulars());
            }
        }
        return all;
    }

    /** What is built at each place; a place that is refused leaves its fault. */
    static <T> List<T> all(List<Cursor> places, Function<Cursor, T> reading) {
        List<T> all = new ArrayList<>();
        for (Cursor place : places) {
            place.build(() -> reading.apply(place)).ifPresent(all::add);
        }
        return all;
    }

    /** Patterns and units are only known to be good once they compile. */
    private void refuseUncompilable(Assessment assessment) {
        List<Cursor> places = root.list("items");
        for (int i = 0; i < assessment.items().size(); i++) {
            Item item = assessment.items().get(i);
            if (!(item instanceof PassageItem)) {
                places.get(i).build(() -> Scorer.of(item));
            }
        }
    }

    /** An alignment names a standard of the file's frameworks, where the file has any. */
    private void refuseUnknownCodes(Assessment assessment, List<Framework> frameworks) {
        if (frameworks.isEmpty()) {
            return;
        }
        Set<String> codes = new HashSet<>();
        frameworks.forEach(f -> f.standards().forEach(s -> codes.add(s.code())));
        for (int i = 0; i < assessment.items().size(); i++) {
            Item item = assessment.items().get(i);
            refuseUnknown("items[" + i + "]", item.standards(), codes);
            if (item instanceof BlanksItem blanks) {
                for (int p = 0; p < blanks.parts().size(); p++) {
                    refuseUnknown(
                            "items[" + i + "].parts[" + p + "]",
                            blanks.parts().get(p).item().standards(),
                            codes);
                }
            }
            if (item instanceof OpenItem open) {
                for (int c = 0; c < open.criteria().size(); c++) {
                    refuseUnknown(
                            "items[" + i + "].rubric.criteria[" + c + "]",
                            open.criteria().get(c).standards(),
                            codes);
                }
            }
        }
    }

    private void refuseUnknown(String path, List<Alignment> alignments, Set<String> codes) {
        for (int i = 0; i < alignments.size(); i++) {
            String code = alignments.get(i).code();
            if (!codes.contains(code)) {
                root.faults()
                        .add(new Fault(
                                path + ".standards[" + i + "].code",
                                "no standard of the frameworks has the code '" + code + "'"));
            }
        }
    }

    private static Part part(Cursor c) {
        Part part = new Part(c.text("id"), c.text("title", ""), c.fractionOrNull("weight"), c.wholeOrNull("best"));
        c.textOrNull("instructions");
        c.refuseUnknown();
        return part;
    }

    private static Adjustment adjustment(Cursor c) {
        Adjustment adjustment =
                new Adjustment(c.text("item"), c.oneOf("do", Adjustment.Kind.class, Adjustment.Kind.DROP));
        c.refuseUnknown();
        return adjustment;
    }

    static List<Alignment> alignments(Cursor c) {
        return all(c.list("standards"), s -> {
            Alignment alignment = new Alignment(s.text("code"), s.fraction("weight", Fraction.ONE));
            s.refuseUnknown();
            return alignment;
        });
    }
}
