package org.scholion.formats.assessment;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.scholion.core.draw.Draw;
import org.scholion.core.total.Award;
import tools.jackson.databind.JsonNode;

/**
 * How the paper is laid out and tried.
 *
 * @param shuffleItems whether each student gets the items in an own order; items of one passage stay together
 * @param shuffleOptions whether each student gets the options in an own order
 * @param instructions what stands above a part, by the part's id
 * @param drawnItems the draw that an item belongs to, by the item's id
 * @param trials whole sets of made-up answers
 * @param awards what is given from which percent on
 * @param questions the questions' own paper, where they are not written here
 */
public record Layout(
        boolean shuffleItems,
        boolean shuffleOptions,
        Map<String, String> instructions,
        List<Draw> draws,
        Map<String, String> drawnItems,
        List<Trial> trials,
        List<Award> awards,
        List<Sheet> questions) {

    public static final Layout PLAIN =
            new Layout(false, false, Map.of(), List.of(), Map.of(), List.of(), List.of(), List.of());

    /** A file by the SHA-256 of its bytes, its name, and its media type. */
    public record Sheet(String file, String name, String type) {}

    /** A made-up student's answers, by item, as a response file has them. */
    public record Trial(String name, Map<String, JsonNode> answers) {
        public Trial {
            answers = Map.copyOf(answers);
        }
    }

    public Layout {
        instructions = Map.copyOf(instructions);
        draws = List.copyOf(draws);
        drawnItems = Map.copyOf(drawnItems);
        trials = List.copyOf(trials);
        awards = List.copyOf(awards);
        questions = List.copyOf(questions);
    }

    public Optional<Draw> draw(String id) {
        return draws.stream().filter(d -> d.id().equals(id)).findFirst();
    }
}
