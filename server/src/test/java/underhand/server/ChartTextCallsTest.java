package underhand.server;

import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.hasSize;
import static org.hamcrest.Matchers.nullValue;
import static org.springframework.http.MediaType.APPLICATION_JSON;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.test.web.servlet.ResultActions;

/** What is understood of a chart's text, over HTTP. */
@ServerTest
class ChartTextCallsTest extends ArrangementCalls {

    private static final String SONG = """
            Down the Weir
            Key: Em  Capo: 2

            [Verse 1]
            Em         H7
            Lantern on the water
            [Verse 2]
            Heron by the water
            """;

    private ResultActions read(String source) throws Exception {
        return mvc.perform(post("/api/v1/charts/read")
                .contentType(APPLICATION_JSON)
                .content(json.writeValueAsBytes(Map.of("source", source))));
    }

    @Test
    void read_messySong_countsWhatItFoundAndOffersMends() throws Exception {
        read(SONG)
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.title").value("Down the Weir"))
                .andExpect(jsonPath("$.key").value("E minor"))
                .andExpect(jsonPath("$.parts").value(2))
                .andExpect(jsonPath("$.bars").value(2))
                .andExpect(jsonPath("$.chords").value(2))
                .andExpect(
                        jsonPath("$.faults[?(@.kind=='unsure')].mends[0].label").value("Take the chords of Verse 1"))
                .andExpect(jsonPath("$.spans[?(@.kind=='chord')]", hasSize(2)));
    }

    @Test
    void read_wordsAlone_haveNoKey() throws Exception {
        read("just a line")
                .andExpect(jsonPath("$.key").value(nullValue()))
                .andExpect(jsonPath("$.bars").value(0));
    }

    private ResultActions tune(String call, Map<String, Object> body) throws Exception {
        return mvc.perform(
                post("/api/v1/charts/" + call).contentType(APPLICATION_JSON).content(json.writeValueAsBytes(body)));
    }

    @Test
    void tune_isReadOverItsBars_andWrittenIntoTheText() throws Exception {
        String source = "| G | C |\ntune: B4 . A4 . | G4 . . . |\n";
        tune("tune", Map.of("source", source))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.bars[1].from").value(4.0))
                .andExpect(jsonPath("$.bars[1].chords[0].chord").value("C"))
                .andExpect(jsonPath("$.bars[1].chords[0].midi[1]").value(52))
                .andExpect(jsonPath("$.notes[1].pitch").value("A4"));
        Map<String, Object> note = Map.of("from", 4, "beats", 2, "pitch", "E5");
        tune("tune/write", Map.of("source", source, "notes", List.of(note)))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.source").value("| G | C |\ntune: - - - - | E5 . - - |\n"));
    }

    @Test
    void tune_thatIsNone_saysWhatIsWrong() throws Exception {
        tune("tune/write", Map.of("source", "| G |"))
                .andExpect(status().is4xxClientError())
                .andExpect(jsonPath("$.detail", containsString("notes")));
        tune("tune/write", Map.of("source", "| G |", "notes", List.of(Map.of("from", 0, "beats", 0, "pitch", "E5"))))
                .andExpect(status().is4xxClientError());
        tune("tune/write", Map.of("source", "| G |", "notes", List.of(Map.of("from", 0, "beats", 1, "pitch", "Z9"))))
                .andExpect(status().is4xxClientError());
    }

    @Test
    void read_nothing_saysWhatToDo() throws Exception {
        read(" ")
                .andExpect(status().is4xxClientError())
                .andExpect(jsonPath("$.detail", containsString("Paste a chart")));
    }

    @Test
    void preview_wordsWithoutChords_areInThePart() throws Exception {
        call("preview", json.writeValueAsString(Map.of("chart", Map.of("source", SONG), "rung", 2)))
                .andExpect(jsonPath("$.words", hasSize(1)))
                .andExpect(jsonPath("$.words[0].bar").value(2))
                .andExpect(jsonPath("$.words[0].heading").value("Verse 2"))
                .andExpect(jsonPath("$.words[0].lines[0]").value("Heron by the water"))
                .andExpect(jsonPath("$.placements", hasSize(2)));
    }

    @Test
    void chords_underABareTune_areProposedAndChosen() throws Exception {
        String source = "| N.C. | N.C. | N.C. | N.C. |\ntune: G4 E4 C4 E4 | G4 B4 D5 . | E4 G4 C5 . | G4 E4 C4 . |\n";
        read(source).andExpect(jsonPath("$.waiting").value(4));
        tune("chords", Map.of("source", source))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.key").value("C major"))
                .andExpect(jsonPath("$.bars", hasSize(4)))
                .andExpect(jsonPath("$.bars[1].chord").value("G"))
                .andExpect(jsonPath("$.bars[1].chosen").value(false))
                .andExpect(jsonPath("$.bars[1].proposals", hasSize(3)))
                .andExpect(jsonPath("$.bars[1].proposals[0].reason").value("V: holds G, B and D; leads to C"))
                .andExpect(jsonPath("$.source").value(containsString("| C | G | C | C |")));
        tune("chords", Map.of("source", source, "chosen", Map.of("2", "Bb9")))
                .andExpect(jsonPath("$.bars[1].chord").value("Bb9"))
                .andExpect(jsonPath("$.source").value(containsString("| C | Bb9 |")));
    }

    @Test
    void intro_isTheTunesLastBars_beforeTheSong() throws Exception {
        String source = "key: C\n\n[Verse]\n| C | F | G | C |\ntune: E4 . . . | F4 . A4 . | B4 . D5 . | C5 . . . |\n";
        tune("intro", Map.of("source", source, "bars", 2))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.source").value(containsString("[Intro]\n| G | C |\ntune: B4 ")))
                .andExpect(jsonPath("$.source").value(containsString("[Verse]\n| C | F | G | C |")));
        tune("intro", Map.of("source", source, "bars", 40)).andExpect(status().isUnprocessableEntity());
        tune("intro", Map.of("source", "| C |"))
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.detail").value(containsString("no tune yet")));
    }

    @Test
    void chords_thatCannotBe_sayWhy() throws Exception {
        String bare = "| N.C. |\ntune: C4 . . . |\n";
        tune("chords", Map.of("source", "| C | G |"))
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.detail").value(containsString("write one under the bars first")));
        tune("chords", Map.of("source", bare, "chosen", Map.of("9", "C")))
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.detail").value(containsString("Bar 9 waits for no chord")));
        tune("chords", Map.of("source", bare, "chosen", Map.of("1", "Zz"))).andExpect(status().isUnprocessableEntity());
    }
}
