package org.scholion.sheets.paper;

/** What options are called on paper: A to Z, then AA, AB and so on. */
final class Letters {
    private static final int ALPHABET = 26;

    private Letters() {}

    static String of(int place) {
        String last = String.valueOf((char) ('A' + place % ALPHABET));
        return place < ALPHABET ? last : of(place / ALPHABET - 1) + last;
    }
}
