package org.scholion.server.read;

import java.util.List;
import java.util.UUID;
import org.scholion.server.drawn.DrawnMarks;
import org.scholion.server.platform.Me;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What a reader draws on the attachments of an answer; the answer is named as the list of answers gives it. */
@RestController
@RequestMapping("/api/assessments/{assessment}/readings/{item}/{answer}/drawn")
class DrawingController {
    private final Drawing drawing;

    DrawingController(Drawing drawing) {
        this.drawing = drawing;
    }

    @GetMapping
    List<DrawnMarks.DrawnMark> of(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID assessment,
            @PathVariable String item,
            @PathVariable UUID answer,
            @RequestParam(defaultValue = "false") boolean names) {
        return drawing.of(me, assessment, item, answer, names);
    }

    @PutMapping("/{mark}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void put(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID assessment,
            @PathVariable String item,
            @PathVariable UUID answer,
            @PathVariable UUID mark,
            @RequestParam(defaultValue = "false") boolean names,
            @RequestBody DrawnMarks.NewMark drawn) {
        drawing.put(me, assessment, item, answer, names, mark, drawn);
    }

    @DeleteMapping("/{mark}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID assessment,
            @PathVariable String item,
            @PathVariable UUID answer,
            @PathVariable UUID mark,
            @RequestParam(defaultValue = "false") boolean names) {
        drawing.remove(me, assessment, item, answer, names, mark);
    }
}
