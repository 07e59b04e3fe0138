package org.scholion.server.read;

import java.util.UUID;
import org.scholion.server.platform.Me;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What is pointed out beside an answer, and which of it. */
@RestController
@RequestMapping("/api/assessments/{assessment}/readings/{item}")
class HintController {
    private final Hints hints;
    private final HintPlans plans;

    HintController(Hints hints, HintPlans plans) {
        this.hints = hints;
        this.plans = plans;
    }

    /** @param answer its own name, as the list of answers gives it */
    @GetMapping("/{answer}/hints")
    Hints.HintsView hints(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID assessment,
            @PathVariable String item,
            @PathVariable UUID answer,
            @RequestParam(defaultValue = "false") boolean names) {
        return hints.of(me, assessment, item, answer, names);
    }

    @GetMapping("/hint-plan")
    HintPlans.HintPlan plan(@AuthenticationPrincipal Me me, @PathVariable UUID assessment, @PathVariable String item) {
        return plans.of(me, assessment, item);
    }

    @PutMapping("/hint-plan")
    HintPlans.HintPlan change(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID assessment,
            @PathVariable String item,
            @RequestBody HintPlans.HintPlan plan) {
        return plans.plan(me, assessment, item, plan);
    }
}
