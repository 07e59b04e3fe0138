package org.scholion.server.examine;

import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.scholion.server.course.Courses;
import org.scholion.server.key.Edition;
import org.scholion.server.ledger.MarkedPaper;
import org.scholion.server.ledger.MarkedPapers;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Reads what is examined. */
@Component
class ExaminedPapers {
    private final MarkedPapers papers;
    private final Courses courses;

    ExaminedPapers(MarkedPapers papers, Courses courses) {
        this.papers = papers;
        this.courses = courses;
    }

    /** A paper under its latest edition, of one section where one is named. */
    @Transactional(readOnly = true)
    Examined read(Edition latest, @Nullable UUID section) {
        MarkedPaper paper = papers.onceEach(latest, section);
        Set<UUID> sections =
                paper.attempts().stream().map(m -> m.attempt().section()).collect(Collectors.toSet());
        return Examined.of(paper, courses.sectionNames(sections));
    }
}
