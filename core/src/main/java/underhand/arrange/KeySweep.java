package underhand.arrange;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import underhand.chart.Chart;
import underhand.harmony.KeyFinder;
import underhand.pitch.Key;
import underhand.settings.ArrangementSettings;
import underhand.settings.VoiceRange;

/** A song in every key a singer can sing it in, each with its least-effort capo. */
public final class KeySweep {

    private static final int OCTAVE = 12;

    /**
     * The song in one key.
     *
     * @param semitones by which its chords are moved, -5 to 6
     * @param tuneMove by which the tune is moved, octaves included; the same as {@code semitones} when no range is known
     * @param capo the best capo position there
     */
    public record Option(int semitones, int tuneMove, Key key, CapoCandidate capo) {}

    /** What the singer needs: the tune as the chart has it, and the voice it has to fit. */
    public record Singing(VoiceRange tune, VoiceRange voice) {}

    private KeySweep() {}

    /**
     * All keys that fit, least effort first; of equal effort the nearest key. Empty when the tune is wider than the voice.
     *
     * @param singing empty when every key will do
     */
    public static List<Option> of(
            Arranger arranger, Chart chart, ArrangementSettings settings, Optional<Singing> singing) {
        Key key = KeyFinder.keyOf(chart);
        List<Option> options = new ArrayList<>();
        for (int semitones = -5; semitones <= 6; semitones++) {
            int up = Math.floorMod(semitones, OCTAVE);
            OptionalInt move =
                    singing.map(s -> s.tune().moveInto(s.voice(), up)).orElse(OptionalInt.of(semitones));
            if (move.isPresent()) {
                CapoCandidate best = arranger.sweep(chart.transpose(semitones, key), settings)
                        .best();
                options.add(new Option(semitones, move.getAsInt(), key.transpose(semitones), best));
            }
        }
        options.sort(Comparator.comparingDouble((Option o) -> o.capo().total())
                .thenComparingInt(o -> Math.abs(o.semitones())));
        return options;
    }
}
