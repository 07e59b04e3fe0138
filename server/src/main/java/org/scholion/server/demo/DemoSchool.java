package org.scholion.server.demo;

import jakarta.persistence.EntityManager;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.scholion.formats.json.Json;
import org.scholion.server.course.Courses;
import org.scholion.server.course.Rosters;
import org.scholion.server.key.Assessments;
import org.scholion.server.person.People;
import org.scholion.server.person.Schools;
import org.scholion.server.platform.Ids;
import org.scholion.server.platform.JsonColumn;
import org.scholion.server.platform.Me;
import org.scholion.server.standard.Frameworks;
import org.springframework.core.io.ClassPathResource;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/** Saltmarsh Harbour School: its people, frameworks, course and sections. */
@Component
class DemoSchool {
    static final String PASSWORD = "saltmarsh";

    private final Schools schools;
    private final People people;
    private final Courses courses;
    private final Rosters rosters;
    private final Frameworks frameworks;
    private final Assessments assessments;
    private final PasswordEncoder passwords;
    private final EntityManager entities;
    private final Ids ids;

    DemoSchool(
            Schools schools,
            People people,
            Courses courses,
            Rosters rosters,
            Frameworks frameworks,
            Assessments assessments,
            PasswordEncoder passwords,
            EntityManager entities,
            Ids ids) {
        this.schools = schools;
        this.people = people;
        this.courses = courses;
        this.rosters = rosters;
        this.frameworks = frameworks;
        this.assessments = assessments;
        this.passwords = passwords;
        this.entities = entities;
        this.ids = ids;
    }

    /** The school as the rest of the demo needs it. */
    record School(Me aud, Me halvard, UUID course, Map<String, UUID> sections, Map<String, List<Me>> students) {
        UUID section(String letter) {
            return java.util.Objects.requireNonNull(sections.get("Section " + letter));
        }

        List<Me> studentsOf(String letter) {
            return java.util.Objects.requireNonNull(students.get("Section " + letter));
        }
    }

    boolean isThere() {
        return schools.isThereAny();
    }

    School found() {
        UUID school = ids.next();
        schools.add(school, "Saltmarsh Harbour School", "Europe/London", true);
        schools.setLook(school, "SH", "#1f4e5f");
        // One hash for everybody: the demo's password is no secret, and a hash takes a while.
        String hash = java.util.Objects.requireNonNull(passwords.encode(PASSWORD));
        Me aud = teacher(school, "Aud", "Meller", hash);
        Me halvard = teacher(school, "Halvard", "Quist", hash);
        Me ines = teacher(school, "Ines", "Calder", hash);
        people.add(
                school,
                new People.NewPerson(
                        Me.Role.ADMIN, "Berit", "Straum", null, "berit.straum@saltmarsh.example", "berit.straum"),
                hash);
        frameworks.add(school, read("framework-1"));
        UUID framework = frameworks.add(school, read("framework-2"));
        UUID course = courses.add(school, "Coastal Navigation", framework, List.of(aud.id(), halvard.id(), ines.id()));
        entities.createQuery("update Course set term = 'Autumn 2026' where id = :course")
                .setParameter("course", course)
                .executeUpdate();
        courses.reader(course, teacher(school, "Runa", "Teig", hash).id());
        Map<String, UUID> sections = new HashMap<>();
        sections.put("Section A", courses.section(course, "Section A", aud.id()));
        sections.put("Section B", courses.section(course, "Section B", aud.id()));
        sections.put("Section C", courses.section(course, "Section C", ines.id()));
        Rosters.RosterAsked asked = Rosters.RosterAsked.NOTHING;
        rosters.take(aud, course, rosters.read(aud, course, () -> bytes("roster.csv"), asked), asked);
        signInNames(school, hash);
        return new School(aud, halvard, course, sections, students(school, course));
    }

    private Me teacher(UUID school, String given, String family, String hash) {
        String username = given.toLowerCase(java.util.Locale.ROOT) + "." + family.toLowerCase(java.util.Locale.ROOT);
        String email = given.substring(0, 1).toLowerCase(java.util.Locale.ROOT) + "."
                + family.toLowerCase(java.util.Locale.ROOT) + "@saltmarsh.example";
        return people.add(school, new People.NewPerson(Me.Role.TEACHER, given, family, null, email, username), hash);
    }

    /** Gives the students of the roster their names and the demo's password to sign in with. */
    private void signInNames(UUID school, String hash) {
        entities.createQuery("""
                        update Person p set p.username = function('split_part', p.email, '@', 1), p.password = :hash
                        where p.school = :school and p.role = STUDENT""")
                .setParameter("hash", hash)
                .setParameter("school", school)
                .executeUpdate();
    }

    private Map<String, List<Me>> students(UUID school, UUID course) {
        Map<String, List<Me>> bySection = new HashMap<>();
        courses.known(course)
                .forEach(k -> bySection
                        .computeIfAbsent(k.section(), s -> new java.util.ArrayList<>())
                        .add(new Me(UUID.fromString(k.id()), school, Me.Role.STUDENT, k.given(), k.family())));
        return bySection;
    }

    /** Writes an assessment as a teacher would: created, then saved. */
    UUID write(School school, String name) {
        JsonNode definition = read(name);
        UUID id = assessments.create(
                school.aud(), school.course(), definition.get("title").stringValue());
        assessments.save(school.aud(), id, JsonColumn.plain(definition), 0);
        return id;
    }

    static JsonNode read(String name) {
        return Json.read(resource(name + ".json"));
    }

    static byte[] bytes(String name) {
        return resource(name).getBytes(StandardCharsets.UTF_8);
    }

    private static String resource(String name) {
        try {
            return new ClassPathResource("demo/" + name).getContentAsString(StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
