package org.scholion.server.platform;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.scholion.formats.json.Fault;
import org.scholion.formats.json.Faults;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;

/** Errors as problem details (RFC 9457) with a code and the places that are wrong. */
@RestControllerAdvice
class Problems extends ResponseEntityExceptionHandler {
    private static final Logger LOG = LoggerFactory.getLogger(Problems.class);

    @ExceptionHandler
    ProblemDetail refused(Refused e) {
        ProblemDetail problem = problem(e.status(), e.code(), String.valueOf(e.getMessage()), e.places());
        if (e.theirs() != null) {
            problem.setProperty("theirs", e.theirs());
        }
        return problem;
    }

    @ExceptionHandler
    ProblemDetail faults(Faults e) {
        return refused(Refused.invalid(e.all()));
    }

    /** What the core refuses of an answer or a reading is the caller's input, named by item. */
    @ExceptionHandler
    ProblemDetail illegal(IllegalArgumentException e) {
        return problem(HttpStatus.UNPROCESSABLE_ENTITY, "invalid", String.valueOf(e.getMessage()), List.of());
    }

    @ExceptionHandler
    ProblemDetail clash(DataIntegrityViolationException e) {
        LOG.info("refused by the database: {}", e.getMostSpecificCause().getMessage());
        return problem(
                HttpStatus.CONFLICT,
                "conflict",
                "Somebody else was quicker. Nothing was changed; look again and repeat it if it is still wanted.",
                List.of());
    }

    @Override
    protected @Nullable ResponseEntity<Object> handleMaxUploadSizeExceededException(
            MaxUploadSizeExceededException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        return ResponseEntity.status(HttpStatus.CONTENT_TOO_LARGE)
                .body(problem(
                        HttpStatus.CONTENT_TOO_LARGE,
                        "too-large",
                        "This file is larger than 40 MB. Nothing was taken; make it smaller and put it in again.",
                        List.of()));
    }

    @Override
    protected @Nullable ResponseEntity<Object> handleHttpMessageNotReadable(
            HttpMessageNotReadableException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        Refused refused = Unreadable.of(e.getCause());
        return ResponseEntity.status(refused.status()).body(refused(refused));
    }

    @ExceptionHandler
    ProblemDetail unexpected(Exception e) {
        LOG.error("unexpected", e);
        return problem(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "unexpected",
                "Something went wrong here. What was saved before is safe; try again, and tell us if it stays.",
                List.of());
    }

    private static ProblemDetail problem(HttpStatus status, String code, String message, List<Fault> places) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, message);
        problem.setProperty("code", code);
        problem.setProperty("places", places);
        return problem;
    }
}
