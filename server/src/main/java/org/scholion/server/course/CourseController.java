package org.scholion.server.course;

import java.util.List;
import java.util.UUID;
import org.scholion.server.platform.Me;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

@RestController
@RequestMapping("/api/courses")
class CourseController {
    private final Courses courses;
    private final Rosters rosters;

    CourseController(Courses courses, Rosters rosters) {
        this.courses = courses;
        this.rosters = rosters;
    }

    @GetMapping
    List<Courses.CourseLine> list(@AuthenticationPrincipal Me me) {
        return courses.list(me);
    }

    @GetMapping("/{course}")
    Courses.CourseView see(@AuthenticationPrincipal Me me, @PathVariable UUID course) {
        return courses.see(me, course);
    }

    @PostMapping(value = "/{course}/roster/preview", consumes = "multipart/form-data")
    Rosters.RosterEffect preview(
            @AuthenticationPrincipal Me me, @PathVariable UUID course, @RequestPart MultipartFile file) {
        return rosters.preview(me, course, rosters.read(me, course, file::getBytes));
    }

    @PostMapping(value = "/{course}/roster", consumes = "multipart/form-data")
    Rosters.RosterEffect take(
            @AuthenticationPrincipal Me me, @PathVariable UUID course, @RequestPart MultipartFile file) {
        return rosters.take(me, course, rosters.read(me, course, file::getBytes));
    }
}
