package underhand.server;

import static org.hamcrest.Matchers.containsString;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.springframework.http.MediaType.APPLICATION_JSON;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import underhand.server.storage.Shelf;

/** Backups merged, looked at before, and refused when they are none. */
@ServerTest
@TestPropertySource(properties = "spring.datasource.url=jdbc:h2:mem:changed")
class BackupCallsTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private ObjectMapper json;

    @Autowired
    private List<Shelf> shelves;

    /** Everything that is kept is in the schema, field by field. */
    @Test
    void schema_saysWhatEveryFileHolds() throws Exception {
        JsonNode schema = json.readTree(entries(backup()).get("schema.json"));
        assertEquals(
                shelves.stream().map(shelf -> shelf.kind() + ".json").collect(Collectors.toSet()),
                names(schema.get("properties")));
        for (Shelf shelf : shelves) {
            String one = shelf.kind().substring(0, shelf.kind().length() - 1);
            Set<String> fields = shelf.columns().stream()
                    .filter(column -> column.form() != Shelf.Form.LOGGED)
                    .map(column -> column.field() + (column.form() == Shelf.Form.FILE ? "File" : ""))
                    .collect(Collectors.toSet());
            assertEquals(fields, names(schema.at("/$defs/" + one + "/properties")), one);
        }
    }

    private static Set<String> names(JsonNode object) {
        Set<String> names = new HashSet<>();
        object.fieldNames().forEachRemaining(names::add);
        return names;
    }

    private byte[] backup() throws Exception {
        return mvc.perform(get("/api/v1/backup"))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsByteArray();
    }

    private ResultActions restore(byte[] zip, String query) throws Exception {
        return mvc.perform(
                post("/api/v1/restore?" + query).contentType("application/zip").content(zip));
    }

    private long add(String source) throws Exception {
        JsonNode song = json.readTree(mvc.perform(post("/api/v1/songs")
                        .contentType(APPLICATION_JSON)
                        .content(json.createObjectNode().put("source", source).toString()))
                .andExpect(status().isCreated())
                .andReturn()
                .getResponse()
                .getContentAsByteArray());
        return song.get("id").asLong();
    }

    private static Map<String, byte[]> entries(byte[] zip) throws IOException {
        Map<String, byte[]> entries = new LinkedHashMap<>();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                entries.put(entry.getName(), in.readAllBytes());
            }
        }
        return entries;
    }

    private static byte[] zip(Map<String, byte[]> entries) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (Map.Entry<String, byte[]> entry : entries.entrySet()) {
                zip.putNextEntry(new ZipEntry(entry.getKey()));
                zip.write(entry.getValue());
                zip.closeEntry();
            }
        }
        return out.toByteArray();
    }

    @Test
    void ownBackup_changesNothing() throws Exception {
        restore(backup(), "preview=true")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.stored").value(false))
                .andExpect(jsonPath("$.shelves[*].added[*]").isEmpty())
                .andExpect(jsonPath("$.shelves[*].changed[*]").isEmpty())
                .andExpect(jsonPath("$.shelves[*].removed[*]").isEmpty());
    }

    /** What the book has on top stays, what was removed comes back under its number. */
    @Test
    void merge_addsWhatIsMissing_andTakesNothingAway() throws Exception {
        long going = add("title: Going\n[G]la");
        byte[] backup = backup();
        mvc.perform(delete("/api/v1/songs/" + going)).andExpect(status().isNoContent());
        long staying = add("title: Staying\n[G]la");
        restore(backup, "mode=replace&preview=true")
                .andExpect(jsonPath("$.shelves[?(@.kind=='songs')].removed[0]").value("Staying"));
        restore(backup, "mode=merge")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.shelves[?(@.kind=='songs')].changed[0]").value("Going"));
        mvc.perform(get("/api/v1/songs/" + going)).andExpect(jsonPath("$.title").value("Going"));
        mvc.perform(get("/api/v1/songs/" + staying))
                .andExpect(jsonPath("$.title").value("Staying"));
    }

    @Test
    void removedSong_isListedAndPutBack() throws Exception {
        long id = add("title: Put Back\n[G]la");
        mvc.perform(delete("/api/v1/songs/" + id)).andExpect(status().isNoContent());
        mvc.perform(get("/api/v1/songs/" + id)).andExpect(status().isNotFound());
        mvc.perform(get("/api/v1/removed-songs"))
                .andExpect(jsonPath("$[?(@.id==" + id + ")].title").value("Put Back"));
        mvc.perform(post("/api/v1/removed-songs/" + id + "/put-back")).andExpect(status().isOk());
        mvc.perform(get("/api/v1/songs/" + id)).andExpect(status().isOk());
        mvc.perform(post("/api/v1/removed-songs/" + id + "/put-back")).andExpect(status().isNotFound());
    }

    @Test
    void efforts_onceWorkedOut_standInTheList() throws Exception {
        long id = add("title: Measured\n| C | G |");
        mvc.perform(get("/api/v1/songs"))
                .andExpect(jsonPath("$[?(@.id==" + id + ")].bars").value(2))
                .andExpect(jsonPath("$[?(@.id==" + id + ")].efforts[0]").isEmpty());
        mvc.perform(get("/api/v1/songs/" + id + "/efforts")).andExpect(status().isOk());
        mvc.perform(get("/api/v1/songs"))
                .andExpect(jsonPath("$[?(@.id==" + id + ")].efforts[4].rung").value(5));
    }

    @ParameterizedTest
    @CsvSource({
        "underhand.json, , it has no underhand.json",
        "underhand.json, {\"format\":\"other\"}, its underhand.json says otherwise",
        "underhand.json, '{\"format\":\"underhand-backup\",\"formatVersion\":99}', written by a newer Underhand",
        "songs.json, no json, songs.json is no JSON",
        "songs.json, {}, songs.json holds no list",
        "songs.json, [{}], songs.json[0] has no uid",
        "players.json, '[{\"uid\":\"00000000-0000-0000-0000-000000000001\",\"id\":1}]', players.json[0] has no limits",
    })
    void spoiltBackup_isRefusedInWordsAndNothingChanges(String entry, String content, String words) throws Exception {
        byte[] before = backup();
        Map<String, byte[]> entries = entries(before);
        if (content == null) {
            entries.remove(entry);
        } else {
            entries.put(entry, content.getBytes(StandardCharsets.UTF_8));
        }
        restore(zip(entries), "mode=replace")
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.detail").value(containsString(words)));
        assertSame(before);
    }

    /** What could not be opened later is not put on a shelf: all of a backup or nothing. */
    @Test
    void backupWithDecisionsNobodyCouldUse_isRefusedWhole() throws Exception {
        add("title: Fine\n[G]la");
        byte[] before = backup();
        Map<String, byte[]> entries = entries(before);
        String songs = new String(entries.get("songs.json"), StandardCharsets.UTF_8);
        entries.put(
                "songs.json",
                songs.replaceFirst("\"rung\" : \\d", "\"rung\" : 77").getBytes(StandardCharsets.UTF_8));
        restore(zip(entries), "mode=replace")
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.detail").value(containsString("cannot be used")));
        assertSame(before);
    }

    private void assertSame(byte[] before) throws Exception {
        Map<String, byte[]> was = entries(before);
        Map<String, byte[]> is = entries(backup());
        assertEquals(was.keySet(), is.keySet());
        was.remove("underhand.json");
        was.forEach((name, bytes) ->
                assertTrue(java.util.Arrays.equals(bytes, is.get(name)), name + " is not what it was"));
    }
}
