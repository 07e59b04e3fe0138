package org.scholion.server.report;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.access.Access;
import org.scholion.server.platform.Me;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Tables to be downloaded; written as they are read, so that the longest needs no more room than the shortest. */
@RestController
@RequestMapping("/api/assessments/{assessment}/tables")
class TablesController {
    private final TablesOut tables;
    private final Access access;

    TablesController(TablesOut tables, Access access) {
        this.tables = tables;
        this.access = access;
    }

    /** @param names whether students are named */
    @GetMapping("/{what}")
    void table(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID assessment,
            @PathVariable TablesOut.What what,
            @RequestParam(required = false) @Nullable UUID section,
            @RequestParam(defaultValue = "true") boolean names,
            HttpServletResponse response)
            throws IOException {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        Leaving leaving = tables.leaving(me, assessment, section, names);
        response.setContentType(what.type());
        response.setHeader(
                HttpHeaders.CONTENT_DISPOSITION,
                ContentDisposition.attachment()
                        .filename(
                                leaving.fileName(what.name().toLowerCase(Locale.ROOT), what.ending()),
                                StandardCharsets.UTF_8)
                        .build()
                        .toString());
        tables.write(leaving, what, response.getOutputStream());
    }
}
