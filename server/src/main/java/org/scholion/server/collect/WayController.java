package org.scholion.server.collect;

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
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Short words that lead to a sitting, and slips with codes that let into it. */
@RestController
@RequestMapping("/api")
class WayController {
    private final SittingSlips slips;

    WayController(SittingSlips slips) {
        this.slips = slips;
    }

    @GetMapping("/ways/{way}")
    SittingSlips.WayTo look(@PathVariable String way) {
        return slips.look(way);
    }

    /** @param students null for everybody who has it */
    record SlipsFor(@Nullable List<UUID> students) {}

    /** Makes codes, which are told once, here; those before end. */
    @PostMapping("/sittings/{sitting}/slips")
    SittingSlips.SlipsMade make(
            @AuthenticationPrincipal Me me, @PathVariable UUID sitting, @RequestBody SlipsFor wanted) {
        return slips.make(me, sitting, wanted.students());
    }

    @DeleteMapping("/sittings/{sitting}/slips")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void end(@AuthenticationPrincipal Me me, @PathVariable UUID sitting) {
        slips.endAll(me, sitting);
    }
}
