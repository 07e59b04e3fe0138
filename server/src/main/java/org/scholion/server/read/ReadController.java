package org.scholion.server.read;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
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

@RestController
@RequestMapping("/api")
class ReadController {
    private final Readings readings;
    private final HowRead how;

    ReadController(Readings readings, HowRead how) {
        this.readings = readings;
        this.how = how;
    }

    @GetMapping("/assessments/{assessment}/readings")
    Readings.ReadView of(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID assessment,
            @RequestParam(required = false) @Nullable UUID section,
            @RequestParam(required = false) @Nullable String item,
            @RequestParam(required = false) @Nullable Integer from,
            @RequestParam(defaultValue = "false") boolean names,
            @RequestParam(defaultValue = "false") boolean byStudent,
            @RequestParam(defaultValue = "USUAL") Pile.Order order,
            @RequestParam(defaultValue = "ALL") Pile.Show show,
            @RequestParam(required = false) @Nullable String level) {
        Pile.Choice choice = new Pile.Choice(order, show, level);
        return readings.of(me, assessment, new Readings.Looking(section, item, from, names, byStudent, choice));
    }

    @GetMapping("/assessments/{assessment}/readings/{item}/how")
    HowRead.HowReadView how(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID assessment,
            @PathVariable String item,
            @RequestParam(required = false) @Nullable UUID section,
            @RequestParam(defaultValue = "false") boolean names) {
        return how.of(me, assessment, item, section, names);
    }

    /** @param answer its own name, as the list of answers gives it */
    @PutMapping("/assessments/{assessment}/readings/{item}/{answer}")
    Readings.ReadAnswer save(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID assessment,
            @PathVariable String item,
            @PathVariable UUID answer,
            @RequestParam(defaultValue = "false") boolean names,
            @RequestBody Readings.ReadingChange change) {
        return readings.save(me, assessment, answer, item, change, names);
    }

    @PostMapping("/assessments/{assessment}/readings/{item}/{answer}/undo")
    Readings.ReadAnswer undo(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID assessment,
            @PathVariable String item,
            @PathVariable UUID answer,
            @RequestParam(defaultValue = "false") boolean names,
            @RequestBody Readings.ReadingUndo undo) {
        return readings.undo(me, assessment, answer, item, undo, names);
    }
}
