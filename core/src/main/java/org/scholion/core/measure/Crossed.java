package org.scholion.core.measure;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.Named;
import org.scholion.core.item.OrderItem;
import org.scholion.core.item.PairsItem;

/**
 * What was taken for what, counted: of a matching each row with each label, of an order each step with the place where
 * it was put.
 *
 * @param counts for each row, how often each column
 * @param keyed which of them are in the key
 */
public record Crossed(List<String> rows, List<String> columns, List<List<Integer>> counts, List<List<Boolean>> keyed) {

    public static Crossed of(PairsItem item, Collection<Answer> answers) {
        List<String> left = item.left().stream().map(Named::id).toList();
        List<String> right = item.right().stream().map(Named::id).toList();
        int[][] counts = new int[left.size()][right.size()];
        for (Answer answer : answers) {
            if (answer instanceof Answer.Paired paired) {
                for (PairsItem.Pair pair : paired.pairs()) {
                    counts[left.indexOf(pair.left())][right.indexOf(pair.right())]++;
                }
            }
        }
        boolean[][] keyed = new boolean[left.size()][right.size()];
        item.key().forEach(p -> keyed[left.indexOf(p.left())][right.indexOf(p.right())] = true);
        return made(texts(item.left()), texts(item.right()), counts, keyed);
    }

    public static Crossed of(OrderItem item, Collection<Answer> answers) {
        List<String> steps = item.tokens().stream().map(Named::id).toList();
        int[][] counts = new int[steps.size()][steps.size()];
        for (Answer answer : answers) {
            if (answer instanceof Answer.Ordered ordered) {
                for (int at = 0; at < ordered.ids().size(); at++) {
                    counts[steps.indexOf(ordered.ids().get(at))][at]++;
                }
            }
        }
        boolean[][] keyed = new boolean[steps.size()][steps.size()];
        for (int at = 0; at < item.key().size(); at++) {
            keyed[steps.indexOf(item.key().get(at))][at] = true;
        }
        List<String> places = new ArrayList<>();
        for (int at = 1; at <= steps.size(); at++) {
            places.add(Integer.toString(at));
        }
        return made(texts(item.tokens()), places, counts, keyed);
    }

    private static List<String> texts(List<Named> named) {
        return named.stream().map(n -> n.text().isBlank() ? n.id() : n.text()).toList();
    }

    private static Crossed made(List<String> rows, List<String> columns, int[][] counts, boolean[][] keyed) {
        List<List<Integer>> counted = new ArrayList<>();
        List<List<Boolean>> right = new ArrayList<>();
        for (int r = 0; r < counts.length; r++) {
            List<Integer> line = new ArrayList<>();
            List<Boolean> marks = new ArrayList<>();
            for (int c = 0; c < counts[r].length; c++) {
                line.add(counts[r][c]);
                marks.add(keyed[r][c]);
            }
            counted.add(line);
            right.add(marks);
        }
        return new Crossed(rows, columns, counted, right);
    }
}
