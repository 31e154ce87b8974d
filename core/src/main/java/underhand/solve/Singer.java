package underhand.solve;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import underhand.chart.Chart;
import underhand.hand.Grip;
import underhand.hand.Parameters;
import underhand.neck.Fretboard;
import underhand.pitch.Pitch;
import underhand.settings.ArrangementSettings;
import underhand.settings.Setting;
import underhand.settings.VoiceRange;

/**
 * What a voice asks of the grips under it: a top note clear of the tune, or low in the voice's range where no tune is written,
 * and few strings under words (common practice). In the gaps everything may ring.
 */
public final class Singer {

    /** Closer than a third to the tune a top note rubs. */
    private static final int RUBS = 2;

    /** So many strings are light. */
    private static final int LIGHT = 4;

    /**
     * What is sung over a placement.
     *
     * @param tune MIDI numbers of its notes
     */
    private record Sung(boolean words, int[] tune) {}

    private final Map<Integer, Sung> byPlacement = new HashMap<>();
    private final Optional<VoiceRange> voice;
    private final Fretboard board;
    private final double rubs;
    private final double high;
    private final double heavy;

    private Singer(List<Chart.Slot> slots, Optional<VoiceRange> voice, Fretboard board, Parameters parameters) {
        this.voice = voice;
        this.board = board;
        this.rubs = parameters.get("singer.tune");
        this.high = parameters.get("singer.range");
        this.heavy = parameters.get("singer.words");
        for (Chart.Slot slot : slots) {
            Sung sung = sung(slot);
            if (sung.words() || sung.tune().length > 0) {
                byPlacement.put(slot.index(), sung);
            }
        }
    }

    /** The singer of a song; empty where nobody sings, or where nothing is known of what is sung. */
    public static Optional<Singer> of(
            List<Chart.Slot> slots, ArrangementSettings settings, Fretboard board, Parameters parameters) {
        return isSung(slots, settings)
                ? Optional.of(new Singer(slots, settings.voice(), board, parameters))
                : Optional.empty();
    }

    /** Whether a part has to leave room for a voice. */
    public static boolean isSung(List<Chart.Slot> slots, ArrangementSettings settings) {
        return settings.setting() == Setting.SINGER
                && (settings.voice().isPresent()
                        || slots.stream().map(Singer::sung).anyMatch(s -> s.words() || s.tune().length > 0));
    }

    private static Sung sung(Chart.Slot slot) {
        return new Sung(
                !slot.placement().lyric().isBlank(),
                slot.placement().tune().stream().mapToInt(n -> n.pitch().midi()).toArray());
    }

    /** What a grip costs under what is sung over a placement. */
    double price(int placement, Grip grip) {
        Sung sung = byPlacement.getOrDefault(placement, new Sung(false, new int[0]));
        int top = top(grip);
        double price = heavy * (sung.words() ? Math.max(0, grip.shape().sounding() - LIGHT) : 0);
        if (sung.tune().length > 0) {
            return price + (nearest(sung.tune(), top) <= RUBS ? rubs : 0);
        }
        return price
                + high
                        * voice.map(v -> top > v.highest().midi()
                                        ? 0
                                        : Math.max(0, top - v.lowest().midi()))
                                .orElse(0);
    }

    private int top(Grip grip) {
        int string = grip.shape().highestSounding();
        return board.midi(string, grip.shape().fret(string));
    }

    private static int nearest(int[] tune, int pitch) {
        int nearest = Integer.MAX_VALUE;
        for (int note : tune) {
            nearest = Math.min(nearest, Math.abs(note - pitch));
        }
        return nearest;
    }

    /** How a grip stands to what is sung over a placement, in words; empty where there is nothing to be said. */
    public Optional<String> words(int placement, Grip grip) {
        Sung sung = byPlacement.get(placement);
        int top = top(grip);
        String name = new Pitch(top).toString();
        if (sung != null && sung.tune().length > 0) {
            int apart = nearest(sung.tune(), top);
            return Optional.of(
                    apart <= RUBS
                            ? "Its top note, " + name
                                    + ", lies within a whole step of the tune; every grip that does not costs more."
                            : "Its top note, " + name + ", keeps clear of the tune: " + apart
                                    + " half steps at the nearest.");
        }
        if (sung == null && voice.isEmpty()) {
            return Optional.empty();
        }
        String strings = sung == null
                ? ""
                : String.format(
                        Locale.ROOT,
                        "Under the words %d strings sound. ",
                        grip.shape().sounding());
        return Optional.of((strings
                        + voice.map(v -> "Its top note, " + name + ", beside a voice from " + v.lowest() + " to "
                                        + v.highest() + ".")
                                .orElse(""))
                .strip());
    }
}
