package org.scholion.formats.questions;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import org.scholion.core.number.Fraction;
import org.scholion.formats.table.Table;

/** Recognises the columns of a table of questions: by their names, and where these say nothing by what is in them. */
final class QuestionColumns {
    private static final int LOOKED_AT = 50;

    private static final Pattern LETTERS =
            Pattern.compile("\\(?[a-l]\\)?([,;/\\s]*\\(?[a-l]\\)?)*", Pattern.CASE_INSENSITIVE);

    /** Several in one cell, with the right one marked or each with its letter. */
    private static final Pattern MARKED = Pattern.compile("(^|[\\n|;])\\s*\\*\\s*\\S|^\\(?[Aa][).]\\s");

    private final Table table;
    private final Set<String> codes;
    private final List<QuestionTable.Column> columns = new ArrayList<>();
    private final Set<Role> found = EnumSet.noneOf(Role.class);
    private final Set<String> single;

    private QuestionColumns(Table table, Set<String> codes) {
        this.table = table;
        this.codes = codes;
        this.single = OptionLetters.run(table.names());
    }

    /** @param chosen what a person said that a column is, by its place; it goes before everything else */
    static List<QuestionTable.Column> of(Table table, Set<String> codes, Map<Integer, Role> chosen) {
        QuestionColumns of = new QuestionColumns(table, codes);
        chosen.values().forEach(of.found::add);
        for (int i = 0; i < table.names().size(); i++) {
            of.named(i, chosen.get(i));
        }
        for (int i = 0; i < table.names().size(); i++) {
            if (of.columns.get(i).role() == Role.LEFT_OUT && !chosen.containsKey(i)) {
                of.byContent(i);
            }
        }
        return of.columns;
    }

    private void named(int i, @org.jspecify.annotations.Nullable Role chosen) {
        String name = table.names().get(i);
        if (chosen != null) {
            add(i, chosen, "you chose this");
            return;
        }
        Optional<Role> role = single.contains(Role.plain(name)) ? Optional.of(Role.OPTION) : Role.named(name);
        boolean free = role.isPresent() && (found.add(role.get()) || role.get().isOften());
        if (role.isPresent() && free) {
            add(i, role.get(), "by its name");
        } else {
            add(
                    i,
                    Role.LEFT_OUT,
                    role.isPresent() ? "another column already holds this" : "its name is not recognised");
        }
    }

    private void byContent(int i) {
        List<String> cells = table.rows().stream()
                .limit(LOOKED_AT)
                .map(r -> r.cell(i).strip())
                .filter(c -> !c.isEmpty())
                .toList();
        if (cells.isEmpty()) {
            columns.set(i, column(i, Role.LEFT_OUT, "it is empty"));
        } else if (!found.contains(Role.STANDARD) && share(cells, codes::contains) > 0.7) {
            take(i, Role.STANDARD, "its cells are codes of your standards");
        } else if (!found.contains(Role.KEY)
                && share(cells, c -> LETTERS.matcher(c).matches()) > 0.8) {
            take(i, Role.KEY, "its cells are letters");
        } else if (!found.contains(Role.OPTIONS)
                && !found.contains(Role.OPTION)
                && share(cells, c -> MARKED.matcher(c).find()) > 0.6) {
            take(i, Role.OPTIONS, "its cells hold several options");
        } else if (!found.contains(Role.PROMPT) && isLongest(i, cells)) {
            take(i, Role.PROMPT, "it holds the longest texts");
        } else if (!found.contains(Role.POINTS) && share(cells, QuestionColumns::isSmallNumber) > 0.9) {
            take(i, Role.POINTS, "its cells are small numbers");
        }
    }

    private boolean isLongest(int i, List<String> cells) {
        double own = length(cells);
        for (int other = 0; other < table.names().size(); other++) {
            int column = other;
            double length = length(table.rows().stream()
                    .limit(LOOKED_AT)
                    .map(r -> r.cell(column).strip())
                    .toList());
            if (other != i && length > own) {
                return false;
            }
        }
        return own > 12;
    }

    private static double length(List<String> cells) {
        return cells.stream().mapToInt(String::length).average().orElse(0);
    }

    private static boolean isSmallNumber(String cell) {
        return Fraction.parse(cell)
                .filter(f -> f.signum() >= 0 && f.compareTo(Fraction.of(20)) <= 0)
                .isPresent();
    }

    private static double share(List<String> cells, java.util.function.Predicate<String> fits) {
        return (double) cells.stream().filter(fits).count() / cells.size();
    }

    private void take(int i, Role role, String because) {
        found.add(role);
        columns.set(i, column(i, role, because));
    }

    private void add(int i, Role role, String because) {
        columns.add(column(i, role, because));
    }

    private QuestionTable.Column column(int i, Role role, String because) {
        return new QuestionTable.Column(i, table.names().get(i), role, because);
    }
}
