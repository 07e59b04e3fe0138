package org.scholion.server.collect;

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

/** Reminds a student of what is open and not begun; where all is begun meanwhile, there is nothing to send. */
@Component
class ReminderLetter implements LetterWriter {
    static final String KIND = "REMINDER";

    private final ToDo toDo;
    private final People people;
    private final Schools schools;
    private final String address;

    ReminderLetter(ToDo toDo, People people, Schools schools, @Value("${scholion.url}") String address) {
        this.toDo = toDo;
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
        List<ToDo.ToDoLine> open = toDo.of(person).stream()
                .filter(l -> l.stage() == ToDo.Stage.OPEN)
                .toList();
        return open.isEmpty() ? Optional.empty() : people.reach(person).map(to -> letter(to, open, by));
    }

    private Letter letter(People.Reach to, List<ToDo.ToDoLine> open, @Nullable UUID by) {
        String school = schools.name(to.school());
        String text = """
                        Dear %s,

                        %s reminds you of what is open and not begun:

                        %s

                        You find it here: %s/todo
                        """.formatted(
                        to.name(),
                        by == null ? school : people.name(by),
                        open.stream()
                                .map(l -> "- " + l.title() + ", until " + schools.told(to.school(), l.closes()))
                                .collect(Collectors.joining("\n")),
                        address);
        return new Letter(to.email(), school, "Not begun yet: " + open.get(0).title(), text);
    }
}
