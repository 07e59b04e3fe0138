package org.scholion.core.item;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.scholion.core.number.Fraction;

/**
 * Several small answers in one item.
 *
 * @param exact whether all parts must be right, instead of counting by weight
 * @param anyOrder lists of part ids whose answers may stand in one another's place
 */
public record BlanksItem(Head head, List<Part> parts, boolean exact, List<List<String>> anyOrder) implements Item {

    /** Where a blank stands in the sentence, by the part's id. */
    private static final Pattern PLACE = Pattern.compile("\\{([A-Za-z0-9_-]+)}|\\[([A-Za-z0-9_-]+)]");

    private static final String LINE = "____";

    /** One blank: a short text, a number or a choice of one; its item's id is the part's id. */
    public record Part(Item item, Fraction weight) {
        public Part {
            Faulty.unless(weight.signum() > 0, "weight", "weight " + weight + " must be above 0");
            boolean small = item instanceof TextItem
                    || item instanceof NumberItem
                    || item instanceof ChoiceItem c && c.max() == 1;
            Faulty.unless(small, "kind", "a blank is a text, a number or a choice of one");
        }

        public String id() {
            return item.id();
        }
    }

    public BlanksItem {
        parts = List.copyOf(parts);
        anyOrder = anyOrder.stream().map(List::copyOf).toList();
        Faulty.unless(!parts.isEmpty(), "parts", "there is no blank yet");
        Set<String> ids = new HashSet<>();
        for (int i = 0; i < parts.size(); i++) {
            Faulty.unless(
                    ids.add(parts.get(i).id()),
                    "parts[" + i + "].id",
                    "part '" + parts.get(i).id() + "' is there twice");
        }
        checkGroups(parts, anyOrder);
    }

    private static void checkGroups(List<Part> parts, List<List<String>> groups) {
        Set<String> grouped = new HashSet<>();
        for (int g = 0; g < groups.size(); g++) {
            Optional<Part> first = Optional.empty();
            for (int i = 0; i < groups.get(g).size(); i++) {
                String place = "anyOrder[" + g + "][" + i + "]";
                String id = groups.get(g).get(i);
                Part part = parts.stream()
                        .filter(p -> p.id().equals(id))
                        .findFirst()
                        .orElseThrow(() -> new Faulty(place, "no part is called '" + id + "'"));
                Faulty.unless(grouped.add(id), place, "part '" + id + "' stands in two lists");
                Part model = first.orElse(part);
                first = Optional.of(model);
                Faulty.unless(
                        part.item().kind().equals(model.item().kind())
                                && part.weight().equals(model.weight()),
                        place,
                        "parts that may change places have the same kind and weight");
            }
        }
    }

    public Optional<Part> part(String id) {
        return parts.stream().filter(p -> p.id().equals(id)).findFirst();
    }

    /** Whether the sentence says where any of its blanks stands. */
    public boolean hasPlaces() {
        return !sentence(head.prompt(), id -> "").equals(head.prompt());
    }

    /** The sentence with something in place of each of its blanks; {@code {b1}} and {@code [b1]} are places. */
    public String sentence(String sentence, UnaryOperator<String> filled) {
        return PLACE.matcher(sentence).replaceAll(m -> {
            String id = m.group(1) == null ? m.group(2) : m.group(1);
            return Matcher.quoteReplacement(part(id).isPresent() ? filled.apply(id) : m.group());
        });
    }

    @Override
    public String asked() {
        return sentence(head.prompt(), id -> LINE);
    }

    @Override
    public String kind() {
        return "blanks";
    }

    @Override
    public <R> R read(ByKind<R> reader) {
        return reader.blanks(this);
    }
}
