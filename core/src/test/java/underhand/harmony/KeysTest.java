package underhand.harmony;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import underhand.chart.Chart;
import underhand.chord.ChordSymbol;
import underhand.format.text.ChartTextReader;
import underhand.pitch.Key;
import underhand.pitch.Mode;

/** Keys against written-out progressions and Krumhansl and Kessler's profiles; degrees against tonal. */
class KeysTest {

    /** C. L. Krumhansl and E. J. Kessler, Psychological Review 89, 1982, probe-tone profiles; from memory. */
    private static final double[] MAJOR = {6.35, 2.23, 3.48, 2.33, 4.38, 4.09, 2.52, 5.19, 2.39, 3.66, 2.29, 2.88};

    private static final double[] MINOR = {6.33, 2.68, 3.52, 5.38, 2.60, 3.53, 2.54, 4.75, 3.98, 2.69, 3.34, 3.17};

    /** Where the profiles, which hear no order and no cadence, name another key than musicians do. */
    private static final List<String> PROFILES_MISS = List.of(
            "E minor: Scarborough Fair (traditional) -> B minor",
            "C major: ii V I vi with a turn back to ii (common practice) -> G major",
            "G major: ii V I vi in another key (common practice) -> D major",
            "F major: ii V I vi in another key (common practice) -> C major",
            "D major: ii V I vi in another key (common practice) -> A major",
            "Bb major: I vi ii V with a turn (common practice) -> F major",
            "C major: circle of dominants (common practice) -> G major");

    private record Progression(String key, List<ChordSymbol> chords, String name) {}

    private static List<String> lines(String resource) {
        try (InputStream table = KeysTest.class.getResourceAsStream(resource)) {
            return new String(table.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(line -> !line.startsWith("#"))
                    .toList();
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    private static List<Progression> progressions() {
        return lines("progressions.csv").stream()
                .map(line -> line.split(",", 3))
                .map(c -> new Progression(
                        c[0],
                        Arrays.stream(c[1].split(" ")).map(ChordSymbol::parse).toList(),
                        c[2]))
                .toList();
    }

    private static Key ours(Progression progression) {
        return KeyFinder.find(progression.chords().stream()
                .map(c -> new KeyFinder.Weighted(c, 4))
                .toList());
    }

    private static Key byProfiles(Progression progression) {
        double[] durations = new double[12];
        progression
                .chords()
                .forEach(c -> c.tones().forEach(t -> durations[t.note().pitchClass()] += 4));
        Key best = null;
        double highest = Double.NEGATIVE_INFINITY;
        for (int tonic = 0; tonic < 12; tonic++) {
            for (Mode mode : Mode.values()) {
                double fit = correlation(durations, mode == Mode.MAJOR ? MAJOR : MINOR, tonic);
                if (fit > highest) {
                    highest = fit;
                    best = Key.on(tonic, mode);
                }
            }
        }
        return best;
    }

    private static double correlation(double[] durations, double[] profile, int tonic) {
        double meanA = Arrays.stream(durations).average().orElseThrow();
        double meanB = Arrays.stream(profile).average().orElseThrow();
        double ab = 0;
        double aa = 0;
        double bb = 0;
        for (int i = 0; i < 12; i++) {
            double a = durations[(tonic + i) % 12] - meanA;
            double b = profile[i] - meanB;
            ab += a * b;
            aa += a * a;
            bb += b * b;
        }
        return ab / Math.sqrt(aa * bb);
    }

    @Test
    void find_writtenOutProgressions_areHeardInTheirKey() {
        List<String> misses = new ArrayList<>();
        for (Progression progression : progressions()) {
            Key key = ours(progression);
            if (!key.equals(Key.parse(progression.key()))) {
                misses.add(progression.name() + ": " + key + " for " + progression.key());
            }
        }
        assertTrue(progressions().size() >= 60);
        assertEquals(List.of(), misses);
    }

    @Test
    void find_sameProgressions_agreesWithTheProbeToneProfiles() {
        List<String> others = new ArrayList<>();
        for (Progression progression : progressions()) {
            if (!byProfiles(progression).equals(ours(progression))) {
                others.add(progression.key() + ": " + progression.name() + " -> " + byProfiles(progression));
            }
        }
        assertEquals(PROFILES_MISS, others);
    }

    @Test
    void of_chordsOfEveryKey_standOnTheDegreesTonalGivesThem() {
        String[] numerals = {"I", "II", "III", "IV", "V", "VI", "VII"};
        List<String> rows = lines("key-degrees.tsv");
        for (String row : rows) {
            String[] cells = row.split("\t");
            ChordSymbol chord = ChordSymbol.parse(cells[3]);
            Key key = Key.parse(cells[0] + " " + cells[1]);
            String degree = Degree.of(chord, key);
            String bare = degree.replaceAll("[^IViv♭♯]", "").toUpperCase();
            assertEquals(numerals[Integer.parseInt(cells[2]) - 1], bare, row + " gave " + degree);
        }
        assertEquals(350, rows.size());
    }

    @Test
    void sections_songThatMovesAway_haveTheirOwnKeys() {
        Chart chart = ChartTextReader.read("[Verse]\n| C | F | G7 | C | Am | F | G7 | C |\n"
                        + "[Bridge]\n| Eb | Cm | Fm | Bb7 | Eb | Ab | Bb7 | Eb |\n[Verse]\n| C | F | G7 | C |")
                .chart();
        List<HarmonyReader.SectionKey> sections = HarmonyReader.of(chart).sections();
        assertEquals(
                List.of("C major", "Eb major", "C major"),
                sections.stream().map(s -> s.key().toString()).toList());
        sections.forEach(s -> assertTrue(s.score() > s.runnerUp().score()));
    }
}
