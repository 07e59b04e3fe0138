package org.scholion.server.key;

import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.formats.json.Fault;
import org.scholion.formats.json.Texts;
import org.scholion.formats.questions.DecimalMark;
import org.scholion.formats.questions.FoundItem;
import org.scholion.formats.questions.QuestionTable;
import org.scholion.formats.questions.QuestionText;
import org.scholion.formats.questions.Role;
import org.scholion.formats.table.Grid;
import org.scholion.server.access.Access;
import org.scholion.server.platform.HeavyWork;
import org.scholion.server.platform.JsonColumn;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.scholion.server.platform.Said;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import tools.jackson.databind.JsonNode;

/** Questions from a spreadsheet or from plain text: shown first, and only then put into the paper. */
@RestController
@RequestMapping("/api/assessments/{assessment}")
class QuestionsController {
    private static final int MOST_TEXT = 500_000;

    private final Assessments assessments;
    private final HeavyWork heavyWork;
    private final Access access;

    QuestionsController(Assessments assessments, HeavyWork heavyWork, Access access) {
        this.assessments = assessments;
        this.heavyWork = heavyWork;
        this.access = access;
    }

    record QuestionColumn(int index, String name, Role role, String because) {}

    /** A question that was found, and what is wrong with it. */
    record FoundQuestion(int line, Object item, List<Fault> faults) {}

    /**
     * @param columns what each column is taken for; none for plain text
     * @param mark the decimal mark of the numbers
     * @param asksMark whether some number can be read in two ways, so that a person says which sign it is
     * @param encoding of a text file's letters; empty for a workbook
     * @param sheets the names of a workbook's sheets
     */
    record QuestionsFound(
            List<QuestionColumn> columns,
            List<FoundQuestion> items,
            DecimalMark mark,
            boolean asksMark,
            List<String> notes,
            String how,
            String encoding,
            List<String> sheets) {}

    record TypedQuestions(String text) {}

    /** What a person says about a file of questions. */
    record QuestionsAsked(Grid.Reading how, QuestionTable.Said said) {
        static final QuestionsAsked NOTHING = new QuestionsAsked(Grid.Reading.NOTHING, QuestionTable.Said.NOTHING);

        QuestionsAsked {
            Objects.requireNonNull(how);
            Objects.requireNonNull(said);
        }
    }

    /** @param asked what a person said about the file, as JSON */
    @PostMapping(value = "/questions-in", consumes = "multipart/form-data")
    QuestionsFound table(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID assessment,
            @RequestPart MultipartFile file,
            @RequestPart(required = false) @Nullable String asked) {
        access.require(me, Access.Action.EDIT_KEY, assessment);
        Set<String> codes = codes(assessment);
        QuestionsAsked about = asked == null ? QuestionsAsked.NOTHING : Said.read(asked, QuestionsAsked.class);
        return heavyWork.inTurn(me, () -> {
            Grid grid = Grid.read(file.getBytes(), about.how());
            QuestionTable table = QuestionTable.of(grid, codes, about.said());
            return new QuestionsFound(
                    table.columns().stream()
                            .map(c -> new QuestionColumn(c.index(), c.name(), c.role(), c.because()))
                            .toList(),
                    found(table.items()),
                    table.mark(),
                    table.asksMark(),
                    table.notes(),
                    grid.how(),
                    grid.encoding(),
                    grid.sheets());
        });
    }

    private Set<String> codes(UUID assessment) {
        Set<String> codes = new HashSet<>();
        JsonNode whole = assessments.whole(assessment);
        whole.path("frameworks")
                .forEach(f -> f.path("standards")
                        .forEach(s -> codes.add(s.path("code").asString(""))));
        return codes;
    }

    @PostMapping("/questions-text")
    QuestionsFound text(
            @AuthenticationPrincipal Me me, @PathVariable UUID assessment, @RequestBody TypedQuestions typed) {
        access.require(me, Access.Action.EDIT_KEY, assessment);
        if (typed.text().length() > MOST_TEXT) {
            throw Refused.invalid("text", "at most 500,000 characters at once");
        }
        Set<String> codes = codes(assessment);
        List<FoundItem> items = heavyWork.inTurn(me, () -> QuestionText.read(Texts.printable(typed.text()), codes));
        return new QuestionsFound(List.of(), found(items), DecimalMark.POINT, false, List.of(), "", "", List.of());
    }

    private static List<FoundQuestion> found(List<FoundItem> items) {
        return items.stream()
                .map(i -> new FoundQuestion(i.line(), JsonColumn.plain(i.item()), i.faults()))
                .toList();
    }
}
