package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;

@ExtendWith(Scholion.class)
class SignInTest {
    private static Visitor.Reply signIn(Visitor visitor, String name, String password) {
        return visitor.post("/api/session", Map.of("username", name, "password", password));
    }

    @Test
    void each_role_signs_in_with_name_and_password(Scholion.Running school) {
        Map.of("aud.meller", "TEACHER", "berit.straum", "ADMIN", "tamsin.orrel", "STUDENT")
                .forEach((name, role) -> {
                    Visitor visitor = school.anybody();
                    assertThat(signIn(visitor, name, "saltmarsh")
                                    .ok()
                                    .get("role")
                                    .stringValue())
                            .isEqualTo(role);
                    assertThat(visitor.get("/api/session").ok().get("role").stringValue())
                            .isEqualTo(role);
                });
    }

    @Test
    void an_unknown_name_and_a_wrong_password_get_the_same_answer(Scholion.Running school) {
        Visitor.Reply unknown =
                signIn(school.anybody(), "nobody.here", "saltmarsh").isRefused(401);
        Visitor.Reply wrong = signIn(school.anybody(), "ines.calder", "guess").isRefused(401);
        assertThat(unknown.body()).isEqualTo(wrong.body());
    }

    @Test
    void a_forged_request_without_the_token_is_refused(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller").withoutToken();
        aud.post("/api/assessments", Map.of("course", "x", "title", "x")).isRefused(403);
    }

    @Test
    void signing_out_ends_the_session(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        aud.send("DELETE", "/api/session", null).isRefused(204);
        aud.get("/api/desk").isRefused(401);
    }

    @Test
    void signing_in_changes_the_session_so_that_an_older_one_is_worth_nothing(Scholion.Running school) {
        Visitor visitor = school.as("Tamsin Orrel");
        signIn(visitor, "aud.meller", "saltmarsh").ok();
        assertThat(visitor.get("/api/session").ok().get("name").stringValue()).isEqualTo("Aud Meller");
        visitor.get("/api/student/todo").isRefused(403);
    }
}
