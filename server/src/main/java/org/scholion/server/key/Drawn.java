package org.scholion.server.key;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.scholion.core.draw.Draw;
import org.scholion.core.draw.Drawing;
import org.scholion.formats.assessment.AssessmentFile;
import org.scholion.formats.assessment.AssessmentReader;
import org.scholion.formats.assessment.LayoutReader;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What the draws of a paper come to: once when it is given out, or for each attempt. */
public final class Drawn {
    private Drawn() {}

    /** The definition with the draws that are made once made: what was not drawn is out of it. */
    static JsonNode once(JsonNode whole, long seed) {
        AssessmentFile file = AssessmentReader.read(whole);
        if (file.layout().draws().stream().noneMatch(d -> d.each() == Draw.Each.SITTING)) {
            return whole;
        }
        Set<String> open = new HashSet<>();
        file.layout().draws().stream()
                .filter(d -> d.each() == Draw.Each.STUDENT)
                .forEach(d -> open.add(d.id()));
        return asked(whole, leftOut(file, Draw.Each.SITTING, seed), open);
    }

    /**
     * The definition as it is printed: every draw is made.
     *
     * @param seed that of the draws that are made once, which are the same in each version
     */
    static JsonNode printed(JsonNode whole, long seed, int version) {
        AssessmentFile file = AssessmentReader.read(whole);
        if (file.layout().draws().isEmpty()) {
            return whole;
        }
        Set<String> out = leftOut(file, Draw.Each.SITTING, seed);
        out.addAll(leftOut(file, Draw.Each.STUDENT, seed + version));
        return asked(whole, out, Set.of());
    }

    /** The definition without what was not drawn; of its draws only those that are still open are left. */
    private static JsonNode asked(JsonNode whole, Set<String> out, Set<String> open) {
        ObjectNode drawn = whole.deepCopy().asObject();
        ArrayNode items = drawn.putArray("items");
        whole.path("items").forEach(i -> {
            if (!out.contains(i.path("id").asString(""))) {
                ObjectNode item = i.deepCopy().asObject();
                if (!open.contains(item.path("draw").asString(""))) {
                    item.remove("draw");
                }
                items.add(item);
            }
        });
        ArrayNode draws = drawn.putArray("draws");
        whole.path("draws").forEach(d -> {
            if (open.contains(d.path("id").asString(""))) {
                draws.add(d);
            }
        });
        return drawn;
    }

    /** The items from which each attempt is drawn its own. */
    public static Set<String> pooled(Edition edition) {
        Set<String> pooled = new HashSet<>();
        edition.file().layout().draws().stream()
                .filter(d -> d.each() == Draw.Each.STUDENT)
                .forEach(d -> LayoutReader.pool(edition.file(), d).forEach(c -> pooled.add(c.id())));
        return pooled;
    }

    /** The items that an attempt is not asked; the same attempt always leaves out the same. */
    public static Set<String> leftOut(Edition edition, UUID attempt) {
        return leftOut(edition.file(), Draw.Each.STUDENT, attempt.getLeastSignificantBits());
    }

    private static Set<String> leftOut(AssessmentFile file, Draw.Each each, long seed) {
        Set<String> out = new HashSet<>();
        for (Draw draw : file.layout().draws()) {
            if (draw.each() == each) {
                List<Draw.Candidate> pool = LayoutReader.pool(file, draw);
                Set<String> taken = new Drawing(draw, pool).with(seed);
                pool.stream()
                        .map(Draw.Candidate::id)
                        .filter(id -> !taken.contains(id))
                        .forEach(out::add);
            }
        }
        return out;
    }
}
