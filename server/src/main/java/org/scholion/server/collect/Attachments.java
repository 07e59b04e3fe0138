package org.scholion.server.collect;

import java.time.Clock;
import java.time.Duration;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.scholion.server.access.Access;
import org.scholion.server.file.FileUses;
import org.scholion.server.file.Files;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** Pictures and PDFs that a student puts beside an answer. */
@Service
class Attachments {
    private static final Duration A_DAY = Duration.ofDays(1);
    private static final int MOST_A_DAY = 200;

    private final Files files;
    private final FileUses uses;
    private final Access access;
    private final Clock clock;

    Attachments(Files files, FileUses uses, Access access, Clock clock) {
        this.files = files;
        this.uses = uses;
        this.access = access;
        this.clock = clock;
    }

    /** Keeps a file of a student who is at work; it belongs to no answer before an answer names it. */
    @Transactional
    public Files.Taken take(Me me, UUID attempt, String name, byte[] bytes) {
        access.require(me, Access.Action.TAKE, attempt);
        if (files.countOf(me, clock.instant().minus(A_DAY)) >= MOST_A_DAY) {
            throw new Refused(
                    HttpStatus.TOO_MANY_REQUESTS,
                    "too-many-files",
                    "You have added " + MOST_A_DAY
                            + " files today. What is added already can be used; tell your teacher"
                            + " if you need more.",
                    List.of());
        }
        return files.take(me, name, bytes);
    }

    /**
     * Notes what belongs to an attempt, so that its readers may see it; an answer without any costs nothing.
     *
     * @throws Refused when a file is named that this student did not put in
     */
    @Transactional
    public void note(Me me, UUID attempt, JsonNode answer) {
        JsonNode named = answer.path("attachments");
        if (named.isEmpty()) {
            return;
        }
        Collection<Optional<String>> types =
                uses.typesOf(me.school(), me.id(), named).values();
        if (types.stream().anyMatch(Optional::isEmpty)) {
            throw Refused.invalid("attachments", "This file is not among those you added. Add it again.");
        }
        if (!types.stream().map(Optional::orElseThrow).allMatch(Attachments::isPages)) {
            throw Refused.invalid("attachments", "Only pictures and PDFs can be added to an answer.");
        }
        uses.note(me.school(), FileUses.Kind.ANSWER, attempt, named);
    }

    private static boolean isPages(String type) {
        return type.startsWith("image/") || type.equals("application/pdf");
    }
}
