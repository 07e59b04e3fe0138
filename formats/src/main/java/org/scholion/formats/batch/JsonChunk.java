package org.scholion.formats.batch;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.number.Fraction;
import org.scholion.formats.json.Json;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;

/** Whole lines of a JSON Lines file, as bytes. Common answers are looked up while they are read, without a tree. */
final class JsonChunk implements Chunk {
    private final byte[] bytes;
    private final int length;

    JsonChunk(byte[] bytes, int length) {
        this.bytes = bytes;
        this.length = length;
    }

    @Override
    public Part score(RowScorer scorer) {
        Part part = atOnce(scorer);
        if (part == null) {
            part = lineByLine(scorer);
        }
        scorer.remember(part);
        return part;
    }

    /** All lines with one parser; null when one of them is no object on a line of its own, and has to be found. */
    private @Nullable Part atOnce(RowScorer scorer) {
        Part part = scorer.part();
        try (JsonParser parser = Json.STREAM.createParser(bytes, 0, length)) {
            int last = 0;
            while (parser.nextToken() != null) {
                int line = parser.currentTokenLocation().getLineNr();
                if (line == last || parser.currentToken() != JsonToken.START_OBJECT) {
                    return null;
                }
                Line row = new Line(scorer, part, line);
                row.object(parser);
                last = parser.currentTokenLocation().getLineNr();
                if (last != line) {
                    return null;
                }
                row.finish();
            }
        } catch (JacksonException | StackOverflowError e) {
            return null;
        }
        for (int i = 0; i < length; i++) {
            part.lines += bytes[i] == '\n' ? 1 : 0;
        }
        return part;
    }

    private Part lineByLine(RowScorer scorer) {
        Part part = scorer.part();
        int begin = 0;
        while (begin < length) {
            int end = begin;
            while (end < length && bytes[end] != '\n') {
                end++;
            }
            part.lines++;
            if (!isBlank(begin, end)) {
                new Line(scorer, part, part.lines).read(begin, end - begin);
            }
            begin = end + 1;
        }
        return part;
    }

    private boolean isBlank(int from, int to) {
        for (int i = from; i < to; i++) {
            if (bytes[i] != ' ' && bytes[i] != '\t' && bytes[i] != '\r') {
                return false;
            }
        }
        return true;
    }

    /** Reads one line; the fields stand in any order, so faults of answers get their student at the end. */
    private final class Line {
        private final RowScorer scorer;
        private final Part part;
        private final int line;
        private final int faultsBefore;
        private final @Nullable Scored[] answers;
        private @Nullable String student;
        private int attempt = 1;
        private @Nullable String section;
        private Fraction daysLate = Fraction.ZERO;
        private final List<String> excused = new ArrayList<>();
        private boolean answered;
        private final Set<String> fields = new HashSet<>();

        Line(RowScorer scorer, Part part, int line) {
            this.scorer = scorer;
            this.part = part;
            this.line = line;
            this.faultsBefore = part.faults.size();
            this.answers = new Scored[scorer.key().items.size()];
        }

        void read(int offset, int count) {
            try (JsonParser parser = Json.STREAM.createParser(bytes, offset, count)) {
                if (parser.nextToken() != JsonToken.START_OBJECT) {
                    fault("", "an object {…} is expected on each line");
                    return;
                }
                object(parser);
                if (parser.nextToken() != null) {
                    fault("", "something stands behind the object");
                }
            } catch (JacksonException e) {
                fault("", "this is not JSON: " + e.getOriginalMessage());
            } catch (StackOverflowError e) {
                fault("", "this is nested too deeply");
            }
            finish();
        }

        private void object(JsonParser parser) {
            for (String name = parser.nextName(); name != null; name = parser.nextName()) {
                parser.nextToken();
                if (!fields.add(name)) {
                    fault(name, "this field is there twice");
                }
                field(name, parser);
            }
        }

        private void finish() {
            if (part.faults.size() == faultsBefore) {
                if (student == null) {
                    fault("student", "is missing");
                }
                if (!answered) {
                    fault("responses", "is missing");
                }
            }
            nameTheStudent();
            if (student != null) {
                scorer.finish(
                        line, new Head(student, attempt, section, daysLate, excused), answers, faultsBefore, part);
            }
        }

        private void nameTheStudent() {
            for (int i = faultsBefore; i < part.faults.size() && student != null; i++) {
                Chunk.Fault f = part.faults.get(i);
                String where = f.where().isEmpty() ? "student " + student : "student " + student + ", " + f.where();
                part.faults.set(i, new Chunk.Fault(f.line(), where, f.message()));
            }
        }

        private void fault(String where, String message) {
            part.faults.add(new Chunk.Fault(line, "", where.isEmpty() ? message : where + ": " + message));
        }

        private void field(String name, JsonParser parser) {
            switch (name) {
                case "student" -> student = text(name, parser);
                case "section" -> section = parser.currentToken() == JsonToken.VALUE_NULL ? null : text(name, parser);
                case "attempt" -> attempt(parser);
                case "late" -> late(parser);
                case "excused" -> excused(parser);
                case "responses" -> responses(parser);
                default -> {
                    fault(name, "this field is not known here");
                    parser.skipChildren();
                }
            }
        }

        private @Nullable String text(String name, JsonParser parser) {
            if (parser.currentToken() == JsonToken.VALUE_STRING
                    && !parser.getString().isBlank()) {
                return parser.getString();
            }
            fault(name, "a text in quotes is expected here");
            parser.skipChildren();
            return null;
        }

        private void attempt(JsonParser parser) {
            if (parser.currentToken() == JsonToken.VALUE_NUMBER_INT
                    && parser.getNumberType() == JsonParser.NumberType.INT
                    && parser.getIntValue() >= 1) {
                attempt = parser.getIntValue();
            } else if (parser.currentToken() != JsonToken.VALUE_NULL) {
                fault("attempt", "a whole number from 1 is expected here");
                parser.skipChildren();
            }
        }

        private void late(JsonParser parser) {
            if (parser.currentToken() == JsonToken.VALUE_NULL) {
                return;
            }
            Optional<Fraction> days =
                    parser.currentToken() == JsonToken.VALUE_STRING ? Late.days(parser.getString()) : Optional.empty();
            if (days.isEmpty()) {
                fault("late", "a number with d, h or m is expected here, such as \"26h\"");
                parser.skipChildren();
            }
            daysLate = days.orElse(Fraction.ZERO);
        }

        private void excused(JsonParser parser) {
            JsonNode node = parser.readValueAsTree();
            if (node.isNull()) {
                return;
            }
            boolean list = node.isArray();
            for (int i = 0; i < node.size() && list; i++) {
                list = node.get(i).isString();
            }
            if (list) {
                node.forEach(id -> excused.add(id.stringValue()));
            } else {
                fault("excused", "a list of item ids is expected here");
            }
        }

        private void responses(JsonParser parser) {
            answered = true;
            if (parser.currentToken() != JsonToken.START_OBJECT) {
                fault("responses", "an object {…} is expected here");
                parser.skipChildren();
                return;
            }
            int next = 0;
            for (String id = parser.nextName(); id != null; id = parser.nextName()) {
                JsonToken token = parser.nextToken();
                int place = scorer.key().place(id, next);
                next = place + 1;
                if (place < 0) {
                    part.faults.add(new Chunk.Fault(line, "item " + id, "no item that is scored has this id"));
                    parser.skipChildren();
                } else {
                    if (answers[place] != null) {
                        part.faults.add(new Chunk.Fault(line, "item " + id, "this item is answered twice"));
                    }
                    answers[place] = answer(place, token, parser);
                }
            }
        }

        private @Nullable Scored answer(int place, JsonToken token, JsonParser parser) {
            ItemScoring item = scorer.item(place);
            if (token == JsonToken.VALUE_STRING) {
                String said = parser.getString();
                Scored known = item.item() instanceof ChoiceItem ? null : item.known(said);
                return known != null ? known : slow(place, JsonNodeFactory.instance.stringNode(said), said);
            }
            if (token == JsonToken.START_ARRAY && item.item() instanceof ChoiceItem) {
                return choice(place, item, parser);
            }
            JsonNode node = parser.readValueAsTree();
            Scored known = item.known(node);
            return known != null ? known : slow(place, node, node);
        }

        /** One option is known by its id alone; several by their list. */
        private @Nullable Scored choice(int place, ItemScoring item, JsonParser parser) {
            JsonToken first = parser.nextToken();
            if (first == JsonToken.VALUE_STRING) {
                char letter = parser.getStringLength() == 1
                        ? parser.getStringCharacters()[parser.getStringOffset()]
                        : Character.MAX_VALUE;
                Scored given = item.letter(letter);
                String one = given == null ? parser.getString() : "";
                JsonToken next = parser.nextToken();
                if (next == JsonToken.END_ARRAY) {
                    Scored known = given == null ? item.known(one) : given;
                    return known != null
                            ? known
                            : slow(place, JsonNodeFactory.instance.arrayNode().add(one), one);
                }
                return several(place, item, parser, next, given == null ? one : String.valueOf(letter));
            }
            return several(place, item, parser, first, null);
        }

        private @Nullable Scored several(
                int place, ItemScoring item, JsonParser parser, JsonToken at, @Nullable String first) {
            ArrayNode list = JsonNodeFactory.instance.arrayNode();
            if (first != null) {
                list.add(first);
            }
            for (JsonToken token = at; token != JsonToken.END_ARRAY; token = parser.nextToken()) {
                list.add((JsonNode) parser.readValueAsTree());
            }
            Scored known = item.known(list);
            return known != null ? known : slow(place, list, list);
        }

        private @Nullable Scored slow(int place, JsonNode node, Object form) {
            return scorer.answer(place, node, form, part, line, "");
        }
    }
}
