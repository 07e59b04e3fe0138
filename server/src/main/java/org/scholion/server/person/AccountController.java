package org.scholion.server.person;

import jakarta.servlet.http.HttpServletRequest;
import org.scholion.server.platform.Me;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What everybody does with their own account. */
@RestController
class AccountController {
    private final People people;

    AccountController(People people) {
        this.people = people;
    }

    record PasswordChange(String current, String password) {}

    @PostMapping("/api/account/password")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void changePassword(
            @AuthenticationPrincipal Me me, @RequestBody PasswordChange change, HttpServletRequest request) {
        people.changePassword(me, change.current(), change.password(), request);
    }
}
