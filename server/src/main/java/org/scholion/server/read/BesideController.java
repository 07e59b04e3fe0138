package org.scholion.server.read;

import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.comment.PaperComments;
import org.scholion.server.platform.Me;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What stands beside an answer; it is named as the list of answers gives it. */
@RestController
@RequestMapping("/api/assessments/{assessment}/readings")
class BesideController {
    private final Beside beside;
    private final ReaderScopes scopes;

    BesideController(Beside beside, ReaderScopes scopes) {
        this.beside = beside;
        this.scopes = scopes;
    }

    @GetMapping("/{item}/{answer}/earlier")
    List<Beside.EarlierAnswer> earlier(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID assessment,
            @PathVariable String item,
            @PathVariable UUID answer,
            @RequestParam(defaultValue = "false") boolean names) {
        return beside.earlier(me, new Beside.Which(assessment, item, answer, names));
    }

    @GetMapping("/{item}/{answer}/paper")
    Beside.OfPaper paper(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID assessment,
            @PathVariable String item,
            @PathVariable UUID answer,
            @RequestParam(defaultValue = "false") boolean names) {
        return beside.ofPaper(me, new Beside.Which(assessment, item, answer, names));
    }

    /** @param saw what stood there when it was typed */
    record SayOfPaper(@Nullable String text, @Nullable String saw) {
        PaperComments.Own own() {
            return new PaperComments.Own(Objects.requireNonNullElse(text, ""), Objects.requireNonNullElse(saw, ""));
        }
    }

    @PutMapping("/{item}/{answer}/paper")
    PaperComments.Own say(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID assessment,
            @PathVariable String item,
            @PathVariable UUID answer,
            @RequestParam(defaultValue = "false") boolean names,
            @RequestBody SayOfPaper said) {
        return beside.say(me, new Beside.Which(assessment, item, answer, names), said.own());
    }

    @PostMapping("/{item}/{answer}/here")
    List<String> here(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID assessment,
            @PathVariable String item,
            @PathVariable UUID answer,
            @RequestParam(defaultValue = "false") boolean names) {
        return beside.here(me, new Beside.Which(assessment, item, answer, names));
    }

    @GetMapping("/readers")
    List<ReaderScopes.ReaderView> readers(@AuthenticationPrincipal Me me, @PathVariable UUID assessment) {
        return scopes.readers(me, assessment);
    }

    @PutMapping("/readers/{person}")
    List<ReaderScopes.ReaderView> plan(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID assessment,
            @PathVariable UUID person,
            @RequestBody ReaderScopes.Scope scope) {
        return scopes.plan(me, assessment, person, scope);
    }
}
