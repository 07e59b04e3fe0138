package org.scholion.server.person;

import java.util.List;
import java.util.UUID;
import org.scholion.server.platform.Me;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What an administrator sees and sets. */
@RestController
@RequestMapping("/api")
class SchoolController {
    private final Schools schools;
    private final SignIn signIn;

    SchoolController(Schools schools, SignIn signIn) {
        this.schools = schools;
        this.signIn = signIn;
    }

    @GetMapping("/school")
    Schools.Settings settings(@AuthenticationPrincipal Me me) {
        return schools.settings(me);
    }

    @PutMapping("/school")
    Schools.Settings set(@AuthenticationPrincipal Me me, @RequestBody Schools.Settings wanted) {
        return schools.set(me, wanted);
    }

    @GetMapping("/school/limits")
    Schools.Limits limits(@AuthenticationPrincipal Me me) {
        return schools.limits(me);
    }

    @PutMapping("/school/limits")
    Schools.Limits setLimits(@AuthenticationPrincipal Me me, @RequestBody Schools.Limits wanted) {
        return schools.setLimits(me, wanted);
    }

    /** Who has to wait before the next try to sign in. */
    @GetMapping("/school/slowed-down")
    List<SignIn.SlowedDown> slowedDown(@AuthenticationPrincipal Me me) {
        return signIn.slowedDown(me);
    }

    @DeleteMapping("/school/slowed-down/{person}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void release(@AuthenticationPrincipal Me me, @PathVariable UUID person) {
        signIn.release(me, person);
    }
}
