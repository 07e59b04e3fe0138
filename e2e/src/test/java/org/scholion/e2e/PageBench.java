package org.scholion.e2e;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.formats.json.Json;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * How a long key feels in Chromium: opening, scrolling and typing at 300 items beside 30, and typing with a slow server
 * beside a fast one; run by {@code bin/bench page}, never with the tests. It prints, and asserts nothing.
 */
@ExtendWith(Scholion.class)
class PageBench {
    private static final int FEW = 30;
    private static final int MANY = 300;
    private static final int SLOW_MILLISECONDS = 2_000;

    /** Wheels down the whole list, a step a frame, and says how long each frame took. */
    private static final String SCROLL = """
            const done = arguments[arguments.length - 1];
            const box = [...document.querySelectorAll('*')].find(e => e.scrollHeight > e.clientHeight + 100
              && ['auto', 'scroll'].includes(getComputedStyle(e).overflowY) && e.querySelector('tbody'))
              ?? document.scrollingElement;
            const frames = [];
            let last = performance.now();
            const step = now => {
              frames.push(now - last);
              last = now;
              box.scrollTop += 40;
              frames.length < 200 ? requestAnimationFrame(step) : done(frames.slice(5));
            };
            requestAnimationFrame(step);""";

    private static String paper(Scholion.Running school, int items) {
        String way = Papers.empty(school, items + " items");
        ObjectNode definition = Lesson.definition(items + " items").asObject();
        JsonNode choice = definition.get("items").get(0);
        ArrayNode all = definition.putArray("items");
        for (int i = 0; i < items; i++) {
            all.add(choice.deepCopy()
                    .asObject()
                    .put("id", "q" + (i + 1))
                    .put("prompt", "When is the range greatest? " + i));
        }
        Visitor aud = school.as("Aud Meller");
        aud.put(
                        "/api/assessments/" + way.substring(3) + "/key",
                        Map.of("definition", Json.MAPPER.convertValue(definition, Map.class), "revision", 0))
                .ok();
        return way;
    }

    private static double[] measure(Browser aud, String way, int items) {
        long began = System.nanoTime();
        aud.open(way + "/key?item=q1").sees("How this scores");
        double opened = (System.nanoTime() - began) / 1e6;
        double[] frames = ((List<?>) aud.evaluateLater(SCROLL))
                .stream().mapToDouble(f -> ((Number) f).doubleValue()).sorted().toArray();
        double typed = typing(aud);
        System.out.printf(
                "a key of %d items: opened in %.0f ms, a frame of scrolling %.1f ms (95 of 100 under %.1f, longest %.1f),"
                        + " a letter typed %.1f ms%n",
                items,
                opened,
                frames[frames.length / 2],
                frames[frames.length * 95 / 100],
                frames[frames.length - 1],
                typed);
        return new double[] {opened, frames[frames.length / 2], typed};
    }

    /** The median time from a letter to the frame that shows it, in milliseconds. */
    private static double typing(Browser aud) {
        aud.evaluate("""
                const field = document.querySelector("[aria-label='text of option A']");
                field.focus();
                window.took = [];
                field.addEventListener('keydown', () => {
                  const from = performance.now();
                  requestAnimationFrame(() => setTimeout(() => window.took.push(performance.now() - from)));
                });
                return true;""");
        for (char letter : "the greatest range of the tide comes after".toCharArray()) {
            aud.keys(String.valueOf(letter));
        }
        double[] took = ((List<?>) aud.evaluate("return window.took"))
                .stream().mapToDouble(f -> ((Number) f).doubleValue()).toArray();
        Arrays.sort(took);
        return took[took.length / 2];
    }

    @Test
    void a_sitting_on_a_slow_line_beside_a_fast_one(Scholion.Running school) {
        double fast = begun(school, "A fast line", false);
        double slow = begun(school, "A slow line", true);
        System.out.printf(
                "a sitting begun on a line of 400 kbit/s with 400 ms: the first question in %.0f ms, %.1f times as"
                        + " long as on a fast one%n",
                slow, slow / fast);
    }

    /** From the button that begins, on a page that is there, to the first question, in milliseconds. */
    private static double begun(Scholion.Running school, String title, boolean slow) {
        Lesson lesson = Lesson.given(school, title, "A");
        try (Browser lotte = new Browser(school.address(), 360, 740)) {
            lotte.signIn("Lotte Marrin").open("/todo/" + lesson.sitting()).sees("It closes");
            if (slow) {
                lotte.slowLine(400_000, 400);
            }
            long began = System.nanoTime();
            lotte.clickButton("Begin").sees("When is the range greatest?");
            return (System.nanoTime() - began) / 1e6;
        }
    }

    @Test
    void a_long_key_beside_a_short_one_and_a_slow_server_beside_a_fast_one(Scholion.Running school) {
        String few = paper(school, FEW);
        String many = paper(school, MANY);
        try (Browser aud = new Browser(school.address(), 1280, 800)) {
            aud.signIn("Aud Meller");
            measure(aud, few, FEW);
            double[] small = measure(aud, few, FEW);
            double[] large = measure(aud, many, MANY);
            System.out.printf(
                    "a key of %d items to one of %d: opening %.2f, scrolling %.2f, typing %.2f times as long%n",
                    MANY, FEW, large[0] / small[0], large[1] / small[1], large[2] / small[2]);
            aud.open(many + "/key?item=q1").sees("How this scores").latency(SLOW_MILLISECONDS);
            double slow = typing(aud);
            System.out.printf(
                    "a key whose server answers after %d ms: a letter typed %.1f ms, %.2f times as long%n",
                    SLOW_MILLISECONDS, slow, slow / large[2]);
        }
    }
}
