package org.scholion.server.person;

import jakarta.persistence.EntityManager;
import jakarta.servlet.http.HttpServletRequest;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.access.Access;
import org.scholion.server.mail.Post;
import org.scholion.server.platform.Ids;
import org.scholion.server.platform.Lengths;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.scholion.server.platform.Watched;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.query.Param;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The people of the school. */
@Service
public class People {
    private final Repository repository;
    private final PasswordEncoder passwords;
    private final SignedIn signedIn;
    private final Access access;
    private final EntityManager entities;
    private final Ids ids;
    private final Post post;

    People(
            Repository repository,
            PasswordEncoder passwords,
            SignedIn signedIn,
            Access access,
            EntityManager entities,
            Ids ids,
            Post post) {
        this.post = post;
        this.repository = repository;
        this.passwords = passwords;
        this.signedIn = signedIn;
        this.access = access;
        this.entities = entities;
        this.ids = ids;
    }

    interface Repository extends JpaRepository<Person, UUID> {
        Optional<Person> findByUsernameIgnoreCase(String username);

        List<Person> findBySchoolAndNumberIn(UUID school, Collection<String> numbers);

        List<Person> findBySchoolOrderByFamilyAscGivenAsc(UUID school);

        List<Person> findBySchoolAndIdInAndDisabledAtIsNullOrderByFamilyAscGivenAsc(UUID school, Collection<UUID> ids);

        @Query("select p from Person p join School s on s.id = p.school"
                + " where p.id = :id and s.madeUp and p.guestOf is null")
        Optional<Person> findMadeUp(@Param("id") UUID id);
    }

    /** What is needed to make somebody known; without a password nobody can sign in as them until one is set. */
    public record NewPerson(
            Me.Role role,
            String given,
            String family,
            @Nullable String number,
            @Nullable String email,
            String username) {}

    /**
     * A line of the list of people.
     *
     * @param guest whether they came to one sitting only
     * @param letter the last invitation that was mailed
     */
    public record PersonLine(
            UUID id,
            Me.Role role,
            String given,
            String family,
            @Nullable String number,
            @Nullable String email,
            String username,
            boolean hasPassword,
            boolean disabled,
            boolean guest,
            Post.@Nullable Stand letter,
            int revision) {
        private static PersonLine of(Person p, Post.@Nullable Stand letter) {
            return new PersonLine(
                    p.id,
                    p.role,
                    p.given,
                    p.family,
                    p.number,
                    p.email,
                    p.username,
                    p.password != null,
                    p.disabledAt != null,
                    p.guestOf != null,
                    letter,
                    p.revision);
        }
    }

    /** Somebody of the made-up school, as the sign-in page lists them. */
    public record DemoPerson(UUID id, Me.Role role, String name, String about) {}

    @Transactional(readOnly = true)
    List<DemoPerson> madeUp() {
        return entities.createQuery("""
                        select p.id, p.role, p.name,
                               coalesce(listagg(s.name, ', ') within group (order by s.name), '')
                        from Person p join School o on o.id = p.school and o.madeUp and p.guestOf is null
                        left join Enrolment e on e.student = p.id
                        left join Section s on s.id = e.section or s.teacher = p.id
                        group by p.id, p.role, p.given, p.family order by p.role desc, min(s.name), p.family, p.given""", DemoPerson.class).getResultList();
    }

    @Transactional(readOnly = true)
    Optional<Me> madeUp(UUID person) {
        return repository.findMadeUp(person).map(Person::me);
    }

    /** A student of a roster: a name to sign in with is made from their own, since an address is not theirs to give. */
    @Transactional
    public Me addStudent(UUID school, String given, String family, @Nullable String number, @Nullable String email) {
        String username = freeUsername(SignInName.of(given, family, Objects.requireNonNullElse(number, "")));
        return add(school, new NewPerson(Me.Role.STUDENT, given, family, number, email, username), null);
    }

    /** Somebody who comes to one sitting only. */
    @Transactional
    public UUID addGuest(UUID school, String given, String family, UUID sitting) {
        String name = freeUsername(
                "guest-" + SlipCode.random().signs().substring(0, 5).toLowerCase(Locale.ROOT));
        Person person = row(
                school,
                new NewPerson(
                        Me.Role.STUDENT,
                        Lengths.name("given", given),
                        Lengths.name("family", family),
                        null,
                        null,
                        name));
        person.guestOf = sitting;
        entities.persist(person);
        entities.flush();
        return person.id;
    }

    /** Whether somebody came to one sitting only. */
    @Transactional(readOnly = true)
    public boolean isGuest(UUID person) {
        return repository.findById(person).map(p -> p.guestOf != null).orElse(false);
    }

    /** Guests of a sitting that is withdrawn: nothing of theirs is left. */
    @Transactional
    public void removeGuests(UUID sitting) {
        signedIn.endGuestsOf(sitting);
        entities.createQuery("delete from Person p where p.guestOf = :sitting")
                .setParameter("sitting", sitting)
                .executeUpdate();
    }

    /** The name with which somebody signs in. */
    @Transactional(readOnly = true)
    public String usernameOf(UUID person) {
        return repository.findById(person).map(p -> p.username).orElseThrow(Refused::notFound);
    }

    /** A student to be made. */
    public record NewStudent(
            String given,
            String family,
            String number,
            @Nullable String email) {}

    /** Very many at once: their ids, in the same order. */
    @Transactional
    public List<UUID> addStudents(UUID school, List<NewStudent> students) {
        List<String> wanted = students.stream()
                .map(s -> SignInName.of(s.given(), s.family(), s.number()))
                .toList();
        List<String> names = freeUsernames(wanted);
        List<UUID> made = new ArrayList<>();
        for (int i = 0; i < students.size(); i++) {
            NewStudent s = students.get(i);
            Person person = row(
                    school, new NewPerson(Me.Role.STUDENT, s.given(), s.family(), s.number(), s.email(), names.get(i)));
            entities.persist(person);
            made.add(person.id);
        }
        entities.flush();
        entities.clear();
        return made;
    }

    /** As {@link #freeUsername}, for many in one statement: nobody gets the name of another of them either. */
    private List<String> freeUsernames(List<String> wanted) {
        java.util.Set<String> taken = new java.util.HashSet<>(entities.createQuery(
                        "select lower(p.username) from Person p where function('regexp_replace', lower(p.username),"
                                + " '[0-9]+$', '') in (:bare)",
                        String.class)
                .setParameter(
                        "bare",
                        wanted.stream().map(w -> w.replaceFirst("[0-9]+$", "")).toList())
                .getResultList());
        return wanted.stream()
                .map(name -> {
                    String free = name;
                    for (int n = 2; !taken.add(free); n++) {
                        free = name + n;
                    }
                    return free;
                })
                .toList();
    }

    /** Somebody of the school with all that a roster may know them by. */
    public record KnownPerson(UUID id, Me.Role role, String given, String family, String number, String email) {}

    /** Those of the school who have one of these numbers, with or without zeros before it, or one of these addresses. */
    @Transactional(readOnly = true)
    public List<KnownPerson> near(UUID school, Collection<String> numbersWithoutZeros, Collection<String> emails) {
        return entities.createQuery("""
                        select p.id, p.role, p.given, p.family, coalesce(p.number, ''), coalesce(p.email, '')
                        from Person p where p.school = :school
                          and (trim(leading '0' from p.number) in (:numbers) or lower(p.email) in (:emails))""", KnownPerson.class)
                .setParameter("school", school)
                .setParameter("numbers", numbersWithoutZeros)
                .setParameter("emails", emails)
                .getResultList();
    }

    /** A roster says that somebody is called otherwise now. */
    @Transactional
    public void rename(UUID person, String given, String family) {
        Person row = repository.findById(person).orElseThrow(Refused::notFound);
        row.given = given;
        row.family = family;
    }

    /** This name to sign in with, or the next of its kind that nobody has. */
    String freeUsername(String wanted) {
        String free = wanted;
        for (int n = 2; repository.findByUsernameIgnoreCase(free).isPresent(); n++) {
            free = wanted + n;
        }
        return free;
    }

    @Transactional
    public Me add(UUID school, NewPerson who, @Nullable String passwordHash) {
        Person person = row(school, who);
        person.password = passwordHash;
        return repository.saveAndFlush(person).me();
    }

    private Person row(UUID school, NewPerson who) {
        Person person = new Person();
        person.id = ids.next();
        person.school = school;
        person.role = who.role();
        person.given = who.given();
        person.family = who.family();
        person.number = who.number();
        person.email = who.email();
        person.username = who.username().toLowerCase(Locale.ROOT);
        return person;
    }

    /** Those of the school who have one of these numbers, by number. */
    @Transactional(readOnly = true)
    public Map<String, Me> byNumbers(UUID school, Collection<String> numbers) {
        Map<String, Me> found = new HashMap<>();
        repository
                .findBySchoolAndNumberIn(school, numbers)
                .forEach(p -> found.put(Objects.requireNonNull(p.number), p.me()));
        return found;
    }

    /** A person's name as it is shown; of nobody, nothing. */
    @Transactional(readOnly = true)
    public String name(UUID id) {
        return repository.findById(id).map(p -> p.given + " " + p.family).orElse("");
    }

    /** Where a letter reaches somebody, from which school. */
    public record Reach(String name, String email, UUID school) {}

    /** Empty for who has no e-mail or may not sign in. */
    @Transactional(readOnly = true)
    public Optional<Reach> reach(UUID person) {
        return repository
                .findById(person)
                .filter(p -> p.disabledAt == null && p.email != null && !p.email.isBlank())
                .map(p -> new Reach(p.name(), String.valueOf(p.email), p.school));
    }

    @Transactional(readOnly = true)
    public Optional<Me> byId(UUID id) {
        return repository.findById(id).map(Person::me);
    }

    @Transactional(readOnly = true)
    public List<PersonLine> list(Me me) {
        access.require(me, Access.Action.SEE_PEOPLE, me.school());
        Map<UUID, Post.Stand> letters = post.last(me.school(), InvitationWriter.KIND);
        return repository.findBySchoolOrderByFamilyAscGivenAsc(me.school()).stream()
                .map(p -> PersonLine.of(p, letters.get(p.id)))
                .toList();
    }

    /** A teacher whom courses can be given to. */
    record TeacherName(UUID id, String name) {}

    /** The school's teachers, for its staff. */
    @Transactional(readOnly = true)
    List<TeacherName> teachers(Me me) {
        access.require(me, Access.Action.SEE_TEACHERS, me.school());
        return entities.createQuery("""
                        select p.id, p.name from Person p where p.school = :school and p.role = TEACHER
                          and p.disabledAt is null order by p.family, p.given""", TeacherName.class)
                .setParameter("school", me.school())
                .getResultList();
    }

    @Transactional(readOnly = true)
    PersonLine line(UUID person) {
        Person row = repository.findById(person).orElseThrow(Refused::notFound);
        return PersonLine.of(row, post.last(InvitationWriter.KIND, person).orElse(null));
    }

    /** Those of these who are of the school and may sign in, by name. */
    List<Person> enabled(UUID school, Collection<UUID> persons) {
        return repository.findBySchoolAndIdInAndDisabledAtIsNullOrderByFamilyAscGivenAsc(school, persons);
    }

    /** Whose name to sign in with this is. */
    Optional<UUID> idOf(String username) {
        return repository.findByUsernameIgnoreCase(username.strip()).map(p -> p.id);
    }

    /** The person whose password this is; checking takes as long for an unknown name, and for one without a password. */
    public Optional<Me> check(String username, String password) {
        // No connection is held while the hash takes its time.
        Optional<Person> found = repository.findByUsernameIgnoreCase(username.strip());
        String hash = found.map(p -> p.password).orElse(NOBODY);
        boolean right = passwords.matches(password, hash);
        return found.filter(p -> right && p.disabledAt == null).map(Person::me);
    }

    /** What somebody of one's school signs in with. */
    @Transactional(readOnly = true)
    String usernameOf(Me me, UUID person) {
        return repository
                .findById(person)
                .filter(p -> p.school.equals(me.school()))
                .map(p -> p.username)
                .orElseThrow(Refused::notFound);
    }

    /** Sets a password. Whoever is signed in as this person is no longer. */
    @Transactional
    public void setPassword(UUID person, String password) {
        Person row = repository.findById(person).orElseThrow(Refused::notFound);
        row.password = passwords.encode(Passwords.checked(password, row.username));
        signedIn.endAll(person, null);
        Watched.note(Watched.What.NEW_PASSWORD, null, person);
    }

    /** Changes one's own password; one stays signed in here and nowhere else. */
    public void changePassword(Me me, String current, String next, HttpServletRequest here) {
        Person person = repository.findById(me.id()).orElseThrow(Refused::notFound);
        if (person.password == null || !passwords.matches(current, person.password)) {
            throw Refused.invalid("current", "this is not your password");
        }
        String hash = passwords.encode(Passwords.checked(next, person.username));
        person.password = hash;
        repository.saveAndFlush(person);
        signedIn.endAll(me.id(), here);
        Watched.note(Watched.What.NEW_PASSWORD, me.id(), null);
    }

    /** Gives somebody another role. Whoever is signed in as this person is no longer. */
    @Transactional
    public void setRole(UUID person, Me.Role role) {
        repository.findById(person).orElseThrow(Refused::notFound).role = role;
        signedIn.endAll(person, null);
        Watched.note(Watched.What.NEW_ROLE, null, person);
    }

    /** A hash that fits no password, so that an unknown name costs the same time. */
    private static final String NOBODY = "{bcrypt}$2a$10$7EqJtq98hPqEX7fNZaFWoOhi5lWlNYIlNyMN8nYqH4n9ZQhkV6y6K";

    /** By which number each of these people is known, where they have one. */
    @Transactional(readOnly = true)
    public Map<UUID, String> numbersOf(Collection<UUID> people) {
        Map<UUID, String> all = new HashMap<>();
        if (!people.isEmpty()) {
            entities.createQuery(
                            "select p.id, p.number from Person p where p.id in (:ids) and p.number is not null",
                            Numbered.class)
                    .setParameter("ids", people)
                    .getResultList()
                    .forEach(n -> all.put(n.id(), n.number()));
        }
        return all;
    }

    record Numbered(UUID id, String number) {}
}
