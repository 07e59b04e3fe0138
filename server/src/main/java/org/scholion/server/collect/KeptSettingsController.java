package org.scholion.server.collect;

import java.util.List;
import java.util.UUID;
import org.scholion.server.platform.Me;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/kept-settings")
class KeptSettingsController {
    private final KeptSettings kept;

    KeptSettingsController(KeptSettings kept) {
        this.kept = kept;
    }

    @GetMapping
    List<KeptSettings.KeptSettingsLine> of(@AuthenticationPrincipal Me me) {
        return kept.of(me);
    }

    @PutMapping
    List<KeptSettings.KeptSettingsLine> keep(
            @AuthenticationPrincipal Me me, @RequestBody KeptSettings.KeepSettings wanted) {
        return kept.keep(me, wanted);
    }

    @DeleteMapping("/{kept}")
    List<KeptSettings.KeptSettingsLine> remove(@AuthenticationPrincipal Me me, @PathVariable("kept") UUID id) {
        return kept.remove(me, id);
    }
}
