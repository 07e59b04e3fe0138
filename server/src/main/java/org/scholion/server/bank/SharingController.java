package org.scholion.server.bank;

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

@RestController
@RequestMapping("/api")
class SharingController {
    private final Sharing sharing;

    SharingController(Sharing sharing) {
        this.sharing = sharing;
    }

    record ShareWith(boolean mayEdit) {}

    @GetMapping("/colleagues")
    List<Sharing.Colleague> colleagues(@AuthenticationPrincipal Me me) {
        return sharing.colleagues(me);
    }

    @GetMapping("/shared-keys")
    List<Sharing.SharedKey> keys(@AuthenticationPrincipal Me me) {
        return sharing.keys(me);
    }

    @GetMapping("/shares/{kind}/{object}")
    List<Sharing.Share> of(@AuthenticationPrincipal Me me, @PathVariable Sharing.Kind kind, @PathVariable UUID object) {
        return sharing.of(me, kind, object);
    }

    @PutMapping("/shares/{kind}/{object}/{person}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void share(
            @AuthenticationPrincipal Me me,
            @PathVariable Sharing.Kind kind,
            @PathVariable UUID object,
            @PathVariable UUID person,
            @RequestBody ShareWith with) {
        sharing.share(me, kind, object, person, with.mayEdit());
    }

    @DeleteMapping("/shares/{kind}/{object}/{person}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void unshare(
            @AuthenticationPrincipal Me me,
            @PathVariable Sharing.Kind kind,
            @PathVariable UUID object,
            @PathVariable UUID person) {
        sharing.unshare(me, kind, object, person);
    }
}
