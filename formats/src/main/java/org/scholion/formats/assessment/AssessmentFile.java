package org.scholion.formats.assessment;

import java.util.List;
import org.scholion.core.standard.Framework;
import org.scholion.core.total.Assessment;

/** What an assessment file holds: the assessment and the frameworks that its items are aligned to. */
public record AssessmentFile(Assessment assessment, List<Framework> frameworks) {
    public static final String FORMAT = "scholion-assessment/1";

    public AssessmentFile {
        frameworks = List.copyOf(frameworks);
    }
}
