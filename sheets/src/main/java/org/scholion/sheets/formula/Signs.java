package org.scholion.sheets.formula;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.scholion.sheets.formula.Node.Face;
import org.scholion.sheets.formula.Node.Kind;

/** The commands that stand for a sign or a name, and what single characters are. A command that is not here is none. */
final class Signs {
    private static final Map<String, Node> COMMANDS = new HashMap<>();

    static final Set<String> FUNCTIONS = Set.of(
            "sin", "cos", "tan", "cot", "sec", "csc", "arcsin", "arccos", "arctan", "sinh", "cosh", "tanh", "log", "ln",
            "lg", "exp", "lim", "max", "min", "sup", "inf", "det", "gcd", "deg", "dim", "ker", "arg", "Pr");

    static {
        all(Kind.ORDINARY, Face.ITALIC, """
                alpha α beta β gamma γ delta δ epsilon ϵ varepsilon ε zeta ζ eta η theta θ vartheta ϑ iota ι kappa κ
                lambda λ mu μ nu ν xi ξ pi π varpi ϖ rho ρ varrho ϱ sigma σ varsigma ς tau τ upsilon υ phi ϕ varphi φ
                chi χ psi ψ omega ω""");
        all(Kind.ORDINARY, Face.UPRIGHT, """
                Gamma Γ Delta Δ Theta Θ Lambda Λ Xi Ξ Pi Π Sigma Σ Upsilon Υ Phi Φ Psi Ψ Omega Ω infty ∞ partial ∂
                nabla ∇ forall ∀ exists ∃ neg ¬ lnot ¬ emptyset ∅ varnothing ∅ angle ∠ triangle △ prime ′ hbar ℏ ell ℓ
                Re ℜ Im ℑ aleph ℵ degree ° ldots … dots … cdots ⋯ vdots ⋮ ddots ⋱ top ⊤ bot ⊥ checkmark ✓ square □
                % % # # $ $ & & _ _ vert | Vert ∥ | ∥ backslash \\ lbrace { rbrace } { { } }""");
        all(Kind.BINARY, Face.UPRIGHT, """
                pm ± mp ∓ times × div ÷ cdot ⋅ ast ∗ star ⋆ circ ∘ bullet ∙ cup ∪ cap ∩ setminus ∖ wedge ∧ land ∧ vee ∨
                lor ∨ oplus ⊕ otimes ⊗""");
        all(Kind.RELATION, Face.UPRIGHT, """
                le ≤ leq ≤ ge ≥ geq ≥ ne ≠ neq ≠ equiv ≡ approx ≈ sim ∼ simeq ≃ cong ≅ propto ∝ in ∈ notin ∉ ni ∋
                subset ⊂ supset ⊃ subseteq ⊆ supseteq ⊇ to → rightarrow → leftarrow ← gets ← leftrightarrow ↔
                Rightarrow ⇒ implies ⇒ Leftarrow ⇐ Leftrightarrow ⇔ iff ⇔ mapsto ↦ longrightarrow ⟶ longleftarrow ⟵
                perp ⊥ parallel ∥ mid ∣ ll ≪ gg ≫ uparrow ↑ downarrow ↓ leqslant ⩽ geqslant ⩾ rightleftharpoons ⇌
                therefore ∴ because ∵ lt < gt >""");
        all(Kind.OPENING, Face.UPRIGHT, "langle ⟨ lfloor ⌊ lceil ⌈");
        all(Kind.CLOSING, Face.UPRIGHT, "rangle ⟩ rfloor ⌋ rceil ⌉");
        for (String large : "sum ∑ prod ∏ coprod ∐ int ∫ oint ∮ bigcup ⋃ bigcap ⋂".split("(?<=\\S \\S) ")) {
            COMMANDS.put(
                    large.substring(0, large.indexOf(' ')), new Node.Large(large.substring(large.indexOf(' ') + 1)));
        }
        FUNCTIONS.forEach(f -> COMMANDS.put(f, new Node.Name(f)));
        Map.of(",", 3, ":", 4, ";", 5, "!", -3, " ", 6, "quad", 18, "qquad", 36, "thinspace", 3, "enspace", 9)
                .forEach((name, mu) -> COMMANDS.put(name, new Node.Space(mu / 18.0)));
    }

    private Signs() {}

    private static void all(Kind kind, Face face, String list) {
        String[] words = list.strip().split("\\s+");
        for (int i = 0; i < words.length; i += 2) {
            COMMANDS.put(words[i], new Node.Sign(words[i + 1], kind, face));
        }
    }

    static Set<String> names() {
        return COMMANDS.keySet();
    }

    static Optional<Node> command(String name) {
        return Optional.ofNullable(COMMANDS.get(name));
    }

    /** A character as it is typed. */
    static Node character(String c, Face letters) {
        int code = c.codePointAt(0);
        return switch (c) {
            case "+", "*", "·", "×", "÷", "±", "∓", "⋅" -> new Node.Sign(operator(c), Kind.BINARY, Face.UPRIGHT);
            case "-", "−" -> new Node.Sign("−", Kind.BINARY, Face.UPRIGHT);
            case "=", "<", ">", ":", "≤", "≥", "≠", "≈", "≡", "→", "∈" -> new Node.Sign(c, Kind.RELATION, Face.UPRIGHT);
            case "(", "[" -> new Node.Sign(c, Kind.OPENING, Face.UPRIGHT);
            case ")", "]", "!" -> new Node.Sign(c, Kind.CLOSING, Face.UPRIGHT);
            case ",", ";" -> new Node.Sign(c, Kind.PUNCTUATION, Face.UPRIGHT);
            default ->
                new Node.Sign(
                        c, Kind.ORDINARY, Character.isLetter(code) || letters != Face.ITALIC ? letters : Face.UPRIGHT);
        };
    }

    private static String operator(String c) {
        return switch (c) {
            case "*" -> "∗";
            case "·" -> "⋅";
            default -> c;
        };
    }
}
