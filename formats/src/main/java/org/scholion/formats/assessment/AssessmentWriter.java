package org.scholion.formats.assessment;

import org.scholion.core.total.Adjustment;
import org.scholion.core.total.Assessment;
import org.scholion.core.total.Curve;
import org.scholion.core.total.Grading;
import org.scholion.core.total.Part;
import org.scholion.formats.json.Cursor;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Writes assessment files; what is read back is equal to what was written. */
public final class AssessmentWriter {
    private AssessmentWriter() {}

    public static ObjectNode write(AssessmentFile file) {
        Assessment a = file.assessment();
        ObjectNode node = JsonNodeFactory.instance
                .objectNode()
                .put("format", AssessmentFile.FORMAT)
                .put("title", a.title())
                .put("language", a.language());
        if (!file.frameworks().isEmpty()) {
            ArrayNode frameworks = node.putArray("frameworks");
            file.frameworks().forEach(f -> frameworks.add(FrameworkWriter.write(f)));
        }
        if (!a.parts().isEmpty()) {
            ArrayNode parts = node.putArray("parts");
            a.parts().forEach(p -> part(parts.addObject(), p, file.layout()));
        }
        ArrayNode items = node.putArray("items");
        a.items().forEach(i -> {
            ObjectNode item = ItemWriter.write(i);
            ParticularsWriter.write(item, file.particulars(i.id()));
            ParticularsWriter.text(item, "draw", file.layout().drawnItems().get(i.id()));
            items.add(item);
        });
        if (!a.adjustments().isEmpty()) {
            ArrayNode adjustments = node.putArray("adjustments");
            for (Adjustment adjustment : a.adjustments()) {
                adjustments.addObject().put("item", adjustment.item()).put("do", Cursor.Names.of(adjustment.kind()));
            }
        }
        grading(node.putObject("grading"), a.grading());
        LayoutWriter.write(node, file.layout());
        return node;
    }

    private static void part(ObjectNode node, Part part, Layout layout) {
        node.put("id", part.id()).put("title", part.title());
        if (part.weight() != null) {
            node.put("weight", part.weight().toExact());
        }
        if (part.best() != null) {
            node.put("best", part.best());
        }
        ParticularsWriter.text(node, "instructions", layout.instructions().get(part.id()));
    }

    private static void grading(ObjectNode node, Grading grading) {
        node.put("percentDigits", grading.percentDigits());
        if (grading.negativeTotals()) {
            node.put("negativeTotals", true);
        }
        if (grading.late() != null) {
            node.putObject("late")
                    .put("perDay", grading.late().perDay().toExact())
                    .put("cap", grading.late().cap().toExact());
        }
        if (!grading.curve().isEmpty()) {
            ArrayNode curve = node.putArray("curve");
            grading.curve().forEach(step -> step(curve.addObject(), step));
        }
        node.put("attempts", Cursor.Names.of(grading.attempts()));
        if (!grading.bands().isEmpty()) {
            ArrayNode bands = node.putArray("bands");
            for (Grading.Band band : grading.bands()) {
                ObjectNode written =
                        bands.addObject().put("from", band.from().toExact()).put("label", band.label());
                if (band.message() != null) {
                    written.put("message", band.message());
                }
            }
        }
        if (grading.pass() != null) {
            node.put("pass", grading.pass().toExact());
        }
    }

    private static void step(ObjectNode node, Curve step) {
        if (step instanceof Curve.Add add) {
            node.put("add", add.amount().toExact());
        } else if (step instanceof Curve.ScaleTo scale) {
            node.put("scaleTo", scale.top().toExact());
        } else if (step instanceof Curve.Line line) {
            ArrayNode points = node.putArray("line");
            points.addArray().add(line.x1().toExact()).add(line.y1().toExact());
            points.addArray().add(line.x2().toExact()).add(line.y2().toExact());
        } else {
            node.put("root", true);
        }
    }
}
