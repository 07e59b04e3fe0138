package org.scholion.server.standard;

import java.util.List;
import java.util.UUID;
import org.scholion.server.platform.Me;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/frameworks")
class FrameworkController {
    private final Frameworks frameworks;

    FrameworkController(Frameworks frameworks) {
        this.frameworks = frameworks;
    }

    @GetMapping
    List<Frameworks.FrameworkLine> list(@AuthenticationPrincipal Me me) {
        return frameworks.list(me);
    }

    @GetMapping("/{framework}")
    Frameworks.FrameworkView see(@AuthenticationPrincipal Me me, @PathVariable UUID framework) {
        return frameworks.see(me, framework);
    }
}
