package org.scholion.server.bank;

import jakarta.persistence.EntityManager;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.scholion.server.access.Access;
import org.scholion.server.platform.Me;
import org.scholion.server.settle.DecidedBefore;
import org.scholion.server.settle.DecidedBefore.DecidedAnswer;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What students wrote to an item before, in this paper and where the same item of the bank was used, as it was decided. */
@Service
class EarlierAnswers {
    /** So many papers are looked into, the latest first. */
    private static final int PAPERS = 5;

    private static final int MOST = 20;

    private final EntityManager entities;
    private final DecidedBefore before;
    private final Access access;

    EarlierAnswers(EntityManager entities, DecidedBefore before, Access access) {
        this.entities = entities;
        this.before = before;
        this.access = access;
    }

    private record At(UUID assessment, String item) {}

    /** An answer that got different credit in two papers is told with the later one. */
    @Transactional(readOnly = true)
    List<DecidedAnswer> of(Me me, UUID assessment, String item) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        List<At> papers = new ArrayList<>(List.of(new At(assessment, item)));
        papers.addAll(entities.createQuery("""
                        select u.assessment, u.item from BankUse o join BankUse u on u.bankItem = o.bankItem
                        join AssessmentRow a on a.id = u.assessment
                        join CourseTeacher t on t.course = a.course and t.person = :me
                        where o.assessment = :assessment and o.item = :item and u.assessment <> :assessment
                        order by u.at desc""", At.class)
                .setParameter("me", me.id())
                .setParameter("assessment", assessment)
                .setParameter("item", item)
                .setMaxResults(PAPERS)
                .getResultList());
        Map<String, DecidedAnswer> answers = new LinkedHashMap<>();
        for (At at : papers) {
            for (DecidedAnswer one : before.of(at.assessment(), at.item())) {
                answers.merge(
                        one.text(),
                        one,
                        (there, more) -> new DecidedAnswer(there.text(), there.credit(), there.count() + more.count()));
            }
        }
        return answers.values().stream()
                .sorted(Comparator.comparing((DecidedAnswer a) -> -a.count()))
                .limit(MOST)
                .toList();
    }
}
