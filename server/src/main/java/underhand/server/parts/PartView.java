package underhand.server.parts;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;

/**
 * A part note by note.
 *
 * @param beats it lasts
 * @param tuning open strings as they sound without a capo, lowest first
 * @param fifths sharps in the key of the shapes, negative for flats
 * @param heard its notes as they sound, in the order of time
 * @param notices what could not be played as asked
 */
public record PartView(
        int tempo,
        int rung,
        double beats,
        int capo,
        List<String> tuning,
        int fifths,
        List<BarView> bars,
        List<HeardView> heard,
        List<String> notices) {

    /**
     * @param section name of the section that begins here; null where none does
     * @param from beats from the start of the song
     * @param quartersABeat quarter notes a beat lasts
     * @param events its strokes, for tab and hand
     * @param voices a tune and what is under it, for the staff; none where the strokes are one voice
     * @param again whether it has what the bar before has, and may be written as a sign
     */
    public record BarView(
            int number,
            @Schema(nullable = true) String section,
            String metre,
            double from,
            double beats,
            double quartersABeat,
            boolean swing,
            String pattern,
            List<EventView> events,
            List<List<EventView>> voices,
            List<RunView> palmMuted,
            boolean again) {}

    /** Events of a bar that stand together, from the first index to the last. */
    public record RunView(int first, int last) {}

    /**
     * @param place place in the arrangement; -1 for a rest
     * @param beat when it sounds, in beats from the start of the song, swung where its bar swings
     * @param values written lengths, tied together
     * @param strum down or up; null for plucked notes
     * @param weight normal, accent or ghost
     * @param sound ring, palm_mute or cut
     * @param fromBefore whether it goes on from the bar before
     * @param slash whether it is a strum that may be written as a slash in its rhythm
     * @param heard whether all it sounds stands in the bar already, under the same chord
     * @param chord name of the chord that begins with it, with its barre, {@code F BI}; null where none begins
     * @param words sung from here to the next; blank where none begin
     */
    public record EventView(
            int place,
            double beat,
            List<ValueView> values,
            List<NoteView> notes,
            @Schema(nullable = true) String strum,
            String weight,
            String sound,
            boolean fill,
            boolean fromBefore,
            boolean slash,
            boolean heard,
            @Schema(nullable = true) String chord,
            String words) {}

    /** @param type 1 for a whole note to 32 */
    public record ValueView(int type, boolean dotted, boolean triplet) {}

    /**
     * @param string index from the lowest
     * @param fret above the capo
     * @param midi as it sounds
     * @param written name of the note as its shape is called above the capo, {@code F#4}
     * @param left finger 1 to 4 or T; null for an open string
     * @param fingered whether the left finger is written here: where it is first heard in its chord
     * @param right finger p, i, m or a; null under a strum
     */
    public record NoteView(
            int string,
            int fret,
            int midi,
            String written,
            @Schema(nullable = true) String left,
            boolean fingered,
            @Schema(nullable = true) String right,
            String technique) {}

    /**
     * @param beat when its stroke begins, in beats from the start of the song, swung where its bar swings
     * @param seconds after that, for a string a strum reaches later
     * @param beats it sounds
     * @param string index from the lowest
     * @param from MIDI number it glides from; null unless it is slid into
     * @param loudness amplitude, above 0 to 1
     */
    public record HeardView(
            int place,
            double beat,
            double seconds,
            double beats,
            int string,
            int midi,
            @Schema(nullable = true) Integer from,
            double loudness,

            @Schema(allowableValues = {"plucked", "left-hand", "slid", "palm-muted", "cut", "dead"})
            String manner) {}
}
