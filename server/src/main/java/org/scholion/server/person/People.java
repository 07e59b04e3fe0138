package org.scholion.server.person;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.access.Access;
import org.scholion.server.platform.Ids;
import org.scholion.server.platform.Me;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The people of the school. */
@Service
public class People {
    private final Repository repository;
    private final PasswordEncoder passwords;
    private final Access access;
    private final Ids ids;

    People(Repository repository, PasswordEncoder passwords, Access access, Ids ids) {
        this.repository = repository;
        this.passwords = passwords;
        this.access = access;
        this.ids = ids;
    }

    interface Repository extends JpaRepository<Person, UUID> {
        Optional<Person> findByUsernameIgnoreCase(String username);

        Optional<Person> findBySchoolAndNumber(UUID school, String number);

        List<Person> findBySchoolOrderByFamilyAscGivenAsc(UUID school);
    }

    /** What is needed to make somebody known; without a password nobody can sign in as them until one is set. */
    public record NewPerson(
            Me.Role role,
            String given,
            String family,
            @Nullable String number,
            @Nullable String email,
            String username) {}

    /** A line of the list of people. */
    public record PersonLine(
            UUID id,
            Me.Role role,
            String given,
            String family,
            @Nullable String number,
            @Nullable String email) {}

    @Transactional
    public Me add(UUID school, NewPerson who, @Nullable String passwordHash) {
        Person person = new Person();
        person.id = ids.next();
        person.school = school;
        person.role = who.role();
        person.given = who.given();
        person.family = who.family();
        person.number = who.number();
        person.email = who.email();
        person.username = who.username().toLowerCase(Locale.ROOT);
        person.password = passwordHash == null ? "{noop}" + UUID.randomUUID() + UUID.randomUUID() : passwordHash;
        return repository.saveAndFlush(person).me();
    }

    @Transactional(readOnly = true)
    public Optional<Me> byNumber(UUID school, String number) {
        return repository.findBySchoolAndNumber(school, number).map(Person::me);
    }

    /** A person's name as it is shown; of nobody, nothing. */
    @Transactional(readOnly = true)
    public String name(UUID id) {
        return repository.findById(id).map(p -> p.given + " " + p.family).orElse("");
    }

    @Transactional(readOnly = true)
    public Optional<Me> byId(UUID id) {
        return repository.findById(id).map(Person::me);
    }

    @Transactional(readOnly = true)
    public List<PersonLine> list(Me me) {
        access.require(me, Access.Action.SEE_PEOPLE, me.school());
        return repository.findBySchoolOrderByFamilyAscGivenAsc(me.school()).stream()
                .map(p -> new PersonLine(p.id, p.role, p.given, p.family, p.number, p.email))
                .toList();
    }

    /** The person whose password this is; checking takes as long for an unknown name. */
    @Transactional(readOnly = true)
    public Optional<Me> check(String username, String password) {
        Optional<Person> found = repository.findByUsernameIgnoreCase(username.strip());
        String hash = found.map(p -> p.password).orElse(NOBODY);
        return passwords.matches(password, hash) ? found.map(Person::me) : Optional.empty();
    }

    /** A hash that fits no password, so that an unknown name costs the same time. */
    private static final String NOBODY = "{bcrypt}$2a$10$7EqJtq98hPqEX7fNZaFWoOhi5lWlNYIlNyMN8nYqH4n9ZQhkV6y6K";
}
