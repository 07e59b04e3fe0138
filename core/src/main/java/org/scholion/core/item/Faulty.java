package org.scholion.core.item;

/**
 * A definition says what the rules forbid. Carries the place (a path below the thing that was defined, such as
 * {@code key[2]}) and a sentence for a person.
 */
public final class Faulty extends IllegalArgumentException {
    private static final long serialVersionUID = 1;

    private final String place;

    public Faulty(String place, String message) {
        super(message);
        this.place = place;
    }

    public String place() {
        return place;
    }

    /** Refuses with the place and the sentence unless the condition holds. */
    public static void unless(boolean holds, String place, String message) {
        if (!holds) {
            throw new Faulty(place, message);
        }
    }
}
