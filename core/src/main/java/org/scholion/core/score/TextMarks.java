package org.scholion.core.score;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.TextItem;
import org.scholion.core.item.TextItem.Ignore;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Reason;
import org.scholion.core.reason.Reason.Code;
import org.scholion.core.text.Normaliser;

/**
 * The marks of a short text. There are only so many: one for each entry and what made the difference, one for each
 * entry and number of slips; each is made when it is first needed. A mark that two threads make is the same twice.
 */
final class TextMarks {
    private static final Ignore[] IGNORE = Ignore.values();

    private final TextItem item;
    private final @Nullable Mark[][] same;
    private final @Nullable Mark[][] slips;
    private final Normaliser[] without;
    private final String[][] entriesWithout;

    TextMarks(TextItem item) {
        this.item = item;
        int entries = item.accept().size();
        this.same = new Mark[entries][1 << IGNORE.length];
        this.slips = new Mark[entries][3];
        this.without = new Normaliser[IGNORE.length];
        this.entriesWithout = new String[IGNORE.length][entries];
        for (Ignore one : item.ignore()) {
            Set<Ignore> rest = EnumSet.noneOf(Ignore.class);
            rest.addAll(item.ignore());
            rest.remove(one);
            without[one.ordinal()] = TextScorer.normaliser(item, rest);
            for (int i = 0; i < entries; i++) {
                entriesWithout[one.ordinal()][i] =
                        without[one.ordinal()].apply(item.accept().get(i).shown());
            }
        }
    }

    /** The mark of an answer that meets an entry. */
    Mark matched(int entry, String typed) {
        TextItem.Accepted accepted = item.accept().get(entry);
        int ignored =
                accepted instanceof TextItem.SameText && !typed.equals(accepted.shown()) ? ignored(entry, typed) : 0;
        Mark mark = same[entry][ignored];
        if (mark == null) {
            mark = made(accepted, ignored);
            same[entry][ignored] = mark;
        }
        return mark;
    }

    /** Which of the things that do not matter made the difference: without ignoring it the texts would not be equal. */
    private int ignored(int entry, String typed) {
        int mask = 0;
        for (int i = 0; i < IGNORE.length; i++) {
            if (without[i] != null && !without[i].apply(typed).equals(entriesWithout[i][entry])) {
                mask |= 1 << i;
            }
        }
        return mask;
    }

    private static Mark made(TextItem.Accepted entry, int ignored) {
        if (entry instanceof TextItem.Words words) {
            Reason reason = Reason.of(Code.TEXT_WORDS);
            reason = words.all().isEmpty() ? reason : reason.with("all", words.all());
            reason = words.any().isEmpty() ? reason : reason.with("any", words.any());
            return Mark.scored(entry.credit(), words.none().isEmpty() ? reason : reason.with("none", words.none()));
        }
        Code code = entry instanceof TextItem.Pattern ? Code.TEXT_PATTERN : Code.TEXT_SAME;
        Reason reason = Reason.of(code).with("entry", entry.shown());
        List<String> names = names(ignored);
        reason = names.isEmpty() ? reason : reason.with("ignored", names);
        return Mark.scored(entry.credit(), noted(reason, entry instanceof TextItem.SameText s ? s.note() : null));
    }

    private static List<String> names(int ignored) {
        List<String> names = new ArrayList<>();
        for (int i = 0; i < IGNORE.length; i++) {
            if ((ignored & 1 << i) != 0) {
                names.add(
                        switch (IGNORE[i]) {
                            case CASE -> "capitals";
                            case SPACE -> "spaces";
                            case MARKS -> "punctuation";
                            case ACCENTS -> "accents";
                            case ARTICLES -> "a, an, the";
                        });
            }
        }
        return names;
    }

    /** The mark of an answer that is so many slips from an accepted text. */
    Mark slipped(int entry, int distance) {
        Mark mark = slips[entry][distance];
        if (mark == null) {
            TextItem.SameText text = (TextItem.SameText) item.accept().get(entry);
            Reason reason = Reason.of(Code.TEXT_SLIP).with("entry", text.text()).with("distance", distance);
            reason = item.spellingCredit().equals(Fraction.ONE) ? reason : reason.with("times", item.spellingCredit());
            mark = Mark.scored(text.credit().times(item.spellingCredit()), noted(reason, text.note()));
            slips[entry][distance] = mark;
        }
        return mark;
    }

    static Reason noted(Reason reason, @Nullable String note) {
        return note == null ? reason : reason.with("note", note);
    }
}
