package underhand.settings;

import underhand.chord.ChordSymbol;

/**
 * What of a chord a guitar has to sound: three facts that a setting says together, and a house rule may say otherwise.
 *
 * @param fullness the setting whose grips are as full as these
 * @param rootElsewhere whether somebody else plays the root, or it may be left out
 * @param bassElsewhere whether somebody else plays a bass that is written
 */
public record Voicing(Setting fullness, boolean rootElsewhere, boolean bassElsewhere) {

    /** As a setting has it. */
    public static Voicing of(Setting setting) {
        return new Voicing(setting, setting.bassElsewhere(), setting.bassElsewhere());
    }

    /** As a setting has it where a house rule says how full grips are to be. */
    static Voicing of(Setting setting, Fullness fullness) {
        return switch (fullness) {
            case BY_SETTING -> of(setting);
            case WHOLE -> of(Setting.ALONE);
            // Parts of chords leave their roots to nobody in particular; a written bass stays ours where nobody else
            // plays it.
            case PARTS -> new Voicing(Setting.BASS, true, setting.bassElsewhere());
        };
    }

    /** Whether somebody else plays what is lowest in a chord. */
    public boolean lowestElsewhere(ChordSymbol chord) {
        return chord.bass().isPresent() ? bassElsewhere : rootElsewhere;
    }
}
