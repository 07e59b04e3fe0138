package org.scholion.formats.json;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Faulty;
import org.scholion.core.number.Fraction;
import tools.jackson.databind.JsonNode;

/**
 * A place in a JSON document. Reading collects faults with their paths instead of stopping at the first; what could
 * not be read comes back as a stand-in that is never used, because {@link #refuseFaulty} throws at the end.
 */
public final class Cursor {
    private final JsonNode node;
    private final String path;
    private final List<Fault> faults;
    private final Set<String> known = new HashSet<>();

    private Cursor(JsonNode node, String path, List<Fault> faults) {
        this.node = node;
        this.path = path;
        this.faults = faults;
    }

    public static Cursor at(JsonNode root) {
        return new Cursor(root, "", new ArrayList<>());
    }

    public JsonNode node() {
        return node;
    }

    public String path() {
        return path;
    }

    public List<Fault> faults() {
        return faults;
    }

    public void refuseFaulty() {
        if (!faults.isEmpty()) {
            throw new Faults(faults);
        }
    }

    public void fault(String message) {
        faults.add(new Fault(path, message));
    }

    /** Builds a thing from this place; what its constructor refuses becomes a fault here. */
    public <T> Optional<T> build(Supplier<T> maker) {
        int before = faults.size();
        try {
            T made = maker.get();
            return faults.size() == before ? Optional.of(made) : Optional.empty();
        } catch (Faulty e) {
            // A stand-in for what could not be read may be refused as well; the first fault says enough.
            if (faults.size() == before) {
                faults.add(new Fault(join(path, e.place()), String.valueOf(e.getMessage())));
            }
            return Optional.empty();
        }
    }

    /** The field, when it is there and not null. */
    public Optional<Cursor> field(String name) {
        known.add(name);
        JsonNode child = node.get(name);
        return child == null || child.isNull() ? Optional.empty() : Optional.of(sub(child, join(path, name)));
    }

    /** Call when all fields that are allowed have been read. */
    public void refuseUnknown() {
        if (!node.isObject()) {
            fault("an object {…} is expected here");
            return;
        }
        for (String name : node.propertyNames()) {
            if (!known.contains(name)) {
                faults.add(new Fault(join(path, name), "this field is not known here"));
            }
        }
    }

    public String text(String name) {
        return field(name).map(Cursor::asText).orElseGet(() -> {
            faults.add(new Fault(join(path, name), "is missing"));
            return "?";
        });
    }

    public String text(String name, String otherwise) {
        return field(name).map(Cursor::asText).orElse(otherwise);
    }

    public @Nullable String textOrNull(String name) {
        return field(name).map(Cursor::asText).orElse(null);
    }

    public Fraction fraction(String name, Fraction otherwise) {
        return field(name).map(Cursor::asFraction).orElse(otherwise);
    }

    public Fraction fraction(String name) {
        return field(name).map(Cursor::asFraction).orElseGet(() -> {
            faults.add(new Fault(join(path, name), "is missing"));
            return Fraction.ONE;
        });
    }

    public @Nullable Fraction fractionOrNull(String name) {
        return field(name).map(Cursor::asFraction).orElse(null);
    }

    public int whole(String name, int otherwise) {
        return field(name).map(Cursor::asWhole).orElse(otherwise);
    }

    public @Nullable Integer wholeOrNull(String name) {
        return field(name).map(Cursor::asWhole).orElse(null);
    }

    public boolean flag(String name, boolean otherwise) {
        return field(name).map(Cursor::asFlag).orElse(otherwise);
    }

    /** One of an enumeration's names, written as in files. */
    public <E extends Enum<E>> E oneOf(String name, Class<E> type, E otherwise) {
        return field(name).map(c -> c.asOneOf(type, otherwise)).orElse(otherwise);
    }

    /** The elements of a list field; none when it is not there. */
    public List<Cursor> list(String name) {
        return field(name).map(Cursor::elements).orElse(List.of());
    }

    public List<Cursor> elements() {
        if (!node.isArray()) {
            fault("a list […] is expected here");
            return List.of();
        }
        List<Cursor> all = new ArrayList<>();
        for (int i = 0; i < node.size(); i++) {
            all.add(sub(node.get(i), path + "[" + i + "]"));
        }
        return all;
    }

    /** The fields of an object whose names are free. */
    public List<String> names() {
        if (!node.isObject()) {
            fault("an object {…} is expected here");
            return List.of();
        }
        return List.copyOf(node.propertyNames());
    }

    public String asText() {
        if (!node.isString()) {
            fault("a text in quotes is expected here");
            return "?";
        }
        return node.stringValue();
    }

    /** An exact number: a string such as "1.5" or "1/3", or a JSON integer. */
    public Fraction asFraction() {
        if (node.isIntegralNumber()) {
            return Fraction.of(node.bigIntegerValue(), java.math.BigInteger.ONE);
        }
        Optional<Fraction> read = node.isString() ? Fraction.parse(node.stringValue()) : Optional.empty();
        return read.orElseGet(() -> {
            fault(
                    node.isString()
                            ? "'" + node.stringValue() + "' is not a number such as 1.5 or 1/3"
                            : "an exact number in quotes is expected here, such as \"1.5\" or \"1/3\"");
            return Fraction.ONE;
        });
    }

    public int asWhole() {
        Fraction value = asFraction();
        if (!value.isWhole() || value.abs().compareTo(Fraction.of(1_000_000)) > 0) {
            fault("a whole number is expected here");
            return 1;
        }
        return value.numerator().intValueExact();
    }

    public boolean asFlag() {
        if (!node.isBoolean()) {
            fault("true or false is expected here");
            return false;
        }
        return node.booleanValue();
    }

    public <E extends Enum<E>> E asOneOf(Class<E> type, E otherwise) {
        String written = asText();
        for (E value : type.getEnumConstants()) {
            if (Names.of(value).equals(written)) {
                return value;
            }
        }
        fault("'" + written + "' is not one of " + Names.all(type));
        return otherwise;
    }

    private Cursor sub(JsonNode child, String childPath) {
        return new Cursor(child, childPath, faults);
    }

    private static String join(String path, String name) {
        return path.isEmpty() || name.startsWith("[") ? path + name : name.isEmpty() ? path : path + "." + name;
    }

    /** Enumerations as files write them: CREDIT_ALL is creditAll. */
    public static final class Names {
        private Names() {}

        public static String of(Enum<?> value) {
            String[] words = value.name().toLowerCase(Locale.ROOT).split("_");
            StringBuilder name = new StringBuilder(words[0]);
            for (int i = 1; i < words.length; i++) {
                name.append(Character.toUpperCase(words[i].charAt(0))).append(words[i].substring(1));
            }
            return name.toString();
        }

        static <E extends Enum<E>> String all(Class<E> type) {
            List<String> names = new ArrayList<>();
            for (E value : type.getEnumConstants()) {
                names.add(of(value));
            }
            return String.join(", ", names);
        }
    }
}
