package org.scholion.server.collect;

import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.platform.Ids;
import org.scholion.server.platform.Lengths;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Ways of taking a sitting under names of a teacher's own: how, what is seen, how long; never dates or a code. */
@Service
class KeptSettings {
    private static final int LONGEST_NAME = 80;
    private static final int MOST = 50;

    private final EntityManager entities;
    private final Ids ids;

    KeptSettings(EntityManager entities, Ids ids) {
        this.entities = entities;
        this.ids = ids;
    }

    record KeptSettingsLine(UUID id, String name, @Nullable Integer minutes, SittingSettings settings, SeenWhen seen) {}

    record KeepSettings(String name, @Nullable Integer minutes, SittingSettings settings, SeenWhen seen) {}

    @Transactional(readOnly = true)
    List<KeptSettingsLine> of(Me me) {
        return rows(me).stream()
                .map(r -> new KeptSettingsLine(r.id, r.name, r.minutes, r.settings, r.seen))
                .toList();
    }

    private List<KeptSettingsRow> rows(Me me) {
        return entities.createQuery(
                        "from KeptSettingsRow k where k.owner = :me order by lower(k.name)", KeptSettingsRow.class)
                .setParameter("me", me.id())
                .getResultList();
    }

    /** Keeps settings under a name; what was kept under the same name before is replaced. */
    @Transactional
    List<KeptSettingsLine> keep(Me me, KeepSettings wanted) {
        String name = Lengths.atMost("name", wanted.name(), LONGEST_NAME).strip();
        if (name.isEmpty()) {
            throw Refused.invalid("name", "Give these settings a name, such as “quick check”.");
        }
        Sittings.requireMinutes(wanted.minutes());
        List<KeptSettingsRow> all = rows(me);
        KeptSettingsRow own = all.stream()
                .filter(r -> r.name.equalsIgnoreCase(name))
                .findFirst()
                .orElse(null);
        if (own == null && all.size() >= MOST) {
            throw Refused.conflict("too-many", "You have " + MOST + " kept settings. Remove one first.");
        }
        KeptSettingsRow row = own == null ? new KeptSettingsRow(ids.next(), me.school(), me.id()) : own;
        row.name = name;
        row.minutes = wanted.minutes();
        row.settings = wanted.settings().checked().withoutCode();
        row.seen = wanted.seen().withoutDate();
        if (own == null) {
            entities.persist(row);
        }
        entities.flush();
        return of(me);
    }

    @Transactional
    List<KeptSettingsLine> remove(Me me, UUID id) {
        KeptSettingsRow row = entities.find(KeptSettingsRow.class, id);
        if (row == null || !row.owner.equals(me.id())) {
            throw Refused.notFound();
        }
        entities.remove(row);
        entities.flush();
        return of(me);
    }
}
