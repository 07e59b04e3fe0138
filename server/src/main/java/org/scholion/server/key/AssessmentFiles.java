package org.scholion.server.key;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.util.UUID;
import org.scholion.formats.assessment.AssessmentReader;
import org.scholion.formats.assessment.AssessmentWriter;
import org.scholion.formats.json.Json;
import org.scholion.server.access.Access;
import org.scholion.server.platform.JsonColumn;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Assessments to and from the open file, the same that {@code bin/batch} reads. */
@Service
class AssessmentFiles {
    private final Assessments assessments;
    private final CarriedFiles carried;
    private final Access access;

    AssessmentFiles(Assessments assessments, CarriedFiles carried, Access access) {
        this.assessments = assessments;
        this.carried = carried;
        this.access = access;
    }

    /** The file's text: in the writer's form where the key is complete, else as far as it is written. */
    @Transactional(readOnly = true)
    public String write(Me me, UUID assessment) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        JsonNode whole = assessments.whole(assessment);
        ObjectNode written = AssessmentReader.check(whole).isEmpty()
                ? AssessmentWriter.write(AssessmentReader.read(whole))
                : whole.deepCopy().asObject();
        carried.pack(me, written);
        return written.toPrettyString() + "\n";
    }

    /** Makes an assessment of a file; everything that is wrong with it is named with its path, and then nothing is made. */
    @Transactional
    public UUID take(Me me, UUID course, byte[] file) {
        access.require(me, Access.Action.SEE_COURSE, course);
        JsonNode node = node(file);
        ObjectNode draft = AssessmentWriter.write(AssessmentReader.read(node));
        carried.unpack(me, node);
        draft.remove("frameworks");
        UUID id = assessments.create(me, course, draft.get("title").stringValue());
        assessments.save(me, id, JsonColumn.plain(draft), 0);
        return id;
    }

    private static JsonNode node(byte[] file) {
        try {
            String text = StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(file))
                    .toString();
            return Json.read(text.startsWith("\uFEFF") ? text.substring(1) : text);
        } catch (CharacterCodingException e) {
            throw Refused.invalid("", "the file is not UTF-8; save it as UTF-8 and bring it in again");
        }
    }
}
