package org.scholion.server.examine;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.access.Access;
import org.scholion.server.platform.Me;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
class ExamineController {
    private final Examination examination;
    private final Access access;

    ExamineController(Examination examination, Access access) {
        this.examination = examination;
        this.access = access;
    }

    @GetMapping("/api/assessments/{assessment}/examine")
    Examination.ExamineView of(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID assessment,
            @RequestParam(required = false) @Nullable UUID section) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        return examination.of(assessment, section);
    }
}
