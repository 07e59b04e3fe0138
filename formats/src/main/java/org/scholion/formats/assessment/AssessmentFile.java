package org.scholion.formats.assessment;

import java.util.List;
import java.util.Map;
import org.scholion.core.standard.Framework;
import org.scholion.core.total.Assessment;

/**
 * What an assessment file holds: the assessment, the frameworks that its items are aligned to, and what moves no mark.
 *
 * @param particulars by item, only of items that have some
 */
public record AssessmentFile(
        Assessment assessment, List<Framework> frameworks, Map<String, Particulars> particulars, Layout layout) {
    public static final String FORMAT = "scholion-assessment/1";

    public AssessmentFile {
        frameworks = List.copyOf(frameworks);
        particulars = Map.copyOf(particulars);
    }

    public AssessmentFile(Assessment assessment, List<Framework> frameworks) {
        this(assessment, frameworks, Map.of(), Layout.PLAIN);
    }

    public Particulars particulars(String item) {
        return particulars.getOrDefault(item, Particulars.NONE);
    }
}
