package org.scholion.core.text;

import java.util.ArrayDeque;
import java.util.Deque;

/** Reads a pattern just far enough to see how its counted repeats nest. */
final class RepeatCount {
    private static final long ENOUGH = 1_000_000;

    private final String pattern;
    private int at;

    RepeatCount(String pattern) {
        this.pattern = pattern;
    }

    int greatest() {
        Deque<Long> open = new ArrayDeque<>();
        long inside = 1;
        long last = 1;
        while (at < pattern.length()) {
            char c = pattern.charAt(at);
            if (c == '\\') {
                at += 2;
                last = 1;
            } else if (c == '[') {
                skipClass();
                last = 1;
            } else if (c == '(') {
                open.push(inside);
                inside = 1;
                last = 1;
                at++;
            } else if (c == ')') {
                last = inside;
                inside = Math.max(inside, open.isEmpty() ? 1 : open.pop());
                at++;
            } else if (c == '{') {
                last = Math.min(ENOUGH, last * count());
                inside = Math.max(inside, last);
            } else {
                // Repeats may follow one another: a{9}{9} multiplies too; ? * + keep what is repeated.
                last = c == '?' || c == '*' || c == '+' ? last : 1;
                at++;
            }
        }
        for (long outer : open) {
            inside = Math.max(inside, outer);
        }
        return (int) inside;
    }

    private void skipClass() {
        at++;
        if (at < pattern.length() && pattern.charAt(at) == '^') {
            at++;
        }
        if (at < pattern.length() && pattern.charAt(at) == ']') {
            at++;
        }
        while (at < pattern.length() && pattern.charAt(at) != ']') {
            at += pattern.charAt(at) == '\\' ? 2 : 1;
        }
        at++;
    }

    private long count() {
        int end = pattern.indexOf('}', at);
        String inner = end < 0 ? "" : pattern.substring(at + 1, end);
        at = end < 0 ? at + 1 : end + 1;
        long most = 1;
        for (String bound : inner.split(",", -1)) {
            if (bound.matches("\\d{1,9}")) {
                most = Math.max(most, Long.parseLong(bound));
            } else if (bound.matches("\\d{10,}")) {
                most = ENOUGH;
            }
        }
        return most;
    }
}
