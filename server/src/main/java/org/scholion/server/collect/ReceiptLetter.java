package org.scholion.server.collect;

import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Told;
import org.scholion.core.item.Item;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.Attempts;
import org.scholion.server.mail.LetterWriter;
import org.scholion.server.person.People;
import org.scholion.server.person.Schools;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** Brings a student the receipt for what they handed in last, with their answers, where the sitting says so. */
@Component
class ReceiptLetter implements LetterWriter {
    static final String KIND = "RECEIPT";

    private final EntityManager entities;
    private final Attempts attempts;
    private final Editions editions;
    private final People people;
    private final Schools schools;
    private final String address;

    ReceiptLetter(
            EntityManager entities,
            Attempts attempts,
            Editions editions,
            People people,
            Schools schools,
            @Value("${scholion.url}") String address) {
        this.entities = entities;
        this.attempts = attempts;
        this.editions = editions;
        this.people = people;
        this.schools = schools;
        this.address = address;
    }

    @Override
    public String kind() {
        return KIND;
    }

    private record HandedIn(UUID attempt, UUID school, Instant at, String receipt, String title) {}

    @Override
    @Transactional(readOnly = true)
    public Optional<Letter> write(UUID person, @Nullable UUID by) {
        return address(person)
                .flatMap(to -> entities.createQuery("""
                        select x.id, x.school, x.handedInAt, x.receipt, a.title from AttemptRow x
                        join SittingRow s on s.id = x.sitting join AssessmentRow a on a.id = x.assessment
                        where x.student = :person and x.receipt is not null and s.settings.receiptByMail = true
                        order by x.handedInAt desc""", HandedIn.class)
                        .setParameter("person", person)
                        .setMaxResults(1)
                        .getResultStream()
                        .findFirst()
                        .map(in -> letter(to, in)));
    }

    /** Of a guest the address that they gave. */
    private Optional<String> address(UUID person) {
        return Stream.concat(
                        people.reach(person).map(People.Reach::email).stream(),
                        Optional.ofNullable(entities.find(Guest.class, person)).map(g -> g.email).stream())
                .filter(email -> !email.isBlank())
                .findFirst();
    }

    private Letter letter(String to, HandedIn in) {
        String school = schools.name(in.school());
        String text = """
                        You handed in %s on %s.

                        Your receipt: %s
                        It can be checked here: %s/receipt

                        Your answers:

                        %s
                        """.formatted(
                        in.title(),
                        schools.told(in.school(), in.at()),
                        in.receipt(),
                        address,
                        String.join("\n", answers(in.attempt())));
        return new Letter(to, school, "Your receipt for " + in.title(), text);
    }

    /** By number, without what was asked: the paper may be in use elsewhere. */
    private List<String> answers(UUID id) {
        Attempt attempt = attempts.require(id);
        Edition edition = editions.numbered(attempt.assessment(), attempt.edition());
        Map<String, JsonNode> said = attempts.responsesOf(id);
        List<String> lines = new ArrayList<>();
        for (Item item : edition.items()) {
            if (!attempt.leftOut().contains(item.id())) {
                String words = said.containsKey(item.id()) ? Told.in(item, Attempts.answer(item, said)) : "";
                lines.add(edition.numberOf(item.id(), attempt.leftOut()) + ". " + (words.isBlank() ? "–" : words));
            }
        }
        return lines;
    }
}
