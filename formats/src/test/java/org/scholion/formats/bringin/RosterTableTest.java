package org.scholion.formats.bringin;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.scholion.formats.bringin.RosterColumns.Use;
import org.scholion.formats.table.Grid;
import org.scholion.formats.table.Heading;
import org.scholion.formats.table.Table;

class RosterTableTest {
    private static RosterTable read(String csv) {
        return RosterTable.read(Table.read(csv));
    }

    @Test
    void a_roster_is_read_in_any_order_and_its_faults_are_all_named() {
        RosterTable good = read("class\tsurname\tnumber\tfirst name\nB\tSande\t40212\tKofi\n");
        assertThat(good.faults()).isEmpty();
        assertThat(good.students().get(0).student()).isEqualTo(new Known("", "Kofi", "Sande", "40212", "", "B"));
        assertThat(read("what,ever\nx,1\n").faults())
                .extracting(BringIn.CellFault::message)
                .hasSize(3)
                .allSatisfy(m -> assertThat(m).startsWith("no column for the"));
        assertThat(read("number,first name,surname,section\n1,A,B,C\n1,,D,C\n").faults())
                .extracting(f -> f.line() + " " + f.message())
                .containsExactlyInAnyOrder("3 the first name is empty", "3 number 1 stands in line 2 already");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Haddix, Noor|Noor|Haddix",
                "Noor Haddix|Noor|Haddix",
                "Ada Maria van der Meer|Ada Maria|van der Meer",
                "van der Meer, Ada Maria|Ada Maria|van der Meer"
            })
    void a_name_in_one_cell_is_taken_apart(String cell, String given, String family) {
        Known one = read("number;name;section\n1;\"" + cell + "\";A\n")
                .students()
                .get(0)
                .student();
        assertThat(one.given() + "|" + one.family()).isEqualTo(given + "|" + family);
    }

    @Test
    void columns_without_a_known_name_are_told_by_what_stands_in_them_and_can_be_chosen() {
        Table table = Table.read(
                "Pupil,XY,Contact,Nr.\n\"Haddix, Noor\",A,noor@x.example,40216\n\"Sande, Kofi\",B,k@x.example,40212\n");
        RosterTable read = RosterTable.read(table, Map.of(1, Use.SECTION), "", Set.of());
        assertThat(read.columns())
                .extracting(RosterColumns.RosterColumn::use)
                .containsExactly(Use.NAME_TURNED, Use.SECTION, Use.EMAIL, Use.NUMBER);
        assertThat(read.students().get(0).student())
                .isEqualTo(new Known("", "Noor", "Haddix", "40216", "noor@x.example", "A"));
        assertThat(RosterTable.sections(table, read.columns())).containsExactly("A", "B");
        assertThat(RosterTable.read(table, Map.of(1, Use.SECTION), "", Set.of("B"))
                        .students())
                .hasSize(1);
    }

    @ParameterizedTest
    @CsvSource({"7301.0,7301", "'7301,00',7301", "'40 216',40216", "’7301,7301", "00730,00730", "AB-17,AB-17"})
    void numbers_are_repaired_where_nothing_is_lost(String cell, String number) {
        assertThat(read("number;name;section\n\"" + cell + "\";Noor Haddix;A\n")
                        .students()
                        .get(0)
                        .student()
                        .number())
                .isEqualTo(number);
    }

    @Test
    void a_number_of_which_a_spreadsheet_has_lost_digits_is_asked_for() {
        assertThat(read("number,name,section\n8.1E+05,Noor Haddix,A\n").faults())
                .singleElement()
                .satisfies(f -> assertThat(f.message()).contains("has lost digits of the number 8.1E+05"));
    }

    @Test
    void a_section_for_the_whole_file_stands_in_for_a_column() {
        RosterTable read =
                RosterTable.read(Table.read("number,name\n1,Noor Haddix\n"), Map.of(), "Section A", Set.of());
        assertThat(read.students().get(0).student().section()).isEqualTo("Section A");
    }

    @Test
    void a_package_of_one_roster_gives_its_students_with_their_classes() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            put(
                    zip,
                    "users.csv",
                    "sourcedId,status,enabledUser,givenName,familyName,role,identifier,email\n"
                            + "u1,active,true,Noor,Haddix,student,40216,n@x.example\n"
                            + "u2,active,true,Aud,Meller,teacher,,a@x.example\n"
                            + "u3,tobedeleted,true,Gone,Away,student,1,\n");
            put(zip, "classes.csv", "sourcedId,title\nc1,Section A\n");
            put(
                    zip,
                    "enrollments.csv",
                    "sourcedId,classSourcedId,userSourcedId,role\ne1,c1,u1,student\ne2,c1,u2,teacher\n");
        }
        Grid grid = Objects.requireNonNull(OneRoster.read(out.toByteArray()));
        RosterTable read = RosterTable.read(Heading.find(grid, c -> false).table(grid));
        assertThat(read.students())
                .extracting(RosterTable.Line::student)
                .isEqualTo(List.of(new Known("", "Noor", "Haddix", "40216", "n@x.example", "Section A")));
        assertThat(OneRoster.read("users.csv".getBytes(StandardCharsets.UTF_8))).isNull();
    }

    /** What stands beside is broken, so that unpacking it would fail. */
    @Test
    void what_a_package_holds_beside_its_roster_is_not_unpacked() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            put(zip, "beside.csv", "a,b\n".repeat(1_000));
            put(zip, "users.csv", "sourcedId,givenName,familyName,role\nu1,Noor,Haddix,student\n");
        }
        byte[] bytes = out.toByteArray();
        int data = new String(bytes, StandardCharsets.ISO_8859_1).indexOf("beside.csv") + "beside.csv".length();
        java.util.Arrays.fill(bytes, data, data + 8, (byte) 0xFF);
        assertThat(OneRoster.read(bytes)).isNotNull();
    }

    private static void put(ZipOutputStream zip, String name, String text) throws IOException {
        zip.putNextEntry(new ZipEntry(name));
        zip.write(text.getBytes(StandardCharsets.UTF_8));
    }
}
