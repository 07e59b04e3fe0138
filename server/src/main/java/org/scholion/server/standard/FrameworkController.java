package org.scholion.server.standard;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.standard.Framework;
import org.scholion.formats.assessment.FrameworkWriter;
import org.scholion.formats.standards.CaseReader;
import org.scholion.formats.standards.FrameworkTable;
import org.scholion.formats.table.Spreadsheet;
import org.scholion.server.platform.HeavyWork;
import org.scholion.server.platform.JsonColumn;
import org.scholion.server.platform.Me;
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

@RestController
@RequestMapping("/api")
class FrameworkController {
    private final Frameworks frameworks;
    private final HeavyWork heavyWork;

    FrameworkController(Frameworks frameworks, HeavyWork heavyWork) {
        this.frameworks = frameworks;
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

    /** A framework from a CASE package, or from a table with a title and version. */
    @PostMapping(value = "/frameworks/file", consumes = "multipart/form-data")
    @ResponseStatus(HttpStatus.CREATED)
    Created take(
            @AuthenticationPrincipal Me me,
            @RequestPart MultipartFile file,
            @RequestPart(required = false) @Nullable String title,
            @RequestPart(required = false) @Nullable String version) {
        Framework framework = heavyWork.inTurn(
                me, () -> read(file.getBytes(), title == null ? "" : title, version == null ? "1" : version));
        return new Created(frameworks.take(me, FrameworkWriter.write(framework)));
    }

    private static Framework read(byte[] bytes, String title, String version) {
        String text =
                new String(bytes, StandardCharsets.UTF_8).replace("\uFEFF", "").strip();
        return text.startsWith("{")
                ? CaseReader.read(text)
                : FrameworkTable.read(Spreadsheet.read(bytes), "table", title, version);
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
