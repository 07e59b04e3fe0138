package org.scholion.server.key;

import jakarta.persistence.EntityManager;
import jakarta.persistence.LockModeType;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.scholion.server.access.Access;
import org.scholion.server.platform.Lengths;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A description, a short code and labels, by which an assessment is found; they are no part of its key. */
@Service
public class About {
    private static final int LONGEST_DESCRIPTION = 2_000;
    private static final int LONGEST_LABEL = 40;
    private static final int MOST_LABELS = 12;
    private static final Pattern CODE = Pattern.compile("[\\p{L}\\p{N}][\\p{L}\\p{N}._-]{1,23}");

    private final EntityManager entities;
    private final Access access;

    About(EntityManager entities, Access access) {
        this.entities = entities;
        this.access = access;
    }

    /**
     * What is said about an assessment.
     *
     * @param code unique in the school whatever the case of its letters; empty for none
     * @param revision which one was seen; 0 before anything was said
     * @param known the labels of the school's other assessments, to choose from
     */
    public record AboutView(String description, String code, List<String> labels, int revision, List<String> known) {}

    /** @param revision the one that was seen */
    public record AboutChange(String description, String code, List<String> labels, int revision) {}

    /** The part of it that lists show. */
    public record InShort(String code, List<String> labels) {
        public static final InShort NONE = new InShort("", List.of());
    }

    @Transactional(readOnly = true)
    public AboutView of(Me me, UUID assessment) {
        access.require(me, Access.Action.USE_KEY, assessment);
        return view(me, entities.find(AboutRow.class, assessment));
    }

    private AboutView view(Me me, @Nullable AboutRow row) {
        List<String> known = List.copyOf(known(me.school()).values());
        return row == null
                ? new AboutView("", "", List.of(), 0, known)
                : new AboutView(row.description, row.code, row.labels, row.revision + 1, known);
    }

    /** @throws Refused when somebody changed it meanwhile, or another assessment of the school has the code */
    @Transactional
    public AboutView change(Me me, UUID assessment, AboutChange wanted) {
        access.require(me, Access.Action.EDIT_KEY, assessment);
        // Two who say the first word about it at once come one after the other.
        AssessmentRow of = entities.find(AssessmentRow.class, assessment, LockModeType.PESSIMISTIC_WRITE);
        AboutRow row = entities.find(AboutRow.class, assessment);
        if (wanted.revision() != (row == null ? 0 : row.revision + 1)) {
            throw Refused.overtaken(
                    "Somebody changed this while you were at it. Your change is still on your screen.", view(me, row));
        }
        String code = code(of, wanted.code());
        AboutRow said = row == null ? new AboutRow() : row;
        said.assessment = assessment;
        said.school = of.school;
        said.description = Lengths.atMost("description", wanted.description().strip(), LONGEST_DESCRIPTION);
        said.code = code;
        said.labels = labels(of.school, wanted.labels());
        if (row == null) {
            entities.persist(said);
        }
        entities.flush();
        return view(me, said);
    }

    /** A copy of an assessment is about the same; only the code stays with the first. */
    void copied(UUID from, UUID to) {
        AboutRow row = entities.find(AboutRow.class, from);
        if (row != null) {
            AboutRow copy = new AboutRow();
            copy.assessment = to;
            copy.school = row.school;
            copy.description = row.description;
            copy.labels = row.labels;
            entities.persist(copy);
        }
    }

    /** What lists show of some assessments; those about which nothing is said are left out. */
    @Transactional(readOnly = true)
    public Map<UUID, InShort> inShort(Collection<UUID> assessments) {
        Map<UUID, InShort> all = new HashMap<>();
        if (!assessments.isEmpty()) {
            entities.createQuery("from AboutRow where assessment in (:assessments)", AboutRow.class)
                    .setParameter("assessments", assessments)
                    .getResultList()
                    .forEach(row -> all.put(row.assessment, new InShort(row.code, row.labels)));
        }
        return all;
    }

    private String code(AssessmentRow of, String wanted) {
        String code = wanted.strip();
        if (code.isEmpty()) {
            return code;
        }
        if (!CODE.matcher(code).matches()) {
            throw Refused.invalid(
                    "code", "a code has from 2 to 24 letters and digits, with - . or _ between them; no spaces");
        }
        boolean taken = !entities.createQuery(
                        "select 1 from AboutRow where school = :school and lower(code) = lower(:code)"
                                + " and assessment <> :assessment",
                        Integer.class)
                .setParameter("school", of.school)
                .setParameter("code", code)
                .setParameter("assessment", of.id)
                .getResultList()
                .isEmpty();
        if (taken) {
            throw Refused.invalid("code", "another assessment of your school has this code; choose another");
        }
        return code;
    }

    /** Each once, in the spelling that the school has already. */
    private List<String> labels(UUID school, List<String> wanted) {
        Map<String, String> known = known(school);
        List<String> labels = new ArrayList<>();
        for (String one : wanted) {
            String label = one.replaceAll("\\s+", " ").strip();
            if (label.isEmpty()) {
                continue;
            }
            String spelled = known.getOrDefault(label, Lengths.atMost("labels", label, LONGEST_LABEL));
            if (labels.stream().noneMatch(spelled::equalsIgnoreCase)) {
                labels.add(spelled);
            }
        }
        if (labels.size() > MOST_LABELS) {
            throw Refused.invalid("labels", "an assessment has at most " + MOST_LABELS + " labels");
        }
        return labels;
    }

    private Map<String, String> known(UUID school) {
        Map<String, String> known = new TreeMap<>(String.CASE_INSENSITIVE_ORDER);
        entities.createNativeQuery("""
                        select distinct l from assessment_about a, jsonb_array_elements_text(a.labels) l
                        where a.school_id = :school order by l""", String.class)
                .setParameter("school", school)
                .getResultStream()
                .forEach(label -> known.putIfAbsent((String) label, (String) label));
        return known;
    }
}
