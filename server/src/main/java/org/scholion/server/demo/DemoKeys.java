package org.scholion.server.demo;

import jakarta.persistence.EntityManager;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.jspecify.annotations.Nullable;
import org.scholion.core.standard.Crosswalk;
import org.scholion.formats.json.Json;
import org.scholion.server.bank.BankItems;
import org.scholion.server.bank.Folders;
import org.scholion.server.bank.Sharing;
import org.scholion.server.crosswalk.Crosswalks;
import org.scholion.server.file.Files;
import org.scholion.server.key.Assessments;
import org.scholion.server.platform.JsonColumn;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Keys that are still written: one of letters, one with a passage, a picture and a draw; the bank; old tags. */
@Component
class DemoKeys {
    private static final int WIDTH = 1000;
    private static final int HEIGHT = 600;

    private final Assessments assessments;
    private final BankItems bank;
    private final Folders folders;
    private final Sharing sharing;
    private final Files files;
    private final DemoRubrics rubrics;
    private final Crosswalks crosswalks;
    private final EntityManager entities;

    DemoKeys(
            Assessments assessments,
            BankItems bank,
            Folders folders,
            Sharing sharing,
            Files files,
            DemoRubrics rubrics,
            Crosswalks crosswalks,
            EntityManager entities) {
        this.assessments = assessments;
        this.bank = bank;
        this.folders = folders;
        this.sharing = sharing;
        this.files = files;
        this.rubrics = rubrics;
        this.crosswalks = crosswalks;
        this.entities = entities;
    }

    void write(DemoSchool.School school) {
        save(school, DemoSchool.read("letters"));
        String picture = files.take(school.aud(), "harbour.png", sketch()).id();
        String approach = Json.write(DemoSchool.read("approach"))
                .replace("PICTURE", picture)
                .replace("KEPT", rubrics.write(school).toString());
        save(school, Json.read(approach));
        fillBank(school);
        walkAcross(school);
    }

    private void save(DemoSchool.School school, JsonNode definition) {
        UUID id = assessments.create(
                school.aud(), school.course(), definition.path("title").asString(""));
        assessments.save(school.aud(), id, JsonColumn.plain(definition), 0);
    }

    /** The items of the papers so far, each with where it is used; one folder is shared; some items have old tags. */
    private void fillBank(DemoSchool.School school) {
        UUID tides = folders.add(school.aud(), "Tides");
        UUID ropes = folders.add(school.aud(), "Ropework");
        UUID charts = folders.add(school.aud(), "Chartwork");
        sharing.share(school.aud(), Sharing.Kind.FOLDER, tides, school.halvard().id(), false);
        take(school, "tides", "Tides and tidal streams", tides);
        take(school, "ropework", "Ropework and mooring", ropes);
        take(school, "buoyage", "Buoyage quick check", null);
        take(school, "chartwork", "Chartwork check 4", charts);
        old(school, tides, "Which body causes most of the tide?", "the moon", "N3.1");
        old(school, tides, "How often is high water in a day, about?", "twice", "N3");
        old(school, tides, "Which body causes the most of a tide?", "the moon", "N3.1");
        old(school, null, "Which side of a boat shows a red light?", "port", "N4");
        old(school, null, "What does a falling glass foretell?", "wind", "N6");
    }

    private void take(DemoSchool.School school, String name, String title, @Nullable UUID folder) {
        UUID assessment = entities.createQuery("select a.id from AssessmentRow a where a.title = :title", UUID.class)
                .setParameter("title", title)
                .getSingleResult();
        DemoSchool.read(name)
                .path("items")
                .forEach(i -> bank.add(school.aud(), JsonColumn.plain(i), folder, assessment));
    }

    private void old(DemoSchool.School school, @Nullable UUID folder, String prompt, String answer, String code) {
        ObjectNode item = Json.MAPPER
                .createObjectNode()
                .put("id", "q1")
                .put("kind", "text")
                .put("points", "1")
                .put("prompt", prompt);
        item.putArray("accept").addObject().put("text", answer);
        item.putArray("standards").addObject().put("code", code);
        item.putArray("tags").add("first year");
        bank.add(school.aud(), JsonColumn.plain(item), folder, null);
    }

    /** Part of the way from the older standards to the newer is known; the rest waits with its proposals. */
    private void walkAcross(DemoSchool.School school) {
        List<UUID> versions = entities.createQuery(
                        "select f.id from FrameworkRow f where f.school = :school order by f.version", UUID.class)
                .setParameter("school", school.aud().school())
                .getResultList();
        crosswalks.save(
                school.aud(),
                versions.get(0),
                versions.get(1),
                List.of(
                        new Crosswalk.Link("N3.1", List.of("T1")),
                        new Crosswalk.Link("N3.2", List.of("T2")),
                        new Crosswalk.Link("N4", List.of("B1", "B2")),
                        new Crosswalk.Link("N6", List.of())));
    }

    /** A sketch of a harbour, drawn here so that nobody's chart is copied. */
    private static byte[] sketch() {
        BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = image.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.setColor(new Color(0xeaf1f6));
        g.fillRect(0, 0, WIDTH, HEIGHT);
        g.setColor(new Color(0xe8ddc2));
        g.fillPolygon(
                new int[] {0, 1000, 1000, 760, 620, 380, 180, 0}, new int[] {0, 0, 150, 130, 190, 110, 170, 120}, 8);
        g.setColor(new Color(0x5b6270));
        g.setStroke(new BasicStroke(6));
        g.drawLine(600, 180, 660, 300);
        g.setStroke(new BasicStroke(4, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND, 1, new float[] {2, 12}, 0));
        g.draw(new Ellipse2D.Double(440, 275, 160, 110));
        g.setStroke(new BasicStroke(3));
        g.drawOval(250, 470, 26, 26);
        g.drawLine(263, 470, 263, 440);
        g.fillPolygon(new int[] {263, 290, 263}, new int[] {440, 450, 460}, 3);
        g.fillRect(350, 60, 14, 50);
        g.drawLine(700, 60, 700, 110);
        g.drawLine(686, 76, 714, 76);
        g.dispose();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, "png", out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }
}
