package org.scholion.server.key;

import java.nio.charset.StandardCharsets;
import java.util.UUID;
import org.scholion.formats.assessment.AssessmentFile;
import org.scholion.formats.assessment.AssessmentReader;
import org.scholion.server.access.Access;
import org.scholion.server.file.Files;
import org.scholion.server.platform.HeavyWork;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.scholion.sheets.paper.PaperPage;
import org.scholion.sheets.paper.PaperPdf;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The paper and its key for printing. */
@RestController
@RequestMapping("/api/assessments/{assessment}/print")
class PrintController {
    private static final int MOST_VERSIONS = 8;

    private final Assessments assessments;
    private final Files files;
    private final HeavyWork heavyWork;
    private final Access access;

    PrintController(Assessments assessments, Files files, HeavyWork heavyWork, Access access) {
        this.assessments = assessments;
        this.files = files;
        this.heavyWork = heavyWork;
        this.access = access;
    }

    /**
     * A PDF.
     *
     * @param answers whether it is the key
     * @param version 0 for the order as written, 1 to 8 for shuffled ones
     */
    @GetMapping(produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> print(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID assessment,
            @RequestParam(defaultValue = "false") boolean answers,
            @RequestParam(defaultValue = "0") int version) {
        access.require(me, Access.Action.USE_KEY, assessment);
        if (version < 0 || version > MOST_VERSIONS) {
            throw Refused.invalid("version", "there are versions 0 to " + MOST_VERSIONS);
        }
        AssessmentFile file = AssessmentReader.read(
                Drawn.printed(assessments.whole(assessment), assessment.getLeastSignificantBits(), version));
        byte[] pdf = heavyWork.inTurn(
                me,
                () -> PaperPdf.of(PaperPage.of(
                        file,
                        hash -> files.find(me, hash).map(c -> new PaperPage.Picture(c.type(), c.bytes())),
                        answers,
                        version)));
        String name = file.assessment().title() + (answers ? " - key" : "")
                + (version == 0 ? "" : " - version " + (char) ('A' + version - 1)) + ".pdf";
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.inline()
                                .filename(name, StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .body(pdf);
    }
}
