package org.scholion.core.measure;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/** Why an item should be looked at; never acted on by itself. In the order in which they are listed. */
public enum Flag {
    KEY("the key may be wrong"),
    NEGATIVE("stronger students do worse"),
    WEAK("tells little about who knows more"),
    EASY("nearly everyone has it right"),
    HARD("few have it right"),
    UNUSED("an option hardly anyone chooses"),
    BLANK("often no answer"),
    UNREACHED("often not reached"),
    DIFFERS("scores differ between two sections of equal ability");

    /** With fewer attempts, an option that nobody chooses says nothing. */
    private static final int ENOUGH_FOR_UNUSED = 50;

    /** Two correlations closer than this are the same. */
    private static final double SAME = 1e-12;

    private final String shown;

    Flag(String shown) {
        this.shown = shown;
    }

    public String shown() {
        return shown;
    }

    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** What a person can do about it. */
    public enum Remedy {
        LOOK,
        ACCEPT_ALSO,
        CHANGE_KEY,
        DROP,
        CREDIT_ALL
    }

    public List<Remedy> remedies() {
        return switch (this) {
            case KEY, NEGATIVE ->
                List.of(Remedy.LOOK, Remedy.ACCEPT_ALSO, Remedy.CHANGE_KEY, Remedy.DROP, Remedy.CREDIT_ALL);
            case HARD, WEAK -> List.of(Remedy.LOOK, Remedy.ACCEPT_ALSO, Remedy.DROP, Remedy.CREDIT_ALL);
            case UNREACHED, DIFFERS -> List.of(Remedy.LOOK, Remedy.DROP, Remedy.CREDIT_ALL);
            case EASY, UNUSED, BLANK -> List.of(Remedy.LOOK);
        };
    }

    /** A flag that is raised, with the figures behind it in words. */
    public record Raised(Flag flag, String because) {}

    /**
     * The flags of an item.
     *
     * @param ofOne whether it is a choice of one
     * @param differences how it works for sections of equal ability; empty without sections
     */
    public static List<Raised> of(ItemMeasures m, boolean ofOne, List<ItemDifference> differences) {
        return of(m, ofOne, differences, UnaryOperator.identity());
    }

    /** The same, with the options called by what people read. */
    public static List<Raised> of(
            ItemMeasures m, boolean ofOne, List<ItemDifference> differences, UnaryOperator<String> label) {
        List<Raised> raised = new ArrayList<>();
        if (ofOne) {
            outsider(m, label).ifPresent(because -> raised.add(new Raised(KEY, because)));
        }
        sorting(m.itemRest().value(), raised);
        difficulty(m, ofOne, raised);
        unused(m, label, raised);
        share(m.blank(), BLANK, "gave no answer", raised);
        share(m.notReached(), UNREACHED, "gave no answer here and to all that follow", raised);
        differences.stream()
                .filter(ItemDifference::isLarge)
                .max(Comparator.comparingDouble(
                        d -> Math.abs(Objects.requireNonNull(d.delta().value()))))
                .ifPresent(d -> raised.add(new Raised(
                        DIFFERS,
                        "among equally able students it favours "
                                + (Objects.requireNonNull(d.odds().value()) > 1 ? d.first() : d.second())
                                + ": delta " + d.delta().shown())));
        return raised;
    }

    /** An option outside the key that the best students prefer, or that goes with the rest better than every keyed one. */
    private static java.util.Optional<String> outsider(ItemMeasures m, UnaryOperator<String> label) {
        List<OptionFigures> keyed =
                m.options().stream().filter(OptionFigures::keyed).toList();
        return m.options().stream()
                .filter(o -> !o.keyed())
                .filter(o -> keyed.stream().allMatch(k -> isAbove(o.upper(), k.upper()))
                        || keyed.stream().allMatch(k -> isAbove(o.optionRest(), k.optionRest())))
                .findFirst()
                .map(o -> "“" + label.apply(o.option()) + "”, which is not in the key, is chosen by "
                        + percent(o.upper().value()) + " of the upper third"
                        + (o.optionRest().value() == null
                                ? ""
                                : " and goes with the rest at r = "
                                        + o.optionRest().shown()));
    }

    private static boolean isAbove(Figure a, Figure b) {
        return a.value() != null && b.value() != null && a.value() > b.value() + SAME;
    }

    private static void sorting(@Nullable Double r, List<Raised> raised) {
        if (r != null && r < 0.15 - SAME) {
            raised.add(
                    new Raised(r < 0 ? NEGATIVE : WEAK, "r = " + Figure.of(r).shown() + " with the rest of the paper"));
        }
    }

    private static void difficulty(ItemMeasures m, boolean ofOne, List<Raised> raised) {
        Double p = m.difficulty().value();
        if (p == null) {
            return;
        }
        if (p > 0.95) {
            raised.add(new Raised(EASY, percent(p) + " of the points were reached"));
        }
        int options = m.options().size();
        boolean belowGuessing = ofOne && options > 0 && p * options < 1 - SAME;
        if (p < 0.25 || belowGuessing) {
            raised.add(new Raised(
                    HARD,
                    percent(p) + " of the points were reached"
                            + (belowGuessing ? "; guessing alone gives " + percent(1.0 / options) : "")));
        }
    }

    private static void unused(ItemMeasures m, UnaryOperator<String> label, List<Raised> raised) {
        List<String> names = m.options().stream()
                .filter(o -> m.n() >= ENOUGH_FOR_UNUSED && 100L * o.count() < 2L * m.n())
                .map(o -> label.apply(o.option()))
                .toList();
        if (!names.isEmpty()) {
            raised.add(new Raised(UNUSED, "hardly anyone chose " + String.join(", ", names)));
        }
    }

    private static void share(Figure figure, Flag flag, String words, List<Raised> raised) {
        if (figure.value() != null && figure.value() > 0.10) {
            raised.add(new Raised(flag, percent(figure.value()) + " " + words));
        }
    }

    private static String percent(@Nullable Double share) {
        return share == null ? "–" : Math.round(100 * share) + "%";
    }
}
