package org.scholion.server.platform;

import jakarta.persistence.EntityManager;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.HexFormat;
import java.util.Iterator;
import java.util.List;
import org.hibernate.Session;
import org.jspecify.annotations.Nullable;
import org.postgresql.PGConnection;
import org.postgresql.copy.CopyIn;
import org.scholion.formats.json.Json;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** Very many rows at once: PostgreSQL's COPY, in the transaction that is under way. */
@Component
public class Copying {
    private static final int AT_ONCE = 1 << 16;

    private final EntityManager entities;

    Copying(EntityManager entities) {
        this.entities = entities;
    }

    /**
     * Writes rows into a table.
     *
     * @param columns their names; the others get their defaults
     * @param rows one value for each column: text, numbers, truth, moments, ids, bytes, documents or null
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void into(String table, List<String> columns, Iterator<@Nullable Object[]> rows) {
        Session session = entities.unwrap(Session.class);
        session.flush();
        session.doWork(connection -> copy(connection, table, columns, rows));
    }

    private static void copy(
            Connection connection, String table, List<String> columns, Iterator<@Nullable Object[]> rows)
            throws SQLException {
        CopyIn copy = connection
                .unwrap(PGConnection.class)
                .getCopyAPI()
                .copyIn("copy " + table + " (" + String.join(", ", columns) + ") from stdin");
        try {
            StringBuilder text = new StringBuilder(AT_ONCE + 4096);
            while (rows.hasNext()) {
                line(text, rows.next());
                if (text.length() >= AT_ONCE) {
                    send(copy, text);
                }
            }
            send(copy, text);
            copy.endCopy();
        } finally {
            if (copy.isActive()) {
                copy.cancelCopy();
            }
        }
    }

    private static void send(CopyIn copy, StringBuilder text) throws SQLException {
        byte[] bytes = text.toString().getBytes(StandardCharsets.UTF_8);
        copy.writeToCopy(bytes, 0, bytes.length);
        text.setLength(0);
    }

    private static void line(StringBuilder text, @Nullable Object[] row) {
        for (int i = 0; i < row.length; i++) {
            if (i > 0) {
                text.append('\t');
            }
            value(text, row[i]);
        }
        text.append('\n');
    }

    /** As COPY reads a value: what would end it is escaped. */
    private static void value(StringBuilder text, @Nullable Object value) {
        if (value == null) {
            text.append("\\N");
        } else if (value instanceof byte[] bytes) {
            text.append("\\\\x").append(HexFormat.of().formatHex(bytes));
        } else {
            String plain = value instanceof JsonNode node ? Json.write(node) : value.toString();
            for (int i = 0; i < plain.length(); i++) {
                char c = plain.charAt(i);
                switch (c) {
                    case '\\' -> text.append("\\\\");
                    case '\n' -> text.append("\\n");
                    case '\r' -> text.append("\\r");
                    case '\t' -> text.append("\\t");
                    default -> text.append(c);
                }
            }
        }
    }
}
