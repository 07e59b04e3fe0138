package org.scholion.formats.assessment;

import java.util.Optional;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;
import org.scholion.formats.json.Cursor;
import org.scholion.formats.rich.RichText;

/** Reads what stands with an item beside its key. */
final class ParticularsReader {
    private static final Pattern HASH = Pattern.compile("[0-9a-f]{64}");

    private ParticularsReader() {}

    static Particulars read(Cursor c) {
        return new Particulars(
                rich(c, "body"),
                c.field("picture").map(ParticularsReader::picture).orElse(null),
                c.field("feedback").map(ParticularsReader::feedback).orElse(Particulars.Feedback.NONE),
                c.textOrNull("hint"),
                c.list("tags").stream().map(Cursor::asText).toList(),
                share(c),
                minutes(c),
                c.textOrNull("stem"),
                c.textOrNull("reasonFor"),
                c.list("last").stream().map(Cursor::asText).toList(),
                c.flag("rubricShown", false),
                c.field("rubricKept").map(ParticularsReader::kept).orElse(null),
                c.list("examples").stream().map(ParticularsReader::example).toList());
    }

    /** A formatted text; whatever must not stand in one is named. */
    static @Nullable String rich(Cursor c, String name) {
        Optional<Cursor> field = c.field(name);
        if (field.isEmpty()) {
            return null;
        }
        String text = field.get().asText();
        RichText.faults(text).forEach(field.get()::fault);
        return text;
    }

    private static Particulars.Picture picture(Cursor c) {
        Particulars.Picture picture = new Particulars.Picture(c.text("file"), c.text("alt", ""));
        if (!HASH.matcher(picture.file()).matches()) {
            c.fault("a picture is named by the SHA-256 of its bytes");
        } else if (picture.alt().isBlank()) {
            c.fault("this picture has no description yet; say what it shows, for people who cannot see it");
        }
        c.refuseUnknown();
        return picture;
    }

    private static Particulars.Kept kept(Cursor c) {
        Particulars.Kept kept = new Particulars.Kept(c.text("id"), c.whole("version", 0));
        if (kept.version() < 1) {
            c.fault("a kept rubric is named with its version, from 1 on");
        }
        c.refuseUnknown();
        return kept;
    }

    private static Particulars.Feedback feedback(Cursor c) {
        Particulars.Feedback feedback =
                new Particulars.Feedback(rich(c, "right"), rich(c, "partial"), rich(c, "wrong"));
        c.refuseUnknown();
        return feedback;
    }

    private static @Nullable Fraction share(Cursor c) {
        Fraction share = c.fractionOrNull("difficulty");
        if (share != null && (share.signum() < 0 || share.compareTo(Fraction.ONE) > 0)) {
            c.field("difficulty").ifPresent(f -> f.fault("the difficulty is the share that is expected, from 0 to 1"));
        }
        return share;
    }

    private static @Nullable Fraction minutes(Cursor c) {
        Fraction minutes = c.fractionOrNull("minutes");
        if (minutes != null && minutes.signum() < 0) {
            c.field("minutes").ifPresent(f -> f.fault("the time is in minutes and not below 0"));
        }
        return minutes;
    }

    private static Particulars.Example example(Cursor c) {
        Optional<Cursor> answer = c.field("answer");
        boolean waits = c.text("state", "").equals("waits");
        Fraction credit = waits ? null : c.fraction("credit");
        if (answer.isEmpty()) {
            c.fault("an example needs its answer");
        }
        c.refuseUnknown();
        return new Particulars.Example(answer.map(Cursor::node).orElse(c.node()), credit);
    }
}
