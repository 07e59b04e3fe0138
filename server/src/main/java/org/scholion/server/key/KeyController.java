package org.scholion.server.key;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.access.Access;
import org.scholion.server.platform.HeavyWork;
import org.scholion.server.platform.Me;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

@RestController
@RequestMapping("/api")
class KeyController {
    private final InUnit inUnit;
    private final Assessments assessments;
    private final Editions editions;
    private final Access access;
    private final AssessmentFiles files;
    private final HeavyWork heavyWork;

    KeyController(
            InUnit inUnit,
            Assessments assessments,
            Editions editions,
            Access access,
            AssessmentFiles files,
            HeavyWork heavyWork) {
        this.inUnit = inUnit;
        this.assessments = assessments;
        this.editions = editions;
        this.access = access;
        this.files = files;
        this.heavyWork = heavyWork;
    }

    record NewAssessment(UUID course, String title) {}

    record Created(UUID id) {}

    record DraftChange(Object definition, int revision) {}

    /** A key as it is edited, without being saved. */
    record Definition(Object definition) {}

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

    /** The assessment file, for keeping, for another school, or for bin/batch. */
    @GetMapping(value = "/assessments/{assessment}/file", produces = "application/json")
    ResponseEntity<String> file(@AuthenticationPrincipal Me me, @PathVariable UUID assessment) {
        String text = files.write(me, assessment);
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(assessments.facts(assessment).title() + ".json", StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .body(text);
    }

    @PostMapping(value = "/courses/{course}/assessment-file", consumes = "multipart/form-data")
    @ResponseStatus(HttpStatus.CREATED)
    Created take(@AuthenticationPrincipal Me me, @PathVariable UUID course, @RequestPart MultipartFile file) {
        access.require(me, Access.Action.SEE_COURSE, course);
        return new Created(heavyWork.inTurn(me, () -> files.take(me, course, file.getBytes())));
    }

    record CopyOf(UUID assessment) {}

    /** A copy of a key that is one's own or shared, in one of one's own courses. */
    @PostMapping("/courses/{course}/copies")
    @ResponseStatus(HttpStatus.CREATED)
    Created copy(@AuthenticationPrincipal Me me, @PathVariable UUID course, @RequestBody CopyOf of) {
        return new Created(assessments.copy(me, of.assessment(), course));
    }

    /** @param unit null for none */
    record UnitChoice(@Nullable UUID unit) {}

    @PutMapping("/assessments/{assessment}/unit")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void putInUnit(@AuthenticationPrincipal Me me, @PathVariable UUID assessment, @RequestBody UnitChoice choice) {
        inUnit.put(me, assessment, choice.unit());
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

    /** What an item was, from change to change. */
    @GetMapping("/assessments/{assessment}/items/{item}/history")
    List<ItemHistory.ItemVersion> itemHistory(
            @AuthenticationPrincipal Me me, @PathVariable UUID assessment, @PathVariable String item) {
        return assessments.history(me, assessment, item);
    }

    /** What a key comes to as it is edited. Nothing is stored. */
    @PostMapping("/assessments/{assessment}/sums")
    PaperSums sums(@AuthenticationPrincipal Me me, @PathVariable UUID assessment, @RequestBody Definition wanted) {
        access.require(me, Access.Action.EDIT_KEY, assessment);
        return PaperSums.of(assessments.whole(assessment, wanted.definition()));
    }

    /** What made-up sets of answers would come to under a key as it is edited. Nothing is stored. */
    @PostMapping("/assessments/{assessment}/trials")
    List<Trials.TrialView> trials(
            @AuthenticationPrincipal Me me, @PathVariable UUID assessment, @RequestBody Definition wanted) {
        access.require(me, Access.Action.EDIT_KEY, assessment);
        return Trials.of(assessments.whole(assessment, wanted.definition()));
    }

    /** Sets right below and right at every bound, and two at the ends, made of right and blank answers. */
    @PostMapping("/assessments/{assessment}/trials/proposed")
    List<Trials.Proposed> proposed(
            @AuthenticationPrincipal Me me, @PathVariable UUID assessment, @RequestBody Definition wanted) {
        access.require(me, Access.Action.EDIT_KEY, assessment);
        return Trials.proposed(assessments.whole(assessment, wanted.definition()));
    }

    /** Checks one item as it is written, and tries answers on it. Nothing is stored. */
    @PostMapping("/items/check")
    ItemCheck check(@RequestBody ItemTrial trial) {
        return ItemCheck.of(trial.item(), trial.answers());
    }
}
