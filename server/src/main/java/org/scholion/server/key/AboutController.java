package org.scholion.server.key;

import java.util.UUID;
import org.scholion.server.platform.Me;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/assessments/{assessment}/about")
class AboutController {
    private final About about;

    AboutController(About about) {
        this.about = about;
    }

    @GetMapping
    About.AboutView of(@AuthenticationPrincipal Me me, @PathVariable UUID assessment) {
        return about.of(me, assessment);
    }

    @PutMapping
    About.AboutView change(
            @AuthenticationPrincipal Me me, @PathVariable UUID assessment, @RequestBody About.AboutChange wanted) {
        return about.change(me, assessment, wanted);
    }
}
