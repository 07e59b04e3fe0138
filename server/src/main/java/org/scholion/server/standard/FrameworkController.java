package org.scholion.server.standard;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.formats.json.Fault;
import org.scholion.formats.standards.FrameworkFound;
import org.scholion.formats.table.Grid;
import org.scholion.server.platform.HeavyWork;
import org.scholion.server.platform.JsonColumn;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.scholion.server.platform.Said;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import tools.jackson.databind.JsonNode;

@RestController
@RequestMapping("/api")
class FrameworkController {
    private final Frameworks frameworks;
    private final AttainmentRules rules;
    private final HeavyWork heavyWork;

    FrameworkController(Frameworks frameworks, AttainmentRules rules, HeavyWork heavyWork) {
        this.frameworks = frameworks;
        this.rules = rules;
        this.heavyWork = heavyWork;
    }

    record FrameworkChange(Object definition, int revision) {}

    record FrameworkSaved(int revision) {}

    record NewFramework(Object definition) {}

    record Created(UUID id) {}

    record Work(UUID framework) {}

    @GetMapping("/frameworks")
    List<Frameworks.FrameworkLine> list(@AuthenticationPrincipal Me me) {
        return frameworks.list(me);
    }

    @GetMapping("/frameworks/{framework}")
    Frameworks.FrameworkView see(@AuthenticationPrincipal Me me, @PathVariable UUID framework) {
        return frameworks.see(me, framework);
    }

    @PutMapping("/frameworks/{framework}")
    FrameworkSaved change(
            @AuthenticationPrincipal Me me, @PathVariable UUID framework, @RequestBody FrameworkChange change) {
        return new FrameworkSaved(frameworks.change(me, framework, change.definition(), change.revision()));
    }

    /** @param revision the revision that was changed */
    record AttainmentRuleChange(AttainmentWay way, int revision) {}

    @GetMapping("/frameworks/{framework}/attainment-rule")
    AttainmentRules.AttainmentRuleView rule(@AuthenticationPrincipal Me me, @PathVariable UUID framework) {
        return rules.see(me, framework);
    }

    @PutMapping("/frameworks/{framework}/attainment-rule")
    AttainmentRules.AttainmentRuleView change(
            @AuthenticationPrincipal Me me, @PathVariable UUID framework, @RequestBody AttainmentRuleChange change) {
        return rules.change(me, framework, change.way(), change.revision());
    }

    @DeleteMapping("/frameworks/{framework}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@AuthenticationPrincipal Me me, @PathVariable UUID framework) {
        frameworks.remove(me, framework);
    }

    @PostMapping("/frameworks/{framework}/restore")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void restore(@AuthenticationPrincipal Me me, @PathVariable UUID framework) {
        frameworks.restore(me, framework);
    }

    @GetMapping("/frameworks/removed")
    List<Frameworks.FrameworkLine> removed(@AuthenticationPrincipal Me me) {
        return frameworks.removed(me);
    }

    /** A framework as it is given: empty to begin with, or the next version of another. */
    @PostMapping("/frameworks")
    @ResponseStatus(HttpStatus.CREATED)
    Created make(@AuthenticationPrincipal Me me, @RequestBody NewFramework wanted) {
        return new Created(frameworks.take(me, JsonColumn.node(wanted.definition())));
    }

    /** What a person says about a file of standards. */
    record FrameworkAsked(Grid.Reading how, Map<Integer, FrameworkFound.Role> roles) {
        static final FrameworkAsked NOTHING = new FrameworkAsked(Grid.Reading.NOTHING, Map.of());

        FrameworkAsked {
            Objects.requireNonNull(how);
            roles = Map.copyOf(roles);
        }
    }

    record StandardsColumn(int index, String name, FrameworkFound.Role role, String because) {}

    /**
     * A framework as it would come in.
     *
     * @param lines where each of its standards stands in the file; 0 where it has no lines
     * @param notes what does not come in as it stands in the file, and what becomes of it
     * @param faults what no framework can hold: it is not taken until these are put right
     */
    record FrameworkPreview(
            Object definition,
            List<Integer> lines,
            List<StandardsColumn> columns,
            List<Fault> notes,
            List<Fault> faults,
            String encoding,
            List<String> sheets) {}

    /** @param asked what a person said about the file, as JSON */
    @PostMapping(value = "/frameworks/file/preview", consumes = "multipart/form-data")
    FrameworkPreview preview(
            @AuthenticationPrincipal Me me,
            @RequestPart MultipartFile file,
            @RequestPart(required = false) @Nullable String asked) {
        FrameworkAsked about = about(asked);
        return heavyWork.inTurn(me, () -> {
            FileOfStandards read = FileOfStandards.read(file.getBytes(), about.how(), about.roles());
            return new FrameworkPreview(
                    JsonColumn.plain(read.definition("", "")),
                    read.found().standards().stream()
                            .map(FrameworkFound.Found::line)
                            .toList(),
                    read.found().columns().stream()
                            .map(c -> new StandardsColumn(c.index(), c.name(), c.role(), c.because()))
                            .toList(),
                    read.found().notes(),
                    read.faults(),
                    read.encoding(),
                    read.sheets());
        });
    }

    private static FrameworkAsked about(@Nullable String asked) {
        return asked == null ? FrameworkAsked.NOTHING : Said.read(asked, FrameworkAsked.class);
    }

    /** Takes a file as its preview showed it; a title and a version go before the file's own. */
    @PostMapping(value = "/frameworks/file", consumes = "multipart/form-data")
    @ResponseStatus(HttpStatus.CREATED)
    Created take(
            @AuthenticationPrincipal Me me,
            @RequestPart MultipartFile file,
            @RequestPart(required = false) @Nullable String asked,
            @RequestPart(required = false) @Nullable String title,
            @RequestPart(required = false) @Nullable String version) {
        FrameworkAsked about = about(asked);
        JsonNode definition = heavyWork.inTurn(me, () -> {
            FileOfStandards read = FileOfStandards.read(file.getBytes(), about.how(), about.roles());
            List<Fault> faults = read.faults();
            if (!faults.isEmpty()) {
                throw Refused.invalid(faults);
            }
            return read.definition(title == null ? "" : title, version == null ? "" : version);
        });
        return new Created(frameworks.take(me, definition));
    }

    @PostMapping("/courses/{course}/frameworks")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void useIn(@AuthenticationPrincipal Me me, @PathVariable UUID course, @RequestBody Work work) {
        frameworks.useIn(me, course, work.framework());
    }

    @DeleteMapping("/courses/{course}/frameworks/{framework}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void leave(@AuthenticationPrincipal Me me, @PathVariable UUID course, @PathVariable UUID framework) {
        frameworks.leave(me, course, framework);
    }
}
