package org.scholion.server.person;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Signing in and out, and who is signed in. */
@RestController
@RequestMapping("/api")
class SessionController {
    private final SignIn signIn;
    private final People people;
    private final SecurityContextRepository contexts;
    private final JdbcClient db;
    private final boolean demo;

    SessionController(
            SignIn signIn,
            People people,
            SecurityContextRepository contexts,
            JdbcClient db,
            @Value("${scholion.demo}") boolean demo) {
        this.signIn = signIn;
        this.people = people;
        this.contexts = contexts;
        this.db = db;
        this.demo = demo;
    }

    record Credentials(String username, String password) {}

    record DemoChoice(UUID person) {}

    /** Who is signed in; nobody when id is null. */
    record Session(@Nullable UUID id, Me.@Nullable Role role, String name, String school, boolean demo) {}

    record DemoPerson(UUID id, Me.Role role, String name, String about) {}

    @GetMapping("/session")
    Session session(@AuthenticationPrincipal @Nullable Me me) {
        return me == null
                ? new Session(null, null, "", "", demo)
                : new Session(me.id(), me.role(), me.name(), schoolName(me), demo);
    }

    @PostMapping("/session")
    Session signIn(@RequestBody Credentials given, HttpServletRequest request, HttpServletResponse response) {
        return enter(signIn.check(given.username(), given.password(), request.getRemoteAddr()), request, response);
    }

    @DeleteMapping("/session")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signOut(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        if (session != null) {
            session.invalidate();
        }
        SecurityContextHolder.clearContext();
    }

    @GetMapping("/demo/people")
    List<DemoPerson> demoPeople() {
        requireDemo();
        return db.sql("""
                        select p.id, p.role, p.given || ' ' || p.family as name,
                               coalesce(string_agg(s.name, ', ' order by s.name), '') as about
                        from person p left join enrolment e on e.student_id = p.id
                        left join section s on s.id = e.section_id or s.teacher_id = p.id
                        group by p.id order by p.role desc, min(s.name), p.family, p.given""")
                .query((row, n) -> new DemoPerson(
                        row.getObject("id", UUID.class),
                        Me.Role.valueOf(row.getString("role")),
                        row.getString("name"),
                        row.getString("about")))
                .list();
    }

    @PostMapping("/demo/session")
    Session demoSignIn(@RequestBody DemoChoice choice, HttpServletRequest request, HttpServletResponse response) {
        requireDemo();
        return enter(people.byId(choice.person()).orElseThrow(Refused::notFound), request, response);
    }

    @GetMapping("/people")
    List<People.PersonLine> people(@AuthenticationPrincipal Me me) {
        return people.list(me);
    }

    private void requireDemo() {
        if (!demo) {
            throw Refused.notFound();
        }
    }

    /** A new session id for the new person, so that an id known before signing in is worth nothing. */
    private Session enter(Me me, HttpServletRequest request, HttpServletResponse response) {
        HttpSession old = request.getSession(false);
        if (old != null) {
            old.invalidate();
        }
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(
                me, null, List.of(new SimpleGrantedAuthority("ROLE_" + me.role()))));
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
        return session(me);
    }

    private String schoolName(Me me) {
        return db.sql("select name from school where id = ?")
                .param(me.school())
                .query(String.class)
                .single();
    }
}
