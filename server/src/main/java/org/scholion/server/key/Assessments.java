package org.scholion.server.key;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.formats.assessment.AssessmentFile;
import org.scholion.formats.json.Fault;
import org.scholion.formats.json.Json;
import org.scholion.formats.json.Texts;
import org.scholion.server.access.Access;
import org.scholion.server.file.FileUses;
import org.scholion.server.person.People;
import org.scholion.server.person.Schools;
import org.scholion.server.platform.Ids;
import org.scholion.server.platform.JsonColumn;
import org.scholion.server.platform.Lengths;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.scholion.server.standard.Frameworks;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.query.Param;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Assessments while they are written. A draft may be unfinished; what is still wrong with it is said, not refused. */
@Service
public class Assessments {
    private static final int LARGEST = 4_000_000;

    private final Repository repository;
    private final Editions editions;
    private final Frameworks frameworks;
    private final Access access;
    private final ItemHistory history;
    private final About about;
    private final FileUses files;
    private final People people;
    private final Schools schools;
    private final Ids ids;
    private final Clock clock;

    Assessments(
            Repository repository,
            Editions editions,
            Frameworks frameworks,
            Access access,
            ItemHistory history,
            About about,
            FileUses files,
            People people,
            Schools schools,
            Ids ids,
            Clock clock) {
        this.repository = repository;
        this.editions = editions;
        this.frameworks = frameworks;
        this.access = access;
        this.history = history;
        this.about = about;
        this.files = files;
        this.people = people;
        this.schools = schools;
        this.ids = ids;
        this.clock = clock;
    }

    interface Repository extends JpaRepository<AssessmentRow, UUID> {
        @Query("select a.title from AssessmentRow a where a.id = :id")
        Optional<String> titleOf(@Param("id") UUID id);
    }

    /**
     * The key as it stands.
     *
     * @param edition the number of the latest edition; null before giving out
     * @param faults what has to be put right before it can be given out
     * @param broken the items of which an example no longer gets what it is to get
     * @param frameworks the standards that items can be aligned to
     * @param changedBy who changed it last; null when nobody did since it was made
     */
    public record KeyView(
            Object definition,
            int revision,
            @Nullable Integer edition,
            List<Fault> faults,
            List<String> broken,
            List<Object> frameworks,
            @Nullable String changedBy,
            Instant changedAt) {}

    public record Saved(int revision, List<Fault> faults, List<String> broken) {}

    /** What other features need to know of an assessment. */
    public record Facts(UUID id, UUID course, String title) {}

    @Transactional
    public UUID create(Me me, UUID course, String title) {
        access.require(me, Access.Action.SEE_COURSE, course);
        if (title.isBlank()) {
            throw Refused.invalid("title", "give it a title; it can be changed later");
        }
        AssessmentRow row = new AssessmentRow();
        row.id = ids.next();
        row.school = me.school();
        row.course = course;
        row.title = Lengths.name("title", title);
        row.draft = empty(row.title, schools.language(me.school()));
        row.madeBy = me.id();
        row.madeAt = clock.instant();
        row.changedAt = row.madeAt;
        return repository.saveAndFlush(row).id;
    }

    private static ObjectNode empty(String title, String language) {
        ObjectNode draft = JsonNodeFactory.instance
                .objectNode()
                .put("format", AssessmentFile.FORMAT)
                .put("title", title)
                .put("language", language);
        draft.putArray("items");
        ObjectNode grading = draft.putObject("grading");
        grading.putArray("bands").addObject().put("from", "70").put("label", "Secure");
        grading.put("pass", "60");
        return draft;
    }

    @Transactional(readOnly = true)
    public KeyView key(Me me, UUID id) {
        access.require(me, Access.Action.USE_KEY, id);
        AssessmentRow row = repository.findById(id).orElseThrow(Refused::notFound);
        JsonNode draft = row.draft;
        List<JsonNode> known = frameworks.ofCourse(row.course);
        DraftCheck check = DraftCheck.of(withFrameworks(draft, known));
        return new KeyView(
                JsonColumn.plain(draft),
                row.revision,
                editions.latest(id).map(Edition::number).orElse(null),
                check.faults(),
                check.broken(),
                known.stream().map(JsonColumn::plain).toList(),
                row.changedBy == null ? null : people.name(row.changedBy),
                row.changedAt);
    }

    /**
     * Saves the draft of an assessment that is not given out yet.
     *
     * @param revision the revision that was changed; another one in between is a conflict and nothing is lost
     */
    @Transactional
    public Saved save(Me me, UUID id, Object definition, int revision) {
        AssessmentRow row = mine(me, id);
        if (editions.latest(id).isPresent()) {
            throw Refused.conflict(
                    "given-out", "This has been given out, so a change makes a new edition. Look at its effect first.");
        }
        return store(me.id(), row, JsonColumn.node(definition), revision);
    }

    /** What an item of the draft was, from change to change. */
    @Transactional(readOnly = true)
    public List<ItemHistory.ItemVersion> history(Me me, UUID id, String item) {
        access.require(me, Access.Action.EDIT_KEY, id);
        return history.of(id, item);
    }

    /** Whether an assessment has no question yet. */
    @Transactional(readOnly = true)
    public boolean isEmpty(UUID id) {
        return repository
                .findById(id)
                .map(row -> row.draft.path("items").isEmpty())
                .orElse(true);
    }

    /** Adds items at the end of a draft that is not given out; ids that are taken are changed. The ids as they are now. */
    @Transactional
    public List<String> append(Me me, UUID id, List<JsonNode> items) {
        AssessmentRow row = mine(me, id);
        ObjectNode draft = row.draft.deepCopy().asObject();
        List<String> ids = NewIds.append(draft, items);
        save(me, id, JsonColumn.plain(draft), row.revision);
        return ids;
    }

    /** A copy of an assessment's key in a course of one's own. */
    @Transactional
    public UUID copy(Me me, UUID from, UUID course) {
        access.require(me, Access.Action.USE_KEY, from);
        AssessmentRow row = repository.findById(from).orElseThrow(Refused::notFound);
        String title = copyOf(row.title);
        UUID made = create(me, course, title);
        ObjectNode draft = row.draft.deepCopy().asObject();
        draft.put("title", title);
        save(me, made, JsonColumn.plain(draft), 0);
        about.copied(from, made);
        return made;
    }

    private static String copyOf(String title) {
        String end = " (copy)";
        int most = Texts.LONGEST_NAME - end.length();
        return (title.length() > most ? title.substring(0, most) : title) + end;
    }

    /** Puts the draft to what a new edition says, so that the key that is shown is the key that scores. */
    @Transactional
    public void follow(Me me, UUID id, JsonNode definition) {
        AssessmentRow row = repository.findById(id).orElseThrow(Refused::notFound);
        ObjectNode draft = definition.deepCopy().asObject();
        draft.remove("frameworks");
        store(me.id(), row, draft, row.revision);
    }

    private Saved store(UUID person, AssessmentRow row, JsonNode draft, int revision) {
        if (row.revision != revision) {
            throw Refused.conflict(
                    "changed-meanwhile",
                    "A colleague changed this key while you were working. Your changes are still on your screen. Open it in another tab to compare.");
        }
        String text = Json.write(draft);
        if (!draft.isObject() || text.length() > LARGEST) {
            throw Refused.invalid("", "a key is one object of at most four megabytes");
        }
        Lengths.document(draft);
        history.keep(row.id, person, row.draft, draft);
        files.note(row.school, FileUses.Kind.KEY, row.id, draft);
        row.draft = draft;
        row.changedBy = person;
        row.title = draft.path("title").asString("").isBlank()
                ? row.title
                : draft.path("title").asString();
        row.changedAt = clock.instant();
        DraftCheck check = DraftCheck.of(withFrameworks(draft, frameworks.ofCourse(row.course)));
        return new Saved(repository.saveAndFlush(row).revision, check.faults(), check.broken());
    }

    /** The draft as a whole assessment file: with the framework that its course works with. */
    @Transactional(readOnly = true)
    public JsonNode whole(UUID id) {
        AssessmentRow row = repository.findById(id).orElseThrow(Refused::notFound);
        return withFrameworks(row.draft, frameworks.ofCourse(row.course));
    }

    /** The draft as it is given out: the draws that are made once are made now, and the draft follows them. */
    @Transactional
    public JsonNode drawn(Me me, UUID id) {
        JsonNode whole = whole(id);
        JsonNode drawn = Drawn.once(whole, id.getLeastSignificantBits());
        if (drawn != whole) {
            follow(me, id, drawn);
        }
        return drawn;
    }

    /** What the draws that are made once would come to; nothing is written. */
    @Transactional(readOnly = true)
    public JsonNode asDrawn(UUID id) {
        return Drawn.once(whole(id), id.getLeastSignificantBits());
    }

    /** A changed definition as a whole assessment file. */
    @Transactional(readOnly = true)
    public JsonNode whole(UUID id, Object definition) {
        AssessmentRow row = repository.findById(id).orElseThrow(Refused::notFound);
        return withFrameworks(JsonColumn.node(definition), frameworks.ofCourse(row.course));
    }

    private static JsonNode withFrameworks(JsonNode draft, List<JsonNode> frameworks) {
        if (frameworks.isEmpty() || !draft.isObject()) {
            return draft;
        }
        ObjectNode whole = draft.deepCopy().asObject();
        whole.putArray("frameworks").addAll(frameworks);
        return whole;
    }

    @Transactional(readOnly = true)
    public Facts facts(UUID id) {
        AssessmentRow row = repository.findById(id).orElseThrow(Refused::notFound);
        return new Facts(row.id, row.course, row.title);
    }

    /** What it is called, without reading the rest of it. */
    @Transactional(readOnly = true)
    public String title(UUID id) {
        return repository.titleOf(id).orElseThrow(Refused::notFound);
    }

    private AssessmentRow mine(Me me, UUID id) {
        access.require(me, Access.Action.EDIT_KEY, id);
        return repository.findById(id).orElseThrow(Refused::notFound);
    }
}
