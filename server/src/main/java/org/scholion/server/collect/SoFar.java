package org.scholion.server.collect;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.Item;
import org.scholion.core.item.OpenItem;
import org.scholion.server.access.Access;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.scholion.server.ledger.Attempts;
import org.scholion.server.ledger.LedgerMark;
import org.scholion.server.ledger.MarkView;
import org.scholion.server.ledger.Said;
import org.scholion.server.platform.JsonColumn;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** Answers to one question as they come in: those that are handed in and those that are being worked on. */
@Service
class SoFar {
    private static final int MOST_GROUPS = 40;

    private final Attempts attempts;
    private final Drafts drafts;
    private final Editions editions;
    private final Access access;

    SoFar(Attempts attempts, Drafts drafts, Editions editions, Access access) {
        this.attempts = attempts;
        this.drafts = drafts;
        this.editions = editions;
        this.access = access;
    }

    /**
     * Equal answers.
     *
     * @param answer in the item's words; empty for an open answer, which is only counted
     * @param mark what the key gives to it
     */
    record SoFarGroup(String answer, int students, MarkView mark) {}

    /**
     * What is said so far.
     *
     * @param answered how many have said something
     * @param groups the most frequent first, and {@code others} how many answers are in none of them
     */
    record SoFarView(int number, String prompt, int answered, List<SoFarGroup> groups, int others) {}

    /** Equal answers while they are counted. */
    private static final class Group {
        private final String told;
        private final MarkView mark;
        private int students;

        Group(String told, MarkView mark) {
            this.told = told;
            this.mark = mark;
        }

        SoFarGroup asShown() {
            return new SoFarGroup(told, students, mark);
        }
    }

    @Transactional(readOnly = true)
    SoFarView of(Me me, UUID assessment, String id) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        Edition edition = editions.latest(assessment).orElseThrow(Refused::notFound);
        Item item = edition.items().stream()
                .filter(i -> i.id().equals(id))
                .findFirst()
                .orElseThrow(Refused::notFound);
        List<JsonNode> said = new ArrayList<>(drafts.working(assessment, id));
        attempts.responses(assessment, Set.of(id)).values().forEach(r -> said.addAll(r.values()));
        Map<String, Group> groups = new LinkedHashMap<>();
        if (item instanceof ChoiceItem choice && choice.max() == 1) {
            // An option that nobody has chosen stands there as well.
            choice.options().forEach(o -> group(groups, edition, item, JsonColumn.node(List.of(o.id()))));
        }
        int answered = 0;
        for (JsonNode answer : said) {
            if (Monitor.isSaid(answer)) {
                answered++;
                group(groups, edition, item, answer).students++;
            }
        }
        List<SoFarGroup> all = groups.values().stream()
                .map(Group::asShown)
                .sorted(Comparator.comparingInt(SoFarGroup::students).reversed().thenComparing(SoFarGroup::answer))
                .toList();
        List<SoFarGroup> shown = all.subList(0, Math.min(MOST_GROUPS, all.size()));
        int others = answered - shown.stream().mapToInt(SoFarGroup::students).sum();
        return new SoFarView(edition.numberOf(id), item.asked(), answered, shown, others);
    }

    /** The group of an answer; open answers are only counted, all in one. */
    private static Group group(Map<String, Group> groups, Edition edition, Item item, JsonNode answer) {
        Said said = Said.of(item, answer);
        boolean open = item instanceof OpenItem;
        return groups.computeIfAbsent(
                open ? "" : said.form(edition, item),
                f -> new Group(open ? "" : said.told(item, null), mark(edition, item, said)));
    }

    private static MarkView mark(Edition edition, Item item, Said said) {
        return MarkView.of(
                item,
                LedgerMark.byRule(
                        edition.assessmentId(),
                        item.id(),
                        said.markedBy(edition, item),
                        edition.number(),
                        Instant.EPOCH));
    }
}
