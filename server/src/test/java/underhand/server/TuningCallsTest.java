package underhand.server;

import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.hasSize;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A song in other tunings, over HTTP. */
@ServerTest
class TuningCallsTest extends ArrangementCalls {

    private static final String SONG = "{\"chart\":{\"source\":\"key: D\\n| D | G | A7 | D |\"},\"rung\":2}";

    @Test
    void tunings_areComparedWithTheSongsOwn() throws Exception {
        call("tunings", "{\"song\":" + SONG + ",\"tunings\":[\"drop D\",\"open E\"]}")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$", hasSize(3)))
                .andExpect(jsonPath("$[?(@.now == true)].name").value("standard"))
                .andExpect(
                        jsonPath("$[?(@.name == 'drop D')].retuned[0].string").value(6))
                .andExpect(jsonPath("$[?(@.name == 'drop D')].retuned[0].cents").value(-200))
                .andExpect(jsonPath("$[?(@.name == 'open E')].raises").value(true));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "[];1 to 12",
                "[\"ukulele\"];4 strings",
                "[\"sideways\"];has a name such as drop D",
                "[null];cannot be null"
            })
    void whatIsNoTuning_isSaid(String tunings, String words) throws Exception {
        call("tunings", "{\"song\":" + SONG + ",\"tunings\":" + tunings + "}")
                .andExpect(status().is4xxClientError())
                .andExpect(jsonPath("$.detail", containsString(words)));
    }
}
