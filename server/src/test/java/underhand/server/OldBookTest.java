package underhand.server;

import static org.hamcrest.Matchers.hasSize;
import static org.hamcrest.Matchers.nullValue;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.DriverManager;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.core.io.ClassPathResource;
import org.springframework.jdbc.datasource.init.ScriptUtils;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.MockMvc;

/** A book of the sixth schema opens in this one, and everything in it is read as it was meant. */
@ExtendWith(OldBookTest.Written.class)
@ServerTest
@TestPropertySource(properties = {"spring.datasource.url=" + OldBookTest.BOOK, "underhand.demo=false"})
class OldBookTest {

    static final String BOOK = "jdbc:h2:mem:old;DB_CLOSE_DELAY=-1";

    /** Writes the book before the application opens it. */
    static class Written implements BeforeAllCallback {

        @Override
        public void beforeAll(ExtensionContext context) throws Exception {
            Flyway.configure().dataSource(BOOK, "sa", "").target("6").load().migrate();
            try (Connection book = DriverManager.getConnection(BOOK, "sa", "")) {
                ScriptUtils.executeSqlScript(
                        book,
                        new org.springframework.core.io.support.EncodedResource(
                                new ClassPathResource("underhand/server/book-v6.sql"), StandardCharsets.UTF_8));
            }
        }
    }

    @Autowired
    private MockMvc mvc;

    @Test
    void song_withEveryKindOfDecision_isReadWhole() throws Exception {
        mvc.perform(get("/api/v1/songs/1"))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.decisions.rung").value(3))
                .andExpect(jsonPath("$.decisions.setting").value("singer"))
                .andExpect(jsonPath("$.decisions.capo").value(2))
                .andExpect(jsonPath("$.decisions.tempo").value(88))
                .andExpect(jsonPath("$.decisions.locks[0].frets").value("320003"))
                .andExpect(jsonPath("$.decisions.locks[1].highestFret").value(5))
                .andExpect(jsonPath("$.decisions.readings[0].stand").value("accepted"))
                .andExpect(jsonPath("$.decisions.patterns[0].pattern").value("folk-strum"))
                .andExpect(jsonPath("$.decisions.patterns[1].own.steps").value("D . D U . U D U"))
                .andExpect(jsonPath("$.decisions.fills[0].fill").value("bass-walk:scale"))
                .andExpect(jsonPath("$.decisions.playerId").value(1))
                .andExpect(jsonPath("$.decisions.houseRules.fullness").value("parts"))
                .andExpect(jsonPath("$.decisions.houseRules.ring").value(0.5))
                .andExpect(jsonPath("$.decisions.houseRules.repeatsAlike").value(false))
                .andExpect(jsonPath("$.decisions.houseRules.length()").value(3))
                .andExpect(jsonPath("$.decisions.second.capo").value(5));
    }

    @Test
    void documents_ofEveryKind_areRead() throws Exception {
        mvc.perform(get("/api/v1/players"))
                .andExpect(jsonPath("$", hasSize(1)))
                .andExpect(jsonPath("$[0].version").value(3))
                .andExpect(jsonPath("$[0].limits.name").value("Dockhand"))
                .andExpect(jsonPath("$[0].limits.leftHanded").value(true))
                .andExpect(jsonPath("$[0].limits.houseRules.majorBarre").value("barre"));
        mvc.perform(get("/api/v1/guitars"))
                .andExpect(jsonPath("$[0].build.kind").value("electric"));
        mvc.perform(get("/api/v1/own-patterns"))
                .andExpect(jsonPath("$[0].pattern.name").value("Bilge beat"));
    }

    /** Nobody knows any more what it was planned like. */
    @Test
    void version_fromBeforePartsWereKept_saysSo() throws Exception {
        mvc.perform(get("/api/v1/songs/1/versions"))
                .andExpect(jsonPath("$[0].name").value("For Tuesday"))
                .andExpect(jsonPath("$[0].decisions.rung").value(1))
                .andExpect(jsonPath("$[0].decisions.houseRules.ring").value(0.0));
        mvc.perform(get("/api/v1/songs/1/versions/1/planned"))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.part", nullValue()))
                .andExpect(jsonPath("$.current").value(false));
    }

    /** What an older book wrote is a backup this one takes. */
    @Test
    void backup_ofAnOldBook_isTakenBack() throws Exception {
        byte[] backup =
                mvc.perform(get("/api/v1/backup")).andReturn().getResponse().getContentAsByteArray();
        mvc.perform(post("/api/v1/restore?mode=replace")
                        .contentType("application/zip")
                        .content(backup))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.stored").value(true));
        song_withEveryKindOfDecision_isReadWhole();
    }
}
