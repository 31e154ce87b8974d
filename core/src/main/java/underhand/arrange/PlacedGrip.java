package underhand.arrange;

import java.util.List;
import java.util.Optional;
import underhand.chart.Chart;
import underhand.chord.ChordSymbol;

/**
 * A placement with the grip chosen for it.
 *
 * @param played the chord as its shape is called above the capo
 * @param degree Roman numeral in the song's key
 * @param grip empty where nothing is played, or where no hand can play the chord in this tuning
 * @param alternatives other shapes, each in its best fingering, the cheapest first
 */
public record PlacedGrip(
        Chart.Placed placed,
        Optional<ChordSymbol> played,
        Optional<String> degree,
        Optional<RatedGrip> grip,
        boolean locked,
        List<Alternative> alternatives) {

    /**
     * Another grip, and how much dearer the best part of the whole song becomes when it is taken here; negative where
     * the player's lock is dearer.
     */
    public record Alternative(RatedGrip grip, double price) {}
}
