package underhand.solve;

import java.util.List;
import java.util.Optional;
import underhand.chart.Chart;
import underhand.chord.ChordSymbol;
import underhand.harmony.Bond;
import underhand.harmony.Form;
import underhand.harmony.Function;
import underhand.harmony.Reading;
import underhand.repertoire.RatedGrip;

/**
 * A chord of the part with the grip chosen for it.
 *
 * @param index place in the part, from 0; where a reading splits a placement the part has more places than the chart
 * @param segment what is sounded, and when
 * @param reading the reading that puts the chord here; empty for the chart's own chord
 * @param function what the chart's own chord does in its key; empty where there is none
 * @param played the chord as its shape is called above the capo
 * @param degree Roman numeral in the key of its section or song
 * @param grip empty where nothing is played, or where no hand can play the chord in this tuning
 * @param fingerings other fingers for the same shape, the cheapest first
 * @param alternatives other shapes, each in its best fingering, the cheapest first
 */
public record PlacedGrip(
        int index,
        Chart.Slot slot,
        Segment segment,
        Optional<Reading> reading,
        Optional<Function> function,
        Optional<ChordSymbol> played,
        Optional<String> degree,
        Optional<RatedGrip> grip,
        boolean locked,
        List<Alternative> fingerings,
        List<Alternative> alternatives) {

    /**
     * Another grip, and how much dearer the best part of the whole song becomes when it is taken here, repeats free to
     * differ; negative where the player's lock is dearer, or where playing repeats alike is.
     */
    public record Alternative(RatedGrip grip, double price) {}

    /** Words sung from here to the next chord of the chart; blank where none are, and where a reading splits that chord. */
    public String words() {
        return segment.part() == 0 ? slot.placement().lyric() : "";
    }

    /** Whether one string, or one grip, alone moves from here to the next chord, as its reading says. */
    public boolean isBound() {
        return step().filter(s -> s.bond() != Bond.FREE).isPresent();
    }

    /** Whether it is one of a line's grips, or of those of one that slides. */
    public boolean isOfALine() {
        return reading.filter(Reading::isBound).isPresent();
    }

    /** The form its reading asks for. */
    public Form form() {
        return step().map(Reading.Step::form).orElse(Form.WHOLE);
    }

    private Optional<Reading.Step> step() {
        return reading.map(r -> r.steps().get(segment.part()));
    }
}
