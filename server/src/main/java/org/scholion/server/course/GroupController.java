package org.scholion.server.course;

import java.util.List;
import java.util.UUID;
import org.scholion.server.platform.Me;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The groups of a course; each answer has all of them as they are now. */
@RestController
@RequestMapping("/api/courses/{course}/groups")
class GroupController {
    private final StudentGroups groups;

    GroupController(StudentGroups groups) {
        this.groups = groups;
    }

    @GetMapping
    List<StudentGroups.GroupLine> of(@AuthenticationPrincipal Me me, @PathVariable UUID course) {
        return groups.of(me, course);
    }

    @PostMapping
    List<StudentGroups.GroupLine> add(
            @AuthenticationPrincipal Me me, @PathVariable UUID course, @RequestBody StudentGroups.GroupWanted wanted) {
        return groups.add(me, course, wanted);
    }

    @PutMapping("/{group}")
    List<StudentGroups.GroupLine> change(
            @AuthenticationPrincipal Me me,
            @PathVariable UUID course,
            @PathVariable UUID group,
            @RequestBody StudentGroups.GroupWanted wanted) {
        return groups.change(me, course, group, wanted);
    }

    @DeleteMapping("/{group}")
    List<StudentGroups.GroupLine> remove(
            @AuthenticationPrincipal Me me, @PathVariable UUID course, @PathVariable UUID group) {
        return groups.remove(me, course, group);
    }
}
