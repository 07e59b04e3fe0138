package org.scholion.core.maths;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * The names that an item declares. A letter that is not declared still reads as a variable, so that an answer in
 * other letters is different rather than unreadable; a capital typed by a phone is the declared small letter.
 */
public final class MathNames {
    private static final Map<String, String> GREEK = Map.ofEntries(
            Map.entry("alpha", "α"),
            Map.entry("beta", "β"),
            Map.entry("gamma", "γ"),
            Map.entry("delta", "δ"),
            Map.entry("epsilon", "ε"),
            Map.entry("theta", "θ"),
            Map.entry("lambda", "λ"),
            Map.entry("mu", "μ"),
            Map.entry("rho", "ρ"),
            Map.entry("sigma", "σ"),
            Map.entry("tau", "τ"),
            Map.entry("phi", "φ"),
            Map.entry("varphi", "φ"),
            Map.entry("omega", "ω"),
            Map.entry("Delta", "Δ"),
            Map.entry("Omega", "Ω"),
            Map.entry("pi", "π"));

    /** Other spellings of the functions that are known. */
    private static final Map<String, String> FUNCTIONS = Map.ofEntries(
            Map.entry("sin", "sin"),
            Map.entry("cos", "cos"),
            Map.entry("tan", "tan"),
            Map.entry("tg", "tan"),
            Map.entry("ctg", "cot"),
            Map.entry("cotg", "cot"),
            Map.entry("cosec", "csc"),
            Map.entry("arctg", "atan"),
            Map.entry("cot", "cot"),
            Map.entry("sec", "sec"),
            Map.entry("csc", "csc"),
            Map.entry("asin", "asin"),
            Map.entry("arcsin", "asin"),
            Map.entry("acos", "acos"),
            Map.entry("arccos", "acos"),
            Map.entry("atan", "atan"),
            Map.entry("arctan", "atan"),
            Map.entry("sinh", "sinh"),
            Map.entry("cosh", "cosh"),
            Map.entry("tanh", "tanh"),
            Map.entry("ln", "ln"),
            Map.entry("log", "log"),
            Map.entry("lg", "log"),
            Map.entry("exp", "exp"),
            Map.entry("sqrt", "sqrt"),
            Map.entry("cbrt", "cbrt"),
            Map.entry("abs", "abs"));

    private final Set<String> variables = new LinkedHashSet<>();
    private final Set<String> functions = new LinkedHashSet<>();
    private final List<String> longest;

    public MathNames(List<String> variables) {
        this(variables, List.of());
    }

    /**
     * The names of an item.
     *
     * @param variables its variables and its own constants
     * @param functions functions of its own, beside those that are known anyway
     */
    public MathNames(List<String> variables, List<String> functions) {
        variables.forEach(v -> this.variables.add(plain(v)));
        this.functions.addAll(functions);
        List<String> all = new ArrayList<>(this.variables);
        all.addAll(functions);
        all.addAll(FUNCTIONS.keySet());
        all.addAll(GREEK.keySet());
        all.sort(Comparator.comparing(String::length).reversed());
        this.longest = List.copyOf(all);
    }

    /** A name without underscore and braces, Greek names as letters. */
    static String plain(String name) {
        String bare = name.replace("_", "").replace("{", "").replace("}", "").replace("\\", "");
        return GREEK.getOrDefault(bare, bare);
    }

    /** The declared or known name that the letters begin with, the longest; null when none does. */
    @Nullable
    String beginning(String letters) {
        for (String name : longest) {
            if (letters.startsWith(name)) {
                return name;
            }
        }
        return null;
    }

    /** The function of this name; null when it is none, or a declared variable. */
    @Nullable
    String function(String name) {
        return functions.contains(name) ? name : variables.contains(name) ? null : FUNCTIONS.get(name);
    }

    /** Whether letters that stand together are a word of language rather than a product: three or more, not all of them known. */
    boolean isProse(String word) {
        if (variables.isEmpty() || word.length() < 3) {
            return false;
        }
        String rest = word;
        while (!rest.isEmpty()) {
            String name = beginning(rest);
            String letter = rest.substring(0, Character.charCount(rest.codePointAt(0)));
            boolean known = name != null
                    || letter.equals("e")
                    || letter.equals("π")
                    || isDeclared(letter)
                    || isDeclared(letter.toLowerCase(Locale.ROOT));
            if (!known) {
                return true;
            }
            rest = rest.substring(name == null ? letter.length() : name.length());
        }
        return false;
    }

    /** These names, or where none are declared those of the variables in the key. */
    public static MathNames of(List<String> variables, List<String> functions, List<String> key) {
        if (!variables.isEmpty()) {
            return new MathNames(variables, functions);
        }
        MathNames none = new MathNames(List.of(), functions);
        Set<String> found = new LinkedHashSet<>();
        for (String line : key) {
            try {
                MathReader.read(line, none).variables().forEach(found::add);
            } catch (Unreadable e) {
                // The key is read once more with its place, and refused there.
                continue;
            }
        }
        return new MathNames(List.copyOf(found), functions);
    }

    /** Every spelling of a function that is known. */
    static Set<String> functionNames() {
        return FUNCTIONS.keySet();
    }

    boolean hasVariables() {
        return !variables.isEmpty();
    }

    /** Whether a command of this name means something: a function, a Greek letter, a name of the item's own. */
    boolean knows(String name) {
        return isDeclared(name) || functions.contains(name) || FUNCTIONS.containsKey(name) || GREEK.containsKey(name);
    }

    /** Whether a variable of a line is one that the item has. */
    public boolean isOwn(String variable) {
        return variables.contains(variable);
    }

    boolean isFunctionOfItsOwn(String name) {
        return functions.contains(name);
    }

    /** What sets, intervals and pairs that stand alone are of: the declared variables, or x where there are none. */
    List<String> subjects() {
        return variables.isEmpty() ? List.of("x") : List.copyOf(variables);
    }

    boolean isDeclared(String name) {
        return variables.contains(plain(name));
    }

    /** The variable of this name; a root with an index, x_1, is its variable. */
    Term symbol(String name) {
        String bare = plain(name);
        if (name.contains("_") && !variables.contains(bare) && isDeclared(name.substring(0, name.indexOf('_')))) {
            return new Term.Sym(plain(name.substring(0, name.indexOf('_'))));
        }
        if (variables.contains(bare)) {
            return new Term.Sym(bare);
        }
        if (bare.equals("e")) {
            return new Term.Sym("ℯ");
        }
        String small = bare.toLowerCase(Locale.ROOT);
        return new Term.Sym(variables.contains(small) ? small : bare);
    }
}
