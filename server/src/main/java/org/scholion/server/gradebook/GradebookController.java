package org.scholion.server.gradebook;

import java.util.UUID;
import org.scholion.server.platform.Me;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

@RestController
class GradebookController {
    private final Gradebook gradebook;

    GradebookController(Gradebook gradebook) {
        this.gradebook = gradebook;
    }

    @GetMapping("/api/courses/{course}/gradebook")
    Gradebook.GradebookView of(@AuthenticationPrincipal Me me, @PathVariable UUID course) {
        return gradebook.of(me, course);
    }

    @GetMapping("/api/attempts/{attempt}/trace")
    Gradebook.Trace trace(@AuthenticationPrincipal Me me, @PathVariable UUID attempt) {
        return gradebook.trace(me, attempt);
    }
}
