package underhand.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;

/** What the page sends to the loudspeaker, recorded before it gets there, and measured. */
class SoundTest extends InDemoBook {

    private static final By PLAY = By.cssSelector("[aria-label=Play]");
    private static final By STOP = By.cssSelector("[aria-label=Stop]");

    /** Everything that is connected to the loudspeaker is connected to a recorder as well. */
    private static final String RECORDER = """
            (() => {
              const connect = AudioNode.prototype.connect;
              const taps = new WeakMap();
              window.recorded = { left: [], right: [], rate: 0, errors: [] };
              addEventListener('error', e => recorded.errors.push(e.message));
              addEventListener('unhandledrejection', e => recorded.errors.push(String(e.reason)));
              AudioNode.prototype.connect = function (to, ...more) {
                const result = connect.call(this, to, ...more);
                if (to === this.context.destination && this.context instanceof AudioContext) {
                  if (!taps.has(this.context)) {
                    const tap = this.context.createScriptProcessor(4096, 2, 2);
                    recorded.rate = this.context.sampleRate;
                    tap.onaudioprocess = e => {
                      recorded.left.push(e.inputBuffer.getChannelData(0).slice());
                      recorded.right.push(e.inputBuffer.getChannelData(1).slice());
                    };
                    connect.call(tap, to);
                    taps.set(this.context, tap);
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
            const taken = [recorded.rate, join(recorded.left), join(recorded.right), recorded.errors];
            recorded.left = []; recorded.right = [];
            return taken;
            """;

    private String script;

    @BeforeAll
    void record() {
        script = (String) ((Map<?, ?>) browser.driver()
                        .executeCdpCommand("Page.addScriptToEvaluateOnNewDocument", Map.of("source", RECORDER)))
                .get("identifier");
    }

    @AfterAll
    void stopRecording() {
        browser.driver().executeCdpCommand("Page.removeScriptToEvaluateOnNewDocument", Map.of("identifier", script));
    }

    /** What was recorded since it was taken last. */
    private Recording taken() {
        List<?> taken = (List<?>) browser.driver().executeScript(TAKE);
        assertEquals(List.of(), taken.get(3), "errors of the page");
        return new Recording(
                ((Number) taken.get(0)).doubleValue(), samples((String) taken.get(1)), samples((String) taken.get(2)));
    }

    private static float[] samples(String base64) {
        ByteBuffer bytes = ByteBuffer.wrap(Base64.getDecoder().decode(base64)).order(ByteOrder.LITTLE_ENDIAN);
        float[] samples = new float[bytes.remaining() / 4];
        bytes.asFloatBuffer().get(samples);
        return samples;
    }

    private Recording heard(double seconds) throws InterruptedException {
        browser.find(PLAY).click();
        browser.find(STOP);
        Thread.sleep((long) (1000 * seconds));
        return taken();
    }

    @BeforeEach
    void bench() {
        openSong("Slow Water");
        browser.awaitTrue(() -> browser.find(PLAY).isEnabled());
    }

    @Test
    void play_says() throws Exception {
        for (int i = 0; i < 3; i++) {
            Recording heard = heard(4);
            browser.find(STOP).click();
            Thread.sleep(400);
            Recording after = taken();
            System.out.println("rate " + heard.rate() + " seconds " + heard.seconds() + " onset " + heard.firstSound()
                    + " peak " + heard.peak() + " loudness " + heard.loudness() + " onsets " + heard.onsets()
                    + " dies after " + after.lastSound() + " dc " + heard.offset());
        }
    }
}
