package org.scholion.server.ledger;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.access.Access;
import org.scholion.server.key.KeyFromAnswers;
import org.scholion.server.platform.JsonColumn;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** A filled-in attempt as the key: shown before it is taken. Nothing is stored here. */
@RestController
@RequestMapping("/api/assessments/{assessment}/key-from")
class KeyFromController {
    private final Attempts attempts;
    private final Access access;

    KeyFromController(Attempts attempts, Access access) {
        this.attempts = attempts;
        this.access = access;
    }

    /** An attempt that is handed in, as a source of a key. */
    record FilledIn(UUID attempt, String name) {}

    /** @param answers made-up ones, by item; null where an attempt is named */
    record KeyFrom(
            Object definition,
            @Nullable UUID attempt,
            @Nullable Map<String, Object> answers) {}

    @GetMapping
    List<FilledIn> filledIn(@AuthenticationPrincipal Me me, @PathVariable UUID assessment) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        return attempts.in(assessment, null).stream()
                .map(a -> new FilledIn(a.id(), a.name()))
                .toList();
    }

    @PostMapping
    KeyFromAnswers.TakenKey take(
            @AuthenticationPrincipal Me me, @PathVariable UUID assessment, @RequestBody KeyFrom from) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        return KeyFromAnswers.of(JsonColumn.node(from.definition()), answers(assessment, from));
    }

    private Map<String, JsonNode> answers(UUID assessment, KeyFrom from) {
        if (from.attempt() != null) {
            if (!attempts.require(from.attempt()).assessment().equals(assessment)) {
                throw Refused.notFound();
            }
            return attempts.responsesOf(from.attempt());
        }
        Map<String, JsonNode> answers = new LinkedHashMap<>();
        if (from.answers() != null) {
            from.answers().forEach((item, said) -> answers.put(item, JsonColumn.node(said)));
        }
        return answers;
    }
}
