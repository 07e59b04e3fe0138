package org.scholion.formats.standards;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.scholion.core.standard.Framework;
import org.scholion.formats.standards.FrameworkFound.Found;
import org.scholion.formats.standards.FrameworkFound.Notes;

/**
 * Rows of standards made into a tree: by the code above that they name, by how deep they stand, or by their dotted codes.
 * Whatever is no tree in the file becomes one in a way that is told.
 */
final class StandardsTree {
    /**
     * A row.
     *
     * @param code empty where it has none
     * @param above the codes that it names as above it; null where the file names none anywhere
     * @param depth how deep it stands, by whatever the file counts in; -1 where it does not say
     */
    record Row(int line, String code, String text, @Nullable List<String> above, int depth) {}

    private record Node(Row row, String code) {}

    private final Notes notes;
    private final Map<String, Node> byCode = new LinkedHashMap<>();
    private final Map<String, String> parents = new HashMap<>();
    private final Map<String, String> folded = new HashMap<>();

    private StandardsTree(Notes notes) {
        this.notes = notes;
    }

    static List<Found> of(List<Row> rows, Notes notes) {
        StandardsTree tree = new StandardsTree(notes);
        List<Node> nodes = tree.coded(rows);
        boolean deep = rows.stream().map(Row::depth).distinct().count() > 1;
        Deque<Node> open = new ArrayDeque<>();
        for (Node node : nodes) {
            String parent = node.row().above() != null
                    ? tree.named(node)
                    : deep ? shallower(open, node) : tree.byDots(node.code());
            if (parent != null) {
                tree.parents.put(node.code(), parent);
            }
        }
        Circles.firsts(tree.byCode.keySet(), tree.parents).forEach(tree::uncircled);
        return nodes.stream()
                .map(n -> new Found(
                        n.row().line(),
                        new Framework.Standard(
                                n.code(), tree.parents.get(n.code()), n.row().text())))
                .toList();
    }

    /** Each with a code of its own: a row without one gets a number, a second one with the same code another. */
    private List<Node> coded(List<Row> rows) {
        List<Node> nodes = new ArrayList<>();
        Set<String> said = new HashSet<>();
        rows.forEach(r -> said.add(r.code()));
        int number = 0;
        for (Row row : rows) {
            String code = row.code();
            String known = folded.get(fold(code));
            Node other = known == null ? null : byCode.get(known);
            if (code.isEmpty()) {
                do {
                    number++;
                    code = "N" + number;
                } while (said.contains(code));
                notes.add(row.line(), "'" + shortened(row.text()) + "' has no code; it comes in as " + code);
            } else if (other != null && other.row().text().equals(row.text())) {
                notes.add(row.line(), code + " is there twice with the same words; it comes in once");
                if (row.above() != null && !row.above().equals(other.row().above())) {
                    notes.add(
                            row.line(),
                            code + " stands under " + words(other.row().above()) + " and under " + words(row.above())
                                    + "; only the first is kept");
                }
                continue;
            } else if (other != null) {
                String free = code;
                for (int n = 2; folded.containsKey(fold(free)) || said.contains(free); n++) {
                    free = code + "-" + n;
                }
                notes.add(row.line(), "the code " + code + " is there twice; this one comes in as " + free);
                code = free;
            }
            Node node = new Node(row, code);
            byCode.put(code, node);
            folded.putIfAbsent(fold(code), code);
            nodes.add(node);
        }
        return nodes;
    }

    private static String words(@Nullable List<String> above) {
        return above == null || above.isEmpty() ? "none" : String.join(" and ", above);
    }

    private static String shortened(String text) {
        return text.length() <= 40 ? text : text.substring(0, 39) + "…";
    }

    private static String fold(String code) {
        return code.toLowerCase(Locale.ROOT).replaceAll("[\\s.]+$|^\\s+", "");
    }

    private @Nullable String named(Node node) {
        List<String> above = node.row().above();
        if (above == null || above.isEmpty()) {
            return null;
        }
        if (above.size() > 1) {
            notes.add(node.row().line(), node.code() + " stands under " + words(above) + "; only the first is kept");
        }
        String parent = folded.get(fold(above.get(0)));
        if (parent == null) {
            notes.add(
                    node.row().line(),
                    "no standard has the code '" + above.get(0) + "'; " + node.code() + " stands at the top");
        }
        return parent;
    }

    private static @Nullable String shallower(Deque<Node> open, Node node) {
        while (!open.isEmpty() && open.peek().row().depth() >= node.row().depth()) {
            open.pop();
        }
        String parent = open.isEmpty() ? null : open.peek().code();
        open.push(node);
        return parent;
    }

    /** The longest other code that this one goes on from: T1.2 from T1, T1 from T. */
    private @Nullable String byDots(String code) {
        for (int end = code.length() - 1; end > 0; end--) {
            char last = code.charAt(end - 1);
            char next = code.charAt(end);
            boolean ends = ".-/: ".indexOf(next) >= 0
                    || Character.isDigit(next) && !Character.isDigit(last)
                    || Character.isLetter(next) && Character.isDigit(last);
            String above = code.substring(0, end);
            if (ends && byCode.containsKey(above)) {
                return above;
            }
        }
        return null;
    }

    /** Where some stand above each other in a circle, the first of them in the file is put at the top. */
    private void uncircled(String code) {
        notes.add(line(code), code + " stands above itself by way of " + parents.get(code) + "; it is put at the top");
        parents.remove(code);
    }

    private int line(String code) {
        Node node = byCode.get(code);
        return node == null ? 0 : node.row().line();
    }
}
