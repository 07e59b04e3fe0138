package org.scholion.formats.assessment;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.Head;
import org.scholion.core.item.Item;
import org.scholion.core.item.OpenItem;
import org.scholion.core.item.PassageItem;
import org.scholion.core.item.Rubric;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Reason;
import org.scholion.formats.json.Cursor;
import org.scholion.formats.json.Json;

class AnswerJsonTest {
    private static final Item SEVERAL = new ChoiceItem(
            Head.of("q", Fraction.ONE),
            List.of(new ChoiceItem.Option("a", ""), new ChoiceItem.Option("b", ""), new ChoiceItem.Option("c", "")),
            List.of("a"),
            2,
            ChoiceItem.Rule.NET,
            Map.of(),
            Fraction.ZERO,
            false,
            false);
    private static final Item OPEN = new OpenItem(
            Head.of("q", Fraction.ONE),
            new Rubric(List.of(new Rubric.Criterion(
                    "c1",
                    "",
                    Fraction.ONE,
                    List.of(new Rubric.Level("0", Fraction.ZERO, ""), new Rubric.Level("1", Fraction.ONE, "")),
                    List.of()))),
            null,
            null,
            null);

    private static Answer read(Item item, String json, String... faults) {
        Cursor at = Cursor.at(Json.read(json));
        Answer answer = AnswerJson.read(item, at);
        assertThat(at.faults()).extracting(Object::toString).hasSize(faults.length);
        for (int i = 0; i < faults.length; i++) {
            assertThat(at.faults().get(i).toString()).contains(faults[i]);
        }
        return answer;
    }

    @Test
    void answers_go_out_as_they_came_in() {
        assertThat(AnswerJson.write(read(SEVERAL, "[\"b\",\"a\"]")).toString()).isEqualTo("[\"b\",\"a\"]");
        assertThat(AnswerJson.write(read(OPEN, "\"It falls.\"")).toString()).isEqualTo("\"It falls.\"");
        String reading = "{\"text\":\"It falls.\",\"levels\":{\"c1\":\"1\"}}";
        assertThat(AnswerJson.write(read(OPEN, reading)).toString()).isEqualTo(reading);
        String points = "{\"text\":\"\",\"points\":\"0.5\"}";
        assertThat(AnswerJson.write(read(OPEN, points)).toString()).isEqualTo(points);
    }

    @Test
    void what_is_no_answer_to_the_item_is_named() {
        read(SEVERAL, "[\"z\"]", "[0]: no option is called 'z'");
        read(SEVERAL, "[\"a\",\"a\"]", "chosen twice");
        read(SEVERAL, "[\"a\",\"b\",\"c\"]", "at most 2");
        read(SEVERAL, "\"a\"", "a list");
        read(OPEN, "{\"text\":\"x\",\"mood\":\"y\"}", "mood");
        read(new PassageItem(Head.of("p", Fraction.ZERO)), "\"x\"", "not answered");
    }

    @Test
    void a_missing_answer_is_none() {
        assertThat(AnswerJson.read(SEVERAL, null)).isSameAs(Answer.NONE);
        assertThat(AnswerJson.read(SEVERAL, Cursor.at(Json.read("null"))).isBlank())
                .isTrue();
    }

    @ParameterizedTest
    @EnumSource(Reason.Code.class)
    void reasons_keep_their_code_and_typed_facts(Reason.Code code) {
        Reason reason = Reason.of(code)
                .with("entry", "bow \"line\"")
                .with("ignored", List.of("capitals", "spaces"))
                .with("credit", Fraction.of(1, 3));
        assertThat(ReasonJson.read(Json.read(ReasonJson.write(reason).toString())))
                .isEqualTo(reason);
    }
}
