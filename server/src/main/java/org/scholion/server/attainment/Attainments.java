package org.scholion.server.attainment;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;
import org.scholion.core.standard.Alignments;
import org.scholion.core.standard.Attainment;
import org.scholion.core.standard.Evidence;
import org.scholion.core.standard.Framework;
import org.scholion.core.standard.Level;
import org.scholion.core.standard.SectionAttainment;
import org.scholion.formats.assessment.FrameworkReader;
import org.scholion.formats.json.Cursor;
import org.scholion.server.course.Courses;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.scholion.server.standard.AttainmentRules;
import org.scholion.server.standard.AttainmentWay;
import org.scholion.server.standard.Frameworks;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Where the students of a course stand on each standard, by the framework's own way of deciding it. */
@Service
public class Attainments {
    private final Courses courses;
    private final Frameworks frameworks;
    private final AttainmentRules rules;
    private final CourseEvidence evidence;

    Attainments(Courses courses, Frameworks frameworks, AttainmentRules rules, CourseEvidence evidence) {
        this.courses = courses;
        this.frameworks = frameworks;
        this.rules = rules;
        this.evidence = evidence;
    }

    public record FrameworkName(UUID id, String title, String version) {}

    public record AttainmentStudent(UUID id, String given, String family, UUID section) {}

    /**
     * A student on a standard.
     *
     * @param percent rounded as it is shown
     * @param place the same from 0 to 1, to be drawn; {@code low} and {@code high} where it lies with 95 % confidence
     * @param level the place of the level among those of the way; null where there is too little evidence
     * @param pieces questions, criteria and blanks that it rests on
     */
    public record AttainmentCell(
            String percent,
            double place,
            double low,
            double high,
            @Nullable Integer level,
            int pieces) {}

    /**
     * A standard.
     *
     * @param depth how deep it lies in the tree, from 0
     * @param pieces questions, criteria and blanks that it rests on, over all students
     * @param mean the mean of the students with evidence, in percent; {@code low} and {@code high} its interval, from 0 to 1
     * @param levels how many students at each level; {@code tooLittle} how many with too little evidence for one
     * @param below the places of the students below the level that is looked at
     * @param cells one for each student; null without evidence
     * @param asked how many questions of the course's assessments ask for it, or for something below it
     */
    public record StandardRow(
            String code,
            String text,
            int depth,
            int asked,
            int pieces,
            @Nullable String mean,
            double place,
            double low,
            double high,
            List<Integer> levels,
            int tooLittle,
            List<Integer> below,
            List<@Nullable AttainmentCell> cells) {
        StandardRow only(int at) {
            List<@Nullable AttainmentCell> one = new ArrayList<>();
            one.add(cells.get(at));
            return new StandardRow(
                    code, text, depth, asked, pieces, mean, place, low, high, levels, tooLittle, List.of(), one);
        }
    }

    /** @param papers the assessments that have something to say on it, the earliest first */
    public record AttainmentView(
            String course,
            List<Courses.SectionLine> sections,
            List<FrameworkName> frameworks,
            @Nullable UUID framework,
            AttainmentWay way,
            int bound,
            List<CourseEvidence.Assessed> papers,
            List<AttainmentStudent> students,
            List<StandardRow> standards) {

        /** The same of one student alone; of all where nobody is named. */
        public AttainmentView only(@Nullable UUID student) {
            if (student == null) {
                return this;
            }
            int at = students.stream().map(AttainmentStudent::id).toList().indexOf(student);
            return new AttainmentView(
                    course,
                    sections,
                    frameworks,
                    framework,
                    way,
                    bound,
                    papers,
                    at < 0 ? List.of() : List.of(students.get(at)),
                    at < 0 ? List.of() : standards.stream().map(s -> s.only(at)).toList());
        }
    }

    /** What is looked at: a framework of the course, a section, and the level below which students are named. */
    public record Looked(
            @Nullable UUID framework,
            @Nullable UUID section,
            @Nullable Integer bound) {}

    @Transactional(readOnly = true)
    public AttainmentView of(Me me, UUID course, Looked looked) {
        Courses.CourseView view = courses.see(me, course);
        List<Frameworks.OfCourse> own = frameworks.namedOfCourse(course);
        List<FrameworkName> names = own.stream()
                .map(f -> new FrameworkName(
                        f.id(),
                        f.definition().path("title").asString(""),
                        f.definition().path("version").asString("")))
                .toList();
        List<AttainmentStudent> students = students(view, looked.section());
        if (own.isEmpty()) {
            return new AttainmentView(
                    view.title(),
                    view.sections(),
                    names,
                    null,
                    rules.of(course).way(),
                    0,
                    List.of(),
                    students,
                    List.of());
        }
        Frameworks.OfCourse chosen = chosen(own, looked.framework());
        Framework framework = FrameworkReader.read(Cursor.at(chosen.definition()));
        AttainmentWay way = rules.of(chosen.id()).way();
        Attainment.Rule rule = way.rule();
        int bound = bound(rule, looked.bound());
        List<CourseEvidence.Paper> papers = evidence.of(course, framework);
        Map<UUID, Map<String, List<Evidence>>> byStudent = CourseEvidence.byStudent(papers);
        Map<String, Integer> asked = asked(papers, framework);
        List<StandardRow> rows = new ArrayList<>();
        for (Framework.Standard standard : framework.standards()) {
            rows.add(row(framework, standard, rule, bound, students, byStudent, asked));
        }
        return new AttainmentView(
                view.title(),
                view.sections(),
                names,
                chosen.id(),
                way,
                bound,
                papers.stream().map(CourseEvidence.Paper::assessed).toList(),
                students,
                rows);
    }

    static Frameworks.OfCourse chosen(List<Frameworks.OfCourse> own, @Nullable UUID framework) {
        return own.stream()
                .filter(f -> framework == null || f.id().equals(framework))
                .findFirst()
                .orElseThrow(Refused::notFound);
    }

    private static int bound(Attainment.Rule rule, @Nullable Integer wanted) {
        List<Level> levels = rule.levels();
        if (wanted != null && wanted >= 0 && wanted < levels.size()) {
            return wanted;
        }
        for (int i = 0; i < levels.size(); i++) {
            if (levels.get(i).from().signum() > 0) {
                return i;
            }
        }
        return 0;
    }

    /** Each student once, also one who is in two sections. */
    private static List<AttainmentStudent> students(Courses.CourseView view, @Nullable UUID section) {
        Set<UUID> seen = new HashSet<>();
        return view.students().stream()
                .filter(s -> section == null || s.section().equals(section))
                .filter(s -> seen.add(s.id()))
                .map(s -> new AttainmentStudent(s.id(), s.given(), s.family(), s.section()))
                .toList();
    }

    /** How many questions ask for each standard or for something below it. */
    private static Map<String, Integer> asked(List<CourseEvidence.Paper> papers, Framework framework) {
        Map<String, Integer> asked = new HashMap<>();
        papers.forEach(p -> p.edition()
                .items()
                .forEach(i -> Alignments.codes(i).stream()
                        .flatMap(code -> framework.withAbove(code).stream())
                        .distinct()
                        .forEach(code -> asked.merge(code, 1, Integer::sum))));
        return asked;
    }

    private static StandardRow row(
            Framework framework,
            Framework.Standard standard,
            Attainment.Rule rule,
            int bound,
            List<AttainmentStudent> students,
            Map<UUID, Map<String, List<Evidence>>> byStudent,
            Map<String, Integer> asked) {
        Map<String, Attainment> attained = new LinkedHashMap<>();
        Evidence all = Evidence.NONE;
        for (AttainmentStudent student : students) {
            List<Evidence> own =
                    byStudent.getOrDefault(student.id(), Map.of()).getOrDefault(standard.code(), List.of());
            attained.put(student.id().toString(), Attainment.of(rule, own));
            for (Evidence one : own) {
                all = all.plus(one);
            }
        }
        SectionAttainment section = SectionAttainment.of(
                rule.levels(),
                attained,
                all.possible(),
                rule.levels().get(bound).from());
        Set<String> below = new HashSet<>(section.below());
        List<Integer> places = new ArrayList<>();
        List<@Nullable AttainmentCell> cells = new ArrayList<>();
        for (int i = 0; i < students.size(); i++) {
            String id = students.get(i).id().toString();
            if (below.contains(id)) {
                places.add(i);
            }
            cells.add(cell(rule, java.util.Objects.requireNonNull(attained.get(id))));
        }
        Fraction mean = section.meanPercent();
        return new StandardRow(
                standard.code(),
                standard.text(),
                framework.withAbove(standard.code()).size() - 1,
                asked.getOrDefault(standard.code(), 0),
                all.pieces(),
                mean == null ? null : mean.toFixed(rule.percentDigits()),
                mean == null ? 0 : mean.over(Fraction.HUNDRED).toDouble(),
                section.interval() == null ? 0 : section.interval().low(),
                section.interval() == null ? 0 : section.interval().high(),
                List.copyOf(section.levels().values()),
                section.tooLittle(),
                places,
                cells);
    }

    private static @Nullable AttainmentCell cell(Attainment.Rule rule, Attainment a) {
        Fraction percent = a.percent();
        return percent == null
                ? null
                : new AttainmentCell(
                        percent.toFixed(rule.percentDigits()),
                        percent.over(Fraction.HUNDRED).toDouble(),
                        a.interval() == null ? 0 : a.interval().low(),
                        a.interval() == null ? 0 : a.interval().high(),
                        a.level() == null ? null : rule.levels().indexOf(a.level()),
                        a.pieces());
    }

    /** The codes of a framework that a question asks for, itself or in a part, at this standard or below it. */
    static List<String> codesUnder(Framework framework, org.scholion.core.item.Item item, String code) {
        return Alignments.codes(item).stream()
                .filter(c -> framework.withAbove(c).contains(code))
                .collect(Collectors.toList());
    }
}
