package org.scholion.server.course;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.scholion.server.mail.LetterWriter;
import org.scholion.server.person.People;
import org.scholion.server.person.Schools;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** The letter that tells a colleague that they teach or read in a course from now on. */
@Component
class CourseLetter implements LetterWriter {
    static final String KIND = "COURSE";

    private final Courses courses;
    private final People people;
    private final Schools schools;
    private final String address;

    CourseLetter(Courses courses, People people, Schools schools, @Value("${scholion.url}") String address) {
        this.courses = courses;
        this.people = people;
        this.schools = schools;
        this.address = address;
    }

    @Override
    public String kind() {
        return KIND;
    }

    @Override
    public Optional<Letter> write(UUID person, @Nullable UUID by) {
        List<Courses.Part> parts = courses.partsOf(person);
        return parts.isEmpty() ? Optional.empty() : people.reach(person).map(to -> letter(to, parts, by));
    }

    private Letter letter(People.Reach to, List<Courses.Part> parts, @Nullable UUID by) {
        String school = schools.name(to.school());
        String text = """
                        Dear %s,

                        %s has given you a part in a course. These are yours now:

                        %s

                        They are on your desk: %s/desk
                        """.formatted(
                        to.name(),
                        by == null ? school : people.name(by),
                        parts.stream()
                                .map(p -> "- " + p.title()
                                        + (p.reads() ? ": you read open answers, without names" : ": you teach"))
                                .collect(Collectors.joining("\n")),
                        address);
        return new Letter(to.email(), school, "A course for you", text);
    }
}
