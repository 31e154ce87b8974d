package underhand.arrange;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import underhand.chart.Chart;
import underhand.chord.ChordSymbol;
import underhand.harmony.Style;
import underhand.neck.Guitar;
import underhand.neck.Shape;
import underhand.settings.ArrangementSettings;
import underhand.settings.FrettingHand;
import underhand.settings.Setting;
import underhand.solve.Song;
import underhand.texture.Structure;
import underhand.texture.Texture;
import underhand.texture.TextureAsk;

/**
 * The textures of a song, the one that fits best first, each with a reason from the chart and from who plays (points from
 * memory). Alone or with a singer nobody else has the bass: textures without it never come first by themselves.
 */
final class TextureRanking {

    /** For necks that have a fifth on their two lowest strings. */
    private static final String DROPPED = "dropped";

    private static final List<String> RANKED =
            List.of("ringing", "closed", "comping", "led", "triads", "tenths", "riff", DROPPED, "free");

    private static final double MOSTLY = 0.5;
    private static final double SOME = 0.25;
    private static final double AT_HOME = 0.5;
    private static final int CLOSED_FROM = 3;
    private static final int TENTHS_FIRST_FROM = 3;
    private static final int SLOW = 80;
    private static final double BELOW_ITS_RUNG = 20;
    private static final double BESIDE = 8;
    private static final int HIGH_STRINGS = 3;
    private static final int HIGH_FROM = 4;

    private final ArrangementSettings settings;
    private final Song song;
    private final int chords;
    private final long rich;
    private final long powers;

    /** Whether another guitar plays on the high strings alone; empty where none plays beside. */
    private final Optional<Boolean> besideHigh;

    private record Scored(TextureChoice choice, double score) {}

    private TextureRanking(Song song, ArrangementSettings settings, Optional<Arrangement> first) {
        this.song = song;
        this.besideHigh = first.map(TextureRanking::isHigh);
        this.settings = settings;
        List<ChordSymbol> all = new ArrayList<>();
        for (Chart.Slot slot : song.placements()) {
            slot.placement().chord().ifPresent(all::add);
        }
        this.chords = all.size();
        this.rich = all.stream().filter(TextureRanking::isRich).count();
        this.powers = all.stream().filter(TextureRanking::isBare).count();
    }

    /**
     * The song's textures, the best first.
     *
     * @param first what another guitar plays at the same time: it is left its room
     */
    static List<TextureChoice> of(Song song, ArrangementSettings settings, Optional<Arrangement> first) {
        TextureRanking ranking = new TextureRanking(song, settings, first);
        boolean isDropped = Structure.hasLowFifth(FrettingHand.of(settings, 0).board());
        return RANKED.stream()
                .filter(id -> isDropped || !id.equals(DROPPED))
                .map(id -> ranking.scored(Texture.of(id)))
                .sorted(Comparator.comparingDouble(Scored::score).reversed())
                .map(Scored::choice)
                .toList();
    }

    /** The settings with the song's texture chosen where it is left open. */
    static ArrangementSettings settled(Song song, ArrangementSettings settings, Optional<Arrangement> first) {
        return settings.textures().everywhere().isPresent()
                ? settings
                : settings.withTextures(settings.textures()
                        .with(new TextureAsk(
                                of(song, settings, first).get(0).texture(),
                                settings.textures().wishes())));
    }

    private static boolean isHigh(Arrangement first) {
        List<Shape> shapes = first.placements().stream()
                .flatMap(p -> p.grip().stream())
                .map(g -> g.grip().shape())
                .toList();
        long high = shapes.stream()
                .filter(s -> s.lowestSounding().orElse(0) >= s.strings() - HIGH_STRINGS)
                .count();
        return high > MOSTLY * shapes.size();
    }

    private static boolean isRich(ChordSymbol chord) {
        return chord.type().has(7) || chord.type().has(6);
    }

    /** A power chord, or what is played like one. */
    private static boolean isBare(ChordSymbol chord) {
        return !chord.type().has(3) && !chord.type().has(4) && !chord.type().has(7);
    }

    private Scored scored(Texture texture) {
        int rung = settings.rung().level();
        double score = points(texture.id()) + pointsBeside(texture.id());
        String reason = pointsBeside(texture.id()) > 0 ? reasonBeside() : reason(texture.id());
        if (texture.lowestRung() > rung) {
            score -= BELOW_ITS_RUNG;
            reason += "; a technique of rung " + texture.lowestRung();
        }
        return new Scored(new TextureChoice(texture, reason), score);
    }

    private double points(String id) {
        int rung = settings.rung().level();
        return switch (id) {
            case "ringing" -> share(rich) < SOME ? 4 : 3;
            case "closed" -> (isElectric() ? 4.5 : 1) + (isRhythmic() ? 2 : 0);
            case "comping" -> share(rich) >= MOSTLY ? 7 : share(rich) >= SOME ? 1.6 : 0.3;
            case "led" -> hasNoBass() && share(rich) >= SOME ? 2.6 : 0.9;
            case "triads" -> hasNoBass() ? 2.4 : 0.8;
            case "tenths" -> song.tempo() <= SLOW && rung >= TENTHS_FIRST_FROM ? 1.5 : 0.6;
            case "riff" -> chords > 0 && share(powers) >= MOSTLY ? 9 : 0.2;
            case DROPPED -> share(powers) >= MOSTLY ? 9.5 : isElectric() ? 3.5 : 0.4;
            // Beside another guitar the register decides, not the kind of part.
            default -> settings.setting() == Setting.SECOND ? 8 : 1.2;
        };
    }

    /** Above another guitar three strings, for hands that go there; below one that is high up full chords. */
    private double pointsBeside(String id) {
        boolean goesHigh = settings.rung().level() >= HIGH_FROM;
        return besideHigh
                        .filter(high -> high ? id.equals("ringing") : goesHigh && id.equals("triads"))
                        .isPresent()
                ? BESIDE
                : 0;
    }

    private String reasonBeside() {
        return besideHigh.orElseThrow()
                ? "the first guitar is high up on few strings: full chords below leave it its room"
                : "three strings above the first guitar leave it its room";
    }

    private String reason(String id) {
        String sevenths = rich + " of " + chords + " chords are sevenths or richer";
        return switch (id) {
            case "ringing" -> (chords - rich) + " of " + chords + " chords are plain, and open strings ring in them";
            case "closed" ->
                isElectric()
                        ? "electric: stopped strings keep an even tone"
                        : isRhythmic()
                                ? "the style wants short chords, and stopped strings can be let go"
                                : "no open string rings into the next chord";
            case "comping" ->
                sevenths
                        + (settings.setting().bassElsewhere()
                                ? "; a bass player has the roots"
                                : "; nobody else plays the bass");
            case "led" ->
                hasNoBass()
                        ? sevenths + ", and the bass is somebody else's"
                        : "each voice moves as little as it can, but the bass is nobody's";
            case "triads" ->
                hasNoBass() ? "three strings over somebody else's bass" : "three strings in one place, without a bass";
            case "tenths" ->
                song.tempo() <= SLOW
                        ? "at " + song.tempo() + " there is time for two voices far apart"
                        : "two voices far apart, best in slow songs";
            case "riff" -> powers + " of " + chords + " chords are roots and fifths";
            case DROPPED -> "the two lowest strings are a fifth apart: one finger has root and fifth";
            default -> "whatever is least work, of any kind";
        };
    }

    private double share(long count) {
        return (double) count / Math.max(1, chords);
    }

    private boolean isElectric() {
        return settings.guitar().kind() == Guitar.Kind.ELECTRIC
                && settings.rung().level() >= CLOSED_FROM;
    }

    /** Whether the song's own words name a style of short chords. */
    private boolean isRhythmic() {
        Map<Style, Double> weights = song.harmony().style().weights(song.tempo());
        return weights.get(Style.FUNK) > AT_HOME || weights.get(Style.OFF_BEAT) > AT_HOME;
    }

    private boolean hasNoBass() {
        return settings.setting().bassElsewhere();
    }
}
