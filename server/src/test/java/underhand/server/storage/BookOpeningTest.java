package underhand.server.storage;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertDoesNotThrow;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.mock.env.MockEnvironment;

/** What is wrong with a book is said in one sentence, and the book itself is not changed. */
class BookOpeningTest {

    @TempDir
    Path data;

    private String url() {
        return "jdbc:h2:file:" + data.resolve("underhand");
    }

    private void open(boolean settingAside) {
        BookOpening.check(
                new MockEnvironment()
                        .withProperty("underhand.data", data.toString())
                        .withProperty("spring.datasource.url", url()),
                settingAside);
    }

    private String refusal() {
        return assertThrows(StartupFailure.class, () -> open(false)).getMessage();
    }

    private Path book() {
        return data.resolve("underhand.mv.db");
    }

    private void made(String... statements) throws SQLException {
        try (Connection connection = DriverManager.getConnection(url(), "sa", "");
                Statement statement = connection.createStatement()) {
            statement.execute("create table note(id identity, words clob)");
            statement.execute("insert into note(words) select repeat(x, 4000) from system_range(1, 500)");
            for (String sql : statements) {
                statement.execute(sql);
            }
        }
    }

    private List<Path> copies() throws IOException {
        try (Stream<Path> files = Files.list(data)) {
            return files.filter(f -> f.getFileName().toString().startsWith("damaged-"))
                    .toList();
        }
    }

    @Test
    void newBook_andAWholeOne_open() throws Exception {
        open(false);
        made();
        open(false);
        assertEquals("rw-------", PosixFilePermissions.toString(Files.getPosixFilePermissions(book())));
    }

    @Test
    void newDirectory_isItsOwnersAlone() throws Exception {
        data = data.resolve("new");
        open(false);
        assertEquals("rwx------", PosixFilePermissions.toString(Files.getPosixFilePermissions(data)));
    }

    @Test
    void directoryThatIsAFile_isSaid() throws Exception {
        data = Files.createFile(data.resolve("book"));
        assertTrue(refusal().contains("cannot be written to"), refusal());
    }

    @Test
    void newerSchema_isRefusedAndNotChanged() throws Exception {
        made(
                "create table \"flyway_schema_history\"(\"version\" varchar(50), \"success\" boolean)",
                "insert into \"flyway_schema_history\" values ('1', true), ('999', true)");
        String said = refusal();
        assertTrue(said.contains("newer Underhand") && said.contains("schema 999"), said);
    }

    @Test
    void olderSchema_opens() throws Exception {
        made(
                "create table \"flyway_schema_history\"(\"version\" varchar(50), \"success\" boolean)",
                "insert into \"flyway_schema_history\" values ('1', true), ('2', true)");
        assertDoesNotThrow(() -> open(false));
    }

    /** Wherever the end of a book is cut off, it opens with every row it had, or is refused and copied. */
    @ParameterizedTest
    @ValueSource(doubles = {0, 0.0001, 0.01, 0.2, 0.5, 0.8, 0.95, 0.999})
    void truncatedBook_opensWholeOrIsRefusedAndCopied(double part) throws Exception {
        made();
        Files.createDirectories(data.resolve("backups"));
        Path backup = Files.createFile(data.resolve("backups/underhand-2026-11-01.zip"));
        byte[] whole = Files.readAllBytes(book());
        byte[] cut = Arrays.copyOf(whole, (int) (part * whole.length));
        Files.write(book(), cut);
        try {
            open(false);
            try (Connection connection = DriverManager.getConnection(url(), "sa", "");
                    Statement statement = connection.createStatement();
                    var rows = statement.executeQuery("select count(*) from note where length(words) >= 4000")) {
                rows.next();
                assertEquals(500, rows.getInt(1));
            }
        } catch (StartupFailure e) {
            assertTrue(e.getMessage().contains("is damaged"), e.getMessage());
            assertTrue(e.getMessage().contains("./underhand restore " + backup), e.getMessage());
            assertEquals(1, copies().size());
            refusal();
            assertEquals(1, copies().size(), "one copy of one damaged book");
        }
    }

    @Test
    void damagedBook_isSetAsideForABackup() throws Exception {
        made();
        byte[] whole = Files.readAllBytes(book());
        Arrays.fill(whole, 0, 20_000, (byte) 7);
        Files.write(book(), whole);
        assertTrue(refusal().contains("There is no backup"), refusal());
        assertArrayEquals(whole, Files.readAllBytes(book()), "the damaged book was changed");
        open(true);
        assertArrayEquals(whole, Files.readAllBytes(copies().get(0)));
        assertFalse(Files.exists(book()) && Arrays.equals(whole, Files.readAllBytes(book())));
    }
}
