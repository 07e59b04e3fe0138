package org.scholion.server.collect;

import java.io.IOException;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import org.jspecify.annotations.Nullable;
import org.scholion.server.file.Files;
import org.scholion.server.platform.Me;
import org.springframework.http.HttpStatus;
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
@RequestMapping("/api/student")
class StudentSittingController {
    private final ToDo toDo;
    private final BeginningToTake beginning;
    private final TakingAgain again;
    private final Taking taking;
    private final Attachments attachments;
    private final HandInQueue handIns;
    private final Practice practice;

    StudentSittingController(
            ToDo toDo,
            BeginningToTake beginning,
            TakingAgain again,
            Taking taking,
            Attachments attachments,
            HandInQueue handIns,
            Practice practice) {
        this.toDo = toDo;
        this.beginning = beginning;
        this.again = again;
        this.taking = taking;
        this.attachments = attachments;
        this.handIns = handIns;
        this.practice = practice;
    }

    record Begun(UUID attempt) {}

    /**
     * @param code as it stands on the board, where one is asked for
     * @param another whether to take it once more, where the last attempt is handed in
     */
    record BeginningCode(@Nullable String code, @Nullable Boolean another) {}

    record Reached(String item) {}

    @GetMapping("/todo")
    List<ToDo.ToDoLine> todo(@AuthenticationPrincipal Me me) {
        return toDo.of(me);
    }

    @PostMapping("/sittings/{sitting}/attempt")
    Begun begin(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID sitting,
            @RequestBody(required = false) @Nullable BeginningCode how) {
        return new Begun(
                how == null
                        ? beginning.begin(me, sitting, null)
                        : beginning.begin(me, sitting, how.code(), Boolean.TRUE.equals(how.another())));
    }

    /** Goes on with the answers of what is handed in, where they may be changed until the time is over. */
    @PostMapping("/attempts/{attempt}/change")
    Begun change(@AuthenticationPrincipal Me me, @PathVariable UUID attempt) {
        return new Begun(again.change(me, attempt));
    }

    @GetMapping("/attempts/{attempt}")
    Taking.Paper paper(@AuthenticationPrincipal Me me, @PathVariable UUID attempt) {
        return taking.paper(me, attempt);
    }

    @GetMapping("/attempts/{attempt}/time")
    Taking.TimeOf time(@AuthenticationPrincipal Me me, @PathVariable UUID attempt) {
        return taking.time(me, attempt);
    }

    @PutMapping("/attempts/{attempt}/answers/{item}")
    Taking.SavedAnswer answer(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID attempt,
            @PathVariable String item,
            @RequestBody Taking.AnswerChange change) {
        return taking.answer(me, attempt, item, change);
    }

    /** A picture or a PDF for an answer. */
    @PostMapping(value = "/attempts/{attempt}/files", consumes = "multipart/form-data")
    @ResponseStatus(HttpStatus.CREATED)
    Files.Taken attach(@AuthenticationPrincipal Me me, @PathVariable UUID attempt, @RequestPart MultipartFile file)
            throws IOException {
        String name = Objects.requireNonNullElse(file.getOriginalFilename(), "the file");
        return attachments.take(me, attempt, name, file.getBytes());
    }

    /** Goes on to a question, where there is no way back. */
    @PostMapping("/attempts/{attempt}/reached")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void reach(@AuthenticationPrincipal Me me, @PathVariable UUID attempt, @RequestBody Reached reached) {
        taking.reach(me, attempt, reached.item());
    }

    /** Practising: looks at one's answer at once. */
    @PostMapping("/attempts/{attempt}/answers/{item}/look")
    Practice.LookedAt look(@AuthenticationPrincipal Me me, @PathVariable UUID attempt, @PathVariable String item) {
        return practice.look(me, attempt, item);
    }

    /** The page was left, which is counted where the sitting says so. */
    @PostMapping("/attempts/{attempt}/left")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void leave(@AuthenticationPrincipal Me me, @PathVariable UUID attempt) {
        taking.leave(me, attempt);
    }

    @PostMapping("/attempts/{attempt}/hand-in")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    CompletableFuture<Void> handIn(@AuthenticationPrincipal Me me, @PathVariable UUID attempt) {
        return handIns.handIn(me, attempt);
    }
}
