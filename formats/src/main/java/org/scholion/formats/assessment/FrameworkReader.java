package org.scholion.formats.assessment;

import java.util.List;
import org.scholion.core.standard.Framework;
import org.scholion.formats.json.Cursor;

/** Reads a framework as the assessment file has it. */
public final class FrameworkReader {
    private FrameworkReader() {}

    /** The framework at this place; what is wrong is left with the cursor or thrown as the core refuses it. */
    public static Framework read(Cursor c) {
        List<Framework.Standard> standards = AssessmentReader.all(c.list("standards"), FrameworkReader::standard);
        Framework framework = new Framework(c.text("id"), c.text("title"), c.text("version", "1"), standards);
        c.refuseUnknown();
        return framework;
    }

    private static Framework.Standard standard(Cursor c) {
        Framework.Standard standard =
                new Framework.Standard(c.text("code"), c.textOrNull("parent"), c.text("text", ""));
        c.refuseUnknown();
        return standard;
    }
}
