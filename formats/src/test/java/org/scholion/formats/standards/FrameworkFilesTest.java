package org.scholion.formats.standards;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.scholion.core.standard.Framework;
import org.scholion.formats.json.Faults;
import org.scholion.formats.table.Table;

/** Frameworks from tables and from CASE packages. */
class FrameworkFilesTest {
    private static Framework table(String csv) {
        return FrameworkTable.read(Table.read(csv), "f", "Coastal Skills", "3");
    }

    @Test
    void a_table_makes_a_tree_whatever_the_order_of_its_columns_and_rows() {
        Framework f = table("parent;Statement;code\nT;Causes;T1\n;Tides;T\n");
        assertThat(f.withAbove("T1")).containsExactly("T1", "T");
        assertThat(f.find("T1").orElseThrow().text()).isEqualTo("Causes");
    }

    @Test
    void what_is_wrong_with_a_table_is_told_with_its_line() {
        assertThatThrownBy(() -> table("code,words\nT,x\n"))
                .isInstanceOf(Faults.class)
                .hasMessageContaining("line 1: a column named 'code' and one named 'text' are needed");
        assertThatThrownBy(() -> table("code,text,parent\nT,Tides,\nT1,Causes,X\n"))
                .hasMessageContaining("line 3: no standard has the code 'X'");
        assertThatThrownBy(() -> table("code,text\nT,Tides\n,Causes\n"))
                .hasMessageContaining("line 3: there is no code");
        assertThatThrownBy(() -> table("code,text\nT,Tides\nT,Causes\n"))
                .hasMessageContaining("line 3: code 'T' is there twice");
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
        Framework f = CaseReader.read(CASE);
        assertThat(f.title()).isEqualTo("Coastal Skills");
        assertThat(f.standards()).extracting(Framework.Standard::code).containsExactly("W", "T", "T1", "T.2");
        assertThat(f.withAbove("T.2")).containsExactly("T.2", "T");
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
