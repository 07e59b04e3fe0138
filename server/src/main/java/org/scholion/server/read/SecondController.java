package org.scholion.server.read;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.platform.Me;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Reading twice: what is, and how far the readers agree. */
@RestController
@RequestMapping("/api/assessments/{assessment}/readings/{item}")
class SecondController {
    private final SecondReadings seconds;
    private final ReadersAgree agree;

    SecondController(SecondReadings seconds, ReadersAgree agree) {
        this.seconds = seconds;
        this.agree = agree;
    }

    @PutMapping("/second")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void plan(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID assessment,
            @PathVariable String item,
            @RequestBody SecondReadings.SecondPlan plan) {
        seconds.plan(me, assessment, item, plan);
    }

    @GetMapping("/agreement")
    List<ReadersAgree.ReadersView> agreement(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID assessment,
            @PathVariable String item,
            @RequestParam(required = false) @Nullable UUID section) {
        return agree.of(me, assessment, item, section);
    }
}
