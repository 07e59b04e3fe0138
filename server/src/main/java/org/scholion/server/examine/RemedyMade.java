package org.scholion.server.examine;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.Item;
import org.scholion.core.number.Fraction;
import org.scholion.core.total.Adjustment;
import org.scholion.server.examine.Remedies.Doing;
import org.scholion.server.examine.Remedies.Remedy;
import org.scholion.server.key.Edition;
import org.scholion.server.ledger.Regrading;
import org.scholion.server.platform.Refused;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The edition that a remedy makes, and what it is called. */
final class RemedyMade {
    private static final Fraction MOST_ADDED = Fraction.HUNDRED;

    private static final Map<Doing, Adjustment.Kind> ADJUSTS = Map.of(
            Doing.DROP, Adjustment.Kind.DROP,
            Doing.CREDIT_ALL, Adjustment.Kind.CREDIT_ALL,
            Doing.CREDIT_ANSWERED, Adjustment.Kind.CREDIT_ANSWERED,
            Doing.BONUS, Adjustment.Kind.BONUS);

    private static final Map<Adjustment.Kind, String> WRITTEN = Map.of(
            Adjustment.Kind.DROP, "drop",
            Adjustment.Kind.CREDIT_ALL, "creditAll",
            Adjustment.Kind.CREDIT_ANSWERED, "creditAnswered",
            Adjustment.Kind.BONUS, "bonus");

    private RemedyMade() {}

    static Regrading.Made of(Edition latest, Remedy remedy) {
        ObjectNode definition = latest.definition().deepCopy().asObject();
        String why = change(definition, latest, remedy);
        return new Regrading.Made(Regrading.next(latest, definition), why);
    }

    private static String change(ObjectNode definition, Edition latest, Remedy remedy) {
        if (remedy.what() == Doing.ADD) {
            return add(definition, remedy);
        }
        Item item = Remedies.item(latest, remedy.item());
        String question = "question " + latest.numberOf(item.id());
        return switch (remedy.what()) {
            case ACCEPT_ALSO -> acceptAlso(definition, latest, remedy, question);
            case CHANGE_KEY -> changeKey(definition, latest, remedy, question);
            case POINTS -> points(definition, item, remedy, question);
            default -> adjust(definition, item, remedy.what(), question);
        };
    }

    private static String acceptAlso(ObjectNode definition, Edition latest, Remedy remedy, String question) {
        ChoiceItem choice = Remedies.choice(latest, remedy);
        if (choice.key().contains(remedy.option())) {
            throw Refused.invalid("option", "This option is right already.");
        }
        List<String> key = new ArrayList<>(choice.key());
        key.add(String.valueOf(remedy.option()));
        put(definition, choice, key, remedy);
        return question + " accepts “" + text(choice, remedy) + "” too";
    }

    private static String changeKey(ObjectNode definition, Edition latest, Remedy remedy, String question) {
        ChoiceItem choice = Remedies.choice(latest, remedy);
        put(definition, choice, List.of(String.valueOf(remedy.option())), remedy);
        return question + ": “" + text(choice, remedy) + "” is right instead";
    }

    private static void put(ObjectNode definition, ChoiceItem choice, List<String> key, Remedy remedy) {
        ObjectNode node = Edition.itemIn(definition, choice.id()).asObject();
        ArrayNode keyed = node.putArray("key");
        key.forEach(keyed::add);
        if (node.get("credits") instanceof ObjectNode credits) {
            credits.remove(String.valueOf(remedy.option()));
        }
    }

    private static String text(ChoiceItem choice, Remedy remedy) {
        return choice.options().stream()
                .filter(o -> o.id().equals(remedy.option()))
                .map(o -> o.text().isBlank() ? o.id() : o.text())
                .findFirst()
                .orElseThrow();
    }

    private static String points(ObjectNode definition, Item item, Remedy remedy, String question) {
        Fraction points = amount(remedy, "points")
                .filter(p -> p.signum() > 0)
                .orElseThrow(() -> Refused.invalid("amount", "Points are a number above 0, such as 2 or 1.5."));
        Edition.itemIn(definition, item.id()).asObject().put("points", points.toExact());
        return question + " is worth " + points.toReadable() + " instead of "
                + item.points().toReadable();
    }

    private static Optional<Fraction> amount(Remedy remedy, String what) {
        String typed = remedy.amount() == null ? "" : remedy.amount().strip().replace(',', '.');
        if (typed.length() > 20) {
            throw Refused.invalid("amount", "This is too long for " + what + ".");
        }
        return Fraction.parse(typed);
    }

    private static String add(ObjectNode definition, Remedy remedy) {
        Fraction amount = amount(remedy, "an amount")
                .filter(a -> !a.isZero() && a.abs().compareTo(MOST_ADDED) <= 0)
                .orElseThrow(() -> Refused.invalid(
                        "amount", "Say how many percentage points are added, from −100 to 100, such as 5."));
        ObjectNode grading = definition.get("grading") instanceof ObjectNode g ? g : definition.putObject("grading");
        ArrayNode curve = grading.get("curve") instanceof ArrayNode c ? c : grading.putArray("curve");
        curve.addObject().put("add", amount.toExact());
        return (amount.signum() > 0 ? "+" : "−") + amount.abs().toReadable() + " percentage points for everyone";
    }

    private static String adjust(ObjectNode definition, Item item, Doing what, String question) {
        Adjustment.Kind kind = ADJUSTS.get(what);
        ArrayNode others = definition.arrayNode();
        definition.path("adjustments").forEach(a -> {
            if (!a.path("item").asString("").equals(item.id())) {
                others.add(a);
            }
        });
        if (kind != null) {
            others.addObject().put("item", item.id()).put("do", WRITTEN.get(kind));
        }
        definition.set("adjustments", others);
        if (others.isEmpty()) {
            definition.remove("adjustments");
        }
        return question
                + switch (what) {
                    case DROP -> " is dropped for everyone";
                    case CREDIT_ALL -> " gives full points to everyone";
                    case CREDIT_ANSWERED -> " gives full points to everyone who answered it";
                    case BONUS -> " counts as a bonus";
                    default -> " counts by its points again";
                };
    }
}
