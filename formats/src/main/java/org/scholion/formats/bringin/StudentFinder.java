package org.scholion.formats.bringin;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.scholion.core.text.Slips;

/**
 * Finds the student of the roster whom a row names: by number, by address, by name in either order. Whoever is found by
 * one and is somebody else by another is a contradiction, and is not taken for either.
 */
final class StudentFinder {
    private static final int NEAR = 2;
    private static final int MOST_SEEN = 100_000;

    /** A longer cell names nobody: an address has at most so many characters. */
    private static final int LONGEST = 254;

    private static final int SHOWN = 3;

    private final List<Known> roster;
    private final Map<String, List<Known>> byNumber = new HashMap<>();
    private final Map<String, List<Known>> byEmail = new HashMap<>();
    private final Map<String, List<Known>> byName = new HashMap<>();
    private final Map<String, List<Known>> byPlainName = new HashMap<>();

    /** The letters of a name, from which the nearest are told, worked out once. */
    private final Map<String, String> plainNames = new HashMap<>();

    /** Cells say the same again and again: what a text was found to be is remembered. */
    private final Map<String, Optional<By>> seen = new HashMap<>();

    StudentFinder(List<Known> roster) {
        this.roster = roster;
        for (Known k : roster) {
            put(byNumber, StudentNumber.withoutZeros(Known.form(k.number())), k);
            put(byEmail, Known.form(k.email()), k);
            for (String name : List.of(
                    k.given() + " " + k.family(), k.family() + ", " + k.given(), k.family() + " " + k.given())) {
                put(byName, NameForm.exact(name), k);
                put(byPlainName, NameForm.plain(name), k);
            }
            plainNames.put(k.id(), NameForm.plain(k.name()));
        }
    }

    private static void put(Map<String, List<Known>> map, String form, Known k) {
        List<Known> there = map.computeIfAbsent(form, f -> new ArrayList<>());
        if (!form.isEmpty() && !there.contains(k)) {
            there.add(k);
        }
    }

    /** By what a student was found. */
    enum By {
        NUMBER,
        EMAIL,
        NAME
    }

    /**
     * What was found.
     *
     * @param student null when nobody fits or it is not certain
     * @param near whom it could be, the nearest first
     * @param why why nobody is taken; empty when somebody is
     */
    record Found(@Nullable Known student, @Nullable By by, List<Known> near, String why) {}

    /** Whether a cell names somebody of the roster, in any way. */
    boolean isSomebody(String cell) {
        return by(cell) != null;
    }

    /** In which way a cell names somebody; null for none. */
    @Nullable
    By by(String cell) {
        if (cell.isBlank() || cell.length() > LONGEST) {
            return null;
        }
        if (seen.size() > MOST_SEEN) {
            seen.clear();
        }
        return seen.computeIfAbsent(cell, c -> Optional.ofNullable(found(c))).orElse(null);
    }

    private @Nullable By found(String cell) {
        if (byNumber.containsKey(number(cell))) {
            return By.NUMBER;
        }
        if (byEmail.containsKey(Known.form(cell))) {
            return By.EMAIL;
        }
        return byPlainName.containsKey(NameForm.plain(cell)) ? By.NAME : null;
    }

    private static String number(String cell) {
        return StudentNumber.withoutZeros(Known.form(StudentNumber.repaired(cell)));
    }

    /** @param number, email, name what the row says, each empty when it does not */
    Found find(String number, String email, String name) {
        List<Known> numbered = number.isBlank() ? List.of() : byNumber.getOrDefault(number(number), List.of());
        List<Known> addressed = email.isBlank() ? List.of() : byEmail.getOrDefault(Known.form(email), List.of());
        List<Known> named = named(name);
        Set<Known> certain = new LinkedHashSet<>(numbered);
        certain.addAll(addressed);
        if (certain.size() == 1) {
            Known one = certain.iterator().next();
            boolean contradicts = !name.isBlank() && !named.isEmpty() && !named.contains(one);
            return contradicts
                    ? new Found(
                            null,
                            null,
                            both(one, named),
                            (numbered.isEmpty() ? "the e-mail is " : "the number is ") + one.name() + "’s, the name is "
                                    + named.get(0).name() + "’s")
                    : new Found(one, numbered.isEmpty() ? By.EMAIL : By.NUMBER, List.of(), "");
        }
        if (certain.size() > 1) {
            return new Found(null, null, List.copyOf(certain), "number and e-mail are those of two students");
        }
        return byName(number, email, name, named);
    }

    private Found byName(String number, String email, String name, List<Known> named) {
        boolean stranger = !number.isBlank() || !email.isBlank();
        if (named.size() == 1 && !stranger) {
            return new Found(named.get(0), By.NAME, List.of(), "");
        }
        if (named.size() > 1) {
            return new Found(null, null, named, named.size() + " students are called “" + name.strip() + "”");
        }
        String said = !number.isBlank() ? number : !email.isBlank() ? email : name;
        String why = said.isBlank() ? "the row names nobody" : "“" + said.strip() + "” is nobody of these sections";
        return new Found(null, null, named.isEmpty() ? nearest(name) : named, why);
    }

    private List<Known> named(String name) {
        if (name.isBlank()) {
            return List.of();
        }
        List<Known> exact = byName.get(NameForm.exact(name));
        return exact != null ? exact : byPlainName.getOrDefault(NameForm.plain(name), List.of());
    }

    private static List<Known> both(Known one, List<Known> named) {
        List<Known> both = new ArrayList<>(List.of(one));
        named.stream().filter(k -> !both.contains(k)).forEach(both::add);
        return both;
    }

    private List<Known> nearest(String name) {
        String plain = NameForm.plain(name.contains(",") ? turned(name) : name);
        if (plain.length() < 3) {
            return List.of();
        }
        record Near(Known student, int away) {}
        return roster.stream()
                .map(k -> new Near(k, Slips.between(plain, plainNames.getOrDefault(k.id(), ""), NEAR)))
                .filter(n -> n.away() <= NEAR)
                .sorted(Comparator.comparingInt(Near::away))
                .limit(SHOWN)
                .map(Near::student)
                .toList();
    }

    private static String turned(String name) {
        int comma = name.indexOf(',');
        return name.substring(comma + 1) + " " + name.substring(0, comma);
    }
}
