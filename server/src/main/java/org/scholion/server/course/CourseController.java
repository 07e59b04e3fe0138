package org.scholion.server.course;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.person.WaysIn;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Said;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

@RestController
@RequestMapping("/api/courses")
class CourseController {
    private final Courses courses;
    private final CourseWork work;
    private final OnRoster onRoster;
    private final Rosters rosters;

    CourseController(Courses courses, CourseWork work, OnRoster onRoster, Rosters rosters) {
        this.courses = courses;
        this.work = work;
        this.onRoster = onRoster;
        this.rosters = rosters;
    }

    record NewCourseId(UUID id) {}

    @GetMapping
    List<Courses.CourseLine> list(@AuthenticationPrincipal Me me) {
        return courses.list(me);
    }

    @GetMapping("/{course}")
    Courses.CourseView see(@AuthenticationPrincipal Me me, @PathVariable UUID course) {
        return courses.see(me, course);
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    NewCourseId add(@AuthenticationPrincipal Me me, @RequestBody CourseWork.NewCourse wanted) {
        return new NewCourseId(work.add(me, wanted));
    }

    @PutMapping("/{course}")
    Courses.CourseView change(
            @AuthenticationPrincipal Me me, @PathVariable UUID course, @RequestBody CourseWork.CourseChange wanted) {
        return work.change(me, course, wanted);
    }

    @PostMapping("/{course}/sections")
    Courses.CourseView addSection(
            @AuthenticationPrincipal Me me, @PathVariable UUID course, @RequestBody CourseWork.SectionChange wanted) {
        return work.addSection(me, course, wanted);
    }

    @PutMapping("/{course}/sections/{section}")
    Courses.CourseView changeSection(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID course,
            @PathVariable UUID section,
            @RequestBody CourseWork.SectionChange wanted) {
        return work.changeSection(me, course, section, wanted);
    }

    @DeleteMapping("/{course}/sections/{section}")
    Courses.CourseView removeSection(
            @AuthenticationPrincipal Me me, @PathVariable UUID course, @PathVariable UUID section) {
        return work.removeSection(me, course, section);
    }

    @PutMapping("/{course}/teachers/{person}")
    Courses.CourseView addTeacher(
            @AuthenticationPrincipal Me me, @PathVariable UUID course, @PathVariable UUID person) {
        return work.addTeacher(me, course, person);
    }

    @DeleteMapping("/{course}/teachers/{person}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeTeacher(@AuthenticationPrincipal Me me, @PathVariable UUID course, @PathVariable UUID person) {
        work.removeTeacher(me, course, person);
    }

    @PutMapping("/{course}/readers/{person}")
    Courses.CourseView addReader(@AuthenticationPrincipal Me me, @PathVariable UUID course, @PathVariable UUID person) {
        return work.addReader(me, course, person);
    }

    @DeleteMapping("/{course}/readers/{person}")
    Courses.CourseView removeReader(
            @AuthenticationPrincipal Me me, @PathVariable UUID course, @PathVariable UUID person) {
        return work.removeReader(me, course, person);
    }

    @PostMapping("/{course}/units")
    Courses.CourseView addUnit(
            @AuthenticationPrincipal Me me, @PathVariable UUID course, @RequestBody CourseWork.UnitChange wanted) {
        return work.addUnit(me, course, wanted);
    }

    @DeleteMapping("/{course}/units/{unit}")
    Courses.CourseView removeUnit(@AuthenticationPrincipal Me me, @PathVariable UUID course, @PathVariable UUID unit) {
        return work.removeUnit(me, course, unit);
    }

    @PostMapping("/{course}/students")
    Courses.CourseView addStudent(
            @AuthenticationPrincipal Me me, @PathVariable UUID course, @RequestBody OnRoster.NewStudent wanted) {
        return onRoster.add(me, course, wanted);
    }

    @PutMapping("/{course}/students/{student}/section")
    Courses.CourseView moveStudent(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID course,
            @PathVariable UUID student,
            @RequestBody OnRoster.NewSection wanted) {
        return onRoster.move(me, course, student, wanted.section());
    }

    @DeleteMapping("/{course}/students/{student}")
    Courses.CourseView removeStudent(
            @AuthenticationPrincipal Me me, @PathVariable UUID course, @PathVariable UUID student) {
        return onRoster.remove(me, course, student);
    }

    /** New codes for students to sign in with once, to print. */
    @PostMapping("/{course}/slips")
    List<WaysIn.Slip> slips(
            @AuthenticationPrincipal Me me, @PathVariable UUID course, @RequestBody OnRoster.SlipChoice chosen) {
        return onRoster.slips(me, course, chosen);
    }

    /** What a roster file would change; {@code asked} is what a person has said about it, as JSON. */
    @PostMapping(value = "/{course}/roster/preview", consumes = "multipart/form-data")
    Rosters.RosterEffect preview(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID course,
            @RequestPart MultipartFile file,
            @RequestPart(required = false) @Nullable String asked) {
        Rosters.RosterAsked said = asked(asked);
        return rosters.preview(me, course, rosters.read(me, course, file::getBytes, said), said);
    }

    @PostMapping(value = "/{course}/roster", consumes = "multipart/form-data")
    Rosters.RosterEffect take(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID course,
            @RequestPart MultipartFile file,
            @RequestPart(required = false) @Nullable String asked) {
        Rosters.RosterAsked said = asked(asked);
        return rosters.take(me, course, rosters.read(me, course, file::getBytes, said), said);
    }

    private static Rosters.RosterAsked asked(@Nullable String json) {
        return json == null ? Rosters.RosterAsked.NOTHING : Said.read(json, Rosters.RosterAsked.class);
    }
}
