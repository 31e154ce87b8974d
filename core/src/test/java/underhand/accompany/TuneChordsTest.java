package underhand.accompany;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import underhand.accompany.TuneChords.Offer;
import underhand.accompany.TuneChords.Proposal;
import underhand.chart.Bar;
import underhand.chart.Chart;
import underhand.chart.Section;
import underhand.chord.ChordSymbol;
import underhand.format.text.ChartTextReader;
import underhand.input.RangeException;
import underhand.pitch.Key;
import underhand.solo.Tunes;

/** Chords for bare tunes, against the chords that public-domain tunes are commonly printed with, and against all rows. */
class TuneChordsTest {

    static List<String> tunes() {
        return Tunes.ALL;
    }

    private static Chart read(String text) {
        return ChartTextReader.read(text).chart();
    }

    /** A song without its chords and its key. */
    private static Chart bare(Chart chart) {
        return new Chart(
                chart.title(),
                Optional.empty(),
                chart.metre(),
                chart.tempo(),
                chart.capo(),
                chart.tuning(),
                chart.sections().stream()
                        .map(s -> new Section(
                                s.name(),
                                Optional.empty(),
                                s.bars().stream()
                                        .map(b -> b.with(b.placements().stream()
                                                .map(p -> p.withChord(Optional.empty()))
                                                .toList()))
                                        .toList()))
                        .toList());
    }

    private static List<Bar> bars(Chart chart) {
        return chart.sections().stream().flatMap(s -> s.bars().stream()).toList();
    }

    private static boolean isPrinted(Bar bar, ChordSymbol chord) {
        return bar.placements().stream().flatMap(p -> p.chord().stream()).anyMatch(c -> plain(c).equals(plain(chord)));
    }

    /** V and V7 are one chord to whoever prints a tune. */
    private static String plain(ChordSymbol chord) {
        return chord.toString().replace("7", "");
    }

    @ParameterizedTest
    @MethodSource("tunes")
    void key_inEveryTransposition_isTheTunesOwn(String name) {
        Chart chart = Tunes.chart(name);
        Key own = chart.key().orElseThrow();
        for (int up = 0; up < 12; up++) {
            Chart moved = chart.transpose(up, own);
            assertEquals(
                    moved.key().orElseThrow().tonic().pitchClass(),
                    TuneChords.of(bare(moved), Map.of()).key().tonic().pitchClass(),
                    name + " " + up + " semitones up");
            assertEquals(own.mode(), TuneChords.of(bare(moved), Map.of()).key().mode());
        }
    }

    /** Chords as commonly printed, from memory; a bar with two of them counts with either. */
    @Test
    void offers_publicDomainTunes_holdThePrintedChords() {
        int all = 0;
        int first = 0;
        int among = 0;
        for (String name : Tunes.ALL) {
            Chart printed = Tunes.chart(name);
            for (Offer offer : TuneChords.of(bare(printed), Map.of()).offers()) {
                Bar bar = bars(printed).get(offer.bar() - 1);
                all++;
                first += isPrinted(bar, offer.proposals().get(0).chord()) ? 1 : 0;
                among += offer.proposals().stream().anyMatch(p -> isPrinted(bar, p.chord())) ? 1 : 0;
            }
        }
        assertEquals(124, all);
        assertTrue(first >= 0.75 * all, first + " of " + all + " first");
        assertTrue(among >= 0.95 * all, among + " of " + all + " among three");
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void offers_shortTunes_areTheBestOfAllRows(long seed) {
        Random random = new Random(seed);
        Key key = Key.parse(List.of("C", "Am", "Eb", "F#m").get(random.nextInt(4)));
        List<SungBar> bars = SungBar.of(read("key: " + key + "\n" + tune(random, key, 4)));
        ChordPrices prices = new ChordPrices(key, bars);
        List<Accompaniment> chords = Accompaniment.of(key);
        double[][] least = new double[bars.size()][chords.size()];
        for (double[] row : least) {
            Arrays.fill(row, Double.MAX_VALUE);
        }
        int rows = (int) Math.pow(chords.size(), bars.size());
        for (int row = 0; row < rows; row++) {
            double price = 0;
            int rest = row;
            int[] at = new int[bars.size()];
            for (int bar = 0; bar < at.length; bar++) {
                at[bar] = rest % chords.size();
                rest /= chords.size();
                price += prices.own(bar, chords.get(at[bar]));
                price += bar == 0 ? 0 : prices.change(bar, chords.get(at[bar - 1]), chords.get(at[bar]));
            }
            for (int bar = 0; bar < at.length; bar++) {
                least[bar][at[bar]] = Math.min(least[bar][at[bar]], price);
            }
        }
        for (Offer offer : new ChordRow(bars, key, Map.of()).offers(chords.size())) {
            double[] of = least[offer.bar() - 1];
            double best = Arrays.stream(of).min().orElseThrow();
            Map<String, Double> dearer = new HashMap<>();
            IntStream.range(0, chords.size())
                    .forEach(c -> dearer.put(chords.get(c).chord().toString(), of[c] - best));
            for (Proposal proposal : offer.proposals()) {
                assertEquals(dearer.get(proposal.chord().toString()), proposal.dearer(), 1e-9);
            }
        }
    }

    private static String tune(Random random, Key key, int bars) {
        StringBuilder notes = new StringBuilder();
        for (int i = 0; i < 4 * bars; i++) {
            int step = random.nextInt(12) == 0 ? random.nextInt(12) : key.mode().semitones(random.nextInt(7));
            int midi = 60 + Math.floorMod(key.tonic().pitchClass() + step, 12);
            notes.append(key.spellPitch(midi)).append(i % 4 == 3 ? " | " : " ");
        }
        return "| " + "N.C. | ".repeat(bars) + "\ntune: " + notes;
    }

    private static final Pattern REASON =
            Pattern.compile("[^:]+: (holds no note of the bar|holds (?<held>[^a-z;]*(and [^ ,;]+)?))"
                    + "(; (?<passed>[^a-z;]*(and [^ ]+)?) pass(es)?)?(; (?<against>[^a-z;]*(and [^ ]+)?) stands? against it)?"
                    + "(; leads to .*)?");

    /** What a reason says of notes is worked out again from the tune: each is named once, among those it belongs to. */
    @ParameterizedTest
    @ValueSource(longs = {11, 12, 13})
    void reasons_randomTunes_nameEveryNoteOnceAndTruly(long seed) {
        Random random = new Random(seed);
        Key key = Key.parse(List.of("D", "Bm", "Ab", "Gm").get(random.nextInt(4)));
        Chart chart = read("key: " + key + "\n" + tune(random, key, 12));
        for (Offer offer : TuneChords.of(chart, Map.of()).offers()) {
            Set<String> sung = bars(chart).get(offer.bar() - 1).placements().stream()
                    .flatMap(p -> p.tune().stream())
                    .map(n -> key.spell(n.pitch().pitchClass()).glyphs())
                    .collect(Collectors.toSet());
            for (Proposal proposal : offer.proposals()) {
                Set<String> held = new HashSet<>(sung);
                held.retainAll(proposal.chord().tones().stream()
                        .map(t -> key.spell(t.note().pitchClass()).glyphs())
                        .toList());
                Set<String> others = new HashSet<>(sung);
                others.removeAll(held);
                Matcher said = REASON.matcher(proposal.reason());
                assertTrue(said.matches(), proposal.reason());
                assertEquals(held, Set.copyOf(notes(said.group("held"))), proposal.reason());
                List<String> not = new ArrayList<>(notes(said.group("passed")));
                not.addAll(notes(said.group("against")));
                assertEquals(others, Set.copyOf(not), proposal.reason());
                assertEquals(others.size(), not.size(), "each once: " + proposal.reason());
            }
        }
    }

    private static List<String> notes(String listed) {
        return listed == null ? List.of() : List.of(listed.split(", | and "));
    }

    @Test
    void chosen_stands_andTheOthersFollowIt() {
        Chart bare = bare(Tunes.chart("silent-night"));
        TuneChords free = TuneChords.of(bare, Map.of());
        TuneChords wished = TuneChords.of(bare, Map.of(16, ChordSymbol.parse("E7")));
        assertEquals("C", free.offers().get(16).chord().toString());
        Offer offer = wished.offers().get(15);
        assertEquals("E7", offer.chord().toString());
        assertEquals(3, offer.proposals().size());
        assertEquals("Am", wished.offers().get(16).chord().toString(), "E7 leads there");
        assertEquals(
                "E7",
                bars(wished.accompanied())
                        .get(15)
                        .placements()
                        .get(0)
                        .chord()
                        .orElseThrow()
                        .toString());
    }

    @Test
    void chordsOfTheChart_stay_andPickUpsWaitForNone() {
        Chart chart = read("""
                key: G
                metre: 3/4
                pickup: 1
                | N.C. | N.C. | Cm D | N.C. |
                tune: D4 | G4 . B4 | C5 . A4 | G4 . . |
                """);
        TuneChords chords = TuneChords.of(chart, Map.of());
        assertEquals(List.of(2, 4), chords.offers().stream().map(Offer::bar).toList());
        assertEquals(2, TuneChords.waiting(chart));
        Chart played = chords.accompanied();
        assertEquals(
                List.of("N.C.", "G", "Cm", "D", "G"),
                played.placements().stream()
                        .map(s -> s.placement().chord().map(Object::toString).orElse("N.C."))
                        .toList());
        assertEquals(
                chart.placements().stream().map(s -> s.placement().tune()).toList(),
                played.placements().stream().map(s -> s.placement().tune()).toList());
    }

    @Test
    void withoutATuneOrOutsideTheSong_isRefused() {
        assertThrows(RangeException.class, () -> TuneChords.of(read("| C | G |"), Map.of()));
        Chart bare = bare(Tunes.chart("augustin"));
        ChordSymbol c = ChordSymbol.parse("C");
        assertThrows(RangeException.class, () -> TuneChords.of(bare, Map.of(0, c)));
        assertThrows(RangeException.class, () -> TuneChords.of(bare, Map.of(99, c)));
        assertEquals(0, TuneChords.waiting(read("| N.C. | G |")));
    }

    /** As many bars as a chart may have; what other programs take of the processor does not count. */
    @Test
    void longTune_isAnsweredAtOnce() {
        ThreadMXBean clock = ManagementFactory.getThreadMXBean();
        Random random = new Random(5);
        Chart chart = read(tune(random, Key.parse("C"), Chart.MOST_PLACEMENTS));
        long start = clock.getCurrentThreadCpuTime();
        assertEquals(
                Chart.MOST_PLACEMENTS, TuneChords.of(chart, Map.of()).offers().size());
        assertTrue(clock.getCurrentThreadCpuTime() - start < 4e9);
    }
}
