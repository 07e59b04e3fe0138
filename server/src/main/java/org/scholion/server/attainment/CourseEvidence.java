package org.scholion.server.attainment;

import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.BlanksItem;
import org.scholion.core.item.Item;
import org.scholion.core.item.OpenItem;
import org.scholion.core.score.Mark;
import org.scholion.core.standard.Alignments;
import org.scholion.core.standard.Evidence;
import org.scholion.core.standard.Framework;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.Brief;
import org.scholion.server.ledger.Ledger;
import org.scholion.server.ledger.LedgerMark;
import org.scholion.server.ledger.Marked;
import org.scholion.server.ledger.MarkedPaper;
import org.scholion.server.ledger.MarkedPapers;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What the current marks of a course's assessments show on the standards of one framework. */
@Component
public class CourseEvidence {
    private final EntityManager entities;
    private final Editions editions;
    private final MarkedPapers papers;
    private final Ledger ledger;

    CourseEvidence(EntityManager entities, Editions editions, MarkedPapers papers, Ledger ledger) {
        this.entities = entities;
        this.editions = editions;
        this.papers = papers;
        this.ledger = ledger;
    }

    /** An assessment of the course that was answered. */
    public record Assessed(UUID assessment, String title) {}

    /**
     * What one attempt shows.
     *
     * @param codes on each standard of which there is evidence
     */
    record Shown(Attempt attempt, Instant at, Map<String, Evidence> codes) {}

    /** One assessment with what its attempts show, each student once. */
    record Paper(Assessed assessed, Edition edition, List<Shown> attempts) {}

    /** Every assessment of the course that has something to say on the framework, the earliest first. */
    @Transactional(readOnly = true)
    List<Paper> of(UUID course, Framework framework) {
        return shown(aligned(course, framework), framework, null);
    }

    /** The same with what one student shows, of those in which they show anything. */
    @Transactional(readOnly = true)
    List<Paper> ofStudent(UUID course, Framework framework, UUID student) {
        return shown(aligned(course, framework), framework, student).stream()
                .filter(p -> !p.attempts().isEmpty())
                .toList();
    }

    /** The same assessments without their attempts: only what they ask. */
    @Transactional(readOnly = true)
    List<Paper> asked(UUID course, Framework framework) {
        List<Paper> all = new ArrayList<>();
        aligned(course, framework).forEach((assessed, edition) -> all.add(new Paper(assessed, edition, List.of())));
        return all;
    }

    private Map<Assessed, Edition> aligned(UUID course, Framework framework) {
        List<Assessed> assessed = assessed(course);
        Map<UUID, Edition> latest =
                editions.latestOf(assessed.stream().map(Assessed::assessment).toList());
        Map<Assessed, Edition> aligned = new LinkedHashMap<>();
        for (Assessed one : assessed) {
            Edition edition = latest.get(one.assessment());
            if (edition != null && isAligned(edition, framework)) {
                aligned.put(one, edition);
            }
        }
        return aligned;
    }

    private List<Paper> shown(Map<Assessed, Edition> aligned, Framework framework, @Nullable UUID student) {
        List<MarkedPaper> marked = papers.onceEachOf(aligned.values(), student);
        Map<UUID, Map<String, LedgerMark>> reasons = reasons(marked);
        List<Paper> all = new ArrayList<>();
        List<Assessed> inOrder = List.copyOf(aligned.keySet());
        for (int i = 0; i < marked.size(); i++) {
            all.add(paper(inOrder.get(i), marked.get(i), framework, reasons));
        }
        return all;
    }

    private List<Assessed> assessed(UUID course) {
        return entities.createQuery("""
                        select a.id, a.title from AssessmentRow a where a.course = :course
                        and exists (select 1 from AttemptRow x where x.assessment = a.id and x.handedInAt is not null)
                        order by a.madeAt, a.id""", Assessed.class)
                .setParameter("course", course)
                .getResultList();
    }

    private static boolean isAligned(Edition edition, Framework framework) {
        return edition.items().stream()
                .flatMap(i -> Alignments.codes(i).stream())
                .anyMatch(code -> framework.find(code).isPresent());
    }

    private Map<UUID, Map<String, LedgerMark>> reasons(List<MarkedPaper> papers) {
        Set<String> items = new HashSet<>();
        List<UUID> attempts = new ArrayList<>();
        for (MarkedPaper paper : papers) {
            Set<String> own = needReasons(paper.edition());
            if (!own.isEmpty()) {
                items.addAll(own);
                paper.attempts().forEach(m -> attempts.add(m.attempt().id()));
            }
        }
        return attempts.isEmpty() ? Map.of() : ledger.currentOf(attempts, items);
    }

    private static Paper paper(
            Assessed assessed, MarkedPaper paper, Framework framework, Map<UUID, Map<String, LedgerMark>> reasons) {
        Alignments alignments = new Alignments(paper.edition().assessment(), List.of(framework));
        List<Shown> shown = new ArrayList<>();
        for (Marked marked : paper.attempts()) {
            List<Mark> marks = marks(
                    paper.edition(),
                    marked,
                    reasons.getOrDefault(marked.attempt().id(), Map.of()));
            Instant at = marked.attempt().handedInAt();
            shown.add(
                    new Shown(marked.attempt(), at == null ? marked.attempt().startedAt() : at, alignments.of(marks)));
        }
        return new Paper(assessed, paper.edition(), shown);
    }

    /** What criteria and blanks earned stands in the reason of a mark, and is only read where they have standards. */
    private static Set<String> needReasons(Edition edition) {
        return edition.items().stream()
                .filter(i -> i instanceof OpenItem open
                                && open.criteria().stream()
                                        .anyMatch(c -> !c.standards().isEmpty())
                        || i instanceof BlanksItem blanks
                                && blanks.parts().stream()
                                        .anyMatch(p -> !p.item().standards().isEmpty()))
                .map(Item::id)
                .collect(Collectors.toSet());
    }

    private static List<Mark> marks(Edition edition, Marked marked, Map<String, LedgerMark> whole) {
        List<Brief> briefs = marked.marks();
        List<Mark> marks = new ArrayList<>();
        for (int j = 0; j < briefs.size(); j++) {
            Item item = edition.items().get(j);
            LedgerMark mark = whole.get(item.id());
            if (marked.attempt().leftOut().contains(item.id())) {
                // What was not drawn was not asked: it shows nothing.
                marks.add(Mark.EXCUSED);
            } else {
                marks.add(mark == null ? briefs.get(j).mark() : mark.mark());
            }
        }
        return marks;
    }

    /** For each student what they have shown on each standard, one for each assessment, in order of time. */
    static Map<UUID, Map<String, List<Evidence>>> byStudent(List<Paper> papers) {
        Map<UUID, List<Shown>> attempts = new HashMap<>();
        papers.forEach(p -> p.attempts()
                .forEach(s -> attempts.computeIfAbsent(s.attempt().student(), x -> new ArrayList<>())
                        .add(s)));
        Map<UUID, Map<String, List<Evidence>>> all = new HashMap<>();
        attempts.forEach((student, own) -> {
            own.sort(Comparator.comparing(Shown::at));
            Map<String, List<Evidence>> codes = new HashMap<>();
            own.forEach(s -> s.codes()
                    .forEach((code, evidence) ->
                            codes.computeIfAbsent(code, c -> new ArrayList<>()).add(evidence)));
            all.put(student, codes);
        });
        return all;
    }
}
