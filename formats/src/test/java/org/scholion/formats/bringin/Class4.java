package org.scholion.formats.bringin;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.Head;
import org.scholion.core.item.Item;
import org.scholion.core.item.OpenItem;
import org.scholion.core.number.Fraction;

/** A small class and its papers, for the tests of this package. */
final class Class4 {
    static final List<Known> ROSTER = List.of(
            new Known("1", "Noor", "Haddix", "40216", "noor@school.example", "A"),
            new Known("2", "Dov", "Kessler", "40220", "dov@school.example", "A"),
            new Known("3", "Kofi", "Sande", "40212", "kofi@school.example", "B"),
            new Known("4", "Ada", "Twin", "50001", "", "B"),
            new Known("5", "Ada", "Twin", "50002", "", "A"),
            new Known("6", "Alicia", "Key", "50003", "", "A"));

    static final List<Item> ITEMS = List.of(
            choice("q1", "Who keeps clear of the other?", 1, "The one to port", "Red, right, returning", "Red"),
            choice("q2", "Which slow it? (all)", 2, "Wide", "Wide, deep", "Rough"),
            new OpenItem(new Head("q3", null, Fraction.ONE, "Why?", List.of()), null, null, null, null));

    private Class4() {}

    static Item choice(String id, String prompt, int max, String... texts) {
        List<ChoiceItem.Option> options = IntStream.range(0, texts.length)
                .mapToObj(i -> new ChoiceItem.Option("" + (char) ('a' + i), texts[i]))
                .toList();
        return new ChoiceItem(
                new Head(id, null, Fraction.ONE, prompt, List.of()),
                options,
                List.of("a"),
                max,
                ChoiceItem.Rule.NET,
                Map.of(),
                Fraction.ZERO,
                false,
                false);
    }

    /** A sheet of so many rows with options A to D. */
    static List<Item> letters(int rows) {
        List<Item> items = new ArrayList<>();
        for (int n = 1; n <= rows; n++) {
            items.add(choice("q" + n, "", 1, "A", "B", "C", "D"));
        }
        return items;
    }
}
