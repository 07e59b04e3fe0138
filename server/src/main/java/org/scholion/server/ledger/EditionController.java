package org.scholion.server.ledger;

import java.util.UUID;
import org.scholion.server.access.Access;
import org.scholion.server.key.Assessments;
import org.scholion.server.key.Edition;
import org.scholion.server.platform.JsonColumn;
import org.scholion.server.platform.Lengths;
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
    private static final int LONGEST_WHY = 500;

    private final Regrading regrading;
    private final Assessments assessments;
    private final Access access;

    EditionController(Regrading regrading, Assessments assessments, Access access) {
        this.regrading = regrading;
        this.assessments = assessments;
        this.access = access;
    }

    /** @param edition the number of the edition that the change began from */
    record EditionChange(Object definition, String why, int edition) {}

    /** @param edition the number of the edition that is to be undone */
    record EditionUndo(int edition) {}

    @PostMapping("/preview")
    EffectView preview(
            @AuthenticationPrincipal Me me, @PathVariable UUID assessment, @RequestBody EditionChange change) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        Edition latest = regrading.requireLatest(assessment, change.edition());
        return regrading.compare(making(assessment, change).from(latest).candidate());
    }

    @PostMapping
    EffectView make(@AuthenticationPrincipal Me me, @PathVariable UUID assessment, @RequestBody EditionChange change) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        return regrading.confirm(me, assessment, change.edition(), making(assessment, change), null);
    }

    private Regrading.Making making(UUID assessment, EditionChange change) {
        String why = Lengths.atMost("why", change.why().strip(), LONGEST_WHY);
        Lengths.document(JsonColumn.node(change.definition()));
        return latest -> new Regrading.Made(
                Regrading.next(latest, assessments.whole(assessment, change.definition())),
                why.isEmpty() ? "the key was changed" : why);
    }

    @PostMapping("/undo/preview")
    EffectView undoPreview(
            @AuthenticationPrincipal Me me, @PathVariable UUID assessment, @RequestBody EditionUndo undo) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        return regrading.compare(regrading
                .undoing(regrading.requireStanding(assessment, undo.edition()))
                .candidate());
    }

    @PostMapping("/undo")
    EffectView undo(@AuthenticationPrincipal Me me, @PathVariable UUID assessment, @RequestBody EditionUndo undo) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        Edition standing = regrading.requireStanding(assessment, undo.edition());
        int to = regrading.undoing(standing).to();
        return regrading.confirm(
                me,
                assessment,
                standing.number(),
                latest -> new Regrading.Made(regrading.undoing(latest).candidate(), "back to edition " + to),
                to);
    }
}
