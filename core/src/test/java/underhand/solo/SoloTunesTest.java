package underhand.solo;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import underhand.arrange.Arrangement;
import underhand.arrange.Arranger;
import underhand.chart.Chart;
import underhand.chart.TuneNote;
import underhand.hand.Grip;
import underhand.hand.HandEffort;
import underhand.hand.Parameters;
import underhand.hand.Player;
import underhand.part.HeardNote;
import underhand.part.Part;
import underhand.part.PlayedNote;
import underhand.part.Strike;
import underhand.settings.ArrangementSettings;
import underhand.settings.SoloAsk;
import underhand.solve.PlacedGrip;
import underhand.solve.Solo;

/** Eight tunes on four rungs: nothing of a tune is lost, nothing sounds above it, and a hand can hold it. */
class SoloTunesTest {

    private static final double SAME = 1e-6;

    /** From this rung on a bass stands under the strong beats. */
    private static final int BASSES = 3;

    /** The least share of chords of a whole tune that stand on their root, or the bass that is written. */
    private static final double ON_THEIR_ROOT = 0.75;

    static Stream<Arguments> cases() {
        return Tunes.ALL.stream().flatMap(name -> Stream.of(2, 3, 4, 5).map(rung -> Arguments.of(name, rung)));
    }

    /** @param from beats from the start of the song */
    private record Written(double from, double beats, int midi) {}

    private static Arrangement arrange(String name, int rung) {
        return new Arranger()
                .arrange(Tunes.chart(name), ArrangementSettings.ofRung(rung).withSolo(SoloAsk.OPEN));
    }

    /** The tune as the chart has it, read once more and on its own: what is tied is one note. */
    private static List<Written> written(Chart chart, int octave) {
        List<Written> notes = new ArrayList<>();
        double start = 0;
        for (Chart.Slot slot : chart.placements()) {
            for (TuneNote note : slot.placement().tune()) {
                if (note.tied()) {
                    Written last = notes.remove(notes.size() - 1);
                    notes.add(new Written(last.from(), last.beats() + note.beats(), last.midi()));
                } else {
                    notes.add(new Written(
                            start + note.from(), note.beats(), note.pitch().midi() + 12 * octave));
                }
            }
            start += slot.placement().beats();
        }
        return notes;
    }

    @ParameterizedTest
    @MethodSource("cases")
    void everyNoteOfTheTuneSoundsAtItsBeatWithItsPitchForItsLength(String name, int rung) {
        Arrangement arrangement = arrange(name, rung);
        Solo solo = arrangement.solo().orElseThrow();

        List<Written> wanted = written(Tunes.chart(name), solo.octave());
        List<Solo.Note> played = solo.notes().stream().filter(Solo.Note::tune).toList();

        assertEquals(List.of(), solo.leftOut());
        assertEquals(wanted.size(), played.size());
        for (int i = 0; i < wanted.size(); i++) {
            assertEquals(wanted.get(i).from(), played.get(i).from(), SAME);
            assertEquals(wanted.get(i).midi(), played.get(i).midi());
            double from = played.get(i).from();
            double cut = solo.cut().stream()
                    .filter(c -> Math.abs(c.from() - from) < SAME)
                    .mapToDouble(Solo.Lost::beats)
                    .sum();
            assertEquals(wanted.get(i).beats(), played.get(i).beats() + cut, SAME, "note " + i);
        }
    }

    @ParameterizedTest
    @MethodSource("cases")
    void nothingSoundsAboveTheTune(String name, int rung) {
        Solo solo = arrange(name, rung).solo().orElseThrow();

        for (Solo.Note tune : solo.notes()) {
            for (Solo.Note other : solo.notes()) {
                boolean together = other.from() < tune.until() - SAME && other.until() > tune.from() + SAME;
                if (tune.tune() && !other.tune() && together) {
                    assertTrue(other.midi() < tune.midi(), other + " sounds above " + tune);
                }
            }
        }
    }

    @ParameterizedTest
    @MethodSource("cases")
    void everyMomentIsHeldByOneHandOnTheNeck(String name, int rung) {
        Arrangement arrangement = arrange(name, rung);
        HandEffort hand = new HandEffort(arrangement.board(), Player.ADULT, Parameters.STANDARD);
        Solo solo = arrangement.solo().orElseThrow();

        for (Solo.Moment moment : solo.moments()) {
            moment.grip().ifPresent(g -> assertTrue(hand.of(g).isPossible(), g.toString()));
        }
        for (Solo.Note note : solo.notes()) {
            assertTrue(note.fret() >= 0 && note.fret() <= arrangement.board().frets());
            assertEquals(arrangement.board().midi(note.string(), note.fret()), note.midi());
            Grip held = held(solo, note);
            assertEquals(note.fret(), held.shape().fret(note.string()), note + " of " + held);
            assertEquals(note.finger(), held.fingerOn(note.string()));
            assertTrue(note.beats() > 0);
        }
    }

    private static Grip held(Solo solo, Solo.Note note) {
        return solo.moments().stream()
                .filter(m -> m.from() <= note.from() + SAME && m.from() + m.beats() > note.from() + SAME)
                .findFirst()
                .orElseThrow()
                .grip()
                .orElseThrow();
    }

    @ParameterizedTest
    @MethodSource("cases")
    void noStringIsStruckWhileItStillSounds(String name, int rung) {
        Solo solo = arrange(name, rung).solo().orElseThrow();
        for (int string = 0; string < 6; string++) {
            double free = 0;
            for (Solo.Note note : solo.notes()) {
                if (note.string() == string) {
                    assertTrue(note.from() >= free - SAME, note + " begins before " + free);
                    free = note.until();
                }
            }
        }
    }

    @ParameterizedTest
    @MethodSource("cases")
    void aRungAddsOneThing(String name, int rung) {
        Arrangement arrangement = arrange(name, rung);
        Solo solo = arrangement.solo().orElseThrow();
        List<Solo.Note> under = solo.notes().stream().filter(n -> !n.tune()).toList();
        long most = under.stream()
                .map(n -> under.stream()
                        .filter(o -> Math.abs(o.from() - n.from()) < SAME)
                        .count())
                .max(Long::compare)
                .orElse(0L);

        if (rung == 2) {
            assertTrue(under.stream().allMatch(n -> n.fret() == 0), "only open strings as bass");
        }
        assertTrue(rung >= 4 || most <= 1, "one note under the tune at once");
        assertTrue(most <= 3);
        if (rung >= BASSES) {
            double share = onTheirRoot(arrangement);
            assertTrue(share >= ON_THEIR_ROOT, name + " on rung " + rung + ": " + share);
        }
    }

    /** Share of the chords that begin on their root, or on the bass that is written. */
    static double onTheirRoot(Arrangement arrangement) {
        int chords = 0;
        int on = 0;
        for (PlacedGrip placed : arrangement.placements()) {
            if (placed.segment().chord().isPresent() && placed.grip().isPresent()) {
                var shape = placed.grip().get().grip().shape();
                int low = shape.lowestSounding().orElseThrow();
                int lowest = arrangement.board().midi(low, shape.fret(low)) % 12;
                chords++;
                on += lowest == placed.segment().chord().get().lowest().pitchClass() ? 1 : 0;
            }
        }
        return on / (double) chords;
    }

    @ParameterizedTest
    @MethodSource("cases")
    void thePartStrikesWhatTheSoloHas(String name, int rung) {
        Arrangement arrangement = arrange(name, rung);
        Part part = Part.of(arrangement, List.of());
        List<Solo.Note> notes = arrangement.solo().orElseThrow().notes();

        int count = 0;
        double before = 0;
        for (Strike strike : part.strikes()) {
            assertTrue(strike.from() >= before - SAME, "strikes come in the order of time");
            before = strike.from();
            for (PlayedNote note : strike.notes()) {
                count++;
                assertTrue(notes.stream()
                        .anyMatch(n -> n.string() == note.string()
                                && n.midi() == note.midi()
                                && n.tune() == note.tune()
                                && Math.abs(n.from() - strike.from()) < 1e-3
                                && Math.abs(n.beats() - note.ring()) < SAME));
                assertTrue(note.rightFinger().isPresent());
            }
            long fingers = strike.notes().stream()
                    .map(n -> n.rightFinger().orElseThrow())
                    .distinct()
                    .count();
            assertEquals(strike.notes().size(), fingers, "a finger for each string");
        }
        assertTrue(count <= notes.size());
        assertEquals(
                notes.stream().filter(Solo.Note::tune).count(),
                part.strikes().stream()
                        .flatMap(s -> s.notes().stream())
                        .filter(PlayedNote::tune)
                        .count());
    }

    @ParameterizedTest
    @MethodSource("cases")
    void theTuneIsLouderThanWhatStandsUnderIt(String name, int rung) {
        Part part = Part.of(arrange(name, rung), List.of());
        List<HeardNote> heard = part.heard();
        double tune = 0;
        double under = 0;
        int tunes = 0;
        int unders = 0;
        int at = 0;
        for (Strike strike : part.strikes()) {
            for (PlayedNote note : strike.notes()) {
                double loudness = heard.get(at++).loudness();
                tune += note.tune() ? loudness : 0;
                under += note.tune() ? 0 : loudness;
                tunes += note.tune() ? 1 : 0;
                unders += note.tune() ? 0 : 1;
            }
        }
        assertEquals(heard.size(), at);
        assertTrue(unders == 0 || tune / tunes > 1.2 * under / unders, tune / tunes + " " + under / unders);
    }
}
