package org.scholion.server.ledger;

import java.io.ByteArrayOutputStream;
import java.math.BigInteger;
import java.nio.ByteBuffer;
import java.util.ArrayList;
import java.util.List;
import org.scholion.core.number.Fraction;
import org.scholion.core.score.State;

/**
 * The current marks of one attempt, packed: for each item of the latest edition, in its order, a byte of flags, the
 * credit, the edition, and what else there is, in numbers of as many bytes as they need. Sixty marks take some 200 bytes,
 * so that ten thousand attempts are read at once.
 */
final class Tally {
    private static final State[] STATES = State.values();
    private static final int NO_MARK = 7;
    private static final int SAID = 1 << 3;
    private static final int PERSON = 1 << 4;
    private static final int RULED = 1 << 5;
    private static final int READ = 1 << 6;
    private static final int CHOSEN = 1 << 7;

    /** How a credit is written: none, all, or as what follows. */
    private static final int ZERO = 0;

    private static final int ONE = 1;
    private static final int FRACTION = 2;

    private Tally() {}

    static byte[] pack(List<Brief> marks) {
        ByteArrayOutputStream out = new ByteArrayOutputStream(marks.size() * 4 + 16);
        for (Brief b : marks) {
            int flags = b.state() == null ? NO_MARK : b.state().ordinal();
            flags |= b.said() ? SAID : 0;
            flags |= b.byPerson() ? PERSON : 0;
            flags |= b.ruled() ? RULED : 0;
            flags |= b.read() ? READ : 0;
            flags |= b.chosen().isEmpty() ? 0 : CHOSEN;
            out.write(flags);
            credit(out, b.credit());
            number(out, b.edition());
            if (b.state() != null && b.state().isUndecided()) {
                number(out, b.since());
            }
            if (!b.chosen().isEmpty()) {
                number(out, b.chosen().size());
                b.chosen().forEach(at -> number(out, at));
            }
        }
        return out.toByteArray();
    }

    private static void credit(ByteArrayOutputStream out, Fraction credit) {
        if (credit.isZero()) {
            out.write(ZERO);
        } else if (credit.equals(Fraction.ONE)) {
            out.write(ONE);
        } else {
            out.write(FRACTION);
            bytes(out, credit.numerator());
            bytes(out, credit.denominator());
        }
    }

    private static void bytes(ByteArrayOutputStream out, BigInteger n) {
        byte[] bytes = n.toByteArray();
        number(out, bytes.length);
        out.writeBytes(bytes);
    }

    /** Seven bits a byte, the lowest first. */
    private static void number(ByteArrayOutputStream out, long n) {
        long rest = n;
        while (rest >= 0x80) {
            out.write((int) (rest & 0x7f) | 0x80);
            rest >>>= 7;
        }
        out.write((int) rest);
    }

    static List<Brief> unpack(byte[] tally) {
        ByteBuffer in = ByteBuffer.wrap(tally);
        List<Brief> marks = new ArrayList<>();
        while (in.hasRemaining()) {
            int flags = in.get();
            int which = flags & 7;
            State state = which == NO_MARK ? null : STATES[which];
            Fraction credit = credit(in);
            int edition = (int) number(in);
            long since = state != null && state.isUndecided() ? number(in) : 0;
            List<Integer> chosen = (flags & CHOSEN) == 0 ? List.of() : places(in);
            marks.add(new Brief(
                    state,
                    credit,
                    (flags & SAID) != 0,
                    (flags & PERSON) != 0,
                    (flags & RULED) != 0,
                    (flags & READ) != 0,
                    edition,
                    since,
                    chosen));
        }
        return marks;
    }

    private static Fraction credit(ByteBuffer in) {
        return switch (in.get()) {
            case ZERO -> Fraction.ZERO;
            case ONE -> Fraction.ONE;
            default -> Fraction.of(whole(in), whole(in));
        };
    }

    private static BigInteger whole(ByteBuffer in) {
        byte[] bytes = new byte[(int) number(in)];
        in.get(bytes);
        return new BigInteger(bytes);
    }

    private static List<Integer> places(ByteBuffer in) {
        int n = (int) number(in);
        List<Integer> places = new ArrayList<>(n);
        for (int i = 0; i < n; i++) {
            places.add((int) number(in));
        }
        return places;
    }

    private static long number(ByteBuffer in) {
        long n = 0;
        for (int shift = 0; ; shift += 7) {
            byte next = in.get();
            n |= (long) (next & 0x7f) << shift;
            if (next >= 0) {
                return n;
            }
        }
    }
}
