package org.scholion.server.person;

import java.time.Clock;
import java.util.HashSet;
import java.util.List;
import java.util.UUID;
import org.scholion.server.access.Access;
import org.scholion.server.mail.Post;
import org.scholion.server.platform.Deeds;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Lets people of one's school choose a password: by link, by letter or by printed code. */
@Service
class Invitations {
    private static final int MOST = 5_000;

    private final WaysIn waysIn;
    private final People people;
    private final Post post;
    private final Deeds deeds;
    private final Access access;
    private final Clock clock;

    Invitations(WaysIn waysIn, People people, Post post, Deeds deeds, Access access, Clock clock) {
        this.waysIn = waysIn;
        this.people = people;
        this.post = post;
        this.deeds = deeds;
        this.access = access;
        this.clock = clock;
    }

    PeopleController.InvitationLink link(Me me, UUID person) {
        access.require(me, Access.Action.MANAGE_PERSON, person);
        return new PeopleController.InvitationLink(
                waysIn.link(me.id(), person), clock.instant().plus(WaysIn.LINK_HOLDS));
    }

    /** Those of another school are passed over, as if they were not there. */
    List<WaysIn.Slip> codes(Me me, List<UUID> people) {
        requireSome(me, people);
        return waysIn.codes(me, people);
    }

    /** A letter with a link to each who has an e-mail and may sign in. */
    @Transactional
    PeopleController.LettersAsked mail(Me me, List<UUID> persons) {
        requireSome(me, persons);
        List<Person> reached = people.enabled(me.school(), persons).stream()
                .filter(p -> p.email != null && !p.email.isBlank())
                .toList();
        int asked = post.ask(
                me.school(),
                me.id(),
                InvitationWriter.KIND,
                reached.stream().map(p -> p.id).toList());
        if (asked > 0) {
            deeds.note(
                    me,
                    Deeds.What.INVITED,
                    reached.size() == 1 ? reached.get(0).id : null,
                    reached.size() == 1 ? reached.get(0).name() : String.valueOf(asked));
        }
        return new PeopleController.LettersAsked(asked, new HashSet<>(persons).size() - reached.size());
    }

    private void requireSome(Me me, List<UUID> persons) {
        access.require(me, Access.Action.SEE_PEOPLE, me.school());
        if (persons.isEmpty() || persons.size() > MOST) {
            throw Refused.invalid("people", "choose from one to " + MOST + " people");
        }
    }
}
