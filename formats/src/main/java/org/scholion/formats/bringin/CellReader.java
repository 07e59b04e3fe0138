package org.scholion.formats.bringin;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.BlanksItem;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.CorrectionItem;
import org.scholion.core.item.Faulty;
import org.scholion.core.item.FormulaItem;
import org.scholion.core.item.Item;
import org.scholion.core.item.NumberItem;
import org.scholion.core.item.OpenItem;
import org.scholion.core.item.OrderItem;
import org.scholion.core.item.PairsItem;
import org.scholion.core.item.PassageItem;
import org.scholion.core.item.SpotItem;
import org.scholion.core.item.TextItem;
import org.scholion.core.item.WorkingItem;
import org.scholion.core.text.Normaliser;
import org.scholion.formats.assessment.AnswerCell;
import org.scholion.formats.assessment.AnswerJson;
import org.scholion.formats.json.Cursor;

/** Reads one cell as the answer to an item: options by id or by their text, everything else as typed. */
record CellReader(String cell) implements Item.ByKind<CellReader.Read> {
    /** What joins several options beside comma and semicolon. */
    private static final Pattern JOINED = Pattern.compile("\\s*[\\n|/]\\s*");

    private static final Pattern LETTERS = Pattern.compile("[A-Za-z](?:[ ,;/|&+]*[A-Za-z])*\\.?\\)?");

    private static final Normaliser LOOSE = new Normaliser(false, true, false, true, List.of());

    /** The answer, or what is wrong with the cell. */
    record Read(@Nullable Answer answer, @Nullable String fault) {}

    static Read read(Item item, String cell) {
        return item.read(new CellReader(cell));
    }

    @Override
    public Read choice(ChoiceItem item) {
        Set<String> letters = letters(item);
        if (!letters.isEmpty()) {
            return chosen(item, letters);
        }
        Read whole = byText(item, cell);
        return whole.answer() != null
                ? whole
                : byText(item, JOINED.matcher(cell.strip()).replaceAll("; "));
    }

    private Read byText(ChoiceItem item, String text) {
        String rest = LOOSE.apply(text);
        Set<String> chosen = new LinkedHashSet<>();
        while (!rest.isEmpty()) {
            ChoiceItem.Option option = longestPrefix(item, rest);
            if (option == null) {
                return new Read(null, "“" + cell.strip() + "” is not an option of this question");
            }
            chosen.add(option.id());
            rest = after(item, option, rest);
        }
        return chosen(item, chosen);
    }

    private static Read chosen(ChoiceItem item, Set<String> chosen) {
        return item.max() > 1 && chosen.size() > item.max()
                ? new Read(
                        null,
                        chosen.size() + " options chosen; at most " + item.max() + (item.max() == 1 ? " is" : " are")
                                + " allowed")
                : new Read(new Answer.Chosen(chosen), null);
    }

    /** Letters that stand for options by their place, where no option is called by them: {@code B}, {@code A, c}, {@code AC}. */
    private Set<String> letters(ChoiceItem item) {
        String plain = cell.strip();
        Set<String> chosen = new LinkedHashSet<>();
        if (!LETTERS.matcher(plain).matches() || item.options().stream().anyMatch(o -> isCalled(o, plain))) {
            return chosen;
        }
        String bare = plain.replaceAll("[^A-Za-z]", "").toUpperCase(Locale.ROOT);
        boolean word = plain.matches("[A-Za-z]{2,}") && !plain.equals(plain.toUpperCase(Locale.ROOT));
        if (word || bare.length() > 1 && item.max() == 1) {
            return chosen;
        }
        for (char letter : bare.toCharArray()) {
            int place = letter - 'A';
            if (place >= item.options().size()) {
                return Set.of();
            }
            chosen.add(byLetter(item, letter, place));
        }
        return chosen;
    }

    private static boolean isCalled(ChoiceItem.Option option, String plain) {
        return LOOSE.apply(option.id()).equals(LOOSE.apply(plain))
                || LOOSE.apply(option.text()).equals(LOOSE.apply(plain));
    }

    private static String byLetter(ChoiceItem item, char letter, int place) {
        return item.options().stream()
                .map(ChoiceItem.Option::id)
                .filter(id -> id.equalsIgnoreCase(String.valueOf(letter)))
                .findFirst()
                .orElse(item.options().get(place).id());
    }

    /** The option whose id or text the rest begins with, up to a separator; the longest wins, since texts hold commas. */
    private static ChoiceItem.@Nullable Option longestPrefix(ChoiceItem item, String rest) {
        ChoiceItem.Option best = null;
        for (ChoiceItem.Option option : item.options()) {
            int length = lengthAt(option, rest);
            if (length > 0 && (best == null || length > lengthAt(best, rest))) {
                best = option;
            }
        }
        return best;
    }

    private static int lengthAt(ChoiceItem.Option option, String rest) {
        int length = 0;
        for (String name : List.of(LOOSE.apply(option.id()), LOOSE.apply(option.text()))) {
            boolean ends = rest.length() == name.length()
                    || rest.length() > name.length() && ";,".indexOf(rest.charAt(name.length())) >= 0;
            length = !name.isEmpty() && rest.startsWith(name) && ends ? Math.max(length, name.length()) : length;
        }
        return length;
    }

    private static String after(ChoiceItem item, ChoiceItem.Option option, String rest) {
        String left = rest.substring(lengthAt(option, rest));
        return left.isEmpty() ? left : left.substring(1).strip();
    }

    @Override
    public Read text(TextItem item) {
        return new Read(new Answer.Typed(cell), null);
    }

    @Override
    public Read number(NumberItem item) {
        return new Read(new Answer.Typed(cell), null);
    }

    @Override
    public Read blanks(BlanksItem item) {
        return written(item);
    }

    @Override
    public Read pairs(PairsItem item) {
        return written(item);
    }

    @Override
    public Read order(OrderItem item) {
        return written(item);
    }

    @Override
    public Read spot(SpotItem item) {
        return written(item);
    }

    @Override
    public Read formula(FormulaItem item) {
        return new Read(new Answer.Typed(cell), null);
    }

    @Override
    public Read working(WorkingItem item) {
        return written(item);
    }

    @Override
    public Read correction(CorrectionItem item) {
        return new Read(new Answer.Typed(cell), null);
    }

    /** An answer of several parts, in the form of the response file's cells. */
    private Read written(Item item) {
        try {
            Cursor at = Cursor.at(AnswerCell.read(item, cell));
            Answer answer = AnswerJson.read(item, at);
            return at.faults().isEmpty()
                    ? new Read(answer, null)
                    : new Read(null, at.faults().get(0).toString());
        } catch (Faulty e) {
            return new Read(null, String.valueOf(e.getMessage()));
        }
    }

    @Override
    public Read open(OpenItem item) {
        return new Read(Answer.Written.of(cell), null);
    }

    @Override
    public Read passage(PassageItem item) {
        return new Read(null, "a reading passage is not answered");
    }
}
