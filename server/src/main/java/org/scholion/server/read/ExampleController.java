package org.scholion.server.read;

import java.util.List;
import java.util.UUID;
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

/** Agreed examples of a question's answers. */
@RestController
@RequestMapping("/api/assessments/{assessment}/readings/{item}")
class ExampleController {
    private final AgreedExamples examples;

    ExampleController(AgreedExamples examples) {
        this.examples = examples;
    }

    @GetMapping("/examples")
    List<AgreedExamples.ExampleView> list(
            @AuthenticationPrincipal Me me, @PathVariable UUID assessment, @PathVariable String item) {
        return examples.of(me, assessment, item);
    }

    /** @param answer its own name, as the list of answers gives it */
    @PutMapping("/{answer}/example")
    AgreedExamples.ExampleView keep(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID assessment,
            @PathVariable String item,
            @PathVariable UUID answer,
            @RequestParam(defaultValue = "false") boolean names,
            @RequestBody AgreedExamples.AgreedChange change) {
        return examples.keep(me, assessment, item, answer, change, names);
    }

    @DeleteMapping("/examples/{example}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID assessment,
            @PathVariable String item,
            @PathVariable UUID example) {
        examples.remove(me, assessment, item, example);
    }
}
