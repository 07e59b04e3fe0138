package org.scholion.formats.standards;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.scholion.core.standard.Framework;
import org.scholion.formats.json.Faults;
import org.scholion.formats.table.Grid;

/** Frameworks from tables and from CASE packages. */
class FrameworkFilesTest {
    private static FrameworkFound read(String csv) {
        return FrameworkTable.read(Grid.read(csv.getBytes(StandardCharsets.UTF_8), Grid.Reading.NOTHING), Map.of());
    }

    private static Framework table(String csv) {
        return read(csv).framework("f", "Coastal Skills", "3");
    }

    /** Codes with what they stand under: "T1<T". */
    private static List<String> tree(FrameworkFound found) {
        return found.standards().stream()
                .map(s -> s.standard().code()
                        + (s.standard().parent() == null
                                ? ""
                                : "<" + s.standard().parent()))
                .toList();
    }

    private static List<String> notes(FrameworkFound found) {
        return found.notes().stream().map(Object::toString).toList();
    }

    @Test
    void a_table_makes_a_tree_whatever_the_order_of_its_columns_and_rows() {
        Framework f = table("parent;Statement;code\nT;Causes;T1\n;Tides;T\n");
        assertThat(f.withAbove("T1")).containsExactly("T1", "T");
        assertThat(f.find("T1").orElseThrow().text()).isEqualTo("Causes");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                // Dots in the codes.
                "code,text\nT,Tides\nT1,Causes\nT1.1,Moon\nT1.2,Sun\nS,Stars\n",
                // A column of levels.
                "code,text,level\nT,Tides,1\nT1,Causes,2\nT1.1,Moon,3\nT1.2,Sun,3\nS,Stars,1\n",
                "code,level,text\nT,Level 1,Tides\nT1,Level 2,Causes\nT1.1,Level 3,Moon\nT1.2,Level 3,Sun\nS,Level 1,Stars\n",
                // Indentation in the cells.
                "code,text\nT,Tides\nT1,   Causes\nT1.1,      Moon\nT1.2,      Sun\nS,Stars\n",
                // An outline that was pasted, its codes before its words.
                "T Tides\n\tT1 Causes\n\t\tT1.1 Moon\n\t\tT1.2 Sun\nS Stars\n",
                // Columns of their own for what stands above, once or again and again.
                "Domain,Cluster,code,statement\nT Tides,T1 Causes,T1.1,Moon\n,,T1.2,Sun\nS Stars,,,\n",
                "Domain,Cluster,code,statement\nT Tides,T1 Causes,T1.1,Moon\nT Tides,T1 Causes,T1.2,Sun\nS Stars,,,\n",
                // A title above the heading, and columns that nobody needs.
                "Our standards,,\nNotation,Wording,Remark\nT,Tides,x\nT1,Causes,\nT1.1,Moon,\nT1.2,Sun,y\nS,Stars,\n",
            })
    void a_tree_is_found_however_the_table_says_what_stands_above(String csv) {
        FrameworkFound found = read(csv);
        assertThat(tree(found)).containsExactly("T", "T1<T", "T1.1<T1", "T1.2<T1", "S");
        assertThat(found.standards())
                .extracting(s -> s.standard().text())
                .containsExactly("Tides", "Causes", "Moon", "Sun", "Stars");
    }

    @Test
    void a_code_goes_on_from_another_only_where_a_new_part_of_it_begins() {
        assertThat(tree(read("code,text\nT1,Causes\nT10,Tables\nT1a,Moon\nT1-2,Sun\n")))
                .containsExactly("T1", "T10", "T1a<T1", "T1-2<T1");
    }

    @Test
    void standards_that_stand_above_each_other_come_to_the_top_and_it_is_said() {
        FrameworkFound found = read("code,text,parent\nA,x,C\nB,y,A\nC,z,B\nD,w,D\n");
        assertThat(tree(found)).containsExactly("A", "B<A", "C<B", "D");
        assertThat(notes(found))
                .containsExactly(
                        "line 2: A stands above itself by way of C; it is put at the top",
                        "line 5: D stands above itself by way of D; it is put at the top");
    }

    @Test
    void a_standard_under_two_keeps_the_first_and_it_is_said() {
        FrameworkFound found = read("code,text,parent\nA,x,\nB,y,\nC,z,A; B\nD,w,A\nD,w,B\n");
        assertThat(tree(found)).containsExactly("A", "B", "C<A", "D<A");
        assertThat(notes(found))
                .containsExactly(
                        "line 6: D is there twice with the same words; it comes in once",
                        "line 6: D stands under A and under B; only the first is kept",
                        "line 4: C stands under A and B; only the first is kept");
    }

    @Test
    void what_is_not_taken_as_it_stands_is_told_with_its_line_and_nothing_is_left_out() {
        FrameworkFound found = read("code,text,parent\nT,Tides,\nt ,Tables,\nT1,Causes,X\n,Moon,t\n");
        assertThat(tree(found)).containsExactly("T", "t-2", "T1", "N1<T");
        assertThat(notes(found))
                .containsExactly(
                        "line 3: the code t is there twice; this one comes in as t-2",
                        "line 5: 'Moon' has no code; it comes in as N1",
                        "line 4: no standard has the code 'X'; T1 stands at the top");
        assertThat(notes(read("Our standards\ncode,text\nT,Tides\n")))
                .containsExactly("line 1: this stands above the heading and is no standard: Our standards");
    }

    @Test
    void columns_say_why_they_are_taken_and_a_person_says_otherwise() {
        String csv = "x1,x2,x3\nT1,The causes of tides,old\nT2,Tide tables,new\n";
        assertThat(read(csv).columns().stream().map(c -> c.role() + " " + c.because()))
                .containsExactly(
                        "CODE its cells are codes",
                        "TEXT it holds the longest texts",
                        "LEFT_OUT its name is not recognised");
        FrameworkFound said = FrameworkTable.read(
                Grid.read(csv.getBytes(StandardCharsets.UTF_8), Grid.Reading.NOTHING),
                Map.of(2, FrameworkFound.Role.TEXT, 1, FrameworkFound.Role.LEFT_OUT));
        assertThat(said.standards().get(1).standard().text()).isEqualTo("old");
    }

    @Test
    void a_long_list_of_the_same_trouble_is_said_a_few_times_and_counted() {
        StringBuilder csv = new StringBuilder("code,text\n");
        for (int i = 0; i < 100; i++) {
            csv.append(",words ").append(i).append('\n');
        }
        assertThat(notes(read(csv.toString()))).hasSize(41).last().asString().contains("and 60 more of these");
    }

    private static final String CASE = """
            {"CFDocument": {"identifier": "d1", "title": "Coastal Skills", "version": "3"},
             "CFItems": [
               {"identifier": "i2", "humanCodingScheme": "T1", "fullStatement": "Causes"},
               {"identifier": "i1", "humanCodingScheme": "T", "fullStatement": "Tides"},
               {"identifier": "i3", "fullStatement": "Tables"},
               {"identifier": "i4", "humanCodingScheme": "W", "fullStatement": "Beside it"}],
             "CFAssociations": [
               {"associationType": "isChildOf", "originNodeURI": {"identifier": "i1"}, "destinationNodeURI": {"identifier": "d1"}, "sequenceNumber": 1},
               {"associationType": "isChildOf", "originNodeURI": {"identifier": "i2"}, "destinationNodeURI": {"identifier": "i1"}, "sequenceNumber": 1},
               {"associationType": "isChildOf", "originNodeURI": {"identifier": "i3"}, "destinationNodeURI": {"identifier": "i1"}, "sequenceNumber": 2},
               {"associationType": "isRelatedTo", "originNodeURI": {"identifier": "i4"}, "destinationNodeURI": {"identifier": "i1"}}]}
            """;

    @Test
    void a_case_package_becomes_a_tree_with_codes_of_its_own_where_it_has_none() {
        FrameworkFound found = CaseReader.read(CASE);
        Framework f = found.framework("f", found.title(), found.version());
        assertThat(f.title()).isEqualTo("Coastal Skills");
        assertThat(f.standards()).extracting(Framework.Standard::code).containsExactly("W", "T", "T1", "T.2");
        assertThat(f.withAbove("T.2")).containsExactly("T.2", "T");
        assertThat(notes(found)).containsExactly("1 tie of the kind 'isRelatedTo' cannot be kept");
    }

    @Test
    void in_a_case_package_a_second_parent_and_a_circle_are_said_and_nothing_is_left_out() {
        String tie = "{\"associationType\": \"isChildOf\", \"originNodeURI\": {\"identifier\": \"%s\"},"
                + " \"destinationNodeURI\": {\"identifier\": \"%s\"}}";
        String ties = String.join(
                ", ",
                tie.formatted("a", "b"),
                tie.formatted("b", "a"),
                tie.formatted("c", "a"),
                tie.formatted("c", "b"));
        FrameworkFound found = CaseReader.read("{\"CFDocument\": {\"title\": \"Knots\"}, \"CFItems\": ["
                + "{\"identifier\": \"a\", \"humanCodingScheme\": \"A\"}, {\"identifier\": \"b\", \"humanCodingScheme\": \"B\"},"
                + " {\"identifier\": \"c\", \"fullStatement\": \"Hitches\"}], \"CFAssociations\": [" + ties + "]}");
        assertThat(tree(found)).containsExactlyInAnyOrder("A", "B<A", "A.2<A");
        assertThat(notes(found))
                .containsExactly(
                        "'Hitches' stands under A and under B; only the first is kept",
                        "A stands above itself; it is put at the top");
    }

    @Test
    void equal_codes_and_a_tree_that_is_too_deep_are_refused_in_words() {
        assertThatThrownBy(() -> CaseReader.read(CASE.replace("\"W\"", "\"T1\"")))
                .isInstanceOf(Faults.class)
                .hasMessageContaining("two standards have the code 'T1'");
        StringBuilder items = new StringBuilder("{\"identifier\": \"n0\", \"humanCodingScheme\": \"C0\"}");
        StringBuilder above = new StringBuilder();
        StringBuilder rows = new StringBuilder("code,text,parent\nC0,x,\n");
        for (int i = 1; i < 3_000; i++) {
            items.append(", {\"identifier\": \"n%d\", \"humanCodingScheme\": \"C%d\"}".formatted(i, i));
            above.append(
                    "%s{\"associationType\": \"isChildOf\", \"originNodeURI\": {\"identifier\": \"n%d\"}, \"destinationNodeURI\": {\"identifier\": \"n%d\"}}"
                            .formatted(i == 1 ? "" : ", ", i, i - 1));
            rows.append("C%d,x,C%d\n".formatted(i, i - 1));
        }
        String deep = "{\"CFDocument\": {\"identifier\": \"d\"}, \"CFItems\": [" + items + "], \"CFAssociations\": ["
                + above + "]}";
        assertThatThrownBy(() -> CaseReader.read(deep)).hasMessageContaining("more than 20 levels deep");
        assertThatThrownBy(() -> table(rows.toString())).hasMessageContaining("more than 20 levels deep");
    }

    @Test
    void what_is_no_case_package_is_refused() {
        assertThatThrownBy(() -> CaseReader.read("{}")).hasMessageContaining("this is no CASE package");
        assertThatThrownBy(() -> CaseReader.read("{\"CFDocument\": {}, \"CFItems\": [{}]}"))
                .hasMessageContaining("CFItems[0].identifier");
        assertThatThrownBy(() -> CaseReader.read("not json")).isInstanceOf(Faults.class);
    }
}
