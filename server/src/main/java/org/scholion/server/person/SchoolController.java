package org.scholion.server.person;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.platform.Deeds;
import org.scholion.server.platform.Me;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
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

/** What an administrator sees and sets. */
@RestController
@RequestMapping("/api")
class SchoolController {
    private final People people;
    private final Schools schools;
    private final SignIn signIn;
    private final SchoolRecord record;

    SchoolController(People people, Schools schools, SignIn signIn, SchoolRecord record) {
        this.record = record;
        this.people = people;
        this.schools = schools;
        this.signIn = signIn;
    }

    @GetMapping("/school")
    Schools.SchoolSettings settings(@AuthenticationPrincipal Me me) {
        return schools.settings(me);
    }

    @PutMapping("/school")
    Schools.SchoolSettings set(@AuthenticationPrincipal Me me, @RequestBody Schools.SchoolSettings wanted) {
        return schools.set(me, wanted);
    }

    @GetMapping("/teachers")
    List<People.TeacherName> teachers(@AuthenticationPrincipal Me me) {
        return people.teachers(me);
    }

    /** Who did what, the latest first, two hundred at a time. */
    @GetMapping("/school/record")
    List<SchoolRecord.DeedLine> record(
            @AuthenticationPrincipal Me me,
            @RequestParam(required = false) Deeds.@Nullable What what,
            @RequestParam(required = false) @Nullable UUID person,
            @RequestParam(defaultValue = "") String words,
            @RequestParam(required = false) @Nullable UUID before) {
        return record.find(me, new SchoolRecord.Filter(what, person, words, before));
    }

    @GetMapping(value = "/school/record.csv", produces = "text/csv")
    ResponseEntity<String> recordAsTable(
            @AuthenticationPrincipal Me me,
            @RequestParam(required = false) Deeds.@Nullable What what,
            @RequestParam(required = false) @Nullable UUID person,
            @RequestParam(defaultValue = "") String words) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"who-did-what.csv\"")
                .body(record.csv(me, new SchoolRecord.Filter(what, person, words, null)));
    }

    @GetMapping("/school/limits")
    Schools.Limits limits(@AuthenticationPrincipal Me me) {
        return schools.limits(me);
    }

    @PutMapping("/school/limits")
    Schools.Limits setLimits(@AuthenticationPrincipal Me me, @RequestBody Schools.Limits wanted) {
        return schools.setLimits(me, wanted);
    }

    /** Who has to wait before the next try to sign in. */
    @GetMapping("/school/slowed-down")
    List<SignIn.SlowedDown> slowedDown(@AuthenticationPrincipal Me me) {
        return signIn.slowedDown(me);
    }

    @DeleteMapping("/school/slowed-down/{person}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void release(@AuthenticationPrincipal Me me, @PathVariable UUID person) {
        signIn.release(me, person);
    }
}
