package org.scholion.e2e;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import org.scholion.server.testing.Crowd;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;

/**
 * How reading feels in Chromium in a pile of 2,000 answers beside one of 30: from a key to the frame that shows the level,
 * and from Enter to the next answer; run by {@code bin/bench page}, never with the tests. It prints, and asserts nothing.
 */
@ExtendWith(Scholion.class)
class ReadBench {
    private static final int FEW = 30;
    private static final int MANY = 2_000;
    private static final int ANSWERS = 20;

    /** Notes for each key how long it takes until the page that is different because of it is painted. */
    private static final String WATCH = """
            window.took = {level: [], next: []};
            document.addEventListener('keydown', e => {
              const kind = e.key === 'Enter' ? 'next' : 'level';
              const from = performance.now();
              const watch = new MutationObserver(() => {
                watch.disconnect();
                requestAnimationFrame(() => setTimeout(() => window.took[kind].push(performance.now() - from)));
              });
              watch.observe(document.querySelector('main') ?? document.body,
                {childList: true, subtree: true, attributes: true, characterData: true});
            }, true);
            return true;""";

    private record Felt(double level, double next) {}

    private static double[] sorted(Object numbers) {
        return ((List<?>) numbers)
                .stream().mapToDouble(n -> ((Number) n).doubleValue()).sorted().toArray();
    }

    private static Felt read(Scholion.Running school, int answers) {
        Lesson lesson = Lesson.given(school, "A pile of " + answers, "A");
        Crowd.at(school, lesson, "A", answers);
        try (Browser aud = new Browser(school.address(), 1280, 900)) {
            aud.signIn("Aud Meller").open("/a/" + lesson.id + "/read").sees("Because the level falls.");
            aud.evaluate(WATCH);
            for (int i = 0; i < ANSWERS; i++) {
                aud.press("1", "1").sees("Saved.").press(Keys.ENTER).pause();
            }
            double[] levels = sorted(aud.evaluate("return window.took.level"));
            double[] nexts = sorted(aud.evaluate("return window.took.next"));
            System.out.printf(
                    "a pile of %,d answers: a level is painted %.0f ms after its key (90 of 100 under %.0f), the next"
                            + " answer %.0f ms after Enter (90 of 100 under %.0f)%n",
                    answers,
                    levels[levels.length / 2],
                    levels[levels.length * 9 / 10],
                    nexts[nexts.length / 2],
                    nexts[nexts.length * 9 / 10]);
            return new Felt(levels[levels.length / 2], nexts[nexts.length / 2]);
        }
    }

    @Test
    void a_pile_of_two_thousand_answers_beside_one_of_thirty(Scholion.Running school) {
        Felt few = read(school, FEW);
        Felt many = read(school, MANY);
        System.out.printf(
                "a pile of %,d beside one of %d: a level %.1f times, the next answer %.1f times as long%n",
                MANY, FEW, many.level() / few.level(), many.next() / few.next());
    }
}
