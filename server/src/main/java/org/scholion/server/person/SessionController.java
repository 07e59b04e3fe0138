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
    private final WaysIn waysIn;
    private final Beginning beginning;
    private final SittingEntry entry;
    private final boolean demo;

    SessionController(
            SignIn signIn,
            SignedIn signedIn,
            People people,
            Schools schools,
            WaysIn waysIn,
            Beginning beginning,
            SittingEntry entry,
            @Value("${scholion.demo}") boolean demo) {
        this.signIn = signIn;
        this.signedIn = signedIn;
        this.people = people;
        this.schools = schools;
        this.waysIn = waysIn;
        this.beginning = beginning;
        this.entry = entry;
        this.demo = demo;
    }

    record Credentials(String username, String password) {}

    /** @param code from a slip */
    record CodeAndPassword(String username, String code, String password) {}

    /** @param word from a link, behind its {@code #} */
    record LinkWord(String word) {}

    record WordAndPassword(String word, String password) {}

    /**
     * @param way the short word of a sitting
     * @param who the student's number or sign-in name
     * @param code from their slip
     */
    record SittingSlipTyped(String way, String who, String code) {}

    /**
     * What came of a guest's coming in.
     *
     * @param session null where the code goes to the address that was given
     * @param who the name with which to come back
     * @param code told once, here; null where it goes to the address
     */
    record GuestIn(
            @Nullable Session session, String who, @Nullable String code) {}

    record DemoChoice(UUID person) {}

    /**
     * Who is signed in; nobody when id is null.
     *
     * @param zone the school's zone, such as {@code Europe/London}: all times are told in it
     * @param sign one to three letters that stand for the school; may be empty
     * @param accent the colour of its students' pages; may be empty
     * @param way the short word of the sitting to which alone somebody came in; null for all that is theirs
     * @param hasSchool whether there is a school at all to sign in to
     */
    record Session(
            @Nullable UUID id,
            Me.@Nullable Role role,
            String name,
            String school,
            String zone,
            String sign,
            String accent,
            boolean hasSchool,
            boolean demo,
            @Nullable String way) {}

    @GetMapping("/session")
    Session session(@AuthenticationPrincipal @Nullable Me me) {
        return me == null ? new Session(null, null, "", "", "", "", "", schools.isThereAny(), isDemo(), null) : of(me);
    }

    private Session of(Me me) {
        Schools.Look look = schools.look(me.school());
        return new Session(
                me.id(),
                me.role(),
                me.name(),
                look.name(),
                look.zone(),
                look.sign(),
                look.accent(),
                true,
                isDemo(),
                me.only() == null ? null : entry.wayOf(me.only()).orElse(""));
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

    /** Chooses a password with a code from a slip, and signs in. */
    @PostMapping("/session/code")
    CompletableFuture<ResponseEntity<Session>> chooseWithCode(
            @RequestBody CodeAndPassword given, HttpServletRequest request) {
        String name = Lengths.atMost("username", given.username(), LONGEST_NAME);
        String code = Lengths.atMost("code", given.code(), LONGEST_NAME);
        return signIn.choose(name, code, given.password(), request.getRemoteAddr())
                .thenApply(me -> enter(me, request));
    }

    /** Comes in to one sitting with a code from a slip. */
    @PostMapping("/session/slip")
    CompletableFuture<ResponseEntity<Session>> comeIn(@RequestBody SittingSlipTyped given, HttpServletRequest request) {
        String way = Lengths.atMost("way", given.way(), LONGEST_NAME);
        String who = Lengths.atMost("who", given.who(), LONGEST_NAME);
        String code = Lengths.atMost("code", given.code(), LONGEST_NAME);
        return signIn.slip(entry, way, who, code, request.getRemoteAddr()).thenApply(me -> enter(me, request));
    }

    /** Comes in to one sitting as a guest, where it lets guests in. */
    @PostMapping("/session/guest")
    ResponseEntity<GuestIn> comeInAsGuest(@RequestBody SittingEntry.GuestGiven given, HttpServletRequest request) {
        SittingEntry.LetIn in = entry.guest(given);
        Me me = in.me();
        if (me == null) {
            return ResponseEntity.ok(new GuestIn(null, in.who(), null));
        }
        Watched.note(Watched.What.SIGNED_IN, me.id(), null);
        return ResponseEntity.ok()
                .header(HttpHeaders.SET_COOKIE, signedIn.begin(me, request).toString())
                .body(new GuestIn(session(me), in.who(), in.code()));
    }

    /** Whom a link is for. */
    @PostMapping("/way-in/look")
    WaysIn.Invited look(@RequestBody LinkWord word) {
        return waysIn.look(Lengths.atMost("word", word.word(), LONGEST_PASSWORD));
    }

    /** Chooses a password through a link, and signs in. */
    @PostMapping("/way-in")
    ResponseEntity<Session> chooseWithLink(@RequestBody WordAndPassword given, HttpServletRequest request) {
        return enter(waysIn.enter(Lengths.atMost("word", given.word(), LONGEST_PASSWORD), given.password()), request);
    }

    /** Begins a school where there is none, through the link that the first start printed. */
    @PostMapping("/beginning")
    ResponseEntity<Session> begin(@RequestBody Beginning.FirstSchool wanted, HttpServletRequest request) {
        return enter(beginning.begin(wanted), request);
    }

    /** @param everywhere in every browser, not only in this one */
    @DeleteMapping("/session")
    ResponseEntity<Void> signOut(
            @AuthenticationPrincipal @Nullable Me me,
            @RequestParam(defaultValue = "false") boolean everywhere,
            HttpServletRequest request) {
        if (everywhere && me != null && me.only() == null) {
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
