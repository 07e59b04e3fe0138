package org.scholion.server.ledger;

import java.util.UUID;
import org.scholion.server.access.Access;
import org.scholion.server.key.Assessments;
import org.scholion.server.key.Edition;
import org.scholion.server.platform.Me;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Changes to a key that is given out: the effect first, then a new edition. */
@RestController
@RequestMapping("/api/assessments/{assessment}/editions")
class EditionController {
    private final Regrading regrading;
    private final Assessments assessments;
    private final Access access;

    EditionController(Regrading regrading, Assessments assessments, Access access) {
        this.regrading = regrading;
        this.assessments = assessments;
        this.access = access;
    }

    record EditionChange(Object definition, String why) {}

    @PostMapping("/preview")
    EffectView preview(
            @AuthenticationPrincipal Me me, @PathVariable UUID assessment, @RequestBody EditionChange change) {
        return regrading.preview(candidate(me, assessment, change));
    }

    @PostMapping
    EffectView make(@AuthenticationPrincipal Me me, @PathVariable UUID assessment, @RequestBody EditionChange change) {
        String why =
                change.why().isBlank() ? "the key was changed" : change.why().strip();
        return regrading.confirm(me, candidate(me, assessment, change), why, null);
    }

    @PostMapping("/undo/preview")
    EffectView undoPreview(@AuthenticationPrincipal Me me, @PathVariable UUID assessment) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        return regrading.preview(regrading.undoing(assessment).candidate());
    }

    @PostMapping("/undo")
    EffectView undo(@AuthenticationPrincipal Me me, @PathVariable UUID assessment) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        Regrading.Undo undo = regrading.undoing(assessment);
        return regrading.confirm(me, undo.candidate(), "back to edition " + undo.to(), undo.to());
    }

    private Edition candidate(Me me, UUID assessment, EditionChange change) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        return regrading.next(assessment, assessments.whole(assessment, change.definition()));
    }
}
