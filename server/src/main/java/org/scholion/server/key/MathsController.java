package org.scholion.server.key;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.scholion.core.maths.Latex;
import org.scholion.core.maths.MathNames;
import org.scholion.core.maths.MathReader;
import org.scholion.core.maths.Unreadable;
import org.scholion.core.maths.Worked;
import org.scholion.server.platform.Refused;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Lines of mathematics as they are typed: how they are read, and for a key what they come to. Nothing is stored. */
@RestController
@RequestMapping("/api/maths")
class MathsController {
    private static final int LONGEST = 500;

    /** @param work whether results are wanted as well */
    record MathsLine(String line, List<String> variables, boolean work) {}

    /**
     * How a line was read.
     *
     * @param latex null when it cannot be read
     * @param why why not; empty when it can
     * @param results what it comes to, where that was asked for
     */
    record MathsShown(@Nullable String latex, String why, List<String> results) {}

    @PostMapping
    MathsShown show(@RequestBody MathsLine asked) {
        if (asked.line().length() > LONGEST) {
            throw Refused.invalid("line", "a line has at most " + LONGEST + " characters");
        }
        MathNames names = new MathNames(asked.variables());
        try {
            return new MathsShown(
                    Latex.of(MathReader.read(asked.line(), names)),
                    "",
                    asked.work() ? Worked.of(asked.line(), names) : List.of());
        } catch (Unreadable e) {
            return new MathsShown(null, e.why(), List.of());
        }
    }
}
