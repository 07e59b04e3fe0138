package org.scholion.server.key;

import java.util.List;
import java.util.UUID;
import org.scholion.server.access.Access;
import org.scholion.server.platform.Me;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
class KeyController {
    private final Assessments assessments;
    private final Editions editions;
    private final Access access;

    KeyController(Assessments assessments, Editions editions, Access access) {
        this.assessments = assessments;
        this.editions = editions;
        this.access = access;
    }

    record NewAssessment(UUID course, String title) {}

    record Created(UUID id) {}

    record DraftChange(Object definition, int revision) {}

    record ItemTrial(Object item, List<Object> answers) {}

    @PostMapping("/assessments")
    @ResponseStatus(HttpStatus.CREATED)
    Created create(@AuthenticationPrincipal Me me, @RequestBody NewAssessment wanted) {
        return new Created(assessments.create(me, wanted.course(), wanted.title()));
    }

    @GetMapping("/assessments/{assessment}/key")
    Assessments.KeyView key(@AuthenticationPrincipal Me me, @PathVariable UUID assessment) {
        return assessments.key(me, assessment);
    }

    @PutMapping("/assessments/{assessment}/key")
    Assessments.Saved save(
            @AuthenticationPrincipal Me me, @PathVariable UUID assessment, @RequestBody DraftChange change) {
        return assessments.save(me, assessment, change.definition(), change.revision());
    }

    @GetMapping("/assessments/{assessment}/editions")
    List<Editions.EditionLine> history(@AuthenticationPrincipal Me me, @PathVariable UUID assessment) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        return editions.history(assessment);
    }

    /** Checks one item as it is written, and tries answers on it. Nothing is stored. */
    @PostMapping("/items/check")
    ItemCheck check(@RequestBody ItemTrial trial) {
        return ItemCheck.of(trial.item(), trial.answers());
    }
}
