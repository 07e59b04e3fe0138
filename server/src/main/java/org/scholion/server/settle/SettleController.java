package org.scholion.server.settle;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.text.Proposed;
import org.scholion.server.access.Access;
import org.scholion.server.ledger.EffectView;
import org.scholion.server.platform.Me;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/assessments/{assessment}/doubts")
class SettleController {
    private static final int MOST_FORMS = 50;
    private static final int LONGEST_FORM = 200;

    private final Doubts doubts;
    private final Settling settling;
    private final TakingBack takingBack;
    private final Access access;

    SettleController(Doubts doubts, Settling settling, TakingBack takingBack, Access access) {
        this.doubts = doubts;
        this.settling = settling;
        this.takingBack = takingBack;
        this.access = access;
    }

    /**
     * What waits.
     *
     * @param item the question that is looked at: of the others only the first groups come where there are many
     * @param groups how many of its groups
     */
    @GetMapping
    Doubts.DoubtsView doubts(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID assessment,
            @RequestParam(required = false) @Nullable UUID section,
            @RequestParam(required = false) @Nullable String item,
            @RequestParam(required = false) @Nullable Integer groups) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        return doubts.of(assessment, section, new Doubts.Window(item, groups));
    }

    /** What was decided about one question; also what a key cannot list. */
    @GetMapping("/decided")
    List<Decideds.DecidedGroup> decided(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID assessment,
            @RequestParam(defaultValue = "") String item) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        return doubts.decided(assessment, item);
    }

    /** What the key of one question was taught since it was given out. */
    @GetMapping("/learned")
    List<TakingBack.InKey> learned(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID assessment,
            @RequestParam(defaultValue = "") String item) {
        return takingBack.of(me, assessment, item);
    }

    /** What the key without one of its lessons would do. */
    @PostMapping("/unlearn/preview")
    EffectView previewUnlearning(
            @AuthenticationPrincipal Me me, @PathVariable UUID assessment, @RequestBody TakingBack.Unlearn what) {
        return takingBack.preview(me, assessment, what);
    }

    @PostMapping("/unlearn")
    TakingBack.Unlearned unlearn(
            @AuthenticationPrincipal Me me, @PathVariable UUID assessment, @RequestBody TakingBack.Unlearn what) {
        return takingBack.takeBack(me, assessment, what);
    }

    @PostMapping("/preview")
    EffectView preview(
            @AuthenticationPrincipal Me me, @PathVariable UUID assessment, @RequestBody Settling.Decision decision) {
        return settling.preview(me, assessment, decision);
    }

    /** @param forms the forms of the groups that a wider rule is to reach */
    record RuleFor(List<String> forms) {}

    /** What answers have in common: the longest run of words, and a pattern; each empty where there is none. */
    record ProposedRule(String words, String pattern) {}

    /** A form is the normalised text, by which words and patterns go. */
    @PostMapping("/rule")
    ProposedRule rule(@AuthenticationPrincipal Me me, @PathVariable UUID assessment, @RequestBody RuleFor rule) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        List<String> forms = rule.forms();
        if (forms.size() > MOST_FORMS || forms.stream().anyMatch(f -> f.length() > LONGEST_FORM)) {
            // What so many or so long answers have in common says nothing.
            return new ProposedRule("", "");
        }
        return new ProposedRule(Proposed.words(forms), Proposed.pattern(forms));
    }

    @PostMapping
    Settling.Decided settle(
            @AuthenticationPrincipal Me me, @PathVariable UUID assessment, @RequestBody Settling.Decision decision) {
        return settling.settle(me, assessment, decision);
    }

    @PostMapping("/take-back/preview")
    EffectView previewTakingBack(
            @AuthenticationPrincipal Me me, @PathVariable UUID assessment, @RequestBody Settling.Decision decision) {
        return settling.previewTakingBack(me, assessment, decision);
    }

    @PostMapping("/take-back")
    EffectView takeBack(
            @AuthenticationPrincipal Me me, @PathVariable UUID assessment, @RequestBody Settling.Decision decision) {
        return settling.takeBack(me, assessment, decision);
    }
}
