package org.scholion.server.file;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.formats.json.Json;
import org.scholion.server.testing.Colleague;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import tools.jackson.databind.node.ObjectNode;

/** A file is seen by those who may see what it belongs to, and by nobody else who has its name. */
@ExtendWith(Scholion.class)
class FileAccessTest {
    private static byte next;

    /** Bytes that no other test has put in. */
    private static byte[] picture() {
        byte[] png = new byte[220];
        System.arraycopy(new byte[] {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1a, '\n'}, 0, png, 0, 8);
        next++;
        png[100] = next;
        png[101] = (byte) System.nanoTime();
        return png;
    }

    private static String put(Visitor teacher) {
        return teacher.sendBytes("/api/files", "chart.png", picture())
                .ok()
                .get("id")
                .stringValue();
    }

    /** A key whose first question shows a picture. */
    private static Lesson written(Scholion.Running school, String title, String picture) {
        Lesson lesson = Lesson.written(school, title);
        ObjectNode definition = (ObjectNode) Lesson.definition(title);
        ((ObjectNode) definition.get("items").get(0))
                .put("body", "<p><img src=\"/api/files/" + picture + "\" alt=\"a chart\"></p>");
        lesson.teacher
                .put(lesson.path("/key"), Map.of("definition", Lesson.plain(definition), "revision", 1))
                .ok();
        return lesson;
    }

    @Test
    void a_picture_is_seen_by_who_put_it_in_and_by_colleagues_of_the_course_and_by_no_other_teacher(
            Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        String picture = put(aud);
        Visitor halvard = school.as("Halvard Quist");
        aud.get("/api/files/" + picture).ok200();
        halvard.get("/api/files/" + picture).isRefused(404);
        written(school, "Seen by the course", picture);
        halvard.get("/api/files/" + picture).ok200();
        Colleague.called(school, "Orla").visitor().get("/api/files/" + picture).isRefused(404);
        school.as("Berit Straum").get("/api/files/" + picture).isRefused(404);
        school.anybody().get("/api/files/" + picture).isRefused(401);
    }

    @Test
    void a_student_sees_a_picture_while_their_paper_is_open_and_not_before_nor_after(Scholion.Running school) {
        String picture = put(school.as("Aud Meller"));
        Lesson lesson = written(school, "Seen on the paper", picture);
        lesson.giveOut("A").ok();
        Visitor noor = school.as("Noor Haddix");
        noor.get("/api/files/" + picture).isRefused(404);
        String attempt = lesson.begin(noor);
        noor.get("/api/files/" + picture).ok200();
        school.as("Kofi Sande").get("/api/files/" + picture).isRefused(404);
        noor.post("/api/student/attempts/" + attempt + "/hand-in", null).ok();
        noor.get("/api/files/" + picture).isRefused(404);
        lesson.paperAfter("AT_ONCE").ok();
        noor.get("/api/files/" + picture).ok200();
    }

    @Test
    void a_picture_of_an_item_in_the_bank_is_seen_by_its_owner_and_by_whom_it_is_shared_with(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        String picture = put(aud);
        Colleague runa = Colleague.called(school, "Runa");
        String item = aud.post(
                        "/api/bank/items", Json.MAPPER.convertValue(Json.read("""
                                        {"definition": {"id": "q1", "kind": "open", "points": "1",
                                         "prompt": "What is this?", "body": "<p><img src=\\"/api/files/%s\\" alt=\\"a chart\\"></p>",
                                         "rubric": {"criteria": [{"id": "c", "title": "Name", "levels": [
                                           {"id": "0", "points": "0", "text": "no"},
                                           {"id": "1", "points": "1", "text": "yes"}]}]}}}""".formatted(picture)), Object.class))
                .ok()
                .get("id")
                .stringValue();
        runa.visitor().get("/api/files/" + picture).isRefused(404);
        aud.put("/api/shares/ITEM/" + item + "/" + runa.id(), Map.of("mayEdit", false))
                .ok();
        runa.visitor().get("/api/files/" + picture).ok200();
        aud.send("DELETE", "/api/bank/items/" + item, null).ok();
        runa.visitor().get("/api/files/" + picture).isRefused(404);
    }
}
