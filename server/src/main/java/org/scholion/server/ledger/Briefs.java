package org.scholion.server.ledger;

import jakarta.persistence.EntityManager;
import java.math.BigInteger;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.scholion.core.item.Item;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Reason;
import org.scholion.core.score.State;
import org.scholion.server.key.Edition;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/** Makes briefs of what ledger and responses say. */
@Component
class Briefs {
    /** Of so many attempts at a time, whatever is asked for. */
    private static final int AT_ONCE = 500;

    /** Without what is only told: of ten thousand attempts that is nearly all that lies in the ledger. */
    private static final String CURRENT = """
            select m.attempt, m.item, m.state, m.numerator, m.denominator,
                   cast(function('jsonb_extract_path_text', m.reason, 'code') as String), m.person is not null,
                   m.reading is not null, m.edition, m.at
            from MarkRow m where m.attempt in (:attempts)
              and m.seq = (select max(n.seq) from MarkRow n where n.attempt = m.attempt and n.item = m.item)""";

    private final EntityManager entities;
    private final Attempts attempts;

    Briefs(EntityManager entities, Attempts attempts) {
        this.entities = entities;
        this.attempts = attempts;
    }

    record Flat(
            UUID attempt,
            String item,
            State state,
            BigInteger numerator,
            BigInteger denominator,
            String code,
            boolean byPerson,
            boolean read,
            int edition,
            Instant at) {
        Brief brief(boolean said, List<Integer> chosen) {
            return new Brief(
                    state,
                    Fraction.of(numerator, denominator),
                    said,
                    byPerson,
                    Reason.Code.valueOf(code).rule().equals(Brief.RULING),
                    read,
                    edition,
                    state.isUndecided() ? at.toEpochMilli() : 0,
                    chosen);
        }
    }

    /** The briefs of some attempts, read from the ledger, in the order of an edition. */
    Map<UUID, List<Brief>> of(Edition edition, List<Attempt> some) {
        Map<UUID, List<Brief>> all = new HashMap<>();
        for (int from = 0; from < some.size(); from += AT_ONCE) {
            List<UUID> ids = some.subList(from, Math.min(some.size(), from + AT_ONCE)).stream()
                    .map(Attempt::id)
                    .toList();
            Map<UUID, Map<String, Flat>> marks = new HashMap<>();
            entities.createQuery(CURRENT, Flat.class)
                    .setParameter("attempts", ids)
                    .getResultList()
                    .forEach(m -> marks.computeIfAbsent(m.attempt(), a -> new HashMap<>())
                            .put(m.item(), m));
            Map<UUID, Map<String, JsonNode>> responses = attempts.responsesOf(ids);
            for (UUID id : ids) {
                Map<String, Flat> own = marks.getOrDefault(id, Map.of());
                Map<String, JsonNode> said = responses.getOrDefault(id, Map.of());
                List<Brief> briefs = new ArrayList<>();
                for (Item item : edition.items()) {
                    Brief plain = Brief.of(item, null, Said.to(item, said));
                    Flat mark = own.get(item.id());
                    briefs.add(mark == null ? plain : mark.brief(plain.said(), plain.chosen()));
                }
                all.put(id, briefs);
            }
        }
        return all;
    }

    static List<Brief> of(Edition edition, Map<String, LedgerMark> marks, Map<String, JsonNode> responses) {
        List<Brief> briefs = new ArrayList<>();
        for (Item item : edition.items()) {
            briefs.add(Brief.of(item, marks.get(item.id()), Said.to(item, responses)));
        }
        return briefs;
    }
}
