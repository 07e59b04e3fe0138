package org.scholion.bench.load;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;

/** The server and the database killed, away, and without room: what was acknowledged, and what people are told. */
final class Trouble {
    private static final int STUDENTS = 360;
    private static final int KILLS = 20;

    private final Place place;
    private final School school;
    private final Random random = new Random(20261128);

    Trouble(Place place, School school) {
        this.place = place;
        this.school = school;
    }

    private List<School.Writer> writers(String section, int howMany) throws IOException {
        school.enrol(section, howMany);
        String sitting = school.giveOut(school.paper("Trouble " + section), section);
        return School.begin(sitting, school.students(section, 0, howMany));
    }

    void kills() throws Exception {
        System.out.println("\nSIGKILL of the server and of PostgreSQL, " + KILLS
                + " times each, while 360 students save and hand in:");
        Writing writing = new Writing(writers("K", STUDENTS), 150);
        writing.start();
        for (int i = 0; i < 2 * KILLS; i++) {
            Thread.sleep(2_500 + random.nextInt(2_000));
            writing.letHandIn(8 + i % 2);
            Thread.sleep(random.nextInt(60));
            if (i % 2 == 0) {
                place.killServer();
                place.startServer();
            } else {
                place.killDatabase();
                place.startDatabase();
            }
        }
        Thread.sleep(3_000);
        writing.stop();
        told(writing);
        verify(writing);
    }

    void away() throws Exception {
        System.out.println("\nThe database is stopped for 30 seconds while 40 students save:");
        Writing writing = new Writing(writers("A", 40), 250);
        writing.start();
        Thread.sleep(3_000);
        place.stopDatabase();
        Thread.sleep(30_000);
        place.startDatabase();
        long from = System.nanoTime();
        int before = writing.safe.size();
        while (writing.safe.size() == before) {
            Thread.sleep(20);
        }
        System.out.printf(
                "the first answer is safe again %.1f s after the database is there%n",
                (System.nanoTime() - from) / 1e9);
        Thread.sleep(3_000);
        writing.stop();
        told(writing);
        verify(writing);
    }

    /** @param filler a file beside the database that takes the room away */
    void full(Path filler) throws Exception {
        System.out.println("\nThe disk of the database is full for a while, while 40 students save:");
        Writing writing = new Writing(writers("F", 40), 100);
        writing.start();
        Thread.sleep(2_000);
        fill(filler);
        Thread.sleep(15_000);
        int during = writing.safe.size();
        Thread.sleep(5_000);
        System.out.println("answers taken in the last 5 s of a full disk: " + (writing.safe.size() - during));
        Files.delete(filler);
        place.startDatabase();
        int before = writing.safe.size();
        while (writing.safe.size() == before) {
            Thread.sleep(20);
        }
        Thread.sleep(3_000);
        writing.stop();
        told(writing);
        verify(writing);
    }

    private static void fill(Path filler) throws IOException {
        byte[] block = new byte[1 << 14];
        try (var out = Files.newOutputStream(filler)) {
            while (true) {
                out.write(block);
            }
        } catch (IOException e) {
            System.out.println("the disk is full");
        }
    }

    private static void told(Writing writing) {
        System.out.println("acknowledged: " + writing.safe.size() + " answers, " + writing.handedIn.size()
                + " hand-ins; said otherwise: " + writing.refusals + "; waiting for that: " + writing.waits);
    }

    private void verify(Writing writing) throws IOException, InterruptedException {
        Set<String> kept = new HashSet<>();
        for (String row : place.rows("select attempt_id, item, answer #>> '{}' from draft_answer")) {
            kept.add(row);
        }
        List<String> lost = new ArrayList<>();
        for (Writing.Safe one : writing.safe) {
            if (!kept.contains(one.attempt() + "\t" + one.item() + "\t" + one.text())) {
                lost.add(one.attempt() + " " + one.text());
            }
        }
        Map<String, String> responses = new HashMap<>();
        place.rows("select attempt_id, answer #>> '{}' from response where item = 'q4'")
                .forEach(row -> {
                    String[] cells = row.split("\t");
                    responses.put(cells[0], cells[1]);
                });
        Map<String, Integer> marks = new HashMap<>();
        place.rows("select m.attempt_id, m.item, count(*) from mark m group by 1, 2 having count(*) > 1")
                .forEach(row -> marks.put(row.split("\t")[0], 2));
        int lostHandIns = 0;
        int doubles = 0;
        for (Map.Entry<String, String> one : writing.handedIn.entrySet()) {
            lostHandIns += one.getValue().equals(responses.get(one.getKey())) ? 0 : 1;
            doubles += marks.containsKey(one.getKey()) ? 1 : 0;
        }
        System.out.println("lost: " + lost.size() + " answers, " + lostHandIns + " hand-ins; double: " + doubles
                + (lost.isEmpty() ? "" : "; the first: " + lost.get(0)));
        Load.failed |= !lost.isEmpty() || lostHandIns > 0 || doubles > 0;
    }
}
