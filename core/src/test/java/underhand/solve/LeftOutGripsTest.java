package underhand.solve;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import underhand.arrange.Arrangement;
import underhand.arrange.Arranger;
import underhand.arrange.Sweep;
import underhand.arrange.Warning;
import underhand.chart.Chart;
import underhand.format.text.ChartTextReader;
import underhand.hand.Parameters;
import underhand.harmony.HarmonyReader;
import underhand.picking.PatternPlan;
import underhand.picking.PlayedPatterns;
import underhand.repertoire.KnownGrips;
import underhand.route.TiedRouteSolver;
import underhand.settings.ArrangementSettings;
import underhand.settings.FrettingHand;

/**
 * A part is found among few grips of each chord, with a proof that those left out do not matter: it costs what the cheapest
 * part costs on a lattice that leaves out none of the 300 cheapest.
 */
class LeftOutGripsTest {

    private static final int WIDE = 300;
    private static final Parameters P = Parameters.STANDARD;
    private static final List<String> CHORDS = List.of(
            "C", "G", "Am", "F", "Dm7", "Bb", "E7", "Cmaj7", "F#m7b5", "Bdim7", "Eb", "G7b9", "Asus4", "Fm", "D/F#");

    /** Sections of random chords, in an order in which some come again. */
    private static Chart song(Random random) {
        int sections = 1 + random.nextInt(3);
        String[] bars = IntStream.range(0, sections)
                .mapToObj(s -> "| " + String.join(" | ", chords(random, 2 + random.nextInt(4))) + " |\n")
                .toArray(String[]::new);
        StringBuilder text = new StringBuilder("title: Made up\n");
        for (int at = 0; at < 1 + random.nextInt(4); at++) {
            int section = random.nextInt(sections);
            text.append("[Part ").append(section).append("]\n").append(bars[section]);
        }
        return ChartTextReader.read(text.toString()).chart();
    }

    private static List<String> chords(Random random, int count) {
        return random.ints(count, 0, CHORDS.size()).mapToObj(CHORDS::get).toList();
    }

    private static double amongManyGrips(Chart chart, ArrangementSettings settings, int capo) {
        Song song = new Song(chart, HarmonyReader.of(chart), settings);
        KnownGrips known = new KnownGrips(FrettingHand.of(settings, capo), P);
        StrokeTiming timing =
                new StrokeTiming(new PlayedPatterns(settings.patterns(), settings.rung(), song.tempo()), known.board());
        LayerBuilder builder = new LayerBuilder(song, known, known.new Search(), timing, settings, WIDE, WIDE, true);
        List<Layer> layers = builder.build().stream().map(Layer::closed).toList();
        SongLattice lattice = new SongLattice(layers, known.prices(), timing, SongLattice.GripSurcharge.NOBODY);
        TiedRouteSolver.Tied tied = TiedRouteSolver.solve(lattice, builder.ties(), 100_000_000);
        assertTrue(tied.proven());
        double least = tied.total();
        Optional<UsualGrips> usual = UsualGrips.of(layers, tied.nodes(), settings.rung(), P);
        if (usual.isPresent()) {
            SongLattice held =
                    new SongLattice(layers, known.prices(), timing, SongLattice.GripSurcharge.NOBODY.and(usual.get()));
            TiedRouteSolver.Tied kept = TiedRouteSolver.solve(held, builder.ties(), 100_000_000);
            assertTrue(kept.proven());
            least = kept.total() - usual.get().paid(layers, kept.nodes());
        }
        double rich = song.harmony().style().richness();
        double capoPrice = (capo > 0 ? P.get("capo.on") + P.get("capo.rich") * rich : 0)
                + P.get("capo.fret") * capo
                + P.get("capo.high") * Math.max(0, capo - 5);
        return least + capoPrice * song.placements().size();
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5})
    void sweep_randomSongsWithRepeats_costsWhatManyGripsOfEachChordCost(int rung) {
        Random random = new Random(2026 + rung);
        ArrangementSettings settings = ArrangementSettings.ofRung(rung).withPatterns(PatternPlan.BEAT);
        int repeating = 0;
        for (int i = 0; i < 12; i++) {
            Chart chart = song(random);
            repeating += chart.bars() > 5 ? 1 : 0;
            Sweep sweep = new Arranger().sweep(chart, settings);
            for (int capo = 0; capo <= sweep.highestCapo(); capo += 3) {
                Arrangement found = sweep.at(OptionalInt.of(capo));
                assertEquals(
                        amongManyGrips(chart, settings, capo),
                        found.total(),
                        1e-4,
                        "rung " + rung + ", case " + i + ", capo " + capo);
                assertTrue(found.warnings().stream().noneMatch(w -> w.kind() == Warning.Kind.CUT));
            }
        }
        assertTrue(repeating > 3, "few songs are long enough to repeat a section: " + repeating);
    }
}
