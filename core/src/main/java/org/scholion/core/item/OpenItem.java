package org.scholion.core.item;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;

/**
 * An open answer, read by a person against points or a rubric.
 *
 * @param rubric none when the reader gives points directly
 * @param mastery the level or the points from which the answer counts as mastered
 * @param attachments how many pictures and PDFs an answer may have beside its text
 */
public record OpenItem(
        Head head,
        @Nullable Rubric rubric,
        @Nullable Integer minWords,
        @Nullable Integer maxWords,
        @Nullable String mastery,
        int attachments)
        implements Item {
    public static final int MOST_ATTACHMENTS = 10;

    public OpenItem {
        Faulty.unless(
                attachments >= 0 && attachments <= MOST_ATTACHMENTS,
                "attachments",
                attachments + " attachments are not between 0 and " + MOST_ATTACHMENTS);
        if (minWords != null && maxWords != null) {
            Faulty.unless(
                    minWords <= maxWords, "words", "at least " + minWords + " words is more than at most " + maxWords);
        }
        if (rubric != null) {
            Faulty.unless(rubric.maximum().signum() > 0, "rubric", "the rubric's best levels are worth nothing");
        }
        Faulty.unless(
                mastery == null
                        || isLevel(rubric, mastery)
                        || Fraction.parse(mastery).isPresent(),
                "mastery",
                "'" + mastery + "' is neither points nor a level of the rubric");
    }

    public OpenItem(
            Head head,
            @Nullable Rubric rubric,
            @Nullable Integer minWords,
            @Nullable Integer maxWords,
            @Nullable String mastery) {
        this(head, rubric, minWords, maxWords, mastery, 0);
    }

    /** Whether the bound of mastery is a level of the rubric; else it is points. */
    public boolean masteryIsLevel() {
        return mastery != null && isLevel(rubric, mastery);
    }

    private static boolean isLevel(@Nullable Rubric rubric, String id) {
        return rubric != null
                && rubric.criteria().stream().anyMatch(c -> c.level(id).isPresent());
    }

    /** The item's own alignments and those of its rubric's criteria, each code once. */
    public Set<String> allCodes() {
        Set<String> codes = new LinkedHashSet<>();
        head.standards().forEach(a -> codes.add(a.code()));
        if (rubric != null) {
            rubric.criteria().forEach(c -> c.standards().forEach(a -> codes.add(a.code())));
        }
        return codes;
    }

    @Override
    public String kind() {
        return "open";
    }

    @Override
    public <R> R read(ByKind<R> reader) {
        return reader.open(this);
    }

    /** Convenience for lists. */
    public List<Rubric.Criterion> criteria() {
        return rubric == null ? List.of() : rubric.criteria();
    }
}
