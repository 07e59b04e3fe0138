package org.scholion.server.handback;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.drawn.DrawnMarks;
import org.scholion.server.ledger.EffectView;
import org.scholion.server.platform.Me;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
class HandBackController {
    private final HandingBack handingBack;
    private final StudentResults results;
    private final Queries queries;
    private final EarlySight earlySight;
    private final DryRun dryRun;
    private final WhatICanDo whatICanDo;

    HandBackController(
            HandingBack handingBack,
            StudentResults results,
            Queries queries,
            EarlySight earlySight,
            DryRun dryRun,
            WhatICanDo whatICanDo) {
        this.whatICanDo = whatICanDo;
        this.handingBack = handingBack;
        this.results = results;
        this.queries = queries;
        this.earlySight = earlySight;
        this.dryRun = dryRun;
    }

    @GetMapping("/assessments/{assessment}/hand-back")
    HandingBack.HandBackView of(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID assessment,
            @RequestParam(required = false) @Nullable UUID section,
            @RequestParam(required = false) @Nullable Integer from,
            @RequestParam(required = false) @Nullable String words) {
        return handingBack.of(me, assessment, new HandingBack.Looking(section, from, words));
    }

    @PostMapping("/assessments/{assessment}/hand-back")
    HandingBack.HandedBack handBack(
            @AuthenticationPrincipal Me me, @PathVariable UUID assessment, @RequestBody HandingBack.HandBack wanted) {
        return handingBack.handBack(me, assessment, wanted);
    }

    @PostMapping("/attempts/{attempt}/result/preview")
    StudentResult preview(
            @AuthenticationPrincipal Me me, @PathVariable UUID attempt, @RequestBody HandingBack.Preview wanted) {
        return handingBack.preview(me, attempt, wanted);
    }

    /** What a student would see of answers that a teacher tried; nothing of it counts. */
    @PostMapping("/assessments/{assessment}/as-student/result")
    DryRun.DryResult tried(
            @AuthenticationPrincipal Me me, @PathVariable UUID assessment, @RequestBody DryRun.DryAnswers wanted) {
        return dryRun.of(me, assessment, wanted);
    }

    @GetMapping("/queries")
    List<Queries.QueryView> queries(@AuthenticationPrincipal Me me) {
        return queries.list(me);
    }

    @PostMapping("/queries/{query}/preview")
    EffectView previewReply(
            @AuthenticationPrincipal Me me, @PathVariable UUID query, @RequestBody Queries.Reply reply) {
        return queries.preview(me, query, reply);
    }

    @PostMapping("/queries/{query}/reply")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void reply(@AuthenticationPrincipal Me me, @PathVariable UUID query, @RequestBody Queries.Reply reply) {
        queries.reply(me, query, reply);
    }

    /** What a student may see of what they handed in before it is handed back. */
    @GetMapping("/student/attempts/{attempt}/result")
    EarlySight.Early early(@AuthenticationPrincipal Me me, @PathVariable UUID attempt) {
        return earlySight.of(me, attempt);
    }

    /** What one has shown over one's courses, of what was handed back. */
    @GetMapping("/student/can-do")
    List<WhatICanDo.CourseShown> canDo(@AuthenticationPrincipal Me me) {
        return whatICanDo.of(me);
    }

    @GetMapping("/student/results")
    List<StudentResults.ResultLine> results(@AuthenticationPrincipal Me me) {
        return results.list(me);
    }

    @GetMapping("/student/results/{result}")
    StudentResults.ResultView result(@AuthenticationPrincipal Me me, @PathVariable UUID result) {
        return results.see(me, result);
    }

    @GetMapping("/student/results/{result}/drawn/{item}")
    List<DrawnMarks.DrawnMark> drawn(
            @AuthenticationPrincipal Me me, @PathVariable UUID result, @PathVariable String item) {
        return results.drawn(me, result, item);
    }

    /** What is drawn on the attachments of an answer, as its teacher sees it. */
    @GetMapping("/attempts/{attempt}/drawn/{item}")
    List<DrawnMarks.DrawnMark> drawnFor(
            @AuthenticationPrincipal Me me, @PathVariable UUID attempt, @PathVariable String item) {
        return results.drawnFor(me, attempt, item);
    }

    @PostMapping("/student/results/{result}/queries")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void ask(@AuthenticationPrincipal Me me, @PathVariable UUID result, @RequestBody StudentResults.Question question) {
        results.ask(me, result, question);
    }
}
