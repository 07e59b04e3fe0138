package org.scholion.server.read;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.platform.Ids;
import org.scholion.server.platform.Lengths;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Comments that a reader keeps, each reader their own. */
@Service
public class KeptComments {
    private static final int LONGEST = 2_000;
    private static final int LONGEST_MARK = 30;
    private static final long MOST = 500;

    private final EntityManager entities;
    private final Ids ids;
    private final Clock clock;

    KeptComments(EntityManager entities, Ids ids, Clock clock) {
        this.entities = entities;
        this.ids = ids;
        this.clock = clock;
    }

    /**
     * @param letter of a short mark the key that sets it, in small letters; null for a comment
     * @param uses how often it was taken
     */
    public record CommentLine(
            UUID id, String text, @Nullable String letter, int uses) {}

    /** Those used most come first. */
    @Transactional(readOnly = true)
    public List<CommentLine> of(Me me) {
        return entities.createQuery("""
                        select c.id, c.text, c.letter, c.uses from KeptComment c
                        where c.owner = :me and c.deletedAt is null
                        order by c.uses desc, c.changedAt desc, c.id""", CommentLine.class)
                .setParameter("me", me.id())
                .getResultList();
    }

    /** Keeps it; one that says the same already is kept once. */
    @Transactional
    public CommentLine keep(Me me, String text, @Nullable String letter) {
        String kept = said(text, letter);
        List<KeptComment> same = entities.createQuery(
                        "from KeptComment where owner = :me and text = :text", KeptComment.class)
                .setParameter("me", me.id())
                .setParameter("text", kept)
                .getResultList();
        if (!same.isEmpty()) {
            KeptComment one = same.get(0);
            boolean standing = one.deletedAt == null;
            one.deletedAt = null;
            // One that stands stays the short mark that it is; another may have the letter of one that was removed.
            return standing && letter == null ? line(one) : lettered(one, letter);
        }
        long all = entities.createQuery(
                        "select count(*) from KeptComment where owner = :me and deletedAt is null", Long.class)
                .setParameter("me", me.id())
                .getSingleResult();
        if (all >= MOST) {
            throw Refused.conflict(
                    "enough",
                    "You keep " + all + " comments already. Remove one that you no longer use, then keep this.");
        }
        KeptComment one = new KeptComment(ids.next(), me.id(), kept, clock.instant());
        entities.persist(one);
        return lettered(one, letter);
    }

    @Transactional
    public CommentLine change(Me me, UUID id, String text, @Nullable String letter) {
        KeptComment one = own(me, id);
        one.text = said(text, letter);
        one.changedAt = clock.instant();
        return lettered(one, letter);
    }

    private CommentLine lettered(KeptComment one, @Nullable String letter) {
        one.letter = null;
        if (letter != null && !letter.isBlank()) {
            String key = letter.strip().toLowerCase(Locale.ROOT);
            if (!key.matches("[a-z]")) {
                throw Refused.invalid("letter", "A short mark has one letter from A to Z.");
            }
            entities.createQuery(
                            "select c.text from KeptComment c where c.owner = :me and c.letter = :key and c.deletedAt is null and c.id <> :id",
                            String.class)
                    .setParameter("me", one.owner)
                    .setParameter("key", key)
                    .setParameter("id", one.id)
                    .getResultStream()
                    .findFirst()
                    .ifPresent(taken -> {
                        throw Refused.invalid(
                                "letter",
                                key.toUpperCase(Locale.ROOT) + " already sets “" + taken + "”. Choose another letter.");
                    });
            one.letter = key;
        }
        return line(one);
    }

    /** It was put into a comment. */
    @Transactional
    public void used(Me me, UUID id) {
        own(me, id).uses++;
    }

    /** Keeping the same words again brings it back. */
    @Transactional
    public void remove(Me me, UUID id) {
        own(me, id).deletedAt = clock.instant();
    }

    /** What it says. */
    @Transactional(readOnly = true)
    public String text(Me me, UUID id) {
        return own(me, id).text;
    }

    private KeptComment own(Me me, UUID id) {
        KeptComment one = entities.find(KeptComment.class, id);
        if (one == null || one.deletedAt != null || !one.owner.equals(me.id())) {
            throw Refused.notFound();
        }
        return one;
    }

    private static String said(String text, @Nullable String letter) {
        boolean brief = letter != null && !letter.isBlank();
        String said = Lengths.atMost("text", text.strip(), brief ? LONGEST_MARK : LONGEST);
        if (said.isEmpty()) {
            throw Refused.invalid("text", "A comment that is kept says something.");
        }
        return said;
    }

    private static CommentLine line(KeptComment c) {
        return new CommentLine(c.id, c.text, c.letter, c.uses);
    }
}
