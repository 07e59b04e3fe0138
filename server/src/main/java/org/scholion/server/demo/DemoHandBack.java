package org.scholion.server.demo;

import jakarta.persistence.EntityManager;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.scholion.server.comment.PaperComments;
import org.scholion.server.handback.HandingBack;
import org.scholion.server.handback.ResultPage;
import org.scholion.server.handback.Sees;
import org.scholion.server.handback.StudentResults;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.SchoolClock;
import org.springframework.stereotype.Component;

/** Chartwork check 4 is handed back, most students have looked, and two have asked about a mark. */
@Component
class DemoHandBack {
    private static final List<ResultPage.Message> MESSAGES = List.of(
            new ResultPage.Message("85", "Well done. Ask me for the harder sheet."),
            new ResultPage.Message("70", "You have this now. Keep your chart tidy."),
            new ResultPage.Message("60", "Nearly. Look at variation and deviation before Friday."),
            new ResultPage.Message("0", "Come and see me: we look at it together."));

    /** Of the whole paper, for some of them. */
    private static final Map<String, String> SAID = Map.of(
            "Wanda Ambler",
            "A tidy chart, {given name}. Write the time beside each fix, then the rest follows by itself.",
            "Noor Haddix",
            "You know the method, {given name}; it is the sign of the deviation that costs you.");

    private final HandingBack handingBack;
    private final PaperComments comments;
    private final StudentResults results;
    private final SchoolClock clock;
    private final EntityManager entities;

    DemoHandBack(
            HandingBack handingBack,
            PaperComments comments,
            StudentResults results,
            SchoolClock clock,
            EntityManager entities) {
        this.handingBack = handingBack;
        this.comments = comments;
        this.results = results;
        this.clock = clock;
        this.entities = entities;
    }

    void chartwork(Me teacher, UUID assessment, UUID section, Instant at, Instant now) {
        clock.at(at, () -> {
            List<HandingBack.HandBackLine> ready =
                    handingBack
                            .of(teacher, assessment, new HandingBack.Looking(section, null, null))
                            .students()
                            .stream()
                            .filter(HandingBack.HandBackLine::ready)
                            .toList();
            ready.stream()
                    .filter(line -> SAID.containsKey(line.name()))
                    .forEach(line -> comments.say(
                            teacher,
                            assessment,
                            line.attempt(),
                            new PaperComments.Own(SAID.getOrDefault(line.name(), ""), "")));
            List<UUID> attempts =
                    ready.stream().map(HandingBack.HandBackLine::attempt).toList();
            Sees sees = new Sees(true, true, true, true, false, true, true);
            handingBack.handBack(teacher, assessment, new HandingBack.HandBack(attempts, sees, MESSAGES));
        });
        List<Me> students = students(assessment);
        for (int i = 0; i < students.size(); i++) {
            Me student = students.get(i);
            if (i % 6 != 5) {
                clock.at(at.plus(Duration.ofMinutes(30L + 17L * i)), () -> look(student));
            }
        }
        ask(
                students,
                "Haddix",
                "q7",
                "The chart says 2016, and I took ten years times 8. Is it rounded to one decimal first?",
                now.minus(Duration.ofHours(46)));
        ask(
                students,
                "Kessler",
                "q5",
                "I wrote what our book calls it. Does the name matter if I know what it is?",
                now.minus(Duration.ofHours(9)));
    }

    private List<Me> students(UUID assessment) {
        return entities.createQuery("""
                        select distinct p.id, p.school, p.given, p.family from ResultRow r
                        join AttemptRow x on x.id = r.attempt join Person p on p.id = x.student
                        where x.assessment = :assessment order by p.family, p.given""", Named.class)
                .setParameter("assessment", assessment)
                .getResultStream()
                .map(n -> new Me(n.id(), n.school(), Me.Role.STUDENT, n.given(), n.family()))
                .toList();
    }

    record Named(UUID id, UUID school, String given, String family) {}

    private UUID look(Me student) {
        UUID result = results.list(student).get(0).id();
        results.see(student, result);
        return result;
    }

    private void ask(List<Me> students, String family, String item, String words, Instant at) {
        students.stream()
                .filter(s -> s.family().equals(family))
                .findFirst()
                .ifPresent(s -> clock.at(at, () -> results.ask(s, look(s), new StudentResults.Question(item, words))));
    }
}
