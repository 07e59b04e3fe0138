package org.scholion.server.platform;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.scholion.formats.json.Fault;
import org.springframework.http.HttpStatus;

/** A request that cannot be done, in words that say what happened, what is safe and what to do. */
public class Refused extends RuntimeException {
    private static final long serialVersionUID = 1;

    private final HttpStatus status;
    private final String code;
    private final transient List<Fault> places;
    private final transient @Nullable Object theirs;

    public Refused(HttpStatus status, String code, String message, List<Fault> places) {
        this(status, code, message, places, null);
    }

    private Refused(HttpStatus status, String code, String message, List<Fault> places, @Nullable Object theirs) {
        super(message);
        this.status = status;
        this.code = code;
        this.places = List.copyOf(places);
        this.theirs = theirs;
    }

    /** Not there, or not theirs to see: the two look alike from outside. */
    public static Refused notFound() {
        return new Refused(
                HttpStatus.NOT_FOUND,
                "not-found",
                "There is nothing here that you can open. It may have been removed, or not shared with you.",
                List.of());
    }

    public static Refused conflict(String code, String message) {
        return new Refused(HttpStatus.CONFLICT, code, message, List.of());
    }

    /** Somebody else's change came first; both are to be shown. */
    public static Refused overtaken(String message, Object theirs) {
        return new Refused(HttpStatus.CONFLICT, "changed-meanwhile", message, List.of(), theirs);
    }

    /** The input is wrong at one place. */
    public static Refused invalid(String path, String message) {
        return invalid(List.of(new Fault(path, message)));
    }

    public static Refused invalid(List<Fault> places) {
        String message = places.size() == 1
                ? places.get(0).toString()
                : places.size() + " things need correcting. Nothing was saved.";
        return new Refused(HttpStatus.UNPROCESSABLE_ENTITY, "invalid", message, places);
    }

    public HttpStatus status() {
        return status;
    }

    public String code() {
        return code;
    }

    /** What somebody else did meanwhile, as it is shown; null where nobody did. */
    public @Nullable Object theirs() {
        return theirs;
    }

    public List<Fault> places() {
        return places;
    }
}
