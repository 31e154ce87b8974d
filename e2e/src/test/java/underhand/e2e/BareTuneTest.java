package underhand.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Path;
import java.util.List;
import javax.sound.midi.MetaMessage;
import javax.sound.midi.MidiEvent;
import javax.sound.midi.MidiSystem;
import javax.sound.midi.Sequence;
import javax.sound.midi.ShortMessage;
import javax.sound.midi.Track;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.By;

/** A tune comes without chords: some are proposed, chosen and played; a file with several voices is asked for another. */
class BareTuneTest extends InDemoBook {

    private static final By UNDERSTOOD = By.cssSelector("[data-testid=understood]");
    private static final By DIALOG_LINE = By.cssSelector("[role=dialog] [role=status]");

    /** Proposals have come for what is chosen now. */
    private static final By BARS = By.cssSelector("[aria-label='Bars without chords'][aria-busy=false]");

    private static final String TUNE = """
            title: Windlass Round
            | N.C. | N.C. | N.C. | N.C. |
            tune: G4 E4 C4 E4 | G4 B4 D5 . | E4 G4 C5 . | G4 E4 C4 . |
            """;

    private List<String> taken() {
        return browser.driver().findElements(By.cssSelector("[data-bar] button[aria-pressed=true]")).stream()
                .map(b -> b.getText())
                .toList();
    }

    @Test
    void pastedTune_isGivenChords_andPlayed() {
        browser.go(application.address() + "/");
        browser.find(By.cssSelector("textarea")).sendKeys(TUNE);
        browser.await(UNDERSTOOD, t -> t.contains("4 bars of the tune have no chord."));
        browser.press("Propose chords");
        browser.await(DIALOG_LINE, t -> t.contains("Proposals for 4 bars in C major."));
        assertEquals(List.of("C", "G", "C", "C"), taken());
        browser.find(By.cssSelector("[data-bar='3'] button[aria-pressed=false]"))
                .click();
        browser.find(By.xpath("//*[@data-bar='3']//p[starts-with(., 'Chosen.')]"));
        browser.find(BARS);
        String third = taken().get(2);
        assertTrue(!third.equals("C"), third);
        browser.press("Take these chords");
        browser.await(UNDERSTOOD, t -> !t.contains("no chord") && t.contains("4 bars"));
        browser.press("Put it on the bench");
        browser.await(By.tagName("h1"), "Windlass Round"::equals);
        assertEquals(4, browser.shapesOnTheRoad().size());
    }

    /** A file of a voice and a bass, in 3/4. */
    private static Path file(Path directory) throws Exception {
        Sequence sequence = new Sequence(Sequence.PPQ, 480);
        int[][] voices = {{67, 71, 74, 72, 71, 67}, {43, 43, 43, 48, 48, 48}};
        String[] names = {"Whistle", "Bass"};
        for (int v = 0; v < voices.length; v++) {
            Track track = sequence.createTrack();
            track.add(new MidiEvent(new MetaMessage(0x03, names[v].getBytes("UTF-8"), names[v].length()), 0));
            track.add(new MidiEvent(new MetaMessage(0x58, new byte[] {3, 2, 24, 8}, 4), 0));
            for (int i = 0; i < voices[v].length; i++) {
                track.add(new MidiEvent(new ShortMessage(ShortMessage.NOTE_ON, v, voices[v][i], 90), 480L * i));
                track.add(new MidiEvent(new ShortMessage(ShortMessage.NOTE_OFF, v, voices[v][i], 0), 480L * (i + 1)));
            }
        }
        Path file = directory.resolve("whistle.mid");
        MidiSystem.write(sequence, 1, file.toFile());
        return file;
    }

    @Test
    void midiFileAlone_becomesASong_andItsOtherVoiceCanBeTaken(@TempDir Path directory) throws Exception {
        Path file = file(directory);
        browser.go(application.address() + "/");
        browser.find(By.cssSelector("input[type=file]")).sendKeys(file.toString());
        browser.find(By.cssSelector("[data-testid=no-chords]"));
        browser.await(By.cssSelector("main"), t -> t.contains("The tune is Whistle, one of 2"));
        browser.press("Propose chords");
        browser.await(DIALOG_LINE, t -> t.contains("2 bars in G major"));
        browser.press("Take these chords");
        browser.find(By.cssSelector("[data-grip]"));
        assertEquals(2, browser.shapesOnTheRoad().size());

        browser.press("Edit the chart");
        browser.find(By.cssSelector("[role=dialog] .cm-content"));
        browser.find(By.cssSelector("[role=dialog] input[type=file]")).sendKeys(file.toString());
        By choice = By.cssSelector("[data-testid=tune-from-file]");
        browser.await(choice, t -> t.contains("Whistle, 6 notes, G4 to D5"));
        browser.choose("The tune is", "Bass, 6 notes, G2 to C3");
        browser.await(By.cssSelector("[role=dialog] .cm-content"), t -> t.contains("G2 G2 G2 | C3 C3 C3"));
        browser.press("A quarter later");
        browser.await(By.cssSelector("[role=dialog] .cm-content"), t -> t.contains("- G2 G2 | G2 C3 C3"));
    }
}
