package org.scholion.server.desk;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.platform.Me;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
class DeskController {
    private final Desk desk;
    private final Finder finder;

    DeskController(Desk desk, Finder finder) {
        this.desk = desk;
        this.finder = finder;
    }

    @GetMapping("/desk")
    Desk.DeskView desk(@AuthenticationPrincipal Me me) {
        return desk.of(me);
    }

    @GetMapping("/find")
    List<Finder.Found> find(@AuthenticationPrincipal Me me, @RequestParam String words) {
        return finder.find(me, words);
    }

    @GetMapping("/assessments/{assessment}")
    Desk.AssessmentHeader header(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID assessment,
            @RequestParam(required = false) @Nullable UUID section) {
        return desk.header(me, assessment, section);
    }

    @GetMapping("/courses/{course}/assessments")
    List<Desk.AssessmentLine> ofCourse(@AuthenticationPrincipal Me me, @PathVariable UUID course) {
        return desk.ofCourse(me, course);
    }
}
