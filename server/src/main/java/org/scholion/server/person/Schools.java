package org.scholion.server.person;

import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.formats.json.Texts;
import org.scholion.server.access.Access;
import org.scholion.server.platform.Deeds;
import org.scholion.server.platform.Framing;
import org.scholion.server.platform.Lengths;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The school and what its administrator sets. */
@Service
public class Schools implements Framing {
    private static final int MOST_IDLE_MINUTES = 1_440;
    private static final int MOST_HOURS = 720;
    private static final long BEGINNING = 0x5C40_0B16L;
    private static final DateTimeFormatter TOLD = DateTimeFormatter.ofPattern("EEEE d MMMM 'at' HH:mm", Locale.UK);

    private final Repository repository;
    private final EntityManager entities;
    private final Access access;
    private final Deeds deeds;

    Schools(Repository repository, EntityManager entities, Access access, Deeds deeds) {
        this.repository = repository;
        this.entities = entities;
        this.access = access;
        this.deeds = deeds;
    }

    interface Repository extends JpaRepository<School, UUID> {
        boolean existsByMadeUpFalse();

        boolean existsByMadeUpTrue();
    }

    /**
     * How long people stay signed in.
     *
     * @param idleMinutes without doing anything
     * @param sessionHours at all
     */
    public record Limits(int idleMinutes, int sessionHours) {}

    @Transactional
    public void add(UUID id, String name, String zone, boolean madeUp) {
        repository.saveAndFlush(new School(id, Lengths.atMost("name", name, 200), zone, madeUp));
    }

    @Transactional(readOnly = true)
    public String name(UUID school) {
        return repository.findById(school).map(s -> s.name).orElse("");
    }

    /** The zone in which the school's times are told. */
    @Transactional(readOnly = true)
    public String zone(UUID school) {
        return repository.findById(school).map(s -> s.zone).orElse("UTC");
    }

    /** A moment as it is told in the school, such as {@code Monday 30 November at 09:00}. */
    @Transactional(readOnly = true)
    public String told(UUID school, Instant moment) {
        return TOLD.withZone(ZoneId.of(zone(school))).format(moment);
    }

    /** Until the transaction ends, nobody else begins a school. */
    void alone() {
        entities.createNativeQuery("select cast(pg_advisory_xact_lock(:lock) as text)")
                .setParameter("lock", BEGINNING)
                .getSingleResult();
    }

    /** How the school looks on its students' pages. */
    @Transactional
    public void setLook(UUID school, String sign, String accent) {
        School row = find(school);
        row.sign = Look.sign(sign);
        row.accent = Accent.checked(accent);
    }

    void setLanguage(UUID school, String language) {
        find(school).language = language(language);
    }

    private School find(UUID school) {
        return repository.findById(school).orElseThrow(Refused::notFound);
    }

    private static String language(String tag) {
        Locale locale = Locale.forLanguageTag(tag);
        if (locale.getLanguage().isEmpty()) {
            throw Refused.invalid("language", "“" + tag + "” is no language; write its code, such as en or nb");
        }
        return locale.toLanguageTag();
    }

    /** How a school looks to its people. */
    record Look(String name, String zone, String sign, String accent) {
        private static String sign(String text) {
            String sign = Texts.printable(text).strip();
            if (sign.codePointCount(0, sign.length()) > 3) {
                throw Refused.invalid("sign", "a sign has at most three letters");
            }
            return sign;
        }
    }

    @Transactional(readOnly = true)
    Look look(UUID school) {
        School row = find(school);
        return new Look(row.name, row.zone, row.sign, row.accent);
    }

    /**
     * What an administrator sets for the school.
     *
     * @param language of its papers, as a tag such as {@code en}
     * @param sign one to three letters; may be empty
     * @param accent a colour as {@code #1f4e5f} that can be read on white; may be empty
     * @param teachersMakeCourses whether teachers begin courses of their own
     * @param mailDomains the ends of the school's own addresses for letters, after the {@code @}; null leaves them as they are
     * @param framedBy the pages that may show a sitting within them, as {@code https://www.school.example}; null likewise
     * @param teachersShare whether teachers share keys, items and rubrics with colleagues
     */
    public record SchoolSettings(
            String name,
            String zone,
            String language,
            String sign,
            String accent,
            boolean teachersMakeCourses,
            boolean teachersShare,
            @Nullable List<String> mailDomains,
            @Nullable List<String> framedBy) {}

    @Transactional(readOnly = true)
    SchoolSettings settings(Me me) {
        access.require(me, Access.Action.SEE_PEOPLE, me.school());
        return settings(find(me.school()));
    }

    private static SchoolSettings settings(School s) {
        return new SchoolSettings(
                s.name,
                s.zone,
                s.language,
                s.sign,
                s.accent,
                s.teachersMakeCourses,
                s.teachersShare,
                words(s.mailDomains),
                words(s.framedBy));
    }

    private static List<String> words(String text) {
        return text.isEmpty() ? List.of() : List.of(text.split(" "));
    }

    /** The ends of a school's own addresses, after the {@code @}. */
    @Transactional(readOnly = true)
    public List<String> mailDomains(UUID school) {
        return words(find(school).mailDomains);
    }

    /** The pages that may show a sitting within them, of all schools here. */
    @Override
    @Transactional(readOnly = true)
    public List<String> framedBy() {
        return repository.findAll().stream()
                .flatMap(s -> words(s.framedBy).stream())
                .distinct()
                .toList();
    }

    @Transactional
    SchoolSettings set(Me me, SchoolSettings wanted) {
        access.require(me, Access.Action.SEE_PEOPLE, me.school());
        School school = find(me.school());
        school.name = Lengths.name("name", wanted.name());
        school.zone = Beginning.zone(wanted.zone());
        school.language = language(wanted.language());
        school.sign = Look.sign(wanted.sign());
        school.accent = Accent.checked(wanted.accent());
        school.teachersMakeCourses = wanted.teachersMakeCourses();
        school.teachersShare = wanted.teachersShare();
        if (wanted.mailDomains() != null) {
            school.mailDomains = SchoolAddresses.domains(wanted.mailDomains());
        }
        if (wanted.framedBy() != null) {
            school.framedBy = SchoolAddresses.pages(wanted.framedBy());
        }
        deeds.note(me, Deeds.What.SCHOOL_CHANGED, me.school(), school.name);
        return settings(school);
    }

    /** The language in which new papers are written. */
    @Transactional(readOnly = true)
    public String language(UUID school) {
        return find(school).language;
    }

    @Transactional(readOnly = true)
    public boolean teachersMakeCourses(UUID school) {
        return find(school).teachersMakeCourses;
    }

    /** Goes on only where the school lets its teachers share. */
    @Transactional(readOnly = true)
    public void requireSharing(UUID school) {
        if (!find(school).teachersShare) {
            throw Refused.conflict(
                    "no-sharing", "Your school does not let teachers share. Ask an administrator to allow it.");
        }
    }

    @Transactional(readOnly = true)
    public boolean isThereAny() {
        return repository.count() > 0;
    }

    /** Whether everybody here is made up, so that anybody may sign in as anybody. */
    @Transactional(readOnly = true)
    public boolean isOnlyMadeUp() {
        return repository.existsByMadeUpTrue() && !repository.existsByMadeUpFalse();
    }

    @Transactional(readOnly = true)
    Limits limits(Me me) {
        access.require(me, Access.Action.SEE_PEOPLE, me.school());
        School school = repository.findById(me.school()).orElseThrow(Refused::notFound);
        return new Limits(school.idleMinutes, school.sessionHours);
    }

    /** They hold from the next request of everybody on. */
    @Transactional
    Limits setLimits(Me me, Limits wanted) {
        access.require(me, Access.Action.SEE_PEOPLE, me.school());
        if (wanted.idleMinutes() < 5 || wanted.idleMinutes() > MOST_IDLE_MINUTES) {
            throw Refused.invalid("idleMinutes", "choose from 5 to " + MOST_IDLE_MINUTES + " minutes");
        }
        if (wanted.sessionHours() < 1 || wanted.sessionHours() > MOST_HOURS) {
            throw Refused.invalid("sessionHours", "choose from 1 to " + MOST_HOURS + " hours");
        }
        School school = repository.findById(me.school()).orElseThrow(Refused::notFound);
        school.idleMinutes = wanted.idleMinutes();
        school.sessionHours = wanted.sessionHours();
        return wanted;
    }
}
