package org.scholion.formats.questions;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import org.scholion.formats.questions.QuestionTable.Column;

/** By which letter a key means the option of a column: the one that its heading names, wherever the column stands. */
final class OptionLetters {
    static final int MOST = 26;

    private OptionLetters() {}

    /** Single letters that name options: A and those that follow it without a gap. */
    static TreeSet<String> run(List<String> headers) {
        TreeSet<String> run = new TreeSet<>();
        List<String> single = headers.stream()
                .map(Role::plain)
                .filter(h -> h.matches("[a-z]"))
                .toList();
        for (char c = 'a'; c <= 'z' && single.contains(String.valueOf(c)); c++) {
            run.add(String.valueOf(c));
        }
        // One letter alone says nothing.
        return run.size() < 2 ? new TreeSet<>() : run;
    }

    /** The letters of a table's columns of options, by the columns' places. */
    static Map<Integer, String> of(List<Column> columns) {
        List<Column> options =
                columns.stream().filter(c -> c.role() == Role.OPTION).toList();
        boolean fromNought = options.stream().anyMatch(c -> Role.mark(c.name()).equals("0"));
        Map<Integer, String> letters = new HashMap<>();
        List<Column> unnamed = new ArrayList<>();
        for (Column column : options) {
            String mark = Role.mark(column.name());
            String letter = mark.matches("\\d+") ? letter(Integer.parseInt(mark) - (fromNought ? 0 : 1)) : mark;
            if (letter.isEmpty() || letters.containsValue(letter)) {
                unnamed.add(column);
            } else {
                letters.put(column.index(), letter);
            }
        }
        int next = 0;
        for (Column column : unnamed) {
            while (letters.containsValue(letter(next)) && next < MOST) {
                next++;
            }
            if (next < MOST) {
                letters.put(column.index(), letter(next));
            }
        }
        return letters;
    }

    /** The letter of a place from 0; empty beyond the alphabet. */
    static String letter(int place) {
        return place >= 0 && place < MOST ? String.valueOf((char) ('a' + place)) : "";
    }
}
