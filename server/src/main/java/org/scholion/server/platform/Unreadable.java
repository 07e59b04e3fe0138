package org.scholion.server.platform;

import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.scholion.formats.json.Fault;
import org.springframework.http.HttpStatus;
import tools.jackson.core.JacksonException;
import tools.jackson.core.exc.StreamReadException;
import tools.jackson.databind.exc.InvalidFormatException;
import tools.jackson.databind.exc.MismatchedInputException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;

/** Says what is wrong with a request's body that cannot be read at all. */
final class Unreadable {
    private Unreadable() {}

    static Refused of(@Nullable Throwable cause) {
        if (cause instanceof UnrecognizedPropertyException e) {
            return Refused.invalid(path(e), "this field is not known here");
        }
        if (cause instanceof InvalidFormatException e) {
            return Refused.invalid(path(e), "'" + shortened(e.getValue()) + "' is nothing that is expected here");
        }
        if (cause instanceof MismatchedInputException e && !e.getPath().isEmpty()) {
            return Refused.invalid(path(e), "is missing, or is not what is expected here");
        }
        String where = cause instanceof StreamReadException e && e.getLocation() != null
                ? " (line " + e.getLocation().getLineNr() + ", column "
                        + e.getLocation().getColumnNr() + ")"
                : "";
        return new Refused(
                HttpStatus.BAD_REQUEST,
                "unreadable",
                "This request could not be read" + where + ". Nothing was changed.",
                List.<Fault>of());
    }

    private static String path(JacksonException e) {
        return e.getPath().stream()
                .map(r -> r.getPropertyName() == null ? "[" + r.getIndex() + "]" : r.getPropertyName())
                .collect(Collectors.joining("."))
                .replace(".[", "[");
    }

    private static String shortened(@Nullable Object value) {
        String text = String.valueOf(value);
        return text.length() > 60 ? text.substring(0, 60) + "…" : text;
    }
}
