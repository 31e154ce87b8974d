package underhand.settings;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.Consumer;
import underhand.chart.Chart;
import underhand.hand.Player;
import underhand.hand.Rung;
import underhand.harmony.Preferences;
import underhand.input.RangeException;
import underhand.neck.Guitar;
import underhand.neck.Tuning;
import underhand.picking.PatternPlan;

/**
 * Who plays, on what, with whom, and what is decided already.
 *
 * @param capo fret of the capo; empty to take the one with the least effort
 * @param tempo beats a minute; empty to take the chart's
 * @param locks grips and regions that are kept
 * @param readings what was said to readings of placements
 * @param houseRules the player's stand where good players disagree
 * @param patterns what the right hand plays
 * @param voice what the singer's voice has; empty where it is not known
 * @param textures the kinds of part that are played
 * @param solo how the tune is played on top of the chords; empty where it is left to somebody else
 */
public record ArrangementSettings(
        Rung rung,
        Player player,
        Guitar guitar,
        Tuning tuning,
        Setting setting,
        OptionalInt capo,
        OptionalInt tempo,
        List<Lock> locks,
        List<ReadingChoice> readings,
        HouseRules houseRules,
        PatternPlan patterns,
        Optional<VoiceRange> voice,
        TexturePlan textures,
        Optional<SoloAsk> solo) {

    /** Highest fret a capo is tried at. */
    public static final int HIGHEST_CAPO = 9;

    /** Highest fret a capo may be put at by hand. */
    public static final int HIGHEST_ASKED_CAPO = 11;

    public ArrangementSettings {
        Objects.requireNonNull(rung, "rung");
        Objects.requireNonNull(player, "player");
        Objects.requireNonNull(guitar, "guitar");
        Objects.requireNonNull(tuning, "tuning");
        Objects.requireNonNull(setting, "setting");
        locks = List.copyOf(locks);
        readings = List.copyOf(readings);
        Objects.requireNonNull(houseRules, "houseRules");
        Objects.requireNonNull(patterns, "patterns");
        Objects.requireNonNull(voice, "voice");
        Objects.requireNonNull(textures, "textures");
        Objects.requireNonNull(solo, "solo");
        capo.ifPresent(fret -> RangeException.check("capo", fret, 0, HIGHEST_ASKED_CAPO));
        tempo.ifPresent(beats -> RangeException.check("tempo", beats, Chart.LOWEST_TEMPO, Chart.HIGHEST_TEMPO));
    }

    public boolean repeatsAlike() {
        return houseRules.get(HouseRule.REPEATS_ALIKE);
    }

    /** What the rules of harmony need to know of who plays. */
    public Preferences preferences() {
        return new Preferences(
                rung.level(),
                setting.bassElsewhere(),
                setting == Setting.ALONE,
                houseRules.get(HouseRule.SEVENTH_DEGREE),
                houseRules.get(HouseRule.MINOR_DOMINANT));
    }

    /** What of each chord has to sound. */
    public Voicing voicing() {
        return Voicing.of(setting, houseRules.get(HouseRule.FULLNESS));
    }

    /** An adult hand alone on a steel-string guitar in standard tuning, everything else left open. */
    public static ArrangementSettings ofRung(int level) {
        return of(Performer.ADULT, Optional.empty(), HouseRules.NONE).withRung(level);
    }

    /**
     * What a performer plays alone on the first rung, everything else left open: the place where what is said of a house rule,
     * a tuning or a capo by house, guitar, player and song comes together.
     *
     * @param tuning what the chart asks for
     * @param song what the song does otherwise than its player
     */
    public static ArrangementSettings of(Performer performer, Optional<Tuning> tuning, HouseRules song) {
        return new ArrangementSettings(
                Rung.of(Rung.LOWEST),
                performer.playing(song),
                performer.guitar(),
                performer.tuningFor(tuning),
                Setting.ALONE,
                OptionalInt.empty(),
                OptionalInt.empty(),
                List.of(),
                List.of(),
                performer.rules(song).settled(),
                PatternPlan.OPEN,
                Optional.empty(),
                TexturePlan.FREE,
                Optional.empty());
    }

    /**
     * What somebody plays beside these: the same song in the same readings, without the decisions that are about this hand.
     *
     * @param tuning what the chart asks for
     */
    public ArrangementSettings beside(Performer other, Optional<Tuning> tuning, int rung) {
        ArrangementSettings second =
                of(other, tuning, HouseRules.NONE).withRung(rung).withSetting(Setting.SECOND);
        return second.changed(draft -> {
            draft.tempo = tempo;
            draft.readings = readings;
            draft.patterns = patterns;
        });
    }

    public ArrangementSettings withRung(int level) {
        return changed(draft -> draft.rung = Rung.of(level));
    }

    public ArrangementSettings withCapo(int fret) {
        return changed(draft -> draft.capo = OptionalInt.of(fret));
    }

    public ArrangementSettings withCapoOpen() {
        return changed(draft -> draft.capo = OptionalInt.empty());
    }

    public ArrangementSettings withTempo(int beatsAMinute) {
        return changed(draft -> draft.tempo = OptionalInt.of(beatsAMinute));
    }

    public ArrangementSettings withTuning(Tuning other) {
        return changed(draft -> draft.tuning = other);
    }

    public ArrangementSettings withSetting(Setting other) {
        return changed(draft -> draft.setting = other);
    }

    public ArrangementSettings withLocks(List<Lock> other) {
        return changed(draft -> draft.locks = other);
    }

    public ArrangementSettings withReadings(List<ReadingChoice> other) {
        return changed(draft -> draft.readings = other);
    }

    public ArrangementSettings withHouseRules(HouseRules other) {
        return changed(draft -> draft.houseRules = other);
    }

    public ArrangementSettings withPatterns(PatternPlan other) {
        return changed(draft -> draft.patterns = other);
    }

    public ArrangementSettings withVoice(VoiceRange range) {
        return changed(draft -> draft.voice = Optional.of(range));
    }

    public ArrangementSettings withTextures(TexturePlan other) {
        return changed(draft -> draft.textures = other);
    }

    /** The same with the tune on top of the chords. */
    public ArrangementSettings withSolo(SoloAsk ask) {
        return changed(draft -> draft.solo = Optional.of(ask));
    }

    private ArrangementSettings changed(Consumer<Draft> change) {
        Draft draft = new Draft(this);
        change.accept(draft);
        return draft.checked();
    }

    /** The same, field by field, while it is changed. */
    private static final class Draft {

        private Rung rung;
        private Player player;
        private Guitar guitar;
        private Tuning tuning;
        private Setting setting;
        private OptionalInt capo;
        private OptionalInt tempo;
        private List<Lock> locks;
        private List<ReadingChoice> readings;
        private HouseRules houseRules;
        private PatternPlan patterns;
        private Optional<VoiceRange> voice;
        private TexturePlan textures;
        private Optional<SoloAsk> solo;

        Draft(ArrangementSettings from) {
            rung = from.rung;
            player = from.player;
            guitar = from.guitar;
            tuning = from.tuning;
            setting = from.setting;
            capo = from.capo;
            tempo = from.tempo;
            locks = from.locks;
            readings = from.readings;
            houseRules = from.houseRules;
            patterns = from.patterns;
            voice = from.voice;
            textures = from.textures;
            solo = from.solo;
        }

        ArrangementSettings checked() {
            return new ArrangementSettings(
                    rung,
                    player,
                    guitar,
                    tuning,
                    setting,
                    capo,
                    tempo,
                    locks,
                    readings,
                    houseRules,
                    patterns,
                    voice,
                    textures,
                    solo);
        }
    }
}
