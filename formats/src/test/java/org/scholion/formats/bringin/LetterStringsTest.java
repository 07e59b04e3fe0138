package org.scholion.formats.bringin;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.Item;
import org.scholion.formats.assessment.AssessmentReader;
import org.scholion.formats.bringin.PaperFromAnswers.Kind;
import org.scholion.formats.bringin.PaperFromAnswers.MadeQuestion;
import org.scholion.formats.json.Json;
import org.scholion.formats.table.Grid;
import org.scholion.formats.table.Table;
import tools.jackson.databind.node.ObjectNode;

/** A file of strings such as BCADB makes its questions, and then comes in. */
class LetterStringsTest {
    private static final String FILE =
            "number,answers,time\nKEY,ABCDA B,\n40216,ABCDB B,31 min\n40220,abca-a,28 min\n40212,AB*DAB,30 min\n";

    private static Grid grid(String file) {
        return Grid.read(file.getBytes(StandardCharsets.UTF_8), Grid.Reading.NOTHING);
    }

    private static List<MadeQuestion> made(String file, Map<Integer, Kind> kinds) {
        Table table = AnswerTable.headed(grid(file), Class4.ROSTER, BringInChoices.NONE);
        return PaperFromAnswers.of(
                table, Class4.ROSTER, BringInChoices.NONE, new PaperFromAnswers.Asked(kinds, Map.of()));
    }

    private static List<MadeQuestion> questions(String file) {
        return made(file, Map.of()).stream()
                .filter(q -> q.kind() != Kind.LEFT_OUT)
                .toList();
    }

    @Test
    void each_letter_is_a_question_with_all_letters_to_choose_from_and_the_key_of_the_key_row() {
        List<MadeQuestion> made = questions(FILE);
        assertThat(made)
                .extracting(MadeQuestion::prompt)
                .startsWith("Question 1")
                .hasSize(6);
        assertThat(made).extracting(MadeQuestion::kind).containsOnly(Kind.CHOICE);
        assertThat(made).extracting(MadeQuestion::options).containsOnly(List.of("A", "B", "C", "D"));
        assertThat(made).extracting(MadeQuestion::key).containsExactly("A", "B", "C", "D", "A", "B");
        assertThat(made.get(2).because()).isEqualTo("letter 3 of the strings in “answers”");
    }

    @Test
    void a_question_can_be_left_out_by_its_place() {
        List<MadeQuestion> made = made(FILE, Map.of(4, Kind.LEFT_OUT));
        assertThat(made.stream().filter(q -> q.column() == 4)).singleElement().satisfies(q -> {
            assertThat(q.prompt()).isEqualTo("Question 2");
            assertThat(q.kind()).isEqualTo(Kind.LEFT_OUT);
        });
    }

    @Test
    void what_was_made_then_comes_in_letter_by_letter() {
        ObjectNode paper = Json.read("{\"format\":\"scholion-assessment/1\",\"title\":\"x\",\"language\":\"en\"}")
                .asObject();
        List<MadeQuestion> made = questions(FILE);
        for (int i = 0; i < made.size(); i++) {
            paper.withArray("items").add(PaperFromAnswers.item(made.get(i), "q" + (i + 1)));
        }
        List<Item> items =
                new ArrayList<>(AssessmentReader.read(paper).assessment().items());
        Table table = AnswerTable.headed(grid(FILE), Class4.ROSTER, BringInChoices.NONE);
        BringIn found = AnswerTable.recognise(table, items, Class4.ROSTER, BringInChoices.NONE);
        assertThat(found.shape()).isEqualTo(BringIn.Shape.LETTERS);
        assertThat(found.attempts()).hasSize(3);
        Map<String, Answer> noor = found.attempts().get(0).answers();
        assertThat(noor).containsEntry("q5", Answer.Chosen.of("b")).containsEntry("q6", Answer.Chosen.of("b"));
        Map<String, Answer> dov = found.attempts().get(1).answers();
        assertThat(dov).containsEntry("q4", Answer.Chosen.of("a"));
    }

    @Test
    void words_grades_and_strings_of_many_lengths_are_no_letters() {
        assertThat(questions("number,knot\n40216,bead\n40220,hitch\n40212,bowline\n"))
                .extracting(MadeQuestion::prompt)
                .containsExactly("knot");
        assertThat(questions("number,answers\n40216,ABCDA\n40220,AB\n40212,ABC\n"))
                .extracting(MadeQuestion::prompt)
                .containsExactly("answers");
    }
}
