package org.scholion.server.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.zaxxer.hikari.HikariDataSource;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.TestDatabase;

/** Nothing is lost: what is backed up comes back whole, into an empty database only. */
@ExtendWith(Scholion.class)
class BackupTest {
    @TempDir
    private Path folder;

    private record Ran(int code, String said) {}

    private static Ran run(String url, String user, String password, String command, Path file) {
        try {
            ProcessBuilder builder = new ProcessBuilder(
                            TestDatabase.root().resolve(command).toString(), file.toString())
                    .redirectErrorStream(true);
            builder.environment()
                    .putAll(Map.of("SCHOLION_DB_URL", url, "SCHOLION_DB_USER", user, "SCHOLION_DB_PASSWORD", password));
            Process process = builder.start();
            String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            return new Ran(process.waitFor(), said);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    @Test
    void a_backup_comes_back_whole_into_an_empty_database_and_never_over_what_is_there(Scholion.Running school)
            throws SQLException, IOException {
        HikariDataSource running = school.bean(DataSource.class).unwrap(HikariDataSource.class);
        String user = String.valueOf(running.getUsername());
        String password = String.valueOf(running.getPassword());
        Path file = folder.resolve("whole.backup");
        Ran backup = run(String.valueOf(running.getJdbcUrl()), user, password, "bin/backup", file);
        assertThat(backup.code()).as(backup.said()).isZero();
        assertThat(run(String.valueOf(running.getJdbcUrl()), user, password, "bin/backup", file)
                        .code())
                .as("a backup is never written over")
                .isEqualTo(1);
        try (TestDatabase empty = new TestDatabase()) {
            Path half = folder.resolve("half.backup");
            byte[] bytes = Files.readAllBytes(file);
            Files.write(half, Arrays.copyOf(bytes, bytes.length / 2));
            assertThat(run(empty.url(), user, password, "bin/restore", half).code())
                    .isEqualTo(1);
            assertThat(rows(empty)).as("nothing of half a backup").isEmpty();

            Ran restored = run(empty.url(), user, password, "bin/restore", file);
            assertThat(restored.code()).as(restored.said()).isZero();
            Map<String, Long> back = rows(empty);
            assertThat(back).hasSizeGreaterThan(30);
            assertThat(back.get("mark")).isPositive();
            assertThat(back.get("person")).isEqualTo(count(running, "person"));
            assertThat(back.get("edition")).isEqualTo(count(running, "edition"));
            Ran twice = run(empty.url(), user, password, "bin/restore", file);
            assertThat(twice.code()).isEqualTo(1);
            assertThat(twice.said()).contains("The database is not empty");
            assertThat(rows(empty)).isEqualTo(back);

            isRefusedWhenNewer(empty);
        }
    }

    /** A start on it would change nothing. */
    private static void isRefusedWhenNewer(TestDatabase database) throws SQLException {
        Flyway flyway = Flyway.configure()
                .dataSource(database.url(), database.user(), database.password())
                .load();
        NewerSchema.refuseNewer(flyway);
        try (Connection connection = DriverManager.getConnection(database.url(), database.user(), database.password());
                Statement statement = connection.createStatement()) {
            statement.execute("""
                    insert into flyway_schema_history (installed_rank, version, description, type, script, checksum,
                      installed_by, execution_time, success)
                    values (900, '900', 'later', 'SQL', 'V900__later.sql', 1, 'x', 1, true)""");
        }
        assertThatThrownBy(() -> NewerSchema.refuseNewer(flyway)).hasMessageContaining("its schema is 900");
        assertThat(new NewerSchema.Told().analyze(new NewerSchema("900", "19")).getAction())
                .startsWith("Nothing was changed.");
    }

    private static Map<String, Long> rows(TestDatabase database) throws SQLException {
        Map<String, Long> rows = new TreeMap<>();
        try (Connection connection =
                DriverManager.getConnection(database.url(), database.user(), database.password())) {
            List<String> tables = new ArrayList<>();
            try (Statement statement = connection.createStatement();
                    ResultSet found = statement.executeQuery(
                            "select table_name from information_schema.tables where table_schema = 'public'")) {
                while (found.next()) {
                    tables.add(found.getString(1));
                }
            }
            for (String table : tables) {
                rows.put(table, count(connection, table));
            }
        }
        return rows;
    }

    private static long count(DataSource source, String table) throws SQLException {
        try (Connection connection = source.getConnection()) {
            return count(connection, table);
        }
    }

    private static long count(Connection connection, String table) throws SQLException {
        try (Statement statement = connection.createStatement();
                ResultSet row = statement.executeQuery("select count(*) from " + table)) {
            row.next();
            return row.getLong(1);
        }
    }
}
