package org.scholion.server.attainment;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Item;
import org.scholion.core.reason.Words;
import org.scholion.core.standard.Attainment;
import org.scholion.core.standard.Evidence;
import org.scholion.core.standard.Framework;
import org.scholion.formats.assessment.FrameworkReader;
import org.scholion.formats.json.Cursor;
import org.scholion.server.access.Access;
import org.scholion.server.ledger.Ledger;
import org.scholion.server.ledger.LedgerMark;
import org.scholion.server.ledger.MarkView;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.scholion.server.standard.AttainmentRules;
import org.scholion.server.standard.Frameworks;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What one student's attainment of one standard rests on, down to the marks; of a whole class the questions. */
@Service
class EvidenceOf {
    private final Frameworks frameworks;
    private final AttainmentRules rules;
    private final CourseEvidence evidence;
    private final Ledger ledger;
    private final Access access;

    EvidenceOf(Frameworks frameworks, AttainmentRules rules, CourseEvidence evidence, Ledger ledger, Access access) {
        this.frameworks = frameworks;
        this.rules = rules;
        this.evidence = evidence;
        this.ledger = ledger;
        this.access = access;
    }

    /** @param mark the student's; null where nobody is looked at, or they were not asked it */
    record EvidenceQuestion(
            String item,
            int number,
            String prompt,
            List<String> codes,
            @Nullable MarkView mark) {}

    /**
     * An assessment that counts.
     *
     * @param attempt the student's attempt; null where nobody is looked at
     * @param percent what it shows on the standard by itself; null where it shows nothing
     */
    record EvidencePaper(
            UUID assessment,
            String title,
            @Nullable UUID attempt,
            @Nullable String percent,
            List<EvidenceQuestion> questions) {}

    /**
     * The evidence.
     *
     * @param because how the attainment comes about; empty where nobody is looked at
     * @param interval where the share lies with 95 % confidence; null without evidence
     */
    record EvidenceView(
            String code,
            String text,
            @Nullable String percent,
            @Nullable String level,
            @Nullable ShareRange interval,
            int pieces,
            String because,
            List<EvidencePaper> papers) {}

    /** From 0 to 1. */
    record ShareRange(double low, double high) {}

    @Transactional(readOnly = true)
    EvidenceView of(Me me, UUID course, @Nullable UUID frameworkId, String code, @Nullable UUID student) {
        access.require(me, Access.Action.SEE_COURSE, course);
        Frameworks.OfCourse chosen = Attainments.chosen(frameworks.namedOfCourse(course), frameworkId);
        Framework framework = FrameworkReader.read(Cursor.at(chosen.definition()));
        Framework.Standard standard = framework.find(code).orElseThrow(Refused::notFound);
        List<CourseEvidence.Paper> all =
                student == null ? evidence.asked(course, framework) : evidence.ofStudent(course, framework, student);
        Map<UUID, Map<String, LedgerMark>> marks = marks(all);
        List<EvidencePaper> papers = new ArrayList<>();
        List<CourseEvidence.Shown> shown = new ArrayList<>();
        for (CourseEvidence.Paper paper : all) {
            CourseEvidence.Shown own = paper.attempts().stream().findFirst().orElse(null);
            if (own != null) {
                shown.add(own);
            }
            EvidencePaper told = paper(
                    framework,
                    paper,
                    own,
                    code,
                    own == null ? Map.of() : marks.getOrDefault(own.attempt().id(), Map.of()));
            if (!told.questions().isEmpty()) {
                papers.add(told);
            }
        }
        return view(standard, rules.of(chosen.id()).way().rule(), shown, papers, student);
    }

    private static EvidenceView view(
            Framework.Standard standard,
            Attainment.Rule rule,
            List<CourseEvidence.Shown> shown,
            List<EvidencePaper> papers,
            @Nullable UUID student) {
        List<Evidence> all = shown.stream()
                .sorted(Comparator.comparing(CourseEvidence.Shown::at))
                .map(s -> s.codes().get(standard.code()))
                .filter(java.util.Objects::nonNull)
                .map(e -> (Evidence) e)
                .toList();
        Attainment a = Attainment.of(rule, all);
        return new EvidenceView(
                standard.code(),
                standard.text(),
                a.percent() == null ? null : a.percent().toFixed(rule.percentDigits()),
                a.level() == null ? null : a.level().label(),
                a.interval() == null
                        ? null
                        : new ShareRange(a.interval().low(), a.interval().high()),
                a.pieces(),
                student == null ? "" : Words.english(a.reason()),
                papers);
    }

    private Map<UUID, Map<String, LedgerMark>> marks(List<CourseEvidence.Paper> papers) {
        List<UUID> attempts = papers.stream()
                .flatMap(p -> p.attempts().stream())
                .map(s -> s.attempt().id())
                .toList();
        return attempts.isEmpty() ? Map.of() : ledger.currentOf(attempts);
    }

    private static EvidencePaper paper(
            Framework framework,
            CourseEvidence.Paper paper,
            CourseEvidence.@Nullable Shown own,
            String code,
            Map<String, LedgerMark> marks) {
        List<EvidenceQuestion> questions = new ArrayList<>();
        for (Item item : paper.edition().items()) {
            List<String> codes = Attainments.codesUnder(framework, item, code);
            boolean asked = own == null || !own.attempt().leftOut().contains(item.id());
            if (!codes.isEmpty() && asked) {
                LedgerMark mark = marks.get(item.id());
                questions.add(new EvidenceQuestion(
                        item.id(),
                        paper.edition().numberOf(item.id()),
                        item.asked(),
                        codes,
                        mark == null ? null : MarkView.of(item, mark)));
            }
        }
        Evidence evidence = own == null ? null : own.codes().get(code);
        return new EvidencePaper(
                paper.assessed().assessment(),
                paper.assessed().title(),
                own == null ? null : own.attempt().id(),
                evidence == null || evidence.percent() == null
                        ? null
                        : evidence.percent().toFixed(0),
                questions);
    }
}
