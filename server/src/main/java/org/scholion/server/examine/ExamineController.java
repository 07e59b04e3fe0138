package org.scholion.server.examine;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.access.Access;
import org.scholion.server.platform.Me;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/assessments/{assessment}/examine")
class ExamineController {
    private final Examination examination;
    private final StudentsByQuestions students;
    private final QuestionAnswers answers;
    private final SectionsCompared sections;
    private final Remedies remedies;
    private final Access access;

    ExamineController(
            Examination examination,
            StudentsByQuestions students,
            QuestionAnswers answers,
            SectionsCompared sections,
            Remedies remedies,
            Access access) {
        this.examination = examination;
        this.students = students;
        this.answers = answers;
        this.sections = sections;
        this.remedies = remedies;
        this.access = access;
    }

    @GetMapping
    Examination.ExamineView of(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID assessment,
            @RequestParam(required = false) @Nullable UUID section) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        return examination.of(assessment, section);
    }

    @GetMapping("/students")
    StudentsByQuestions.StudentsView students(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID assessment,
            @RequestParam(required = false) @Nullable UUID section) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        return students.of(assessment, section);
    }

    @GetMapping("/questions/{item}")
    QuestionAnswers.QuestionView question(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID assessment,
            @PathVariable String item,
            @RequestParam(required = false) @Nullable UUID section) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        return answers.of(assessment, item, section);
    }

    @GetMapping("/sections")
    SectionsCompared.SectionsView sections(@AuthenticationPrincipal Me me, @PathVariable UUID assessment) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        return sections.of(assessment);
    }

    /** What a remedy would do. */
    @PostMapping("/remedies/preview")
    Remedies.RemedyView preview(
            @AuthenticationPrincipal Me me, @PathVariable UUID assessment, @RequestBody Remedies.Remedy remedy) {
        return remedies.preview(me, assessment, remedy);
    }

    @PostMapping("/remedies")
    Remedies.RemedyDone confirm(
            @AuthenticationPrincipal Me me, @PathVariable UUID assessment, @RequestBody Remedies.Remedy remedy) {
        return remedies.confirm(me, assessment, remedy);
    }
}
