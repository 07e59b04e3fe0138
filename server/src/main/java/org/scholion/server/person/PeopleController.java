package org.scholion.server.person;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.scholion.formats.json.Json;
import org.scholion.server.platform.Me;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.node.ObjectNode;

/** What an administrator does with people. */
@RestController
@RequestMapping("/api/people")
class PeopleController {
    private final People people;
    private final Register register;
    private final Invitations invitations;
    private final Lifetime lifetime;

    PeopleController(People people, Register register, Invitations invitations, Lifetime lifetime) {
        this.lifetime = lifetime;
        this.people = people;
        this.register = register;
        this.invitations = invitations;
    }

    record Disabling(boolean disabled) {}

    record ChosenPeople(List<UUID> people) {}

    /** @param link the whole address, to be given to nobody else */
    record InvitationLink(String link, Instant until) {}

    /** @param withoutAddress those who have no e-mail or are disabled */
    record LettersAsked(int asked, int withoutAddress) {}

    @GetMapping
    List<People.PersonLine> people(@AuthenticationPrincipal Me me) {
        return people.list(me);
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    People.PersonLine add(@AuthenticationPrincipal Me me, @RequestBody Register.PersonEntry wanted) {
        return register.add(me, wanted);
    }

    @PutMapping("/{person}")
    People.PersonLine change(
            @AuthenticationPrincipal Me me, @PathVariable UUID person, @RequestBody Register.PersonEntry wanted) {
        return register.change(me, person, wanted);
    }

    @PutMapping("/{person}/disabled")
    People.PersonLine disable(
            @AuthenticationPrincipal Me me, @PathVariable UUID person, @RequestBody Disabling wanted) {
        return register.disable(me, person, wanted.disabled());
    }

    /** A link by which one person chooses a password. */
    @PostMapping("/{person}/link")
    InvitationLink link(@AuthenticationPrincipal Me me, @PathVariable UUID person) {
        return invitations.link(me, person);
    }

    /** Codes to print, a slip a person. */
    @PostMapping("/codes")
    List<WaysIn.Slip> codes(@AuthenticationPrincipal Me me, @RequestBody ChosenPeople chosen) {
        return invitations.codes(me, chosen.people());
    }

    /** A letter with a link to each. */
    @PostMapping("/invitations")
    @ResponseStatus(HttpStatus.ACCEPTED)
    LettersAsked invite(@AuthenticationPrincipal Me me, @RequestBody ChosenPeople chosen) {
        return invitations.mail(me, chosen.people());
    }

    record MergedWith(UUID other) {}

    /** Who could be the same person. */
    @GetMapping("/{person}/twins")
    List<Lifetime.Twin> twins(@AuthenticationPrincipal Me me, @PathVariable UUID person) {
        return lifetime.twins(me, person);
    }

    /** Everything of the other is this one's, and the other is no more. */
    @PostMapping("/{person}/merge")
    People.PersonLine merge(@AuthenticationPrincipal Me me, @PathVariable UUID person, @RequestBody MergedWith wanted) {
        return lifetime.merge(me, person, wanted.other());
    }

    /** Everything that is kept of a person, as JSON. */
    @GetMapping(value = "/{person}/file", produces = "application/json")
    ResponseEntity<String> file(@AuthenticationPrincipal Me me, @PathVariable UUID person) {
        ObjectNode file = lifetime.file(me, person);
        return ResponseEntity.ok()
                .header(
                        "Content-Disposition",
                        ContentDisposition.attachment()
                                .filename(Lifetime.fileName(file), StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .body(Json.write(file));
    }

    /** Forgets who somebody is. */
    @PostMapping("/{person}/erase")
    People.PersonLine erase(
            @AuthenticationPrincipal Me me, @PathVariable UUID person, @RequestBody Lifetime.Forgetting wanted) {
        return lifetime.forget(me, person, wanted);
    }
}
