package org.scholion.formats.questions;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Questions typed as plain text, in blocks that begin with a question mark at the begin of a line. What a line is shows
 * its first sign; docs/questions.md has all of them with examples.
 */
public final class QuestionText {
    private QuestionText() {}

    /**
     * Every question of the text, in order; text before the first question is told as a fault of the first.
     *
     * @param codes the standards of the course; empty when it works with none, and then every code is taken
     */
    public static List<FoundItem> read(String text, Set<String> codes) {
        List<FoundItem> items = new ArrayList<>();
        TextBlock block = null;
        @Nullable String passage = null;
        String[] lines = text.replace("\uFEFF", "").split("\r\n|\n|\r", -1);
        for (int i = 0; i < lines.length; i++) {
            String line = lines[i].strip();
            if (line.startsWith("|")) {
                passage = close(items, block, passage);
                block = new TextBlock(i + 1, true, codes);
                block.asked(line.substring(1));
            } else if (line.startsWith("?")) {
                passage = close(items, block, passage);
                block = new TextBlock(i + 1, false, codes);
                block.asked(line.substring(1));
                passage = line.startsWith("??") ? null : passage;
            } else if (!line.isEmpty()) {
                block = block == null ? new TextBlock(i + 1, false, codes) : block;
                block.line(line, i + 1);
            }
        }
        close(items, block, passage);
        return items;
    }

    /** Adds what a block holds; the id of the passage that the next questions belong to. */
    private static @Nullable String close(List<FoundItem> items, @Nullable TextBlock block, @Nullable String passage) {
        if (block == null) {
            return passage;
        }
        String id = "q" + (items.size() + 1);
        items.add(block.item(id, block.isPassage() ? null : passage));
        return block.isPassage() ? id : passage;
    }
}
