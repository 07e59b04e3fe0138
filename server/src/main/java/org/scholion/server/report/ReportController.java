package org.scholion.server.report;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.access.Access;
import org.scholion.server.attainment.Attainments;
import org.scholion.server.course.Courses;
import org.scholion.server.examine.Examination;
import org.scholion.server.gradebook.Gradebook;
import org.scholion.server.key.Assessments;
import org.scholion.server.person.Schools;
import org.scholion.server.platform.HeavyWork;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.scholion.sheets.paper.PaperPdf;
import org.scholion.sheets.report.Report;
import org.scholion.sheets.report.ReportPage;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Reports to print: of a paper, and of the students of a course. */
@RestController
class ReportController {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.UK);

    private final Examination examination;
    private final Attainments attainments;
    private final Gradebook gradebook;
    private final Assessments assessments;
    private final Courses courses;
    private final Schools schools;
    private final HeavyWork heavyWork;
    private final Access access;
    private final Clock clock;

    ReportController(
            Examination examination,
            Attainments attainments,
            Gradebook gradebook,
            Assessments assessments,
            Courses courses,
            Schools schools,
            HeavyWork heavyWork,
            Access access,
            Clock clock) {
        this.examination = examination;
        this.attainments = attainments;
        this.gradebook = gradebook;
        this.assessments = assessments;
        this.courses = courses;
        this.schools = schools;
        this.heavyWork = heavyWork;
        this.access = access;
        this.clock = clock;
    }

    /** @param names whether those below the pass mark are named */
    @GetMapping(value = "/api/assessments/{assessment}/report", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> ofPaper(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID assessment,
            @RequestParam(required = false) @Nullable UUID section,
            @RequestParam(defaultValue = "false") boolean names) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        Assessments.Facts facts = assessments.facts(assessment);
        Examination.ExamineView view = examination.of(assessment, section);
        String below = courses.titleOf(facts.course()) + " · "
                + (section == null
                        ? "all sections"
                        : courses.sectionNames(List.of(section)).getOrDefault(section, ""))
                + " · edition " + view.edition();
        return pdf(
                me, facts.title() + " - report", List.of(PaperReport.of(facts.title(), below, aside(me), view, names)));
    }

    /** @param student one alone; all of the section, or of the course, where nobody is named */
    @GetMapping(value = "/api/courses/{course}/student-reports", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> ofStudents(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID course,
            @RequestParam(required = false) @Nullable UUID framework,
            @RequestParam(required = false) @Nullable UUID section,
            @RequestParam(required = false) @Nullable UUID student) {
        access.require(me, Access.Action.SEE_COURSE, course);
        Attainments.AttainmentView shown = attainments
                .of(me, course, new Attainments.Looked(framework, section, null))
                .only(student);
        if (shown.students().isEmpty()) {
            throw Refused.notFound();
        }
        return pdf(me, shown.course() + " - students", StudentReports.of(shown, gradebook.of(me, course), aside(me)));
    }

    private List<String> aside(Me me) {
        ZoneId zone = ZoneId.of(schools.zone(me.school()));
        return List.of(schools.name(me.school()), "made " + DAY.withZone(zone).format(clock.instant()));
    }

    private ResponseEntity<byte[]> pdf(Me me, String name, List<Report> reports) {
        byte[] bytes = heavyWork.inTurn(me, () -> PaperPdf.of(ReportPage.of(name, reports)));
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.inline()
                                .filename(
                                        name.replaceAll("[\\\\/:*?\"<>|\\p{Cntrl}]", "_") + ".pdf",
                                        StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .body(bytes);
    }
}
