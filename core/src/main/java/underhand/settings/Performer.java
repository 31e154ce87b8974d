package underhand.settings;

import java.util.Objects;
import java.util.Optional;
import underhand.hand.Player;
import underhand.neck.Guitar;
import underhand.neck.Tuning;

/**
 * Somebody at a guitar, before there is a song.
 *
 * @param rules the player's stand where good players disagree
 * @param tuning what the guitar is tuned to; empty for one that is tuned as a song asks
 */
public record Performer(Player player, HouseRules rules, Guitar guitar, Optional<Tuning> tuning) {

    /** An adult hand at a steel-string guitar. */
    public static final Performer ADULT =
            new Performer(Player.ADULT, HouseRules.NONE, Guitar.ACOUSTIC, Optional.empty());

    public Performer {
        Objects.requireNonNull(player, "player");
        Objects.requireNonNull(rules, "rules");
        Objects.requireNonNull(guitar, "guitar");
        Objects.requireNonNull(tuning, "tuning");
    }

    /** The hand as a song has it: the thumb helps where the hand uses it, or a rule says so. */
    Player playing(HouseRules song) {
        return rules(song).get(HouseRule.THUMB) ? player.withThumb() : player;
    }

    /** What holds in a song: the song's word over the player's, and the player's over the guitar's. */
    HouseRules rules(HouseRules song) {
        return song.over(rules).over(ofGuitar());
    }

    private HouseRules ofGuitar() {
        return guitar.kind().takesCapo() ? HouseRules.NONE : HouseRules.NONE.with(HouseRule.CAPO, false);
    }

    /** A guitar in standard tuning is tuned as a chart asks; one in another tuning stays as it is. */
    Tuning tuningFor(Optional<Tuning> chart) {
        return tuning.filter(own -> !own.equals(Tuning.STANDARD))
                .or(() -> chart)
                .orElse(Tuning.STANDARD);
    }
}
