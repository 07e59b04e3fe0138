package org.scholion.server.rubric;

import java.util.List;
import java.util.UUID;
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
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/rubrics")
class RubricController {
    private final Rubrics rubrics;

    RubricController(Rubrics rubrics) {
        this.rubrics = rubrics;
    }

    record NewRubric(String title, Object definition) {}

    record Created(UUID id) {}

    /** @param version the version that it was before */
    record RubricChange(String title, Object definition, int version) {}

    record RubricChanged(int version) {}

    @GetMapping
    List<Rubrics.RubricLine> list(@AuthenticationPrincipal Me me) {
        return rubrics.of(me);
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    Created add(@AuthenticationPrincipal Me me, @RequestBody NewRubric wanted) {
        return new Created(rubrics.add(me, wanted.title(), wanted.definition()));
    }

    @GetMapping("/{rubric}")
    Rubrics.RubricView see(@AuthenticationPrincipal Me me, @PathVariable UUID rubric) {
        return rubrics.see(me, rubric);
    }

    @PutMapping("/{rubric}")
    RubricChanged change(@AuthenticationPrincipal Me me, @PathVariable UUID rubric, @RequestBody RubricChange change) {
        return new RubricChanged(rubrics.change(me, rubric, change.title(), change.definition(), change.version()));
    }

    @DeleteMapping("/{rubric}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@AuthenticationPrincipal Me me, @PathVariable UUID rubric) {
        rubrics.remove(me, rubric);
    }

    @GetMapping("/removed")
    List<Rubrics.RemovedRubric> removed(@AuthenticationPrincipal Me me) {
        return rubrics.removed(me);
    }

    @PostMapping("/{rubric}/restore")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void restore(@AuthenticationPrincipal Me me, @PathVariable UUID rubric) {
        rubrics.restore(me, rubric);
    }
}
