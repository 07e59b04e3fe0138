package org.scholion.bench.load;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Set;

/** {@code bin/bench load}: the application that {@code bin/start} runs, on a database of the measurement's own. */
public final class Load {
    /** Whether anything that was acknowledged is not there. */
    static boolean failed;

    private static final int PORT = 8_391;

    private Load() {}

    public static void main(String[] args) throws Exception {
        Path root = Path.of(args[0]);
        Set<String> parts = Set.of(args[1].split(","));
        try (Place place = begun(root, root.resolve(".data/load"), "")) {
            School school = new School(PORT);
            measure(parts, place, school);
            if (parts.contains("sitting")) {
                new LargeSitting(place, school).run();
            }
            Trouble trouble = new Trouble(place, school);
            if (parts.contains("kill")) {
                trouble.kills();
            }
            if (parts.contains("away")) {
                trouble.away();
            }
            place.killServer();
            failed |= place.check() != 0;
        }
        Path small = root.resolve(".data/load-small");
        if (parts.contains("full") && Files.exists(small)) {
            // Little room for what the database writes ahead, so that a small disk is enough.
            try (Place place = begun(root, small.resolve("database"), "-c max_wal_size=48MB -c min_wal_size=32MB")) {
                new Trouble(place, new School(PORT)).full(small.resolve("filler"));
                place.killServer();
                failed |= place.check() != 0;
            }
        }
        System.out.println(failed ? "\nSOMETHING IS LOST OR DOUBLE" : "\nnothing is lost and nothing is double");
        System.exit(failed ? 1 : 0);
    }

    /** The speeds, or one of them. */
    private static void measure(Set<String> parts, Place place, School school) throws Exception {
        boolean all = parts.contains("speed");
        if (!all && Set.of("saves", "handins", "thousand").stream().noneMatch(parts::contains)) {
            return;
        }
        Speed speed = new Speed(place, school);
        if (all || parts.contains("saves")) {
            speed.saves();
        }
        if (all || parts.contains("handins")) {
            speed.handIns();
        }
        if (all || parts.contains("thousand")) {
            speed.amongAThousand();
        }
    }

    private static Place begun(Path root, Path folder, String options) throws IOException, InterruptedException {
        Files.createDirectories(folder);
        Place place = new Place(root, folder, PORT, options);
        place.removeDatabase();
        place.startDatabase();
        place.startServer();
        return place;
    }
}
