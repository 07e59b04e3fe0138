package org.scholion.server.platform;

import jakarta.persistence.EntityManager;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import javax.crypto.Cipher;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Other names for ids that must not be recognised. The same thing in the same place has the same other name at every
 * visit and on every node; without the server's secret it tells nothing about the id, its order or its other names.
 */
@Component
public class Veil {
    private static final char[] LETTERS = "abcdefghijklmnopqrstuvwxyz234567".toCharArray();
    private static final int LENGTH = 12;

    private final EntityManager entities;
    private volatile byte @Nullable [] secret;

    Veil(EntityManager entities) {
        this.entities = entities;
    }

    /** A short name that cannot be turned back. */
    public String name(String place, String id) {
        byte[] digest = digest(place + "\0" + id);
        StringBuilder name = new StringBuilder();
        for (int i = 0; i < LENGTH; i++) {
            name.append(LETTERS[digest[i] & 31]);
        }
        return name.toString();
    }

    /** An id that only {@link #uncovered} turns back, in the same place. */
    public UUID covered(String place, UUID id) {
        return one(Cipher.ENCRYPT_MODE, place, id);
    }

    /** The same of many at once. */
    public Map<UUID, UUID> covered(String place, Collection<UUID> ids) {
        Cipher cipher = cipher(Cipher.ENCRYPT_MODE, place);
        Map<UUID, UUID> all = new HashMap<>();
        ids.forEach(id -> all.put(id, one(cipher, id)));
        return all;
    }

    public UUID uncovered(String place, UUID covered) {
        return one(Cipher.DECRYPT_MODE, place, covered);
    }

    /** One block, so that a permutation of all ids is what is wanted: each place has a key of its own. */
    private UUID one(int mode, String place, UUID id) {
        return one(cipher(mode, place), id);
    }

    private Cipher cipher(int mode, String place) {
        try {
            Cipher cipher = Cipher.getInstance("AES/ECB/NoPadding");
            cipher.init(mode, new SecretKeySpec(digest(place), "AES"));
            return cipher;
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException("every Java has AES", e);
        }
    }

    private static UUID one(Cipher cipher, UUID id) {
        try {
            ByteBuffer block =
                    ByteBuffer.allocate(16).putLong(id.getMostSignificantBits()).putLong(id.getLeastSignificantBits());
            ByteBuffer other = ByteBuffer.wrap(cipher.doFinal(block.array()));
            return new UUID(other.getLong(), other.getLong());
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException("a block has its length", e);
        }
    }

    private byte[] digest(String text) {
        try {
            Mac mac = Mac.getInstance("HmacSHA256");
            mac.init(new SecretKeySpec(secret(), "HmacSHA256"));
            return mac.doFinal(text.getBytes(StandardCharsets.UTF_8));
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException("every Java has HMAC", e);
        }
    }

    private byte[] secret() {
        byte[] known = secret;
        if (known == null) {
            known = Objects.requireNonNull(entities.find(SecretRow.class, "names"), "the database has no secret").bytes;
            secret = known;
        }
        return known;
    }
}
