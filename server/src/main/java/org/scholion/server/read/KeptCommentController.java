package org.scholion.server.read;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
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
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/comments")
class KeptCommentController {
    private final KeptComments comments;
    private final SaidEverywhere everywhere;

    KeptCommentController(KeptComments comments, SaidEverywhere everywhere) {
        this.comments = comments;
        this.everywhere = everywhere;
    }

    /** @param letter makes it a short mark, set by that key */
    record CommentWords(String text, @Nullable String letter) {}

    @GetMapping
    List<KeptComments.CommentLine> list(@AuthenticationPrincipal Me me) {
        return comments.of(me);
    }

    @PostMapping
    KeptComments.CommentLine keep(@AuthenticationPrincipal Me me, @RequestBody CommentWords words) {
        return comments.keep(me, words.text(), words.letter());
    }

    @PutMapping("/{comment}")
    KeptComments.CommentLine change(
            @AuthenticationPrincipal Me me, @PathVariable UUID comment, @RequestBody CommentWords words) {
        return comments.change(me, comment, words.text(), words.letter());
    }

    /** In how many answers one's own reading says it. */
    @GetMapping("/{comment}/said")
    SaidEverywhere.SaidIn said(@AuthenticationPrincipal Me me, @PathVariable UUID comment) {
        return everywhere.saidIn(me, comment);
    }

    /** Says it otherwise, also in the answers in which it was said. */
    @PutMapping("/{comment}/everywhere")
    SaidEverywhere.ChangedIn changeEverywhere(
            @AuthenticationPrincipal Me me, @PathVariable UUID comment, @RequestBody CommentWords words) {
        return everywhere.change(me, comment, words.text(), words.letter());
    }

    @PostMapping("/{comment}/used")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void used(@AuthenticationPrincipal Me me, @PathVariable UUID comment) {
        comments.used(me, comment);
    }

    @DeleteMapping("/{comment}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@AuthenticationPrincipal Me me, @PathVariable UUID comment) {
        comments.remove(me, comment);
    }
}
