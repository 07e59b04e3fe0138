package org.scholion.server.demo;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.scholion.server.collect.GuestForm;
import org.scholion.server.collect.GuestRules;
import org.scholion.server.collect.Sittings;
import org.scholion.server.course.StudentGroups;
import org.scholion.server.file.Files;
import org.scholion.server.person.SittingEntry;
import org.scholion.server.platform.Me;
import org.springframework.stereotype.Component;

/** A group of students, a picture before the questions, and guests who come to the demo's practice by its link. */
@Component
class DemoGuests {
    private final Files files;
    private final StudentGroups groups;
    private final Sittings sittings;
    private final SittingEntry entry;

    DemoGuests(Files files, StudentGroups groups, Sittings sittings, SittingEntry entry) {
        this.files = files;
        this.groups = groups;
        this.sittings = sittings;
        this.entry = entry;
    }

    /** Some of section B under a name. */
    List<UUID> group(DemoSchool.School school, String name, int howMany) {
        List<UUID> students =
                school.studentsOf("B").stream().limit(howMany).map(Me::id).toList();
        groups.add(school.aud(), school.course(), new StudentGroups.GroupWanted(name, students, null));
        return students;
    }

    /** Whoever has the link may come, and says of which class; two have come. */
    void come(DemoSchool.School school, Sittings.SittingLine sitting) {
        GuestForm form = new GuestForm(
                GuestForm.Ask.MUST, GuestForm.Ask.MAY, List.of(new GuestForm.OwnField("Your school", true)));
        sittings.setGuests(school.aud(), sitting.id(), new GuestRules(GuestRules.Who.ANYBODY, form));
        guest(sitting, "Sunniva", "Berg");
        guest(sitting, "Joris", "Veldkamp");
    }

    private void guest(Sittings.SittingLine sitting, String given, String family) {
        entry.guest(new SittingEntry.GuestGiven(
                sitting.way(),
                UUID.nameUUIDFromBytes(family.getBytes(java.nio.charset.StandardCharsets.UTF_8)),
                given,
                family,
                "10 b",
                "",
                Map.of("Your school", "Northhaven School")));
    }

    /** A weather map: lines of equal pressure around a low and a high. */
    String weatherMap(DemoSchool.School school) {
        BufferedImage map = new BufferedImage(720, 300, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = map.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.setColor(new Color(0xFDFCF9));
        g.fillRect(0, 0, 720, 300);
        g.setColor(new Color(0x1F4E5F));
        for (int ring = 1; ring <= 6; ring++) {
            g.drawOval(190 - 26 * ring, 140 - 18 * ring, 52 * ring, 36 * ring);
            g.drawOval(530 - 30 * ring, 170 - 16 * ring, 60 * ring, 32 * ring);
        }
        g.setFont(g.getFont().deriveFont(26f));
        g.drawString("L", 182, 150);
        g.drawString("H", 522, 180);
        g.dispose();
        try (ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            ImageIO.write(map, "png", out);
            return files.take(school.aud(), "weather-map.png", out.toByteArray())
                    .id();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
