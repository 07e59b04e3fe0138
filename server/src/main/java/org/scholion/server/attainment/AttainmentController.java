package org.scholion.server.attainment;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.access.Access;
import org.scholion.server.platform.Me;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/courses/{course}/attainment")
class AttainmentController {
    private final Attainments attainments;
    private final EvidenceOf evidence;
    private final Access access;

    AttainmentController(Attainments attainments, EvidenceOf evidence, Access access) {
        this.attainments = attainments;
        this.evidence = evidence;
        this.access = access;
    }

    /** @param bound the place of the level below which students are named */
    @GetMapping
    Attainments.AttainmentView of(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID course,
            @RequestParam(required = false) @Nullable UUID framework,
            @RequestParam(required = false) @Nullable UUID section,
            @RequestParam(required = false) @Nullable Integer bound) {
        access.require(me, Access.Action.SEE_COURSE, course);
        return attainments.of(me, course, new Attainments.Looked(framework, section, bound));
    }

    @GetMapping("/evidence")
    EvidenceOf.EvidenceView evidence(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID course,
            @RequestParam(required = false) @Nullable UUID framework,
            @RequestParam(defaultValue = "") String code,
            @RequestParam(required = false) @Nullable UUID student) {
        return evidence.of(me, course, framework, code, student);
    }
}
