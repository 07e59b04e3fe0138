package org.scholion.formats.table;

import java.util.ArrayList;
import java.util.List;

/** What whoever looks at a sheet does not see in its cells: rows and columns that it hides, and cells that are merged. */
final class SheetNotes {
    private final List<String> hiddenRows = new ArrayList<>();
    private final List<String> hiddenColumns = new ArrayList<>();
    private final List<String> merged = new ArrayList<>();

    void hidesRow(int line) {
        hiddenRows.add(String.valueOf(line));
    }

    /** @param column from 0 */
    void hidesColumn(int column) {
        hiddenColumns.add(letters(column));
    }

    /** @param cells such as {@code A1:C1} */
    void merges(String cells) {
        merged.add(cells);
    }

    List<String> words() {
        List<String> words = new ArrayList<>();
        if (!hiddenRows.isEmpty()) {
            words.add("the sheet hides " + first(hiddenRows, "row") + "; hidden rows are read as well");
        }
        if (!hiddenColumns.isEmpty()) {
            words.add("the sheet hides " + first(hiddenColumns, "column") + "; hidden columns are read as well");
        }
        if (!merged.isEmpty()) {
            words.add(
                    (merged.size() == 1 ? "cells are merged in " : merged.size() + " times cells are merged, first in ")
                            + merged.get(0) + "; what they say is read in the first of them");
        }
        return words;
    }

    private static String first(List<String> some, String what) {
        return some.size() == 1
                ? what + " " + some.get(0)
                : some.size() + " " + what + "s, the first is " + what + " " + some.get(0);
    }

    /** A column as sheets call it: A to Z, AA and so on. */
    static String letters(int column) {
        StringBuilder letters = new StringBuilder();
        for (int n = column; n >= 0; n = n / 26 - 1) {
            letters.insert(0, (char) ('A' + n % 26));
        }
        return letters.toString();
    }
}
