package org.scholion.server.platform;

import jakarta.persistence.PersistenceException;
import java.sql.SQLException;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Faulty;
import org.scholion.formats.json.Fault;
import org.scholion.formats.json.Faults;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.TypeMismatchException;
import org.springframework.dao.DataAccessException;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.transaction.TransactionException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.context.request.async.AsyncRequestTimeoutException;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartException;
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

    /** What a key or a framework may not be is named with its place. */
    @ExceptionHandler
    ProblemDetail faulty(Faulty e) {
        return refused(Refused.invalid(e.place(), String.valueOf(e.getMessage())));
    }

    @ExceptionHandler
    ProblemDetail changedMeanwhile(OptimisticLockingFailureException e) {
        return refused(Refused.conflict(
                "changed-meanwhile", "A colleague has changed this meanwhile. Yours is still on your screen."));
    }

    @ExceptionHandler({DataAccessException.class, TransactionException.class, PersistenceException.class})
    ProblemDetail database(RuntimeException e) {
        return DatabaseTrouble.told(e).map(this::refused).orElseGet(() -> unexpected(e));
    }

    @Override
    protected @Nullable ResponseEntity<Object> handleMaxUploadSizeExceededException(
            MaxUploadSizeExceededException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        return answer(new Refused(
                HttpStatus.CONTENT_TOO_LARGE,
                "too-large",
                "This file is larger than 40 MB. Nothing was taken; make it smaller and put it in again.",
                List.of()));
    }

    @Override
    protected @Nullable ResponseEntity<Object> handleHttpMessageNotReadable(
            HttpMessageNotReadableException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        return answer(Unreadable.of(e.getCause()));
    }

    /** An address with something in it that is no id or number: there is nothing there. */
    @Override
    protected @Nullable ResponseEntity<Object> handleTypeMismatch(
            TypeMismatchException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        Refused refused = e instanceof MethodArgumentTypeMismatchException argument
                        && argument.getParameter().hasParameterAnnotation(RequestParam.class)
                ? new Refused(
                        HttpStatus.BAD_REQUEST,
                        "unreadable",
                        "“" + argument.getName() + "” in the address is not what belongs there.",
                        List.of())
                : Refused.notFound();
        return answer(refused);
    }

    @Override
    protected @Nullable ResponseEntity<Object> handleAsyncRequestTimeoutException(
            AsyncRequestTimeoutException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        return answer(new Refused(
                HttpStatus.SERVICE_UNAVAILABLE,
                "busy",
                "This takes longer than usual. What was saved before is safe, and it goes on here; look again in a minute.",
                List.of()));
    }

    /** A file that was cut off on its way, or is more than is taken. */
    @ExceptionHandler
    ProblemDetail upload(MultipartException e) {
        for (Throwable cause = e; cause != null; cause = cause.getCause()) {
            if (cause instanceof Refused refused) {
                return refused(refused);
            }
        }
        return problem(
                HttpStatus.BAD_REQUEST,
                "unreadable",
                "The file did not come in whole. Nothing was taken; send it again.",
                List.of());
    }

    /** A fault of ours: told with a number under which it stands in the log, where no text of anybody's stands. */
    @ExceptionHandler
    ProblemDetail unexpected(Exception e) {
        String id = UUID.randomUUID().toString().substring(0, 8);
        LOG.error("unexpected {}: {}", id, Traces.withoutTexts(e));
        ProblemDetail problem = problem(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "unexpected",
                "Something went wrong. Everything saved before is safe. Try again. If it happens again, tell your school's"
                        + " administrator the number " + id + ".",
                List.of());
        problem.setProperty("id", id);
        return problem;
    }

    private ResponseEntity<Object> answer(Refused refused) {
        return ResponseEntity.status(refused.status()).body(refused(refused));
    }

    private static ProblemDetail problem(HttpStatus status, String code, String message, List<Fault> places) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, message);
        problem.setProperty("code", code);
        problem.setProperty("places", places);
        return problem;
    }

    static @Nullable SQLException sql(Throwable e) {
        for (Throwable cause = e; cause != null; cause = cause.getCause()) {
            if (cause instanceof SQLException found) {
                return found;
            }
        }
        return null;
    }
}
