package underhand.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.sound.midi.MidiSystem;
import javax.sound.midi.ShortMessage;
import javax.sound.midi.Track;
import org.junit.jupiter.api.Test;

/**
 * Our files in other people's readers, in the browser: MusicXML in opensheetmusicdisplay 2.1.3, MIDI in @tonejs/midi 2.0.28,
 * chart text in chordsheetjs 15.5.2.
 */
class RoundTripTest extends InDemoBook {

    private static final Path LIBRARIES = Path.of("..", "web", "node_modules");
    private static final String CHART =
            "title: Salt and Rope\\nkey: G\\ntempo: 84\\n\\n[Verse]\\n[G]Row on my [Em7]dear to the [C]far side [D7/F#]now\\n"
                    + "[G6]Salt on the [Cmaj7]rope and [Am7]rain [D]over all";

    private byte[] file(String format) throws Exception {
        String body = "{\"format\":\"" + format + "\",\"song\":{\"chart\":{\"source\":\"" + CHART
                + "\"},\"rung\":4,\"capo\":0,\"patterns\":[{\"pattern\":\"arpeggio-up\"}]}}";
        HttpRequest request = HttpRequest.newBuilder(URI.create(application.address() + "/api/v1/files"))
                .header("Content-Type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofString(body))
                .build();
        HttpResponse<byte[]> response =
                HttpClient.newHttpClient().send(request, HttpResponse.BodyHandlers.ofByteArray());
        assertEquals(200, response.statusCode());
        return response.body();
    }

    private Object inBrowser(String library, String script, Object... arguments) throws IOException {
        browser.go("about:blank");
        String source = Files.readString(LIBRARIES.resolve(library));
        // What a strict script declares stays its own: it is handed on.
        String handedOn = ";globalThis.ChordSheetJS = typeof ChordSheetJS === 'undefined' ? undefined : ChordSheetJS;";
        browser.driver().executeScript("(0, eval)(arguments[0])", source + handedOn);
        return browser.driver().executeAsyncScript(script, arguments);
    }

    @Test
    void midi_inToneJsMidi_hasTheSameNotesAtTheSameTicks() throws Exception {
        byte[] midi = file("midi");
        TreeSet<String> expected = new TreeSet<>();
        for (Track track :
                MidiSystem.getSequence(new ByteArrayInputStream(midi)).getTracks()) {
            for (int i = 0; i < track.size(); i++) {
                if (track.get(i).getMessage() instanceof ShortMessage message
                        && message.getCommand() == ShortMessage.NOTE_ON) {
                    expected.add(track.get(i).getTick() + " " + message.getData1());
                }
            }
        }
        Object found = inBrowser(
                "@tonejs/midi/build/Midi.js",
                "const bytes = Uint8Array.from(atob(arguments[0]), c => c.charCodeAt(0));"
                        + "const midi = new Midi(bytes); arguments[1]([midi.header.ppq, midi.header.tempos[0].bpm,"
                        + " midi.name, midi.tracks.flatMap(t => t.notes.map(n => n.ticks + ' ' + n.midi)).join(',')]);",
                Base64.getEncoder().encodeToString(midi));
        List<?> facts = (List<?>) found;
        assertEquals(960L, facts.get(0));
        assertEquals(84.0, ((Number) facts.get(1)).doubleValue(), 0.01);
        assertTrue(expected.size() > 30);
        assertEquals(expected, new TreeSet<>(List.of(((String) facts.get(3)).split(","))));
    }

    @Test
    void chartText_inChordSheetJs_hasTheSameChordsAndWords() throws Exception {
        String chart = new String(file("chart"), StandardCharsets.UTF_8);
        Object found = inBrowser(
                "chordsheetjs/lib/bundle.js",
                "const song = new ChordSheetJS.ChordProParser().parse(arguments[0]); const done = arguments[1];"
                        + "done(song.lines.flatMap(l => l.items).filter(i => i.chords).map(i => i.chords.trim()).join(' ')"
                        + " + ' / ' + song.lines.flatMap(l => l.items).map(i => i.lyrics || '').join(''));",
                // Sections in brackets and plain headers are open practice, but not of this reader.
                chart.replaceAll("(?m)^\\[Verse]$", "").replaceAll("(?m)^(\\w+): (.*)$", "{$1: $2}"));
        String text = found.toString();
        assertTrue(text.startsWith("G Em7 C D7/F# G6 Cmaj7 Am7 D / "), text);
        assertTrue(text.contains("Row on my dear to the far side now"), text);
    }

    @Test
    void musicXml_inOpenSheetMusicDisplay_hasTheSameMeasuresNotesAndFrets() throws Exception {
        String xml = new String(file("musicxml"), StandardCharsets.UTF_8);
        List<String> expected = new ArrayList<>();
        Matcher note = Pattern.compile(
                        "(?s)<technical>(?:(?!</technical>).)*?<string>(\\d)</string><fret>(\\d+)</fret>")
                .matcher(xml);
        while (note.find()) {
            expected.add(note.group(1) + "/" + note.group(2));
        }
        Object found = inBrowser(
                "opensheetmusicdisplay/build/opensheetmusicdisplay.min.js",
                "const done = arguments[1]; const div = document.createElement('div'); div.style.width = '900px';"
                        + "document.body.append(div);"
                        + "const osmd = new opensheetmusicdisplay.OpenSheetMusicDisplay(div, {backend: 'svg', autoResize: false});"
                        + "osmd.load(arguments[0]).then(() => { osmd.render();"
                        + " const notes = osmd.Sheet.SourceMeasures.flatMap(m => m.VerticalSourceStaffEntryContainers"
                        + ".flatMap(c => c.StaffEntries.filter(e => e).flatMap(e => e.VoiceEntries.flatMap(v => v.Notes))));"
                        + " done([osmd.Sheet.SourceMeasures.length, div.querySelectorAll('svg').length,"
                        + " notes.filter(n => n.stringNumberTab !== undefined || n.StringNumberTab !== undefined)"
                        + ".map(n => (n.StringNumberTab ?? n.stringNumberTab) + '/' + (n.FretNumber ?? n.fretNumber)).join(' ')]);"
                        + "}, e => done(['failed', String(e), '']));",
                xml);
        List<?> facts = (List<?>) found;
        assertEquals(8L, facts.get(0), facts.toString());
        assertEquals(1L, facts.get(1));
        assertEquals(new TreeSet<>(expected), new TreeSet<>(List.of(((String) facts.get(2)).split(" "))));
        assertEquals(expected.size(), ((String) facts.get(2)).split(" ").length);
    }
}
