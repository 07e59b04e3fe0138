package org.scholion.server.person;

import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.scholion.server.access.Access;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;

/** Lets people of one's school choose a password: by link or by printed code. */
@Service
class Invitations {
    private static final int MOST = 5_000;

    private final WaysIn waysIn;
    private final Access access;
    private final Clock clock;
    private final String address;

    Invitations(WaysIn waysIn, Access access, Clock clock, @Value("${scholion.url}") String address) {
        this.waysIn = waysIn;
        this.access = access;
        this.clock = clock;
        this.address = address;
    }

    PeopleController.InvitationLink link(Me me, UUID person) {
        access.require(me, Access.Action.MANAGE_PERSON, person);
        return new PeopleController.InvitationLink(
                address + "/enter#" + waysIn.link(me, person), clock.instant().plus(WaysIn.LINK_HOLDS));
    }

    /** Those of another school are passed over, as if they were not there. */
    List<WaysIn.Slip> codes(Me me, List<UUID> people) {
        access.require(me, Access.Action.SEE_PEOPLE, me.school());
        if (people.isEmpty() || people.size() > MOST) {
            throw Refused.invalid("people", "choose from one to " + MOST + " people");
        }
        return waysIn.codes(me, people);
    }
}
