package org.scholion.server.platform;

import java.util.List;
import java.util.regex.Pattern;

/** How much each place takes at once, in bytes. The first that fits holds. */
final class BodyLimits {
    private static final int KILO = 1_000;
    private static final int MEGA = 1_000_000;

    private record Limit(Pattern path, int bytes) {}

    private static final List<Limit> LIMITS = List.of(
            limit("/api/session|/api/demo/session|/api/account/.*", 4 * KILO),
            limit("/api/student/attempts/[^/]+/answers/.*", 400 * KILO),
            limit("/api/student/attempts/[^/]+/files", 41 * MEGA),
            limit("/api/student/.*", 16 * KILO),
            limit("/api/files", 41 * MEGA),
            limit("/api/courses/[^/]+/assessment-file", 60 * MEGA),
            limit("/api/assessments/[^/]+/bring-in.*", 12 * MEGA),
            limit("/api/assessments/[^/]+/questions-in", 8 * MEGA),
            limit("/api/courses/[^/]+/roster.*|/api/frameworks/file.*", 4 * MEGA),
            limit("/api/assessments/[^/]+/(key|editions.*|sums|trials.*|key-from)|/api/frameworks.*", 5 * MEGA),
            limit("/api/assessments/[^/]+/questions-text", 3 * MEGA),
            limit("/api/items/check|/api/bank/items.*|/api/rubrics.*|/api/crosswalks/.*", MEGA),
            limit("/api/assessments/[^/]+/hand-back", 2 * MEGA),
            limit("/api/.*", 256 * KILO));

    private BodyLimits() {}

    private static Limit limit(String path, int bytes) {
        return new Limit(Pattern.compile(path), bytes);
    }

    static int of(String method, String path) {
        if (method.equals("GET") || method.equals("HEAD")) {
            return KILO;
        }
        return LIMITS.stream()
                .filter(l -> l.path().matcher(path).matches())
                .map(Limit::bytes)
                .findFirst()
                .orElse(KILO);
    }
}
