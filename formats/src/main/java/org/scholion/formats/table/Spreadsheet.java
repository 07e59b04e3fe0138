package org.scholion.formats.table;

/** The first sheet of an Office Open XML workbook as a table; any other file is read as separated text. */
public final class Spreadsheet {
    private Spreadsheet() {}

    /**
     * Reads a file by what it is.
     *
     * @throws Faults when it is no table
     */
    public static Table read(byte[] bytes) {
        Grid grid = Grid.read(bytes, Grid.Reading.NOTHING);
        return new Heading(0, 1).table(grid);
    }
}
