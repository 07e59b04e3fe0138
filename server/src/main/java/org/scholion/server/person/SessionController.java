package org.scholion.server.person;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import org.jspecify.annotations.Nullable;
import org.scholion.server.platform.Lengths;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.scholion.server.platform.Watched;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Signing in and out, and who is signed in. */
@RestController
@RequestMapping("/api")
class SessionController {
    private static final int LONGEST_NAME = 200;
    private static final int LONGEST_PASSWORD = 200;

    private final SignIn signIn;
    private final SignedIn signedIn;
    private final People people;
    private final Schools schools;
    private final boolean demo;

    SessionController(
            SignIn signIn, SignedIn signedIn, People people, Schools schools, @Value("${scholion.demo}") boolean demo) {
        this.signIn = signIn;
        this.signedIn = signedIn;
        this.people = people;
        this.schools = schools;
        this.demo = demo;
    }

    record Credentials(String username, String password) {}

    record DemoChoice(UUID person) {}

    /**
     * Who is signed in; nobody when id is null.
     *
     * @param zone the school's zone, such as {@code Europe/London}: all times are told in it
     */
    record Session(@Nullable UUID id, Me.@Nullable Role role, String name, String school, String zone, boolean demo) {}

    @GetMapping("/session")
    Session session(@AuthenticationPrincipal @Nullable Me me) {
        return me == null ? new Session(null, null, "", "", "", isDemo()) : of(me);
    }

    private Session of(Me me) {
        return new Session(
                me.id(), me.role(), me.name(), schools.name(me.school()), schools.zone(me.school()), isDemo());
    }

    private boolean isDemo() {
        return demo && schools.isOnlyMadeUp();
    }

    @PostMapping("/session")
    CompletableFuture<ResponseEntity<Session>> signIn(@RequestBody Credentials given, HttpServletRequest request) {
        String name = Lengths.atMost("username", given.username(), LONGEST_NAME);
        String password = Lengths.atMost("password", given.password(), LONGEST_PASSWORD);
        return signIn.check(name, password, request.getRemoteAddr()).thenApply(me -> enter(me, request));
    }

    /** @param everywhere in every browser, not only in this one */
    @DeleteMapping("/session")
    ResponseEntity<Void> signOut(
            @AuthenticationPrincipal @Nullable Me me,
            @RequestParam(defaultValue = "false") boolean everywhere,
            HttpServletRequest request) {
        if (everywhere && me != null) {
            signedIn.endAll(me.id(), null);
        }
        if (me != null) {
            Watched.note(everywhere ? Watched.What.SIGNED_OUT_EVERYWHERE : Watched.What.SIGNED_OUT, me.id(), null);
        }
        return ResponseEntity.noContent()
                .header(HttpHeaders.SET_COOKIE, signedIn.end(request).toString())
                .build();
    }

    @GetMapping("/demo/people")
    List<People.DemoPerson> demoPeople() {
        requireDemo();
        return people.madeUp();
    }

    @PostMapping("/demo/session")
    ResponseEntity<Session> demoSignIn(@RequestBody DemoChoice choice, HttpServletRequest request) {
        requireDemo();
        return enter(people.madeUp(choice.person()).orElseThrow(Refused::notFound), request);
    }

    private void requireDemo() {
        if (!isDemo()) {
            throw Refused.notFound();
        }
    }

    /** A new word for the browser, so that one known before signing in is worth nothing. */
    private ResponseEntity<Session> enter(Me me, HttpServletRequest request) {
        Watched.note(Watched.What.SIGNED_IN, me.id(), null);
        return ResponseEntity.ok()
                .header(HttpHeaders.SET_COOKIE, signedIn.begin(me, request).toString())
                .body(session(me));
    }
}
