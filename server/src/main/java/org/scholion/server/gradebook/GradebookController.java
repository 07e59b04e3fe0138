package org.scholion.server.gradebook;

import java.util.UUID;
import org.scholion.server.platform.Me;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
class GradebookController {
    private final Gradebook gradebook;
    private final Lateness lateness;

    GradebookController(Gradebook gradebook, Lateness lateness) {
        this.gradebook = gradebook;
        this.lateness = lateness;
    }

    /** @param days exact, such as {@code 1} or {@code 0.5} */
    record DaysLate(String days) {}

    @PostMapping("/api/attempts/{attempt}/late/preview")
    Lateness.LateEffect previewLate(
            @AuthenticationPrincipal Me me, @PathVariable UUID attempt, @RequestBody DaysLate late) {
        return lateness.preview(me, attempt, late.days());
    }

    @PutMapping("/api/attempts/{attempt}/late")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void setLate(@AuthenticationPrincipal Me me, @PathVariable UUID attempt, @RequestBody DaysLate late) {
        lateness.set(me, attempt, late.days());
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
