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

    ReadController(Readings readings) {
        this.readings = readings;
    }

    @GetMapping("/assessments/{assessment}/readings")
    Readings.ReadView of(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID assessment,
            @RequestParam(required = false) @Nullable UUID section,
            @RequestParam(required = false) @Nullable String item,
            @RequestParam(defaultValue = "false") boolean names) {
        return readings.of(me, assessment, section, item, names);
    }

    @PutMapping("/attempts/{attempt}/readings/{item}")
    Readings.ReadAnswer save(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID attempt,
            @PathVariable String item,
            @RequestParam(defaultValue = "false") boolean names,
            @RequestBody Readings.ReadingChange change) {
        return readings.save(me, attempt, item, change, names);
    }

    @PostMapping("/attempts/{attempt}/readings/{item}/undo")
    Readings.ReadAnswer undo(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID attempt,
            @PathVariable String item,
            @RequestParam(defaultValue = "false") boolean names) {
        return readings.undo(me, attempt, item, names);
    }
}
