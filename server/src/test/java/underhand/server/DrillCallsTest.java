package underhand.server;

import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.greaterThan;
import static org.hamcrest.Matchers.hasItem;
import static org.hamcrest.Matchers.hasSize;
import static org.hamcrest.Matchers.not;
import static org.hamcrest.Matchers.nullValue;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.springframework.http.MediaType.APPLICATION_JSON;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.ResultActions;
import underhand.neck.Shape;
import underhand.server.players.PlayerService;

/** The drill book over HTTP, on a book of its own. */
@ServerTest
@TestPropertySource(properties = "spring.datasource.url=jdbc:h2:mem:changed")
class DrillCallsTest extends DrillCalls {

    @Autowired
    private PlayerService players;

    private long player() throws Exception {
        JsonNode players = json.readTree(
                mvc.perform(get("/api/v1/players")).andReturn().getResponse().getContentAsString());
        return players.get(0).get("id").asLong();
    }

    @Test
    void forecast_saysWhatEachSongHolds() throws Exception {
        mvc.perform(get("/api/v1/drills/forecast?zone=Europe/Berlin"))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.length()", greaterThan(0)))
                .andExpect(jsonPath("$[0].holds", greaterThan(0)))
                .andExpect(jsonPath("$[0].title").isNotEmpty());
        mvc.perform(get("/api/v1/drills/forecast?zone=Nowhere")).andExpect(status().isUnprocessableEntity());
    }

    /** What was measured is forgotten at a word and counted again at another; the log stays, and the caps on barres and stretches are kept. */
    @Test
    void measuring_isForgottenAndCountedAgain() throws Exception {
        JsonNode made = newPlayer("{\"barreMinutes\":0,\"stretchMinutes\":0}");
        long player = made.get("id").asLong();
        String drill = "loop:x32010/-32-1->x02210/--231-@0 E2 A2 D3 G3 B3 E4";
        for (int minute = 10; minute < 40; minute++) {
            log(Map.of(
                            "drill",
                            drill,
                            "result",
                            "clean",
                            "tempo",
                            80,
                            "seconds",
                            1.4,
                            "at",
                            "2026-04-01T19:" + minute + ":00Z",
                            "playerId",
                            player))
                    .andExpect(status().isCreated());
        }
        String calibration = "/api/v1/drills/calibration?playerId=" + player;
        mvc.perform(get(calibration)).andExpect(jsonPath("$.count").value(30));
        ObjectNode limits = (ObjectNode) made.get("limits");
        ((ObjectNode) limits.get("practice")).put("measuredFrom", "2026-04-02T00:00:00Z");
        change(player, 0, limits).andExpect(status().isOk());
        mvc.perform(get(calibration))
                .andExpect(jsonPath("$.count").value(0))
                .andExpect(jsonPath("$.factor").value(1.0));
        ((ObjectNode) limits.get("practice")).putNull("measuredFrom");
        change(player, 1, limits).andExpect(status().isOk());
        mvc.perform(get(calibration)).andExpect(jsonPath("$.count").value(30));
        for (JsonNode one : plan("?minutes=60&playerId=" + player).get("drills")) {
            assertTrue(one.get("caution").isNull(), one.toString());
        }
        ((ObjectNode) limits.get("practice")).put("measuredFrom", "yesterday");
        change(player, 2, limits)
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.detail", containsString("is no time")));
    }

    /** A player of a test's own: what is logged of it changes no other test's parts. */
    private ResultActions change(long player, long version, JsonNode limits) throws Exception {
        Map<String, Object> body = Map.of("version", version, "limits", limits);
        return mvc.perform(
                put("/api/v1/players/" + player).contentType(APPLICATION_JSON).content(json.writeValueAsBytes(body)));
    }

    /** A shape that was reached cleanly on four days is the player's own, and no longer counts as new. */
    @Test
    void masteredShapes_areThePlayersOwn() throws Exception {
        long player = newPlayer("null").get("id").asLong();
        String drill = "loop:x32010/-32-1->x13331/-13331@0 E2 A2 D3 G3 B3 E4";
        for (int day = 1; day <= 4; day++) {
            log(Map.of(
                            "drill",
                            drill,
                            "result",
                            "clean",
                            "tempo",
                            80,
                            "at",
                            "2026-04-0" + day + "T19:30:00Z",
                            "playerId",
                            player))
                    .andExpect(status().isCreated());
        }
        mvc.perform(get("/api/v1/drills/calibration?playerId=" + player))
                .andExpect(jsonPath("$.mastered", hasItem("x13331")));
        assertTrue(players.hand(player).shapes().contains(Shape.parse("x13331")));
        mvc.perform(get("/api/v1/drills/calibration"))
                .andExpect(jsonPath("$.mastered.length()").value(0));
    }

    @Test
    void plan_keepsItsMinutes_andSaysWhy() throws Exception {
        JsonNode plan = plan("?minutes=20&playerId=" + player());
        double all = 0;
        for (JsonNode drill : plan.get("drills")) {
            all += drill.get("minutes").asDouble();
            assertTrue(drill.get("why").asText().length() > 20);
            assertTrue(drill.get("tempo").asInt() > 0);
        }
        assertTrue(plan.get("drills").size() >= 3);
        assertEquals(all, plan.get("minutes").asDouble(), 1e-9);
        assertTrue(all <= 20);
    }

    @Test
    void aRunIsKept_spacesItsDrill_andDiscomfortTakesItOutForTheDay() throws Exception {
        long player = player();
        JsonNode first = plan("?minutes=45&playerId=" + player).get("drills").get(0);
        String drill = first.get("drill").asText();
        String today = LocalDate.now(ZoneOffset.UTC).toString();
        log(Map.of("drill", drill, "result", "clean", "tempo", 60, "seconds", 0.8, "playerId", player))
                .andExpect(status().isCreated())
                .andExpect(jsonPath("$.due")
                        .value(LocalDate.now(ZoneOffset.UTC).plusDays(1).toString()))
                .andExpect(jsonPath("$.advice").value(""));
        mvc.perform(get("/api/v1/drills/log?playerId=" + player))
                .andExpect(jsonPath("$.runs[0].drill").value(drill))
                .andExpect(jsonPath("$.runs[0].at", containsString(today)));

        JsonNode next = plan("?minutes=45&playerId=" + player).get("drills").get(0);
        assertTrue(!next.get("drill").asText().equals(drill), "what was run today is done");
        log(Map.of("drill", next.get("drill").asText(), "result", "discomfort", "tempo", 60, "playerId", player))
                .andExpect(status().isCreated())
                .andExpect(jsonPath("$.due").value(nullValue()))
                .andExpect(jsonPath("$.advice", containsString("health professional")));
        mvc.perform(get("/api/v1/drills/plan?minutes=45&playerId=" + player))
                .andExpect(jsonPath("$.stopped", hasItem(next.get("name").asText())))
                .andExpect(jsonPath("$.streak").value(1))
                .andExpect(jsonPath(
                        "$.drills[*].drill", not(hasItem(next.get("drill").asText()))));
    }

    @Test
    void calibration_isThePlayersOwn_andChangesTheirParts() throws Exception {
        JsonNode players = json.readTree(
                mvc.perform(get("/api/v1/players")).andReturn().getResponse().getContentAsString());
        JsonNode player = players.get(1);
        long id = player.get("id").asLong();
        mvc.perform(get("/api/v1/drills/calibration?playerId=" + id))
                .andExpect(jsonPath("$.used").value(false))
                .andExpect(jsonPath("$.factor").value(1.0))
                .andExpect(jsonPath("$.words", containsString("Too few")));
        double before = needed(id);
        JsonNode plan = plan("?minutes=120&playerId=" + id);
        Instant at = Instant.now().minusSeconds(100_000);
        for (int i = 0; i < 60; i++) {
            JsonNode drill = plan.get("drills").get(i % plan.get("drills").size());
            Map<String, Object> run = new HashMap<>(
                    Map.of("drill", drill.get("drill").asText(), "result", "rough", "tempo", 60, "playerId", id));
            run.put("at", at.plusSeconds(60L * i).toString());
            if (!drill.get("from").isNull()) {
                run.put("seconds", 2.5 + 0.01 * (i % 7));
            }
            log(run).andExpect(status().isCreated());
        }
        mvc.perform(get("/api/v1/drills/calibration?playerId=" + id))
                .andExpect(jsonPath("$.used").value(true))
                .andExpect(jsonPath("$.factor", greaterThan(1.1)))
                .andExpect(jsonPath("$.terms.length()").value(3))
                .andExpect(jsonPath("$.words", containsString("more time")));
        assertTrue(needed(id) > 1.1 * before);
    }

    private double needed(long player) throws Exception {
        JsonNode part = json.readTree(mvc.perform(post("/api/v1/arrangements/preview")
                        .contentType(APPLICATION_JSON)
                        .content(json.writeValueAsBytes(Map.of(
                                "chart",
                                Map.of("source", "| G | C |"),
                                "rung",
                                2,
                                "capo",
                                0,
                                "playerId",
                                player,
                                "locks",
                                List.of(
                                        Map.of("placement", 0, "frets", "320003"),
                                        Map.of("placement", 1, "frets", "x32010"))))))
                .andReturn()
                .getResponse()
                .getContentAsString());
        return part.get("changes").get(0).get("neededSeconds").asDouble();
    }

    @ParameterizedTest
    @CsvSource({
        "minutes=3, minutes",
        "minutes=500, minutes",
        "zone=Narnia, zone",
    })
    void badPlans_sayTheirField(String query, String field) throws Exception {
        mvc.perform(get("/api/v1/drills/plan?" + query))
                .andExpect(status().is4xxClientError())
                .andExpect(jsonPath("$.field").value(field));
    }

    @ParameterizedTest
    @CsvSource({
        "nonsense, clean, 60, drill",
        "pattern:bar, perfect, 60, result",
        "pattern:bar, clean, 999, tempo",
    })
    void badRuns_sayTheirField(String drill, String result, int tempo, String field) throws Exception {
        log(Map.of("drill", drill, "result", result, "tempo", tempo))
                .andExpect(status().is4xxClientError())
                .andExpect(jsonPath("$.field").value(field));
    }

    @Test
    void badTimesAndSeconds_sayTheirField() throws Exception {
        log(Map.of("drill", "pattern:bar", "result", "clean", "tempo", 60, "at", "yesterday"))
                .andExpect(status().is4xxClientError())
                .andExpect(jsonPath("$.field").value("at"));
        log(Map.of("drill", "pattern:bar", "result", "clean", "tempo", 60, "seconds", -1))
                .andExpect(status().is4xxClientError())
                .andExpect(jsonPath("$.field").value("seconds"));
        log(Map.of("result", "clean"))
                .andExpect(status().is4xxClientError())
                .andExpect(jsonPath("$.field").value("drill"));
        mvc.perform(get("/api/v1/drills/plan?playerId=99999")).andExpect(status().is4xxClientError());
    }

    /** What is said of a plan holds for the call that says it. */
    @Test
    void plan_swapsSkipsAndShortens() throws Exception {
        String whole = "/api/v1/drills/plan?minutes=45&playerId="
                + newPlayer("null").get("id").asLong();
        JsonNode before =
                json.readTree(mvc.perform(get(whole)).andReturn().getResponse().getContentAsString());
        String drill = before.get("drills").get(0).get("drill").asText();
        double minutes = before.get("drills").get(0).get("minutes").asDouble();
        for (String how : List.of("swapped", "skipped")) {
            mvc.perform(get(whole).param(how, drill))
                    .andExpect(status().isOk())
                    .andExpect(jsonPath("$.drills[*].drill", not(hasItem(drill))));
        }
        mvc.perform(get(whole).param("shortened", drill, "loop:of another song"))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.drills[0].minutes").value(Math.max(1, minutes / 2)));
    }

    @Test
    void timed_givesSixChanges_andCurvesAndCalendarTellOfTheirTimes() throws Exception {
        long player = newPlayer("null").get("id").asLong();
        JsonNode six = json.readTree(mvc.perform(get("/api/v1/drills/timed?playerId=" + player))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString());
        assertEquals(6, six.size());
        for (JsonNode change : six) {
            for (int day = 1; day <= 4; day++) {
                log(Map.of(
                                "drill",
                                change.get("drill").asText(),
                                "result",
                                "rough",
                                "tempo",
                                0,
                                "seconds",
                                0.5 + 0.1 * day,
                                "at",
                                Instant.now().minusSeconds(86_400L * day).toString(),
                                "playerId",
                                player))
                        .andExpect(status().isCreated());
            }
        }
        mvc.perform(get("/api/v1/drills/calibration?playerId=" + player))
                .andExpect(jsonPath("$.count").value(24));
        mvc.perform(get("/api/v1/drills/curves?of=seconds&playerId=" + player))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.length()").value(6))
                .andExpect(jsonPath("$[0].points.length()").value(4))
                .andExpect(jsonPath("$[0].points[0].value").value(0.9));
        mvc.perform(get("/api/v1/drills/curves?of=song&playerId=" + player)).andExpect(status().isOk());
        mvc.perform(get("/api/v1/drills/curves?of=weather&playerId=" + player))
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.detail", containsString("change, song, kind or seconds")));
        mvc.perform(get("/api/v1/drills/calendar?zone=UTC&playerId=" + player))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.length()").value(56))
                .andExpect(jsonPath("$[?(@.runs == 6)]", hasSize(4)));
    }

    /** A song's day is no change of the song, and what it lacks comes early in the plan then. */
    @Test
    void song_hasItsDay() throws Exception {
        JsonNode song = json.readTree(mvc.perform(post("/api/v1/songs")
                        .contentType(APPLICATION_JSON)
                        .content("{\"source\":\"title: The Day\\n| F#m | C#m | Bbm | Ebm |\"}"))
                .andExpect(status().isCreated())
                .andReturn()
                .getResponse()
                .getContentAsString());
        long id = song.get("id").asLong();
        String day = LocalDate.now(ZoneOffset.UTC).plusDays(3).toString();
        playedOn(id, "\"" + day + "\"").andExpect(status().isNoContent());
        mvc.perform(get("/api/v1/songs/" + id))
                .andExpect(jsonPath("$.version").value(song.get("version").asLong()));
        mvc.perform(get("/api/v1/songs")).andExpect(jsonPath("$[?(@.id == " + id + ")].playedOn", hasItem(day)));
        mvc.perform(get("/api/v1/drills/plan?minutes=20&playerId="
                        + newPlayer("null").get("id").asLong()))
                .andExpect(jsonPath("$.drills[*].why", hasItem(containsString("Played in 3 days, in The Day"))));
        mvc.perform(get("/api/v1/drills/forecast"))
                .andExpect(jsonPath("$[0].playedOn").value(day));
        playedOn(id, "\"next Friday\"")
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.detail", containsString("2027-05-01")));
        playedOn(id, "null").andExpect(status().isNoContent());
        mvc.perform(get("/api/v1/songs"))
                .andExpect(jsonPath("$[?(@.id == " + id + ")].playedOn", hasItem(nullValue())));
        playedOn(987_654, "null").andExpect(status().isNotFound());
    }

    private ResultActions playedOn(long song, String day) throws Exception {
        return mvc.perform(put("/api/v1/songs/" + song + "/played-on")
                .contentType(APPLICATION_JSON)
                .content("{\"date\":" + day + "}"));
    }
}
