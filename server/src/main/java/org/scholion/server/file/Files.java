package org.scholion.server.file;

import jakarta.persistence.EntityManager;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Clock;
import java.time.Instant;
import java.util.HexFormat;
import java.util.Optional;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import org.jspecify.annotations.Nullable;
import org.scholion.server.access.Access;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The school's pictures, recordings and papers, each kept once by the SHA-256 of its bytes. */
@Service
public class Files {
    private static final int LARGEST_PICTURE = 10_000_000;
    private static final int LARGEST = 40_000_000;
    private static final int LONGEST_NAME = 200;

    /** What has to be unpacked before it is printed; photographs are printed as they are. */
    private static final int MOST_PIXELS = 25_000_000;

    private static final int MOST_PIXELS_OF_A_PHOTO = 120_000_000;

    private final Access access;
    private final EntityManager entities;
    private final Clock clock;

    Files(Access access, EntityManager entities, Clock clock) {
        this.access = access;
        this.entities = entities;
        this.clock = clock;
    }

    /**
     * A file that was taken.
     *
     * @param aspect height over width of a picture; null for anything else
     */
    public record Taken(
            String id,
            String name,
            String type,
            int size,
            @Nullable Double aspect) {}

    public record Content(String type, byte[] bytes) {}

    /** Keeps a file; the same bytes again are the same file. */
    @Transactional
    public Taken take(Me me, String name, byte[] bytes) {
        FileType type = FileType.of(bytes)
                .orElseThrow(() -> Refused.invalid(
                        "file",
                        "'" + name
                                + "' is no file that is taken here: pictures as PNG, JPEG, GIF or WebP, sound as MP3,"
                                + " M4A, Ogg or WAV, papers as PDF"));
        refuseLarge(name, type, bytes.length);
        Double aspect = type.isPicture() ? aspect(name, type, bytes) : null;
        String kept = name.length() > LONGEST_NAME ? name.substring(name.length() - LONGEST_NAME) : name;
        String id = sha256(bytes);
        entities.createQuery("""
                        insert into StoredFile (school, id, type, name, size, bytes, madeBy, madeAt)
                        values (:school, :id, :type, :name, :size, :bytes, :me, :now) on conflict do nothing""")
                .setParameter("school", me.school())
                .setParameter("id", id)
                .setParameter("type", type.media())
                .setParameter("name", kept.replace("\0", ""))
                .setParameter("size", bytes.length)
                .setParameter("bytes", bytes)
                .setParameter("me", me.id())
                .setParameter("now", clock.instant())
                .executeUpdate();
        entities.createQuery("""
                        insert into FileUse (school, file, object, kind)
                        values (:school, :id, :me, PERSON) on conflict do nothing""")
                .setParameter("school", me.school())
                .setParameter("id", id)
                .setParameter("me", me.id())
                .executeUpdate();
        return new Taken(id, name, type.media(), bytes.length, aspect);
    }

    private static void refuseLarge(String name, FileType type, int size) {
        int most = type.isPicture() ? LARGEST_PICTURE : LARGEST;
        if (size > most) {
            throw Refused.invalid(
                    "file",
                    "'" + name + "' has " + megabytes(size) + " MB; " + (type.isPicture() ? "a picture" : "a file")
                            + " may have " + megabytes(most) + ". Make it smaller and put it in again.");
        }
    }

    private static int megabytes(int bytes) {
        return Math.round(bytes / 1_000_000f);
    }

    /** Height over width. Read from the header alone, so that a picture that claims a huge size costs nothing. */
    private static @Nullable Double aspect(String name, FileType type, byte[] bytes) {
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(bytes))) {
            var readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) {
                return null;
            }
            ImageReader reader = readers.next();
            try {
                reader.setInput(in);
                int most = type == FileType.JPEG ? MOST_PIXELS_OF_A_PHOTO : MOST_PIXELS;
                if ((long) reader.getHeight(0) * reader.getWidth(0) > most) {
                    throw Refused.invalid(
                            "file",
                            "'" + name + "' has " + reader.getWidth(0) + " × " + reader.getHeight(0)
                                    + " points; make it smaller and put it in again");
                }
                return (double) reader.getHeight(0) / reader.getWidth(0);
            } finally {
                reader.dispose();
            }
        } catch (IOException e) {
            return null;
        }
    }

    /** A file for somebody who asks for it by its name; a refusal looks like absence. */
    @Transactional(readOnly = true)
    Content see(Me me, String id) {
        access.requireFile(me, id);
        return find(me, id).orElseThrow(Refused::notFound);
    }

    /** A file of the school, for what was let in already: a paper that is printed, a key that is carried elsewhere. */
    @Transactional(readOnly = true)
    public Optional<Content> find(Me me, String id) {
        return entities.createQuery(
                        "select f.type, f.bytes from StoredFile f where f.school = :school and f.id = :id",
                        Content.class)
                .setParameter("school", me.school())
                .setParameter("id", id)
                .getResultStream()
                .findFirst();
    }

    /** How many files somebody has put in since a moment. */
    @Transactional(readOnly = true)
    public long countOf(Me me, Instant since) {
        return entities.createQuery(
                        "select count(*) from StoredFile f where f.madeBy = :me and f.madeAt >= :since", Long.class)
                .setParameter("me", me.id())
                .setParameter("since", since)
                .getSingleResult();
    }

    private static String sha256(byte[] bytes) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }
}
