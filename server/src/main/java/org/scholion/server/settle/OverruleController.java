package org.scholion.server.settle;

import java.util.UUID;
import org.scholion.server.ledger.EffectView;
import org.scholion.server.platform.Me;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/attempts/{attempt}/marks/{item}")
class OverruleController {
    private final Overruling overruling;

    OverruleController(Overruling overruling) {
        this.overruling = overruling;
    }

    @GetMapping
    Overruling.MarkToOverrule mark(
            @AuthenticationPrincipal Me me, @PathVariable UUID attempt, @PathVariable String item) {
        return overruling.of(me, attempt, item);
    }

    @PostMapping("/preview")
    EffectView preview(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID attempt,
            @PathVariable String item,
            @RequestBody Overruling.Overrule overrule) {
        return overruling.preview(me, attempt, item, overrule);
    }

    @PostMapping("/overrule")
    EffectView overrule(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID attempt,
            @PathVariable String item,
            @RequestBody Overruling.Overrule overrule) {
        return overruling.overrule(me, attempt, item, overrule);
    }

    @PostMapping("/take-back")
    EffectView takeBack(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID attempt,
            @PathVariable String item,
            @RequestBody Overruling.OverruleUndo undo) {
        return overruling.takeBack(me, attempt, item, undo);
    }
}
