package org.scholion.server.crosswalk;

import jakarta.persistence.EntityManager;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Alignment;
import org.scholion.core.number.Fraction;
import org.scholion.core.standard.Crosswalk;
import org.scholion.core.standard.Framework;
import org.scholion.server.access.Access;
import org.scholion.server.bank.BankItems;
import org.scholion.server.key.Assessments;
import org.scholion.server.key.Editions;
import org.scholion.server.key.ItemCodes;
import org.scholion.server.ledger.Regrading;
import org.scholion.server.platform.JsonColumn;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.scholion.server.standard.Frameworks;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Items whose tags belong to an older version, what they would become, and taking it over. */
@Service
class OutdatedTags {
    private final EntityManager entities;
    private final Crosswalks crosswalks;
    private final Frameworks frameworks;
    private final Assessments assessments;
    private final Editions editions;
    private final Regrading regrading;
    private final BankItems bank;
    private final Access access;

    OutdatedTags(
            EntityManager entities,
            Crosswalks crosswalks,
            Frameworks frameworks,
            Assessments assessments,
            Editions editions,
            Regrading regrading,
            BankItems bank,
            Access access) {
        this.entities = entities;
        this.crosswalks = crosswalks;
        this.frameworks = frameworks;
        this.assessments = assessments;
        this.editions = editions;
        this.regrading = regrading;
        this.bank = bank;
        this.access = access;
    }

    /**
     * An item with old tags.
     *
     * @param assessment the paper it stands in; null for an item of the bank
     * @param item its id in the paper, or in the bank
     * @param retired old codes that lead nowhere; they go
     * @param unmapped old codes for which nothing is known yet; they stay
     * @param lacking the paper's course where it does not use the newer version yet, so that it would not know the new
     *     codes
     */
    record Outdated(
            @Nullable UUID assessment,
            String title,
            String item,
            String prompt,
            List<String> old,
            List<String> proposed,
            List<String> retired,
            List<String> unmapped,
            @Nullable Lacking lacking) {}

    record Lacking(UUID id, String title) {}

    /** Which items to carry over: those of a paper, or items of the bank. */
    record TagTaken(@Nullable UUID assessment, String item) {}

    @Transactional(readOnly = true)
    public List<Outdated> of(Me me, UUID older, UUID newer) {
        Set<String> old = codes(frameworks.read(me, older));
        old.removeAll(codes(frameworks.read(me, newer)));
        Crosswalk crosswalk = crosswalks.links(older, newer);
        List<Outdated> all = new ArrayList<>();
        for (Drafted paper : drafted(me, newer)) {
            Lacking lacking = paper.hasNewer() ? null : new Lacking(paper.course(), paper.courseTitle());
            paper.draft()
                    .path("items")
                    .forEach(i ->
                            add(all, paper.id(), paper.title(), i.path("id").asString(""), i, old, crosswalk, lacking));
        }
        bank.tagged(me, old).forEach(i -> add(all, null, "", i.id().toString(), i.definition(), old, crosswalk, null));
        return all;
    }

    /** @param hasNewer whether the paper's course uses the newer version */
    record Drafted(UUID id, String title, JsonNode draft, UUID course, String courseTitle, boolean hasNewer) {}

    private List<Drafted> drafted(Me me, UUID newer) {
        return entities.createQuery("""
                        select a.id, a.title, a.draft, c.id, c.title, exists (
                          select 1 from CourseFramework f where f.course = c.id and f.framework = :newer)
                        from AssessmentRow a join Course c on c.id = a.course
                        join CourseTeacher t on t.course = c.id and t.person = :me
                        order by a.title""", Drafted.class)
                .setParameter("newer", newer)
                .setParameter("me", me.id())
                .getResultList();
    }

    private static Set<String> codes(Framework framework) {
        return framework.standards().stream()
                .map(Framework.Standard::code)
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    private static void add(
            List<Outdated> all,
            @Nullable UUID assessment,
            String title,
            String id,
            JsonNode item,
            Set<String> old,
            Crosswalk crosswalk,
            @Nullable Lacking lacking) {
        List<String> outdated =
                ItemCodes.own(item).stream().filter(old::contains).toList();
        if (outdated.isEmpty()) {
            return;
        }
        Crosswalk.Carried carried = crosswalk.carry(
                outdated.stream().map(c -> new Alignment(c, Fraction.ONE)).toList());
        all.add(new Outdated(
                assessment,
                title,
                id,
                item.path("prompt").asString(""),
                outdated,
                carried.mapped().stream().map(Alignment::code).toList(),
                codes(carried.unmapped(), crosswalk, true),
                codes(carried.unmapped(), crosswalk, false),
                lacking));
    }

    private static List<String> codes(List<Alignment> unmapped, Crosswalk crosswalk, boolean retired) {
        return unmapped.stream()
                .map(Alignment::code)
                .filter(code -> crosswalk.isRetired(code) == retired)
                .toList();
    }

    /** Carries tags over and removes retired ones; a paper that is given out gets a new edition, whose marks stay as they are. */
    @Transactional
    public int take(Me me, UUID older, UUID newer, List<TagTaken> taken) {
        Set<String> old = codes(frameworks.read(me, older));
        old.removeAll(codes(frameworks.read(me, newer)));
        Crosswalk crosswalk = crosswalks.links(older, newer);
        taken.stream()
                .map(TagTaken::assessment)
                .filter(Objects::nonNull)
                .distinct()
                .forEach(id -> inPaper(me, id, items(taken, id), old, crosswalk));
        items(taken, null).forEach(id -> inBank(me, bankId(id), old, crosswalk));
        return taken.size();
    }

    private static UUID bankId(String id) {
        try {
            return UUID.fromString(id);
        } catch (IllegalArgumentException e) {
            throw Refused.notFound();
        }
    }

    private static Set<String> items(List<TagTaken> taken, @Nullable UUID assessment) {
        return taken.stream()
                .filter(t -> Objects.equals(t.assessment(), assessment))
                .map(TagTaken::item)
                .collect(Collectors.toSet());
    }

    private void inPaper(Me me, UUID id, Set<String> items, Set<String> old, Crosswalk crosswalk) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, id);
        Assessments.KeyView key = assessments.key(me, id);
        ObjectNode draft = JsonColumn.node(key.definition()).deepCopy().asObject();
        draft.path("items").forEach(i -> {
            if (items.contains(i.path("id").asString(""))) {
                carry(i.asObject(), old, crosswalk);
            }
        });
        if (editions.latest(id).isEmpty()) {
            assessments.save(me, id, JsonColumn.plain(draft), key.revision());
        } else {
            JsonNode whole = assessments.whole(id, JsonColumn.plain(draft));
            int base = Objects.requireNonNull(key.edition(), "an assessment with an edition tells its number");
            regrading.confirm(
                    me,
                    id,
                    base,
                    latest -> new Regrading.Made(
                            Regrading.next(latest, whole), "standards carried over to a newer version"),
                    null);
        }
    }

    private void inBank(Me me, UUID id, Set<String> old, Crosswalk crosswalk) {
        ObjectNode item = bank.definition(me, id).deepCopy().asObject();
        carry(item, old, crosswalk);
        bank.change(me, id, JsonColumn.plain(item), bank.versions(me, id).get(0).version());
    }

    /** The item's own tags, those of its criteria and of its blanks. */
    private static void carry(ObjectNode item, Set<String> old, Crosswalk crosswalk) {
        carryAt(item, old, crosswalk);
        item.path("rubric").path("criteria").forEach(c -> carryAt(c.asObject(), old, crosswalk));
        item.path("parts").forEach(p -> carryAt(p.asObject(), old, crosswalk));
    }

    private static void carryAt(ObjectNode aligned, Set<String> old, Crosswalk crosswalk) {
        if (aligned.path("standards").isEmpty()) {
            return;
        }
        List<Alignment> outdated = new ArrayList<>();
        ArrayNode kept = aligned.arrayNode();
        aligned.path("standards").forEach(s -> {
            String code = s.path("code").asString("");
            if (old.contains(code)) {
                outdated.add(new Alignment(
                        code, Fraction.parse(s.path("weight").asString("1")).orElse(Fraction.ONE)));
            } else {
                kept.add(s);
            }
        });
        Crosswalk.Carried carried = crosswalk.carry(outdated);
        List<Alignment> next = new ArrayList<>(carried.mapped());
        carried.unmapped().stream().filter(a -> !crosswalk.isRetired(a.code())).forEach(next::add);
        next.forEach(a -> {
            ObjectNode one = kept.addObject().put("code", a.code());
            if (!a.weight().equals(Fraction.ONE)) {
                one.put("weight", a.weight().toExact());
            }
        });
        aligned.set("standards", kept);
    }
}
