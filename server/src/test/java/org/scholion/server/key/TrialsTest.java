package org.scholion.server.key;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Random;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.scholion.formats.json.Json;
import org.scholion.server.platform.JsonColumn;
import org.scholion.server.platform.Refused;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Made-up sets lie where they say, for papers of any points and bounds. */
class TrialsTest {
    static LongStream seeds() {
        return LongStream.range(0, 25);
    }

    private static ObjectNode paper(long seed) {
        Random random = new Random(seed);
        ObjectNode paper = Json.MAPPER
                .createObjectNode()
                .put("format", "scholion-assessment/1")
                .put("title", "t");
        ArrayNode items = paper.putArray("items");
        int n = 3 + random.nextInt(12);
        for (int i = 0; i < n; i++) {
            ObjectNode item = items.addObject()
                    .put("id", "q" + i)
                    .put("kind", "text")
                    .put("points", String.valueOf(1 + random.nextInt(5)));
            item.putArray("accept").addObject().put("text", "word" + i);
        }
        ObjectNode grading = paper.putObject("grading").put("pass", String.valueOf(20 + random.nextInt(60)));
        grading.putArray("bands").addObject().put("from", "85").put("label", "High");
        return paper;
    }

    private static List<Trials.TrialView> views(ObjectNode paper, List<Trials.Proposed> proposed) {
        ArrayNode trials = paper.putArray("trials");
        proposed.forEach(p -> {
            ObjectNode trial = trials.addObject().put("name", p.name());
            trial.set("answers", JsonColumn.node(p.answers()));
        });
        return Trials.of(paper);
    }

    private static double percent(Trials.TrialView view) {
        return Double.parseDouble(String.valueOf(view.percent()));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void those_right_below_a_bound_lie_below_and_those_at_it_reach_it(long seed) {
        ObjectNode paper = paper(seed);
        for (Trials.TrialView view : views(paper, Trials.proposed(paper))) {
            if (view.name().contains(" %")) {
                double bound = Double.parseDouble(view.name().replaceAll(".* ([\\d.]+) %", "$1"));
                if (view.name().startsWith("just below")) {
                    assertThat(percent(view)).as("%s", view).isLessThan(bound);
                } else {
                    assertThat(percent(view)).as("%s", view).isGreaterThanOrEqualTo(bound);
                }
            }
        }
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void the_ends_are_everything_and_nothing(long seed) {
        ObjectNode paper = paper(seed);
        List<Trials.TrialView> views = views(paper, Trials.proposed(paper));
        assertThat(views.get(0).percent()).isEqualTo("100.0");
        assertThat(views.get(0).band()).isEqualTo("High");
        assertThat(views.get(1).percent()).isEqualTo("0.0");
        assertThat(views.get(1).passed()).isFalse();
        assertThat(views.get(0).marks()).allMatch(m -> m.points().equals(m.of()));
    }

    @Test
    void an_answer_that_its_kind_cannot_read_is_named_with_set_and_item() {
        JsonNode paper = Json.read("""
                {"format": "scholion-assessment/1", "title": "t", "items": [
                  {"id": "q", "kind": "choice", "points": "1", "options": [{"id": "a"}], "key": ["a"]}],
                 "trials": [{"name": "mine", "answers": {"q": ["z"]}}]}""");
        assertThatThrownBy(() -> Trials.of(paper))
                .isInstanceOf(Refused.class)
                .hasMessage("mine, q: no option is called 'z'");
    }

    @Test
    void what_waits_for_a_person_makes_the_total_provisional() {
        JsonNode paper = Json.read("""
                {"format": "scholion-assessment/1", "title": "t", "items": [
                  {"id": "o", "kind": "open", "points": "4"},
                  {"id": "t", "kind": "text", "points": "1", "accept": [{"text": "ebb"}]}],
                 "trials": [{"name": "mine", "answers": {"o": "because", "t": "ebb"}}]}""");
        Trials.TrialView view = Trials.of(paper).get(0);
        assertThat(view.provisional()).isTrue();
        assertThat(view.score()).isEqualTo("1");
        assertThat(view.marks().get(0).state()).isEqualTo("read");
    }
}
