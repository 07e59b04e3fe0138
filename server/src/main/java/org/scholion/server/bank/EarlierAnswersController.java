package org.scholion.server.bank;

import java.util.List;
import java.util.UUID;
import org.scholion.server.platform.Me;
import org.scholion.server.settle.DecidedBefore;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

@RestController
class EarlierAnswersController {
    private final EarlierAnswers earlier;

    EarlierAnswersController(EarlierAnswers earlier) {
        this.earlier = earlier;
    }

    /** What students wrote to this item before, in this paper and in others that have it from the bank. */
    @GetMapping("/api/assessments/{assessment}/items/{item}/earlier-answers")
    List<DecidedBefore.DecidedAnswer> of(
            @AuthenticationPrincipal Me me, @PathVariable UUID assessment, @PathVariable String item) {
        return earlier.of(me, assessment, item);
    }
}
