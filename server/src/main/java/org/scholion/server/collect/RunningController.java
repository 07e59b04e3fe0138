package org.scholion.server.collect;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.access.Access;
import org.scholion.server.platform.Me;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** A sitting with everything about it, and what its teacher does while it runs. */
@RestController
@RequestMapping("/api")
class RunningController {
    private final Sittings sittings;
    private final DifferentForSome different;
    private final WhoHasIt who;
    private final WhileItRuns running;
    private final TakingAgain again;
    private final TeacherLines lines;
    private final AsStudent asStudent;
    private final Guests guests;
    private final Access access;

    RunningController(
            Sittings sittings,
            DifferentForSome different,
            WhoHasIt who,
            WhileItRuns running,
            TakingAgain again,
            TeacherLines lines,
            AsStudent asStudent,
            Guests guests,
            Access access) {
        this.sittings = sittings;
        this.different = different;
        this.who = who;
        this.running = running;
        this.again = again;
        this.lines = lines;
        this.asStudent = asStudent;
        this.guests = guests;
        this.access = access;
    }

    @GetMapping("/sittings/{sitting}")
    DifferentForSome.SittingView of(@AuthenticationPrincipal Me me, @PathVariable UUID sitting) {
        return different.of(me, sitting);
    }

    /** @param students null for the whole section */
    record Chosen(@Nullable List<UUID> students) {}

    @PutMapping("/sittings/{sitting}/students")
    DifferentForSome.SittingView choose(
            @AuthenticationPrincipal Me me, @PathVariable UUID sitting, @RequestBody Chosen chosen) {
        who.choose(me, sitting, chosen.students());
        return different.of(me, sitting);
    }

    /** What guests of an assessment said of themselves. */
    @GetMapping("/assessments/{assessment}/guests")
    List<Guests.GuestLine> guests(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID assessment,
            @RequestParam(required = false) @Nullable UUID section) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        return guests.of(assessment, section);
    }

    /**
     * The whole way as a student has it.
     *
     * @param sitting null for a sitting as it usually is
     * @param student with what is different for them; null for anybody
     */
    @GetMapping("/assessments/{assessment}/as-student")
    AsStudent.AsStudentView asStudent(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID assessment,
            @RequestParam(required = false) @Nullable UUID sitting,
            @RequestParam(required = false) @Nullable UUID student) {
        return asStudent.of(me, assessment, sitting, student);
    }

    /** What other times would do to those who are at work. */
    @PostMapping("/sittings/{sitting}/times/preview")
    Sittings.TimesEffect timesEffect(
            @AuthenticationPrincipal Me me, @PathVariable UUID sitting, @RequestBody Sittings.Times wanted) {
        return sittings.previewTimes(me, sitting, wanted);
    }

    @PutMapping("/sittings/{sitting}/settings")
    Sittings.SittingLine settings(
            @AuthenticationPrincipal Me me, @PathVariable UUID sitting, @RequestBody SittingSettings wanted) {
        return sittings.setSettings(me, sitting, wanted);
    }

    @PutMapping("/sittings/{sitting}/guests")
    Sittings.SittingLine guests(
            @AuthenticationPrincipal Me me, @PathVariable UUID sitting, @RequestBody GuestRules wanted) {
        return sittings.setGuests(me, sitting, wanted);
    }

    @PutMapping("/sittings/{sitting}/seen")
    Sittings.SittingLine seen(
            @AuthenticationPrincipal Me me, @PathVariable UUID sitting, @RequestBody SeenWhen wanted) {
        return sittings.setSeen(me, sitting, wanted);
    }

    @PutMapping("/sittings/{sitting}/different")
    DifferentForSome.SittingView setDifferent(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID sitting,
            @RequestBody DifferentForSome.DifferentWanted wanted) {
        return different.set(me, sitting, wanted);
    }

    @DeleteMapping("/sittings/{sitting}/different/{student}")
    DifferentForSome.SittingView sameAgain(
            @AuthenticationPrincipal Me me, @PathVariable UUID sitting, @PathVariable UUID student) {
        return different.remove(me, sitting, student);
    }

    /** @param student null for all who work in the sitting */
    record Saying(@Nullable UUID student, String words) {}

    record SaidLine(UUID line) {}

    @PostMapping("/sittings/{sitting}/lines")
    SaidLine say(@AuthenticationPrincipal Me me, @PathVariable UUID sitting, @RequestBody Saying saying) {
        return new SaidLine(lines.say(me, sitting, saying.student(), saying.words()));
    }

    @DeleteMapping("/sittings/{sitting}/lines/{line}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void takeBackLine(@AuthenticationPrincipal Me me, @PathVariable UUID sitting, @PathVariable UUID line) {
        lines.takeBack(me, sitting, line);
    }

    record WhoseAttempts(List<UUID> attempts) {}

    @PostMapping("/sittings/{sitting}/pause")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void pause(@AuthenticationPrincipal Me me, @PathVariable UUID sitting, @RequestBody WhoseAttempts whose) {
        running.pause(me, sitting, whose.attempts());
    }

    @PostMapping("/sittings/{sitting}/go-on")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void goOn(@AuthenticationPrincipal Me me, @PathVariable UUID sitting, @RequestBody WhoseAttempts whose) {
        running.goOn(me, sitting, whose.attempts());
    }

    /** @param letters how many letters are on their way */
    record Reminded(int letters) {}

    @PostMapping("/sittings/{sitting}/remind")
    Reminded remind(@AuthenticationPrincipal Me me, @PathVariable UUID sitting) {
        return new Reminded(running.remind(me, sitting));
    }

    record MinutesMore(int minutes) {}

    @PostMapping("/attempts/{attempt}/more")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void more(@AuthenticationPrincipal Me me, @PathVariable UUID attempt, @RequestBody MinutesMore more) {
        running.more(me, attempt, more.minutes());
    }

    @PostMapping("/attempts/{attempt}/set-aside")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void setAside(@AuthenticationPrincipal Me me, @PathVariable UUID attempt) {
        running.setAside(me, attempt);
    }

    @PostMapping("/attempts/{attempt}/put-back")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void putBack(@AuthenticationPrincipal Me me, @PathVariable UUID attempt) {
        running.putBack(me, attempt);
    }

    record GoesOn(UUID attempt) {}

    @PostMapping("/attempts/{attempt}/reopen")
    GoesOn reopen(@AuthenticationPrincipal Me me, @PathVariable UUID attempt, @RequestBody MinutesMore minutes) {
        return new GoesOn(again.reopen(me, attempt, minutes.minutes()));
    }
}
