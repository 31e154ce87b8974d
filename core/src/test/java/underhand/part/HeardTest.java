package underhand.part;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.Test;
import underhand.arrange.Arranger;
import underhand.part.HeardNote.Manner;
import underhand.picking.PatternPlan;
import underhand.picking.PickingPattern;
import underhand.settings.ArrangementSettings;

/** Loudness, spread and length of what is heard. The bounds are common practice among players. */
class HeardTest {

    private static Part part(String metre, String steps, boolean swing) {
        PickingPattern pattern = PickingPattern.parse("own", "own", metre, swing, 1, steps);
        ArrangementSettings settings = ArrangementSettings.ofRung(5)
                .withPatterns(PatternPlan.of(pattern))
                .withCapo(0);
        return PartWriter.write(
                new Arranger().arrange(PartTest.chart("key: G\nmetre: " + metre + "\ntempo: 80\n| G | C |"), settings),
                List.of());
    }

    private static List<HeardNote> strokeAt(List<HeardNote> notes, double beat) {
        return notes.stream().filter(n -> Math.abs(n.beat() - beat) < 1e-6).toList();
    }

    private static double loudness(List<HeardNote> stroke) {
        return stroke.stream().mapToDouble(HeardNote::loudness).average().orElseThrow();
    }

    @Test
    void of_strums_leansOnOneAndTwoAndIsSofterOnTheWayUp() {
        List<HeardNote> notes = Heard.of(part("4/4", "D . D U D . D U", false));
        assertTrue(loudness(strokeAt(notes, 0)) > loudness(strokeAt(notes, 2)), "the first beat weighs most");
        assertTrue(loudness(strokeAt(notes, 1)) > loudness(strokeAt(notes, 2)), "the backbeat is leaned on");
        assertTrue(loudness(strokeAt(notes, 1.5)) < 0.9 * loudness(strokeAt(notes, 1)), "up strokes are softer");
        List<HeardNote> up = strokeAt(notes, 1.5);
        assertTrue(up.get(0).midi() > up.get(up.size() - 1).midi(), "up strokes begin at the highest string");
        assertTrue(up.get(0).loudness() > up.get(up.size() - 1).loudness());
    }

    @Test
    void of_strums_reachStringAfterStringWithinTwelveMilliseconds() {
        for (HeardNote note : Heard.of(part("4/4", "D> . D U D . Dx U", false))) {
            assertTrue(note.seconds() >= 0 && note.seconds() <= 5 * 0.012 + 1e-9, note.toString());
        }
        List<HeardNote> first = strokeAt(Heard.of(part("4/4", "D . D U D . D U", false)), 0);
        for (int i = 1; i < first.size(); i++) {
            double gap = first.get(i).seconds() - first.get(i - 1).seconds();
            assertTrue(gap >= 0.005 - 1e-9 && gap <= 0.012 + 1e-9, "gap " + gap);
        }
    }

    @Test
    void of_ghosts_areDampedAndAboutFourteenDecibelsSofter() {
        List<HeardNote> notes = Heard.of(part("4/4", "D . Dx U D . Dx U", false));
        List<HeardNote> ghost = strokeAt(notes, 1);
        assertTrue(ghost.stream().allMatch(n -> n.manner() == Manner.DEAD));
        double decibels = 20 * Math.log10(loudness(ghost) / loudness(strokeAt(notes, 2)));
        assertEquals(-14, decibels, 2);
    }

    @Test
    void of_swungEighths_soundLateAndRingUntilTheNextStroke() {
        List<HeardNote> notes = Heard.of(part("4/4", "D U D U D U D U", true));
        List<HeardNote> off = strokeAt(notes, 2 / 3.0);
        assertTrue(!off.isEmpty());
        for (HeardNote note : off) {
            assertTrue(note.beats() >= 1 / 3.0 - 1e-6, "it rings to the next stroke: " + note);
        }
        for (HeardNote note : strokeAt(notes, 0)) {
            assertTrue(note.beats() >= 2 / 3.0 - 1e-6, "no gap before the late stroke: " + note);
        }
    }

    @Test
    void of_theLastStroke_ringsOutPastTheEnd() {
        Part part = part("4/4", "D . D U D . D U", false);
        assertTrue(Heard.of(part).stream().anyMatch(n -> n.beat() + n.beats() > part.beats() + 1));
        assertTrue(
                Heard.of(part).stream().filter(n -> n.beat() < 3).allMatch(n -> n.beat() + n.beats() < part.beats()));
    }

    @Test
    void of_aWaltz_breathes() {
        List<HeardNote> notes = Heard.of(part("3/4", "D . D . D .", false));
        assertTrue(loudness(strokeAt(notes, 0)) > loudness(strokeAt(notes, 1)));
        assertTrue(loudness(strokeAt(notes, 1)) > loudness(strokeAt(notes, 2)));
    }

    @Test
    void of_anyPart_isTheSameEachTimeAndNeverPassesFullScale() {
        Part part = part("4/4", "D> U D> U D> U D> U", false);
        List<HeardNote> notes = Heard.of(part);
        assertEquals(notes, Heard.of(part));
        assertTrue(notes.stream().allMatch(n -> n.loudness() > 0 && n.loudness() <= 1));
        assertTrue(notes.stream().map(HeardNote::loudness).distinct().count() > 10, "a hand is never the same twice");
    }
}
