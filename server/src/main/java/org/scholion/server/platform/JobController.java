package org.scholion.server.platform;

import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** How far long work is, for whoever began it. */
@RestController
class JobController {
    private final Jobs jobs;

    JobController(Jobs jobs) {
        this.jobs = jobs;
    }

    @GetMapping("/api/jobs/{job}")
    Jobs.JobView job(@AuthenticationPrincipal Me me, @PathVariable UUID job) {
        return jobs.find(me, job).orElseThrow(Refused::notFound);
    }
}
