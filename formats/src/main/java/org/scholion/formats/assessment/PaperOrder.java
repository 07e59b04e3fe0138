package org.scholion.formats.assessment;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.function.Predicate;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.Item;
import org.scholion.core.item.Named;
import org.scholion.core.item.OrderItem;
import org.scholion.core.item.PairsItem;
import org.scholion.core.item.PassageItem;

/**
 * The order of a paper's items: as written, or shuffled within the parts so that what shares a passage, and a choice with
 * the reason that is asked for, stay together.
 */
public final class PaperOrder {
    private final AssessmentFile file;

    private PaperOrder(AssessmentFile file) {
        this.file = file;
    }

    /** @param shuffle whether the groups change places; else they only stand together */
    public static List<Item> shuffled(AssessmentFile file, Random random, boolean shuffle) {
        PaperOrder order = new PaperOrder(file);
        Map<String, List<List<Item>>> byPart = new LinkedHashMap<>();
        order.groups()
                .forEach(group -> byPart.computeIfAbsent(part(group), p -> new ArrayList<>())
                        .add(group));
        List<Item> ordered = new ArrayList<>();
        for (List<List<Item>> groups : byPart.values()) {
            // Rows are called by the numbers of the questions that are printed elsewhere.
            if (shuffle && groups.stream().flatMap(List::stream).noneMatch(i -> isRow(file, i))) {
                Collections.shuffle(groups, random);
            }
            groups.forEach(ordered::addAll);
        }
        return ordered;
    }

    /** Whether it asks nothing itself: its question is printed elsewhere, and its letters are those that stand there. */
    public static boolean isRow(AssessmentFile file, Item item) {
        Particulars p = file.particulars(item.id());
        return !(item instanceof PassageItem)
                && item.head().prompt().isBlank()
                && p.body() == null
                && p.picture() == null;
    }

    /** Options mixed; those that have to stay last keep their places at the end. */
    public static List<ChoiceItem.Option> shuffled(AssessmentFile file, ChoiceItem choice, Random random) {
        if (isRow(file, choice)) {
            return choice.options();
        }
        List<String> last = file.particulars(choice.id()).last();
        List<ChoiceItem.Option> mixed = new ArrayList<>(
                choice.options().stream().filter(o -> !last.contains(o.id())).toList());
        Collections.shuffle(mixed, random);
        choice.options().stream().filter(o -> last.contains(o.id())).forEach(mixed::add);
        return mixed;
    }

    /** The steps of an order, mixed. From three on they never stand in the right order; two are as chance has it. */
    public static List<Named> steps(OrderItem item, Random random) {
        return mixed(
                item.tokens(),
                random,
                mixed -> mixed.stream().map(Named::id).toList().equals(item.key()));
    }

    /**
     * What is matched with, mixed. From three on they never all stand beside what they belong to; two are as chance has
     * it.
     */
    public static List<Named> rights(PairsItem item, Random random) {
        return mixed(item.right(), random, mixed -> {
            for (int i = 0; i < Math.min(item.left().size(), mixed.size()); i++) {
                PairsItem.Pair beside =
                        new PairsItem.Pair(item.left().get(i).id(), mixed.get(i).id());
                if (!item.key().contains(beside)) {
                    return false;
                }
            }
            return true;
        });
    }

    private static List<Named> mixed(List<Named> things, Random random, Predicate<List<Named>> tells) {
        List<Named> mixed = new ArrayList<>(things);
        int tries = 0;
        do {
            Collections.shuffle(mixed, random);
            // Where every order tells, as with one thing matched by all, there is nothing to hide.
            tries++;
        } while (things.size() > 2 && tries < 100 && tells.test(mixed));
        return mixed;
    }

    /** Items that stay together: those of one passage behind it, and a reason behind its choice. */
    private List<List<Item>> groups() {
        Map<String, List<Item>> groups = new LinkedHashMap<>();
        for (Item item : file.assessment().items()) {
            groups.computeIfAbsent(leader(item), id -> new ArrayList<>()).add(item);
        }
        return new ArrayList<>(groups.values());
    }

    private String leader(Item item) {
        Particulars p = file.particulars(item.id());
        if (p.stem() != null) {
            return p.stem();
        }
        return p.reasonFor() == null
                ? item.id()
                : file.assessment().item(p.reasonFor()).map(this::leader).orElse(item.id());
    }

    private static String part(List<Item> group) {
        return group.stream()
                .map(i -> i.head().part())
                .filter(Objects::nonNull)
                .findFirst()
                .orElse("");
    }
}
