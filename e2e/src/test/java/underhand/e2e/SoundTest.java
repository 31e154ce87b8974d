package underhand.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.support.ui.Select;

/** What the page sends to the loudspeaker, recorded before it gets there, and measured. */
class SoundTest extends InDemoBook {

    private static final By PLAY = By.cssSelector("[aria-label=Play]");
    private static final By STOP = By.cssSelector("[aria-label=Stop]");

    private static final By CLOCK = By.cssSelector("[data-testid=clock]");

    /** 50 ms, and a buffer of the sound card between the press and what is heard of it. */
    private static final double STOPS_SECONDS = 0.06;

    /** Beats by which a stroke may seem to be early. */
    private static final double EARLY = 0.02;

    /** From the first string of a slow strum to its last, and until it is found. */
    private static final double STRUM_SECONDS = 0.085;

    /** Everything that is connected to the loudspeaker is connected to a recorder as well. */
    private static final String RECORDER = """
            (() => {
              const connect = AudioNode.prototype.connect;
              const taps = new WeakMap();
              const worklet = `registerProcessor('recorder', class extends AudioWorkletProcessor {
                process([input]) {
                  if (input.length > 0) {
                    this.port.postMessage([currentTime, input[0].slice(), (input[1] ?? input[0]).slice()]);
                  }
                  return true;
                }
              })`;
              window.recorded = { left: [], right: [], rate: 0, errors: [], pressed: 0, from: 0 };
              addEventListener('error', e => recorded.errors.push(e.message));
              addEventListener('unhandledrejection', e => recorded.errors.push(String(e.reason)));
              addEventListener('click', () => recorded.pressed = recorded.context?.currentTime ?? 0, true);
              const tapOf = context => {
                const tap = context.createGain();
                recorded.rate = context.sampleRate;
                recorded.context = context;
                context.audioWorklet.addModule(URL.createObjectURL(new Blob([worklet], { type: 'text/javascript' })))
                  .then(() => {
                    const recorder = new AudioWorkletNode(context, 'recorder');
                    recorder.port.onmessage = ({ data: [time, left, right] }) => {
                      if (recorded.left.length === 0) { recorded.from = time; }
                      recorded.left.push(left);
                      recorded.right.push(right);
                    };
                    connect.call(tap, recorder);
                    const silent = context.createGain();
                    silent.gain.value = 0;
                    connect.call(recorder, silent);
                    connect.call(silent, context.destination);
                  });
                return tap;
              };
              AudioNode.prototype.connect = function (to, ...more) {
                const result = connect.call(this, to, ...more);
                if (to === this.context.destination && this.context instanceof AudioContext) {
                  if (!taps.has(this.context)) {
                    taps.set(this.context, tapOf(this.context));
                  }
                  connect.call(this, taps.get(this.context));
                }
                return result;
              };
            })();
            """;

    private static final String TAKE = """
            const join = chunks => {
              const all = new Float32Array(chunks.reduce((n, c) => n + c.length, 0));
              let at = 0;
              for (const c of chunks) { all.set(c, at); at += c.length; }
              const bytes = new Uint8Array(all.buffer);
              let text = '';
              for (let i = 0; i < bytes.length; i += 32768) {
                text += String.fromCharCode(...bytes.subarray(i, i + 32768));
              }
              return btoa(text);
            };
            const taken = [recorded.rate, join(recorded.left), join(recorded.right), recorded.errors,
              Math.max(0, recorded.pressed - recorded.from)];
            recorded.left = []; recorded.right = [];
            return taken;
            """;

    /** The notes of a song's part: seconds after its start, MIDI number, beat. */
    private static final String PART = """
            const done = arguments[1], get = path => fetch('/api/v1' + path).then(r => r.json());
            (async () => {
              const { id } = (await get('/songs')).find(s => s.title === arguments[0]);
              const { source, decisions } = await get('/songs/' + id);
              const song = { chart: { format: 'text', source }, ...decisions };
              const part = await fetch('/api/v1/parts/preview', { method: 'POST',
                headers: { 'Content-Type': 'application/json' }, body: JSON.stringify({ song, second: false }) })
                .then(r => r.json());
              done(part.heard.map(n => [n.beat * 60 / part.tempo + n.seconds, n.midi, n.beat]));
            })();
            """;

    /** Gives a song two hundred bars of sixteenths for two guitars. */
    private static final String SIXTEENTHS = """
            const done = arguments[1], get = path => fetch('/api/v1' + path).then(r => r.json());
            (async () => {
              const { id } = (await get('/songs')).find(s => s.title === arguments[0]);
              const { version, decisions } = await get('/songs/' + id);
              const source = 'title: ' + arguments[0] + '\\nkey: G\\ntempo: 100\\n'
                + '| G | C | D | G |\\n'.repeat(50);
              const own = { name: 'all sixteenths', metre: '4/4', steps: 'D> U D U '.repeat(4).trim(), swing: false };
              const patterns = [{ section: null, pattern: null, own, vary: false }];
              const both = { ...decisions, rung: 5, patterns,
                second: { rung: 5, capo: null, playerId: null, guitarId: null, patterns } };
              const answer = await fetch('/api/v1/songs/' + id, { method: 'PUT',
                headers: { 'Content-Type': 'application/json' },
                body: JSON.stringify({ version, source, decisions: both }) });
              done(answer.status);
            })();
            """;

    /** Notes how long the page is blocked at most. */
    private static final String LONGEST = """
            window.longest = 0;
            new PerformanceObserver(list => list.getEntries()
              .forEach(e => window.longest = Math.max(window.longest, e.duration))).observe({ entryTypes: ['longtask'] });
            """;

    private String script;

    @BeforeAll
    void record() {
        browser.driver().executeCdpCommand("Page.setBypassCSP", Map.of("enabled", true));
        script = (String) ((Map<?, ?>) browser.driver()
                        .executeCdpCommand("Page.addScriptToEvaluateOnNewDocument", Map.of("source", RECORDER)))
                .get("identifier");
    }

    @AfterAll
    void stopRecording() {
        browser.driver().executeCdpCommand("Page.setBypassCSP", Map.of("enabled", false));
        browser.driver().executeCdpCommand("Page.removeScriptToEvaluateOnNewDocument", Map.of("identifier", script));
    }

    /** What was recorded since it was taken last. */
    private Recording taken() {
        List<?> taken = (List<?>) browser.driver().executeScript(TAKE);
        assertEquals(List.of(), taken.get(3), "errors of the page");
        double rate = ((Number) taken.get(0)).doubleValue();
        return new Recording(
                rate,
                samples((String) taken.get(1)),
                samples((String) taken.get(2)),
                ((Number) taken.get(4)).doubleValue());
    }

    private static float[] samples(String base64) {
        ByteBuffer bytes = ByteBuffer.wrap(Base64.getDecoder().decode(base64)).order(ByteOrder.LITTLE_ENDIAN);
        float[] samples = new float[bytes.remaining() / 4];
        bytes.asFloatBuffer().get(samples);
        return samples;
    }

    /** Presses Play and listens; what went before is left out. */
    private Recording heard(double seconds) {
        click(PLAY);
        browser.awaitTrue(() -> secondsSincePressed() >= seconds);
        Recording heard = taken();
        return heard.between(heard.pressed(), heard.seconds());
    }

    /** By the clock of the sound, which stands behind the time of day where the machine is busy. */
    private double secondsSincePressed() {
        return ((Number) browser.driver()
                        .executeScript("return (recorded.context?.currentTime ?? 0) - recorded.pressed"))
                .doubleValue();
    }

    private void click(By by) {
        browser.find(by).click();
    }

    private void open(String title, String script) {
        openSong(title);
        browser.awaitTrue(() -> browser.find(PLAY).isEnabled());
        browser.driver().executeScript("recorded.left = []; recorded.right = []; recorded.pressed = 0;" + script);
    }

    /** Presses Play twenty times: each begins with the first stroke, none has a stray one, each ends at once. */
    @Test
    void play_twentyTimes_beginsWithItsFirstStrokeAndEndsAtOnce() throws Exception {
        open("Towpath Morning", "");
        double second = 60.0 / 92;
        double latest = 0;
        double longest = 0;
        for (int press = 0; press < 20; press++) {
            Recording heard = heard(0.75);
            click(STOP);
            Thread.sleep(250);
            Recording stopped = taken();
            double soundedOn = stopped.lastSound() - stopped.pressed();
            assertTrue(soundedOn < STOPS_SECONDS, "press " + press + " sounded on for " + soundedOn);
            longest = Math.max(longest, soundedOn);
            double first = heard.firstSound();
            latest = Math.max(latest, first);
            assertTrue(first < 0.4, "press " + press + " was heard after " + first);
            assertTrue(heard.onsets().size() <= 2, "press " + press + " has strays: " + heard.onsets());
            assertTrue(
                    heard.onsets().stream().allMatch(at -> at - first < 0.05 || Math.abs(at - first - second) < 0.05),
                    "press " + press + " has strays: " + heard.onsets());
        }
        System.out.printf("first sound after %.3f s, silence after %.3f s at most%n", latest, longest);
    }

    @Test
    void sound_hasTheNotesOfThePartAtTheirBeats() throws Exception {
        open("Towpath Morning", "");
        List<?> notes = (List<?>) browser.driver().executeAsyncScript(PART, "Towpath Morning");
        Recording heard = heard(9);
        click(STOP);
        double start = heard.firstSound();
        int checked = 0;
        List<String> missing = new ArrayList<>();
        for (Object each : notes) {
            List<?> note = (List<?>) each;
            double at = start + ((Number) note.get(0)).doubleValue();
            int midi = ((Number) note.get(1)).intValue();
            if (at + 0.3 < heard.seconds()) {
                Recording then = heard.between(at + 0.02, at + 0.3);
                double there = then.amount(midi);
                List<Integer> together = notes.stream()
                        .map(n -> (List<?>) n)
                        .filter(n -> n.get(2).equals(note.get(2)))
                        .map(n -> ((Number) n.get(1)).intValue())
                        .toList();
                double beside = IntStream.of(midi - 1, midi + 1)
                        .filter(m -> together.stream().noneMatch(low -> isOvertone(m, low)))
                        .mapToDouble(then::amount)
                        .max()
                        .orElse(0);
                checked++;
                if (there < 1.5 * beside) {
                    missing.add("MIDI " + midi + " at " + at + ": " + there + " beside " + beside);
                }
            }
        }
        assertTrue(checked > 20, "notes checked: " + checked);
        // A soft string may hide behind an overtone of a loud one.
        assertTrue(missing.size() < 0.05 * checked, missing.toString());
        double loudness = heard.between(start + 1.5, 9).loudness();
        System.out.printf(
                "%.1f LUFS, peak %.2f, offset %.1e, first 0.3 s %.1f LUFS%n",
                loudness,
                heard.peak(),
                heard.offset(),
                heard.between(start, start + 0.3).loudness());
        assertEquals(-24, loudness, 2);
        assertTrue(heard.peak() < 1);
        assertEquals(0, heard.offset(), 1e-3);
    }

    /** Whether a pitch lies within a third of a semitone of one of the first nine partials of another. */
    private static boolean isOvertone(int midi, int low) {
        return IntStream.rangeClosed(1, 9)
                .anyMatch(partial -> Math.abs(low + 12 * Math.log(partial) / Math.log(2) - midi) < 0.34);
    }

    @Test
    void tempo_turnedInFlight_goesOnWhereItIs() throws Exception {
        open("Slow Water", "");
        click(PLAY);
        Thread.sleep(2600);
        new Select(browser.find(By.cssSelector("[aria-label=Speed]"))).selectByVisibleText("50 %");
        String turned = browser.find(CLOCK).getText();
        // From the moment a beat begins to the one two beats later: beats that are cut off at either end say nothing.
        String first = browser.await(CLOCK, t -> !t.equals(turned));
        double began = System.nanoTime() / 1e9;
        String second = browser.await(CLOCK, t -> !t.equals(first));
        String third = browser.await(CLOCK, t -> !t.equals(second));
        double seconds = System.nanoTime() / 1e9 - began;
        taken();
        click(STOP);
        assertTrue(beats(third) > beats(first) && beats(turned) >= 2, turned + " then " + first + ", " + third);
        double perBeat = seconds / (beats(third) - beats(first));
        assertTrue(perBeat > 1.2 && perBeat < 2.6, "seconds a beat at half the tempo: " + perBeat);
    }

    /** Beats from the start of the song. */
    private int beats(String clock) {
        String[] parts = clock.split(" · ");
        return metre() * (Integer.parseInt(parts[0]) - 1) + Integer.parseInt(parts[1]) - 1;
    }

    /** Beats a bar of the song on the bench. */
    private int metre() {
        return Integer.parseInt(browser.find(KEY).getText().replaceAll(".* (\\d+)/\\d+ .*", "$1"));
    }

    @Test
    void countIn_isShownAndClickedAndStoppedByStop() throws Exception {
        open("Slow Water", "");
        browser.button("count in").click();
        click(PLAY);
        browser.await(CLOCK, t -> t.equals("count 2"));
        Recording counted = taken();
        click(STOP);
        Thread.sleep(600);
        Recording stopped = taken();
        assertTrue(counted.onsets().size() >= 2, counted.onsets().toString());
        assertTrue(stopped.lastSound() - stopped.pressed() < STOPS_SECONDS);
        click(PLAY);
        browser.await(CLOCK, t -> t.equals("1 · 1"));
        click(STOP);
        browser.button("count in").click();
    }

    @Test
    void loop_goesRoundWithoutASeam() throws Exception {
        open("Slow Water", "");
        browser.find(By.cssSelector("[data-bar='2']")).click();
        browser.awaitTrue(() -> browser.driver()
                        .findElements(By.cssSelector("[data-bar][aria-pressed=true]"))
                        .size()
                == 1);
        List<?> notes = (List<?>) browser.driver().executeAsyncScript(PART, "Slow Water");
        int metre = metre();
        List<Double> beats = notes.stream()
                .map(n -> ((Number) ((List<?>) n).get(2)).doubleValue())
                .filter(b -> b >= metre && b < 2 * metre)
                .distinct()
                .toList();
        double secondsABeat =
                60.0 / Integer.parseInt(browser.find(KEY).getText().replaceAll(".*· ", ""));
        Recording heard = heard(9);
        click(STOP);
        double start = heard.firstSound();
        for (double onset : heard.onsets()) {
            double beat = metre + (onset - start) / secondsABeat % metre;
            double late = beats.stream()
                    .mapToDouble(b -> (beat - b + metre + EARLY) % metre - EARLY)
                    .min()
                    .orElseThrow();
            assertTrue(late * secondsABeat < STRUM_SECONDS, "a stroke " + late * secondsABeat + " s late at " + onset);
        }
        assertTrue(heard.onsets().size() > 2 * beats.size(), heard.onsets().toString());
    }

    @Test
    void twoGuitarsAsLoudAsTheyGo_neverPassTheFullScale() throws Exception {
        open("Bilge Pump", "");
        assertEquals(200L, browser.driver().executeAsyncScript(SIXTEENTHS, "Bilge Pump"));
        open("Bilge Pump", LONGEST);
        WebElement volume = browser.find(By.cssSelector("input[aria-label=Volume]"));
        volume.sendKeys(Keys.END);
        Recording heard = heard(5);
        click(STOP);
        double blocked = ((Number) browser.driver().executeScript("return longest")).doubleValue();
        System.out.printf("peak %.2f, the page was blocked %.0f ms at most%n", heard.peak(), blocked);
        assertTrue(heard.peak() <= 1, "peak " + heard.peak());
        assertTrue(heard.between(2, 5).loudness() > -20, "loudness " + heard.loudness());
    }
}
