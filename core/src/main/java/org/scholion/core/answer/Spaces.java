package org.scholion.core.answer;

/** White space as Unicode has it: also no-break spaces, which the JDK's own notion leaves out. */
final class Spaces {
    private Spaces() {}

    static boolean only(String text) {
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (!Character.isWhitespace(c) && !Character.isSpaceChar(c) && c != '\u0085') {
                return false;
            }
        }
        return true;
    }
}
