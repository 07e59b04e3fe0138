package org.scholion.server.crosswalk;

import java.util.List;
import java.util.UUID;
import org.scholion.core.standard.Crosswalk;
import org.scholion.server.platform.Me;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/crosswalks/{older}/{newer}")
class CrosswalkController {
    private final Crosswalks crosswalks;
    private final OutdatedTags tags;

    CrosswalkController(Crosswalks crosswalks, OutdatedTags tags) {
        this.crosswalks = crosswalks;
        this.tags = tags;
    }

    /** What an older standard became: one, several, or nothing. */
    record CrosswalkLink(String from, List<String> to) {}

    record CrosswalkChange(List<CrosswalkLink> links) {}

    record TagsTaken(List<OutdatedTags.TagTaken> items) {}

    record Carried(int items) {}

    @GetMapping
    List<Crosswalks.CrosswalkLine> see(
            @AuthenticationPrincipal Me me, @PathVariable UUID older, @PathVariable UUID newer) {
        return crosswalks.see(me, older, newer);
    }

    @PutMapping
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void save(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID older,
            @PathVariable UUID newer,
            @RequestBody CrosswalkChange change) {
        crosswalks.save(
                me,
                older,
                newer,
                change.links().stream()
                        .map(l -> new Crosswalk.Link(l.from(), l.to()))
                        .toList());
    }

    @GetMapping("/outdated")
    List<OutdatedTags.Outdated> outdated(
            @AuthenticationPrincipal Me me, @PathVariable UUID older, @PathVariable UUID newer) {
        return tags.of(me, older, newer);
    }

    @PostMapping("/outdated")
    Carried take(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID older,
            @PathVariable UUID newer,
            @RequestBody TagsTaken taken) {
        return new Carried(tags.take(me, older, newer, taken.items()));
    }
}
