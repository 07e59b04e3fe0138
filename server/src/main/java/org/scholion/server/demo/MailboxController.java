package org.scholion.server.demo;

import java.util.List;
import org.scholion.server.person.Schools;
import org.scholion.server.platform.Refused;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** What the made-up school has mailed, for whoever tries it: its people have no mailboxes of their own. */
@RestController
class MailboxController {
    private final ObjectProvider<DemoMailbox> mailbox;
    private final Schools schools;

    MailboxController(ObjectProvider<DemoMailbox> mailbox, Schools schools) {
        this.mailbox = mailbox;
        this.schools = schools;
    }

    @GetMapping("/api/demo/mail")
    List<DemoMailbox.MailSeen> mail() {
        DemoMailbox own = mailbox.getIfAvailable();
        if (own == null || !schools.isOnlyMadeUp()) {
            throw Refused.notFound();
        }
        return own.letters();
    }
}
