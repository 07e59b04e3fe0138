package org.scholion.server.collect;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.platform.Me;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Typing from paper. */
@RestController
@RequestMapping("/api/assessments/{assessment}/typed")
class TypedController {
    private final TypedByHand typed;

    TypedController(TypedByHand typed) {
        this.typed = typed;
    }

    @GetMapping
    TypedByHand.TypedView of(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID assessment,
            @RequestParam(required = false) @Nullable UUID section) {
        return typed.of(me, assessment, section);
    }

    @PutMapping("/{student}")
    TypedByHand.TypedSaved save(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID assessment,
            @PathVariable UUID student,
            @RequestBody TypedByHand.CellsTyped cells) {
        return typed.save(me, assessment, student, cells);
    }

    /** All that is typed, as a file of answers that can be brought in. */
    @GetMapping(value = "/table", produces = "text/csv")
    String table(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID assessment,
            @RequestParam(required = false) @Nullable UUID section) {
        return typed.table(me, assessment, section);
    }
}
