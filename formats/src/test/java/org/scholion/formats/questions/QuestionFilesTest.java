package org.scholion.formats.questions;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.scholion.formats.json.Fault;
import org.scholion.formats.table.Grid;
import tools.jackson.databind.JsonNode;

/** Tables of questions as teachers have them, from programs that know nothing of each other. */
class QuestionFilesTest {
    private static QuestionTable read(String csv) {
        return read(csv, QuestionTable.Said.NOTHING);
    }

    private static QuestionTable read(String csv, QuestionTable.Said said) {
        return QuestionTable.of(Grid.read(csv.getBytes(StandardCharsets.UTF_8), Grid.Reading.NOTHING), Set.of(), said);
    }

    private static JsonNode item(String csv) {
        List<FoundItem> items = read(csv).items();
        assertThat(items).flatExtracting(FoundItem::faults).isEmpty();
        return items.get(0).item();
    }

    /** The text of the option that is right. */
    private static List<String> right(JsonNode item) {
        return item.path("key")
                .valueStream()
                .map(k -> item.path("options")
                        .valueStream()
                        .filter(o -> o.path("id").equals(k))
                        .findFirst()
                        .orElseThrow()
                        .path("text")
                        .stringValue())
                .toList();
    }

    private static List<String> options(JsonNode item) {
        return item.path("options")
                .valueStream()
                .map(o -> o.path("text").stringValue())
                .toList();
    }

    @Test
    void the_letter_of_a_key_follows_its_heading_and_not_its_place() {
        JsonNode item = item("question,D,C,B,A,key\nWhich light is to port?,white,yellow,green,red,A\n");
        assertThat(right(item)).containsExactly("red");
        assertThat(options(item)).containsExactly("red", "green", "yellow", "white");
    }

    @ParameterizedTest
    @CsvSource({
        "'option 3,option 1,option 2',2,two",
        "'Option B,Option C,Option A',B,three",
        "'choice0,choice2,choice1',3,two",
        "'option,option,option',B,two",
    })
    void options_go_by_the_numbers_and_letters_of_their_headings(String headings, String key, String right) {
        String cells = switch (headings) {
            case "option 3,option 1,option 2" -> "three,one,two";
            case "Option B,Option C,Option A" -> "three,one,two";
            case "choice0,choice2,choice1" -> "one,two,three";
            default -> "one,two,three";
        };
        assertThat(right(item("question,%s,key%nWhich?,%s,%s%n".formatted(headings, cells, key))))
                .containsExactly(right);
    }

    @Test
    void more_than_eight_options_are_options() {
        JsonNode item = item("question,A,B,C,D,E,F,G,H,I,J,key\nWhich?,1a,2a,3a,4a,5a,6a,7a,8a,9a,10a,J\n");
        assertThat(options(item)).hasSize(10);
        assertThat(right(item)).containsExactly("10a");
    }

    @Test
    void a_letter_that_stands_alone_in_a_heading_is_no_option() {
        QuestionTable read = read("Q,T,answer\nWhich knot makes a fixed loop?,easy,bowline\n");
        assertThat(read.columns())
                .extracting(QuestionTable.Column::role)
                .containsExactly(Role.PROMPT, Role.LEFT_OUT, Role.KEY);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "*red|green|white",
                "red*|green|white",
                "green;*red;white",
                "A) green B) *red C) white",
                "(*) red|green|white",
            })
    void options_in_one_cell_are_taken_apart_and_a_star_marks_the_right_one(String cell) {
        JsonNode item = item("question,options\nWhich light is to port?,%s\n".formatted(cell));
        assertThat(options(item)).containsExactlyInAnyOrder("red", "green", "white");
        assertThat(right(item)).containsExactly("red");
    }

    @Test
    void options_in_one_cell_may_stand_on_lines_and_the_key_names_them_by_letter_or_text() {
        String head = "question,choices,correct answer\n";
        assertThat(right(item(head + "Which?,\"a. red\nb. green\nc. white\",b\n")))
                .containsExactly("green");
        assertThat(right(item(head + "Which?,\"red, green, white\",white\n"))).containsExactly("white");
        assertThat(right(item(head + "Which?,\"c) white; a) red; b) green\",A\n")))
                .containsExactly("red");
    }

    @Test
    void a_star_in_a_column_of_its_own_option_marks_it_and_a_key_that_says_otherwise_is_a_fault() {
        assertThat(right(item("question,A,B,C\nWhich?,red,*green,white\n"))).containsExactly("green");
        assertThat(read("question,A,B,C,key\nWhich?,red,*green,white,A\n")
                        .items()
                        .get(0)
                        .faults())
                .extracting(Fault::message)
                .containsExactly("the key says A, the mark stands at B");
    }

    @Test
    void the_right_answer_beside_wrong_ones_does_not_stand_first_every_time() {
        List<FoundItem> items = read("question,right answer,wrong answer 1,wrong answer 2,wrong answer 3\n"
                        + "One?,r1,x,y,z\nTwo?,r2,x,y,z\nThree?,r3,x,y,z\nFour?,r4,x,y,\nFive?,r5,x,y,z\n")
                .items();
        assertThat(items).flatExtracting(FoundItem::faults).isEmpty();
        assertThat(items)
                .extracting(i -> right(i.item()))
                .containsExactly(List.of("r1"), List.of("r2"), List.of("r3"), List.of("r4"), List.of("r5"));
        assertThat(items)
                .extracting(i -> i.item().path("key").get(0).stringValue())
                .containsExactly("a", "b", "c", "a", "a");
        assertThat(items.get(3).item().path("options")).hasSize(3);
    }

    @ParameterizedTest
    @CsvSource({
        "A,red",
        "a,red",
        "(B),green",
        "b),green",
        "option C,white",
        "Answer: A,red",
        "2,green",
        "white,white",
    })
    void a_key_is_read_however_it_names_its_option(String key, String right) {
        assertThat(right(item("question,A,B,C,key\nWhich?,red,green,white,%s\n".formatted(key))))
                .containsExactly(right);
    }

    @ParameterizedTest
    @ValueSource(strings = {"\"A, C\"", "AC", "A;C", "a and c", "A/C", "A+C", "\"1,3\"", "red|white", "\"red, white\""})
    void several_right_options_are_read_however_they_are_joined(String key) {
        JsonNode item = item("question,A,B,C,key\nWhich?,red,green,white,%s\n".formatted(key));
        assertThat(right(item)).containsExactly("red", "white");
        assertThat(item.path("rule").stringValue()).isEqualTo("net");
    }

    @ParameterizedTest
    @CsvSource({
        "Multiple choice,choice",
        "MCQ,choice",
        "single answer (pick one),choice",
        "Check boxes,several",
        "several right answers,several",
        "True or False,truth",
        "T/F,truth",
        "yes/no,truth",
        "Fill in the blank,text",
        "short answer,text",
        "one word,text",
        "numerical,number",
        "Fill in the number,number",
        "Calculation,number",
        "Essay,open",
        "long answer,open",
        "equation,formula",
        "put in order,order",
        "matching,pairs",
        "reading passage,passage",
    })
    void kinds_may_be_called_as_people_call_them(String said, String kind) {
        assertThat(KindWords.of(said)).contains(kind);
    }

    @Test
    void a_kind_that_is_no_kind_is_named_with_those_that_are() {
        assertThat(read("question,kind,key\nWhich?,riddle,bowline\n")
                        .items()
                        .get(0)
                        .faults())
                .extracting(Fault::message)
                .anyMatch(m -> m.startsWith("'riddle' is no kind that a table can bring: choice,"));
    }

    @Test
    void true_and_yes_may_be_said_in_many_ways() {
        String head = "question,type,key\n";
        assertThat(right(item(head + "The ebb runs out.,true/false,T\n"))).containsExactly("true");
        assertThat(right(item(head + "The ebb runs in.,T/F,wrong\n"))).containsExactly("false");
        assertThat(right(item(head + "Does the ebb run out?,yes/no,Yes\n"))).containsExactly("yes");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '!',
            value = {
                "10.5 ± 0.1!10.5!0.1!",
                "10.5 +/- 2 %!10.5!2%!",
                "12.5 km!12.5!!km",
                "3 000!3000!!",
                "-4!-4!!",
                "1/2!1/2!!",
            })
    void a_number_comes_with_its_tolerance_and_its_unit(String key, String value, String within, String unit) {
        JsonNode item = item("question;answer\nHow far?;" + key + "\n");
        assertThat(item.path("kind").stringValue()).isEqualTo("number");
        JsonNode band = item.path("accept").get(0);
        assertThat(band.path("value").stringValue()).isEqualTo(value);
        assertThat(band.path("within").asString(null)).isEqualTo(within);
        assertThat(item.path("unit").path("expect").asString(null)).isEqualTo(unit);
    }

    @Test
    void a_range_is_a_range() {
        JsonNode band =
                item("question,answer\nHow far?,3 to 4.5\n").path("accept").get(0);
        assertThat(band.path("from").stringValue()).isEqualTo("3");
        assertThat(band.path("to").stringValue()).isEqualTo("4.5");
    }

    @Test
    void the_files_own_decimal_mark_says_what_a_comma_before_three_digits_is() {
        String grouped = "question;answer;points\nHow long is a mile?;1,852;1.5\n";
        assertThat(item(grouped).path("accept").get(0).path("value").stringValue())
                .isEqualTo("1852");
        String decimal = "question;answer;points\nHow long is a mile in km?;1,852;1,5\n";
        JsonNode item = item(decimal);
        assertThat(item.path("accept").get(0).path("value").stringValue()).isEqualTo("1.852");
        assertThat(item.path("points").stringValue()).isEqualTo("1.5");
    }

    @Test
    void where_nothing_in_the_file_says_so_a_person_does() {
        String csv = "question;answer\nHow long is a mile?;1,852\n";
        QuestionTable asked = read(csv);
        assertThat(asked.asksMark()).isTrue();
        assertThat(asked.items().get(0).faults())
                .extracting(Fault::message)
                .contains("'1,852' can be read as 1852 or as 1.852; say which sign is the decimal mark");
        QuestionTable said = read(csv, new QuestionTable.Said(Map.of(), DecimalMark.COMMA));
        assertThat(said.items().get(0).faults()).isEmpty();
        assertThat(said.asksMark()).isTrue();
        assertThat(said.items()
                        .get(0)
                        .item()
                        .path("accept")
                        .get(0)
                        .path("value")
                        .stringValue())
                .isEqualTo("1.852");
    }

    @Test
    void numbers_of_options_say_nothing_about_the_decimal_mark() {
        QuestionTable read = read("question;A;B;C;key;points\nWhich?;x;y;z;1,3;\nHow long?;;;;1.852;1.5\n");
        assertThat(read.mark()).isEqualTo(DecimalMark.POINT);
        assertThat(right(read.items().get(0).item())).containsExactly("x", "z");
    }

    @ParameterizedTest
    @CsvSource({"'1,5 points',1.5", "2 pts,2", "3 marks,3", "'0,5',0.5", "4,4"})
    void points_may_say_that_they_are_points(String points, String value) {
        assertThat(item("question;answer;points\nWhich?;bowline;" + points + "\n")
                        .path("points")
                        .stringValue())
                .isEqualTo(value);
    }

    @Test
    void html_and_latex_become_formatted_text_and_its_plain_words() {
        JsonNode item = item("question,answer\n"
                + "\"<div>What is <b>the</b> range at \\(h_1 - h_2\\) &amp; why?</div><script>x()</script>\",4\n");
        assertThat(item.path("prompt").stringValue()).isEqualTo("What is the range at h_1 - h_2 & why?");
        assertThat(item.path("body").stringValue())
                .contains("<strong>the</strong>", "data-formula=\"h_1 - h_2\"")
                .doesNotContain("script", "div");
    }

    @Test
    void two_prices_are_no_formula_and_entities_alone_are_their_signs() {
        assertThat(item("question,answer\nDoes it cost $5 or $10?,five\n").has("body"))
                .isFalse();
        JsonNode item = item("question,answer\nIs 3 &lt; 4 &amp; why?,yes indeed\n");
        assertThat(item.path("prompt").stringValue()).isEqualTo("Is 3 < 4 & why?");
        assertThat(item.has("body")).isFalse();
    }

    @Test
    void a_picture_that_a_table_cannot_bring_is_told() {
        assertThat(read("question,answer\n\"What is <img src=\"\"x.png\"\"> this?\",buoy\n")
                        .items()
                        .get(0)
                        .faults())
                .extracting(Fault::message)
                .containsExactly("there is a picture in it, which a table cannot bring: put it in by hand");
    }

    @Test
    void titles_above_the_heading_are_no_questions_and_are_told() {
        QuestionTable read = read("Seamanship test,,\nautumn term,,\nquestion,answer,points\nWhich knot?,bowline,1\n");
        assertThat(read.items()).singleElement().satisfies(i -> {
            assertThat(i.item().path("prompt").stringValue()).isEqualTo("Which knot?");
            assertThat(i.line()).isEqualTo(4);
            assertThat(i.faults()).isEmpty();
        });
        assertThat(read.notes())
                .containsExactly(
                        "Line 1 stands above the heading and is no question: Seamanship test",
                        "Line 2 stands above the heading and is no question: autumn term");
    }

    @Test
    void a_table_without_a_heading_begins_with_its_first_question() {
        QuestionTable read =
                read("Which light is to port at night?,red\nWhich light is to starboard at night?,green\n");
        assertThat(read.items()).hasSize(2);
    }

    @Test
    void every_further_column_of_accepted_answers_counts() {
        JsonNode item = item("question,answer,also accepted,synonyms\nWhich knot?,bowline,rescue knot,king of knots\n");
        assertThat(item.path("accept").valueStream().map(a -> a.path("text").stringValue()))
                .containsExactly("bowline", "rescue knot", "king of knots");
    }
}
