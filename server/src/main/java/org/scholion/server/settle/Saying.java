package org.scholion.server.settle;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Item;
import org.scholion.server.key.Edition;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.Attempts;
import org.scholion.server.ledger.Ledger;
import org.scholion.server.ledger.LedgerMark;
import org.scholion.server.ledger.Said;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/** What attempts say to one item, with their marks: read for those that are asked for, and only for that item. */
@Component
class Saying {
    private static final int AT_ONCE = 5_000;

    private final Attempts attempts;
    private final Ledger ledger;

    Saying(Attempts attempts, Ledger ledger) {
        this.attempts = attempts;
        this.ledger = ledger;
    }

    /** Those of these attempts that say something, in their order. */
    List<Doubts.Waiting> of(Item item, List<Attempt> some) {
        Set<String> only = Set.of(item.id());
        List<Doubts.Waiting> all = new ArrayList<>();
        for (int from = 0; from < some.size(); from += AT_ONCE) {
            List<Attempt> part = some.subList(from, Math.min(some.size(), from + AT_ONCE));
            List<UUID> ids = part.stream().map(Attempt::id).toList();
            all.addAll(said(item, part, attempts.responsesOf(ids, only), ledger.currentOf(ids, only)));
        }
        return all;
    }

    /** The same of those that wait, by which marks they are: why they wait is read for those that are shown. */
    List<Doubts.Waiting> inDoubt(Item item, List<Attempt> some) {
        List<Doubts.Waiting> all = new ArrayList<>();
        for (int from = 0; from < some.size(); from += AT_ONCE) {
            List<Attempt> part = some.subList(from, Math.min(some.size(), from + AT_ONCE));
            List<UUID> ids = part.stream().map(Attempt::id).toList();
            Map<UUID, Map<String, JsonNode>> responses = attempts.responsesOf(ids, Set.of(item.id()));
            Map<UUID, Long> places = ledger.placesOf(ids, item.id());
            for (Attempt attempt : part) {
                Said said = Said.to(item, responses.getOrDefault(attempt.id(), Map.of()));
                Long place = places.get(attempt.id());
                if (!said.isBlank() && place != null) {
                    all.add(new Doubts.Waiting(attempt, said, LedgerMark.inDoubt(attempt.id(), item.id(), place)));
                }
            }
        }
        return all;
    }

    /** Why answers of some attempts to this item wait. */
    Map<UUID, LedgerMark> whole(Item item, List<UUID> some) {
        Map<UUID, LedgerMark> all = new HashMap<>();
        ledger.currentOf(some, Set.of(item.id()))
                .forEach((attempt, own) -> all.put(attempt, Objects.requireNonNull(own.get(item.id()))));
        return all;
    }

    List<Doubts.Waiting> ofSome(Item item, Collection<UUID> ids) {
        return of(item, attempts.some(ids));
    }

    /** Equal responses have one form, so that it is made once of each. */
    Map<String, List<Doubts.Waiting>> ofForms(
            Edition edition, Item item, Collection<String> forms, @Nullable UUID section) {
        Map<UUID, Map<String, JsonNode>> responses = attempts.responses(edition.assessmentId(), Set.of(item.id()));
        Map<JsonNode, String> known = new HashMap<>();
        Map<UUID, String> own = new LinkedHashMap<>();
        Set<String> wanted = Set.copyOf(forms);
        responses.forEach((attempt, answers) -> {
            JsonNode given = answers.get(item.id());
            if (given != null) {
                String form = known.computeIfAbsent(given, g -> Said.of(item, g).form(edition, item));
                if (wanted.contains(form)) {
                    own.put(attempt, form);
                }
            }
        });
        Map<String, List<Doubts.Waiting>> all = new LinkedHashMap<>();
        forms.forEach(form -> all.put(form, new ArrayList<>()));
        of(
                        item,
                        attempts.some(List.copyOf(own.keySet())).stream()
                                .filter(a -> a.isIn()
                                        && (section == null || a.section().equals(section)))
                                .toList())
                .forEach(w -> Objects.requireNonNull(all.get(
                                Objects.requireNonNull(own.get(w.attempt().id()))))
                        .add(w));
        return all;
    }

    private static List<Doubts.Waiting> said(
            Item item,
            List<Attempt> in,
            Map<UUID, Map<String, JsonNode>> responses,
            Map<UUID, Map<String, LedgerMark>> current) {
        List<Doubts.Waiting> all = new ArrayList<>();
        for (Attempt attempt : in) {
            Said said = Said.to(item, responses.getOrDefault(attempt.id(), Map.of()));
            LedgerMark mark = current.getOrDefault(attempt.id(), Map.of()).get(item.id());
            if (!said.isBlank() && mark != null) {
                all.add(new Doubts.Waiting(attempt, said, mark));
            }
        }
        return all;
    }
}
