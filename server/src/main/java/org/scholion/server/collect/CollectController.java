package org.scholion.server.collect;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.access.Access;
import org.scholion.server.ledger.LateAnswers;
import org.scholion.server.platform.Events;
import org.scholion.server.platform.Jobs;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Said;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

@RestController
@RequestMapping("/api")
class CollectController {
    private final Sittings sittings;
    private final Taking taking;
    private final Monitor monitor;
    private final BringingIn bringingIn;
    private final BroughtIn broughtIn;
    private final LateAnswers lateAnswers;
    private final SoFar soFar;
    private final Access access;
    private final Events events;
    private final Jobs jobs;

    CollectController(
            Sittings sittings,
            Taking taking,
            Monitor monitor,
            BringingIn bringingIn,
            BroughtIn broughtIn,
            LateAnswers lateAnswers,
            SoFar soFar,
            Access access,
            Events events,
            Jobs jobs) {
        this.sittings = sittings;
        this.taking = taking;
        this.monitor = monitor;
        this.bringingIn = bringingIn;
        this.broughtIn = broughtIn;
        this.lateAnswers = lateAnswers;
        this.soFar = soFar;
        this.access = access;
        this.events = events;
        this.jobs = jobs;
    }

    record GivenOut(UUID sitting) {}

    record MoreTime(int minutes) {}

    record SeenAgain(PaperAfter paperAfter) {}

    @PostMapping("/assessments/{assessment}/sittings")
    @ResponseStatus(HttpStatus.CREATED)
    GivenOut giveOut(
            @AuthenticationPrincipal Me me, @PathVariable UUID assessment, @RequestBody Sittings.GiveOut wanted) {
        return new GivenOut(sittings.giveOut(me, assessment, wanted));
    }

    @PostMapping("/sittings/{sitting}/time")
    Sittings.SittingLine addTime(
            @AuthenticationPrincipal Me me, @PathVariable UUID sitting, @RequestBody MoreTime more) {
        return sittings.addTime(me, sitting, more.minutes());
    }

    @PutMapping("/sittings/{sitting}/times")
    Sittings.SittingLine setTimes(
            @AuthenticationPrincipal Me me, @PathVariable UUID sitting, @RequestBody Sittings.Times wanted) {
        return sittings.setTimes(me, sitting, wanted);
    }

    @DeleteMapping("/sittings/{sitting}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void withdraw(@AuthenticationPrincipal Me me, @PathVariable UUID sitting) {
        sittings.withdraw(me, sitting);
    }

    @PutMapping("/sittings/{sitting}/paper-after")
    Sittings.SittingLine paperAfter(
            @AuthenticationPrincipal Me me, @PathVariable UUID sitting, @RequestBody SeenAgain wanted) {
        return sittings.setPaperAfter(me, sitting, wanted.paperAfter());
    }

    /** Hands in for a student what is there; when their time is over this happens by itself. */
    @PostMapping("/attempts/{attempt}/take-in")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void takeIn(@AuthenticationPrincipal Me me, @PathVariable UUID attempt) {
        taking.takeIn(me, attempt);
    }

    /** What came in too late and waits for a decision, or counts already. */
    @GetMapping("/assessments/{assessment}/late")
    List<LateAnswers.LateLine> late(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID assessment,
            @RequestParam(required = false) @Nullable UUID section) {
        return lateAnswers.of(me, assessment, section);
    }

    @PostMapping("/late/{answer}/take")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void takeLate(@AuthenticationPrincipal Me me, @PathVariable UUID answer) {
        lateAnswers.take(me, answer);
    }

    @PostMapping("/late/{answer}/leave")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void leaveLate(@AuthenticationPrincipal Me me, @PathVariable UUID answer) {
        lateAnswers.leave(me, answer);
    }

    @PostMapping("/late/{answer}/take-back")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void takeBackLate(@AuthenticationPrincipal Me me, @PathVariable UUID answer) {
        lateAnswers.takeBack(me, answer);
    }

    @GetMapping("/assessments/{assessment}/collect")
    Monitor.MonitorView monitor(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID assessment,
            @RequestParam(required = false) @Nullable UUID section) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        return monitor.of(assessment, section);
    }

    /** What is said to one question so far, equal answers together, without names. */
    @GetMapping("/assessments/{assessment}/so-far/{item}")
    SoFar.SoFarView soFar(@AuthenticationPrincipal Me me, @PathVariable UUID assessment, @PathVariable String item) {
        return soFar.of(me, assessment, item);
    }

    /** A stream that says when something of this assessment has changed; what it is now is read as usual. */
    @GetMapping(value = "/assessments/{assessment}/live", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter live(@AuthenticationPrincipal Me me, @PathVariable UUID assessment, HttpServletRequest request) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        return events.watch(me, request, "assessment:" + assessment);
    }

    /** What a file would bring in; {@code asked} is what a person has said about it, as JSON. */
    @PostMapping(value = "/assessments/{assessment}/bring-in/preview", consumes = "multipart/form-data")
    BringingIn.BringInView preview(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID assessment,
            @RequestPart MultipartFile file,
            @RequestPart(required = false) @Nullable String asked) {
        return bringingIn.preview(me, assessment, file::getBytes, said(asked));
    }

    @PostMapping(value = "/assessments/{assessment}/bring-in", consumes = "multipart/form-data")
    BringingIn.BringInView bringIn(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID assessment,
            @RequestPart MultipartFile file,
            @RequestPart(required = false) @Nullable String asked) {
        String name = file.getOriginalFilename() == null ? "" : file.getOriginalFilename();
        return bringingIn.take(me, assessment, name, file::getBytes, said(asked));
    }

    /** How far a file of one's own is that comes in just now; nothing when none does. */
    @GetMapping("/assessments/{assessment}/coming-in")
    ComingIn comingIn(@AuthenticationPrincipal Me me, @PathVariable UUID assessment) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        return new ComingIn(jobs.asked(me, assessment).orElse(null));
    }

    record ComingIn(Jobs.@Nullable JobView work) {}

    /** The files of answers that came in, the latest first. */
    @GetMapping("/assessments/{assessment}/brought-in")
    List<BroughtIn.BroughtInLine> broughtIn(@AuthenticationPrincipal Me me, @PathVariable UUID assessment) {
        return broughtIn.of(me, assessment);
    }

    /** @param withReadings whether marks that people gave may go, too */
    record TakingBack(boolean withReadings) {}

    @PostMapping("/assessments/{assessment}/brought-in/{broughtIn}/take-back")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void takeBack(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID assessment,
            @PathVariable("broughtIn") UUID broughtInFile,
            @RequestBody TakingBack wanted) {
        broughtIn.takeBack(me, assessment, broughtInFile, wanted.withReadings());
    }

    record MadeQuestions(int questions) {}

    /** Makes the questions of an assessment that has none from the columns of a file of answers. */
    @PostMapping(value = "/assessments/{assessment}/bring-in/questions", consumes = "multipart/form-data")
    MadeQuestions makeQuestions(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID assessment,
            @RequestPart MultipartFile file,
            @RequestPart(required = false) @Nullable String asked) {
        return new MadeQuestions(bringingIn.makeQuestions(me, assessment, file::getBytes, said(asked)));
    }

    private static BringingIn.BringInAsked said(@Nullable String json) {
        return json == null ? BringingIn.BringInAsked.NOTHING : Said.read(json, BringingIn.BringInAsked.class);
    }
}
