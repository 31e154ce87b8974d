package underhand.server;

import static org.hamcrest.Matchers.contains;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.hasItem;
import static org.hamcrest.Matchers.hasSize;
import static org.hamcrest.Matchers.not;
import static org.hamcrest.Matchers.nullValue;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.springframework.http.MediaType.APPLICATION_JSON;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;

@ServerTest
class SongbookTest {

    private static final String CHART = "title: Gate Song\n[G]Open the [D]gate, [Hm]mind the [C]beam";

    private static final String LOCK =
            "{\"placement\":0,\"part\":0,\"frets\":\"320003\",\"fingers\":\"32---4\",\"lowestFret\":null,\"highestFret\":null,\"capo\":2,\"transpose\":-1}";

    @Autowired
    private MockMvc mvc;

    @Autowired
    private ObjectMapper json;

    @Autowired
    private JdbcTemplate jdbc;

    private JsonNode add(String source) throws Exception {
        ObjectNode body = json.createObjectNode().put("source", source);
        return read(
                mvc.perform(post("/api/v1/songs").contentType(APPLICATION_JSON).content(body.toString()))
                        .andExpect(status().isCreated()));
    }

    private JsonNode read(ResultActions result) throws Exception {
        return json.readTree(result.andReturn().getResponse().getContentAsByteArray());
    }

    private ResultActions change(JsonNode song, long version, String source, JsonNode decisions) throws Exception {
        ObjectNode body = json.createObjectNode().put("version", version).put("source", source);
        body.set("decisions", decisions);
        return mvc.perform(put("/api/v1/songs/" + song.get("id"))
                .contentType(APPLICATION_JSON)
                .content(body.toString()));
    }

    @Test
    void demo_emptyBook_holdsTheDemoSongs() throws Exception {
        mvc.perform(get("/api/v1/songs"))
                .andExpect(jsonPath("$[*].title", hasItem("Towpath Morning")))
                .andExpect(jsonPath("$[*].title", hasItem("The Lock-Keeper's Waltz")))
                .andExpect(jsonPath("$[?(@.title=='Slow Water')].key", hasItem("B♭ major")))
                .andExpect(
                        jsonPath("$[?(@.faults > 0 && @.title!='Gate Song')]").isEmpty());
    }

    /** Every demo song can be played by an adult hand on its own rung and on the highest. */
    @Test
    void efforts_everyDemoSong_canBePlayedOnTheHighestRung() throws Exception {
        JsonNode songs = read(mvc.perform(get("/api/v1/songs")));
        for (JsonNode song : songs) {
            JsonNode efforts = read(mvc.perform(get("/api/v1/songs/" + song.get("id") + "/efforts")));
            assertEquals(5, efforts.size());
            assertEquals(
                    0, efforts.get(4).get("beyond").asInt(), song.get("title").asText());
            assertTrue(efforts.get(0).get("effort").asDouble() > 0);
        }
    }

    @Test
    void practised_song_saysWhenAndIsNoChange() throws Exception {
        JsonNode song = add(CHART);
        String line = "$[?(@.id==" + song.get("id") + ")].practisedAt";
        mvc.perform(get("/api/v1/songs")).andExpect(jsonPath(line).value(contains(nullValue())));
        Instant before = Instant.now();
        mvc.perform(post("/api/v1/songs/" + song.get("id") + "/practice")).andExpect(status().isNoContent());
        for (JsonNode one : read(mvc.perform(get("/api/v1/songs")))) {
            if (one.get("id").equals(song.get("id"))) {
                Instant at = Instant.parse(one.get("practisedAt").asText());
                assertTrue(!at.isBefore(before.minusMillis(1)) && !at.isAfter(Instant.now()), "at " + at);
            }
        }
        change(song, song.get("version").asLong(), CHART, song.get("decisions")).andExpect(status().isOk());
        mvc.perform(post("/api/v1/songs/987654/practice")).andExpect(status().isNotFound());
    }

    @Test
    void add_chartWithAFault_keepsTheWholeTextAndSaysTheFault() throws Exception {
        JsonNode song = add(CHART);
        assertEquals("Gate Song", song.get("title").asText());
        assertEquals(CHART, song.get("source").asText());
        assertEquals(2, song.get("faults").get(0).get("line").asInt());
        mvc.perform(get("/api/v1/songs/" + song.get("id")))
                .andExpect(jsonPath("$.source").value(CHART));
        mvc.perform(delete("/api/v1/songs/" + song.get("id"))).andExpect(status().isNoContent());
        mvc.perform(get("/api/v1/songs/" + song.get("id"))).andExpect(status().isNotFound());
    }

    @Test
    void add_textWithoutChords_isRefusedAndNothingStored() throws Exception {
        mvc.perform(post("/api/v1/songs").contentType(APPLICATION_JSON).content("{\"source\":\"only words here\"}"))
                .andExpect(status().is(422))
                .andExpect(jsonPath("$.detail").value(containsString("no chord")));
        mvc.perform(get("/api/v1/songs")).andExpect(jsonPath("$[*].title", not(hasItem("only words here"))));
    }

    @Test
    void add_chartWithACapo_startsWithIt() throws Exception {
        assertEquals(3, add("capo: 3\n[C]la [F]la").get("decisions").get("capo").asInt());
    }

    /**
     * As the page's dials say it, and as the page compares it with what comes back: nothing decided and no list are alike, and
     * so are a number and its digits.
     */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "solo; {'under':null,'octave':'0','strings':null}",
                "solo; {'under':'drones','octave':null,'strings':null}",
                "solo; {'under':null,'octave':'-1','strings':[{'bar':1,'beat':2,'string':2}]}",
                "second; {'rung':2,'capo':null,'playerId':null,'guitarId':null,'patterns':[],'texture':'triads','solo':{'under':'nothing','octave':null,'strings':null}}",
                "wishes; {'strings':'','fromFret':3,'toFret':9,'noDoubling':false,'top':'falls'}",
                "patterns; [{'section':null,'pattern':'half-strum','vary':false,'own':null}]",
                "textures; [{'placement':2,'texture':'closed'}]",
                "voice; {'lowest':'A3','highest':'D5'}",
                "houseRules; {'capo':false}",
            })
    void change_decision_comesBackSayingTheSame(String field, String said) throws Exception {
        JsonNode song = add(CHART);
        ObjectNode decisions = song.get("decisions").deepCopy();
        decisions.set(field, json.readTree(said.replace('\'', '"')));
        JsonNode changed = read(
                change(song, song.get("version").asLong(), CHART, decisions).andExpect(status().isOk()));
        assertEquals(plain(decisions), plain(changed.get("decisions")));
    }

    private static Object plain(JsonNode node) {
        if (node.isObject()) {
            Map<String, Object> fields = new TreeMap<>();
            node.properties().forEach(field -> {
                if (!field.getValue().isNull()
                        && !(field.getValue().isArray() && field.getValue().isEmpty())) {
                    fields.put(field.getKey(), plain(field.getValue()));
                }
            });
            return fields;
        }
        if (node.isArray()) {
            return StreamSupport.stream(node.spliterator(), false)
                    .map(SongbookTest::plain)
                    .toList();
        }
        return node.isNumber() ? node.decimalValue().stripTrailingZeros().toPlainString() : node.asText();
    }

    @Test
    void change_decisions_areKept() throws Exception {
        JsonNode song = add(CHART);
        ObjectNode decisions = song.get("decisions").deepCopy();
        decisions.put("capo", 4).put("rung", 3).put("tempo", 77);
        decisions
                .put("transpose", -2)
                .withObject("/houseRules")
                .put("repeatsAlike", false)
                .put("ring", 0.5);
        decisions.withArray("/locks").add(json.readTree(LOCK));
        decisions
                .withArray("/readings")
                .addObject()
                .put("placement", 1)
                .put("reading", "sevenths")
                .put("stand", "pinned")
                .put("rung", 4);
        JsonNode changed = read(
                change(song, song.get("version").asLong(), CHART, decisions).andExpect(status().isOk()));
        assertEquals(decisions, changed.get("decisions"));
        assertEquals(
                decisions,
                read(mvc.perform(get("/api/v1/songs/" + song.get("id")))).get("decisions"));
    }

    @Test
    void versions_keptAndRemoved_standBesideTheSong() throws Exception {
        JsonNode song = add(CHART);
        String path = "/api/v1/songs/" + song.get("id") + "/versions";
        ObjectNode body = json.createObjectNode().put("name", "For the teacher").put("source", CHART);
        body.set("decisions", song.get("decisions"));
        JsonNode kept =
                read(mvc.perform(post(path).contentType(APPLICATION_JSON).content(body.toString()))
                        .andExpect(status().isCreated()));
        mvc.perform(get(path))
                .andExpect(jsonPath("$.length()").value(1))
                .andExpect(jsonPath("$[0].name").value("For the teacher"))
                .andExpect(jsonPath("$[0].decisions.setting").value("alone"));
        for (String bad :
                new String[] {"{}", "{\"name\":\"x\"}", body.put("name", " ").toString()}) {
            mvc.perform(post(path).contentType(APPLICATION_JSON).content(bad)).andExpect(status().is(422));
        }
        mvc.perform(delete(path + "/" + kept.get("id"))).andExpect(status().isNoContent());
        mvc.perform(delete(path + "/" + kept.get("id"))).andExpect(status().isNotFound());
        mvc.perform(get("/api/v1/songs/999999/versions")).andExpect(status().isNotFound());
    }

    /** What was planned stays, whoever would plan otherwise now; only then it is said to be so. */
    @Test
    void version_keptByAnotherPlanner_staysWhatItWas() throws Exception {
        JsonNode song = add("title: Stop Planks\nkey: C\n[Verse]\n| C | G | Am | F |");
        String path = "/api/v1/songs/" + song.get("id") + "/versions";
        ObjectNode decisions = (ObjectNode) song.get("decisions");
        decisions.put("rung", 3).put("capo", 0).put("playerId", 424_242);
        ObjectNode request = json.createObjectNode().put("name", "As it was");
        request.set("source", song.get("source"));
        request.set("decisions", decisions);
        long id = read(mvc.perform(post(path).contentType(APPLICATION_JSON).content(request.toString()))
                        .andExpect(status().isCreated()))
                .get("id")
                .asLong();
        mvc.perform(get(path + "/" + id + "/planned"))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.current").value(true))
                .andExpect(jsonPath("$.part.capo").value(0))
                .andExpect(jsonPath("$.part.places", hasSize(4)))
                .andExpect(jsonPath("$.part.places[0].grip.frets", hasSize(6)))
                .andExpect(jsonPath("$.part.places[0].grip.fingers", hasSize(6)))
                .andExpect(jsonPath("$.part.strokes", hasSize(16)))
                .andExpect(jsonPath("$.part.strokes[0].strum").value("down"));
        // Another planner, another part: as if the tables had changed since.
        String planned = jdbc.queryForObject(
                "select cast(planned as varchar) from arrangement_version where id = ?", String.class, id);
        jdbc.update(
                "update arrangement_version set planner = 'of last year', planned = ? format json where id = ?",
                planned.replace("\"capo\":0", "\"capo\":7"),
                id);
        mvc.perform(get(path + "/" + id + "/planned"))
                .andExpect(jsonPath("$.current").value(false))
                .andExpect(jsonPath("$.part.capo").value(7));
        mvc.perform(get(path + "/999999/planned")).andExpect(status().isNotFound());
    }

    @Test
    void change_overANewerVersion_isRefusedWithBothVersions() throws Exception {
        JsonNode song = add(CHART);
        ObjectNode first = song.get("decisions").deepCopy();
        first.put("capo", 1);
        ObjectNode second = song.get("decisions").deepCopy();
        second.put("capo", 2);
        long version = song.get("version").asLong();
        change(song, version, CHART, first).andExpect(status().isOk());
        change(song, version, CHART, second)
                .andExpect(status().isConflict())
                .andExpect(jsonPath("$.yours.decisions.capo").value(2))
                .andExpect(jsonPath("$.current.decisions.capo").value(1));
    }

    @Test
    void secondGuitar_withAPatternOfItsOwn_isKept() throws Exception {
        JsonNode song = add(CHART);
        ObjectNode decisions = song.get("decisions").deepCopy();
        ObjectNode second = decisions.putObject("second").put("rung", 2);
        second.putArray("patterns").addObject().put("pattern", "arpeggio-up");
        change(song, song.get("version").asLong(), CHART, decisions).andExpect(status().isOk());
        mvc.perform(get("/api/v1/songs/" + song.get("id")))
                .andExpect(jsonPath("$.decisions.second.patterns[0].pattern").value("arpeggio-up"));
        second.putArray("patterns").addObject().put("pattern", "no-such-pattern");
        change(song, song.get("version").asLong() + 1, CHART, decisions).andExpect(status().is(422));
    }

    @Test
    void change_badDecisions_areRefusedAndNothingChanges() throws Exception {
        JsonNode song = add(CHART);
        ObjectNode bad = song.get("decisions").deepCopy();
        bad.put("capo", 40);
        change(song, song.get("version").asLong(), CHART, bad)
                .andExpect(status().is(422))
                .andExpect(jsonPath("$.field").value("capo"));
        mvc.perform(get("/api/v1/songs/" + song.get("id")))
                .andExpect(jsonPath("$.version").value(song.get("version").asLong()));
    }

    /** A song whose part another planner planned otherwise says so once; the first look, and the same planner's, say nothing. */
    @Test
    void look_afterAnotherPlanner_saysOnceWhatChanged() throws Exception {
        JsonNode song = add("[G]Open the [D]gate and [C]mind the [G]beam");
        String look = "/api/v1/songs/" + song.get("id") + "/look";
        mvc.perform(post(look)).andExpect(status().isOk()).andExpect(jsonPath("$.change", nullValue()));
        mvc.perform(post(look)).andExpect(jsonPath("$.change", nullValue()));
        String seen = jdbc.queryForObject(
                "select seen from song where id = ?",
                String.class,
                song.get("id").asLong());
        assertTrue(seen.contains("320003"), seen);
        jdbc.update(
                "update song set seen = ? format json, seen_by = 'another' where id = ?",
                seen.replaceFirst("xx0232", "x54232"),
                song.get("id").asLong());
        mvc.perform(post(look))
                .andExpect(jsonPath("$.change.grips").value(1))
                .andExpect(jsonPath("$.change.places").value(4))
                .andExpect(jsonPath("$.change.capo").value(0));
        mvc.perform(post(look)).andExpect(jsonPath("$.change", nullValue()));
        assertEquals(
                song.get("version"),
                read(mvc.perform(get("/api/v1/songs/" + song.get("id")))).get("version"));
    }

    /** What the player changed in between is no other planner's doing. */
    @Test
    void look_afterOwnDecisions_saysNothing() throws Exception {
        JsonNode song = add("[G]Open the [D]gate and [C]mind the [G]beam");
        String look = "/api/v1/songs/" + song.get("id") + "/look";
        mvc.perform(post(look)).andExpect(status().isOk());
        jdbc.update(
                "update song set seen_by = 'another' where id = ?",
                song.get("id").asLong());
        change(song, 0, "[Am]Open the [E]gate and [Dm]mind the [Am]beam", song.get("decisions"));
        mvc.perform(post(look)).andExpect(jsonPath("$.change", nullValue()));
    }

    private JsonNode carried(String before, String after, int... placements) throws Exception {
        ObjectNode decisions = (ObjectNode) add(before).get("decisions").deepCopy();
        for (int placement : placements) {
            ObjectNode lock = (ObjectNode) json.readTree(LOCK);
            decisions.withArray("locks").add(lock.put("placement", placement));
            decisions
                    .withArray("readings")
                    .addObject()
                    .put("placement", placement)
                    .put("reading", "sevenths")
                    .put("stand", "accepted");
            decisions.withArray("fills").addObject().put("placement", placement).put("fill", "run");
        }
        ObjectNode body = json.createObjectNode().put("before", before).put("after", after);
        body.set("decisions", decisions);
        return read(mvc.perform(post("/api/v1/songs/carry")
                        .contentType(APPLICATION_JSON)
                        .content(body.toString()))
                .andExpect(status().isOk()));
    }

    private static List<Integer> placements(JsonNode carried, String field) {
        List<Integer> placements = new ArrayList<>();
        carried.get("decisions")
                .get(field)
                .forEach(d -> placements.add(d.get("placement").asInt()));
        return placements;
    }

    /** What was decided about a chord goes with it, wherever an edit moves it. */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                // before; after; placements decided; where they stand then; how many decisions fall
                "| G | D | C | G |; title: Gate / | G | D | C | G |; 0,2; 0,2; 0", // a title
                "| G | D | C | G |; | G | D | C | G |; 1,3; 1,3; 0", // nothing at all
                "| G | D | C | G |; | Em | G | D | C | G |; 0,2; 1,3; 0", // a bar before
                "| G | D | C | G |; | G | C | G |; 0,2,3; 0,1,2; 0", // a bar without decisions gone
                "| G | D | C | G |; | G | D | Am | G |; 1,2; 1; 3", // the chord itself changed
                "[One] / | G | D | / [Two] / | C | G |; [Verse] / | G | D | / [Two] / | C | G |; 0,3; 0,3; 0", // a new
                // name
                "[One] / | G | D | / [Two] / | C | G |; [One] / | G | D | / [Mid] / | Em | / [Two] / | C | G |; 1,2; 1,3; 0",
                "| G | D | C | G |; | D |; 0,1; 0; 3",
            })
    void carry_editedChart_keepsWhatIsStillThere(String before, String after, String decided, String stand, int fallen)
            throws Exception {
        int[] placements =
                Stream.of(decided.split(",")).mapToInt(Integer::parseInt).toArray();
        JsonNode carried = carried(before.replace(" / ", "\n"), after.replace(" / ", "\n"), placements);
        List<Integer> expected =
                Stream.of(stand.split(",")).map(Integer::valueOf).toList();
        for (String field : List.of("locks", "readings", "fills")) {
            assertEquals(expected, placements(carried, field), field);
        }
        assertEquals(fallen, carried.get("fallen").size(), carried.get("fallen").toString());
    }

    @Test
    void carry_chordThatIsGone_isNamedWithItsBar() throws Exception {
        JsonNode carried = carried("| G | D | C | G |", "| G | D | Am | G |", 2);
        assertEquals("the grip kept at C in bar 3", carried.get("fallen").get(0).asText());
    }
}
