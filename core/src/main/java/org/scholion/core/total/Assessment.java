package org.scholion.core.total;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.scholion.core.item.Faulty;
import org.scholion.core.item.Item;
import org.scholion.core.item.PassageItem;

/**
 * A named, ordered set of items in parts, with the rules by which marks become results.
 *
 * @param language an ISO 639 code, {@code en} where nothing else is said
 */
public record Assessment(
        String title,
        String language,
        List<Part> parts,
        List<Item> items,
        List<Adjustment> adjustments,
        Grading grading) {

    public Assessment {
        parts = List.copyOf(parts);
        items = List.copyOf(items);
        adjustments = List.copyOf(adjustments);
        refuseTwice(items);
        checkParts(parts, items, adjustments);
        checkAdjustments(items, adjustments);
    }

    /** The items that can be answered and scored, in the order of the paper. */
    public List<Item> scorable() {
        return items.stream().filter(i -> !(i instanceof PassageItem)).toList();
    }

    public Optional<Item> item(String id) {
        return items.stream().filter(i -> i.id().equals(id)).findFirst();
    }

    public Optional<Adjustment.Kind> adjustment(String itemId) {
        return adjustments.stream()
                .filter(a -> a.item().equals(itemId))
                .map(Adjustment::kind)
                .findFirst();
    }

    private static void refuseTwice(List<Item> items) {
        Set<String> ids = new HashSet<>();
        for (int i = 0; i < items.size(); i++) {
            Faulty.unless(
                    ids.add(items.get(i).id()),
                    "items[" + i + "].id",
                    "item '" + items.get(i).id() + "' is there twice");
        }
    }

    private static void checkParts(List<Part> parts, List<Item> items, List<Adjustment> adjustments) {
        Set<String> ids = new HashSet<>();
        for (int i = 0; i < parts.size(); i++) {
            Part part = parts.get(i);
            Faulty.unless(ids.add(part.id()), "parts[" + i + "].id", "part '" + part.id() + "' is there twice");
            Faulty.unless(
                    (part.weight() == null) == (parts.get(0).weight() == null),
                    "parts[" + i + "].weight",
                    "either every part has a weight or none has");
            if (part.best() != null) {
                checkBestOf(i, part, items, adjustments);
            }
        }
        for (int i = 0; i < items.size(); i++) {
            String part = items.get(i).head().part();
            boolean answered = !(items.get(i) instanceof PassageItem);
            if (part != null) {
                Faulty.unless(ids.contains(part), "items[" + i + "].part", "no part is called '" + part + "'");
            }
            Faulty.unless(
                    part != null || parts.isEmpty() || !answered,
                    "items[" + i + "].part",
                    "the paper has parts, so every item names one");
        }
    }

    private static void checkBestOf(int i, Part part, List<Item> items, List<Adjustment> adjustments) {
        List<Item> inside = items.stream()
                .filter(item -> !(item instanceof PassageItem)
                        && part.id().equals(item.head().part()))
                .toList();
        Faulty.unless(
                inside.stream().map(Item::points).distinct().count() <= 1,
                "parts[" + i + "].best",
                "all questions in a part that counts only the best must have the same points");
        Faulty.unless(
                inside.stream()
                        .noneMatch(item -> adjustments.stream()
                                .anyMatch(a -> a.item().equals(item.id()) && a.kind() == Adjustment.Kind.BONUS)),
                "parts[" + i + "].best",
                "a bonus item cannot stand in a best-of part");
    }

    private static void checkAdjustments(List<Item> items, List<Adjustment> adjustments) {
        Set<String> adjusted = new HashSet<>();
        for (int i = 0; i < adjustments.size(); i++) {
            String id = adjustments.get(i).item();
            Faulty.unless(
                    items.stream().anyMatch(item -> item.id().equals(id) && !(item instanceof PassageItem)),
                    "adjustments[" + i + "].item",
                    "no scored item is called '" + id + "'");
            Faulty.unless(adjusted.add(id), "adjustments[" + i + "].item", "item '" + id + "' is adjusted twice");
        }
    }
}
