package underhand.bench;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import underhand.arrange.Arrangement;
import underhand.arrange.Arranger;
import underhand.chart.Chart;
import underhand.format.text.ChartTextReader;
import underhand.neck.Tuning;
import underhand.settings.ArrangementSettings;

/** Times the charts that ask most of the planner, each cold: nothing is kept from one to the next. */
public final class WorstCharts {

    private static final String[] TYPES = {"", "m", "7", "maj7", "m7", "m7b5", "9", "6", "sus4", "13"};
    private static final String[] ROOTS = {"C", "Db", "D", "Eb", "E", "F", "F#", "G", "Ab", "A", "Bb", "B"};

    private record Case(String name, Chart chart, ArrangementSettings settings) {}

    private WorstCharts() {}

    public static void main(String[] args) {
        List<Case> cases = cases();
        String only = args.length > 0 ? args[0] : "";
        Arranger warm = new Arranger();
        for (int i = 0; i < 3; i++) {
            warm.arrange(varied(32, i), ArrangementSettings.ofRung(5));
            warm.arrange(Songs.of(64), ArrangementSettings.ofRung(4));
        }
        for (Case worst : cases) {
            if (worst.name().contains(only)) {
                long start = System.nanoTime();
                Arrangement part = new Arranger().arrange(worst.chart(), worst.settings());
                double seconds = (System.nanoTime() - start) / 1e9;
                System.out.printf(
                        Locale.ROOT,
                        "%-44s %7.2f s  total %.3f capo %d %s%n",
                        worst.name(),
                        seconds,
                        part.total(),
                        part.capo(),
                        part.budget());
            }
        }
    }

    static List<Case> cases() {
        ArrangementSettings five = ArrangementSettings.ofRung(5);
        List<Case> cases = new ArrayList<>();
        cases.add(new Case("256 varied bars, rung 5", varied(256, 1), five));
        cases.add(new Case("1000 varied bars, rung 5", varied(1000, 2), five));
        cases.add(new Case("64 bars on nine strings, rung 5", varied(64, 3), nineStrings()));
        cases.add(new Case("three endings 100 times, rung 5", endings(100), five));
        cases.add(new Case("three endings 100 times, rung 3", endings(100), ArrangementSettings.ofRung(3)));
        cases.add(new Case("256 bars of 8 chords repeated, rung 5", repeated(256), five));
        return cases;
    }

    private static ArrangementSettings nineStrings() {
        return ArrangementSettings.ofRung(5).withTuning(Tuning.parse("C#1 F#1 B1 E2 A2 D3 G3 B3 E4"));
    }

    /** Bars of one chord each, eight different ones in a line, no line like another. */
    static Chart varied(int bars, long seed) {
        Random random = new Random(seed);
        StringBuilder text = new StringBuilder();
        for (int line = 0; line < bars / 8; line++) {
            List<String> roots = new ArrayList<>(List.of(ROOTS));
            Collections.shuffle(roots, random);
            text.append('|');
            for (int bar = 0; bar < 8; bar++) {
                text.append(' ')
                        .append(roots.get(bar))
                        .append(TYPES[random.nextInt(TYPES.length)])
                        .append(" |");
            }
            text.append('\n');
        }
        return ChartTextReader.read(text.toString()).chart();
    }

    static Chart endings(int times) {
        return ChartTextReader.read("|: A | B |1. C :|2. D :|3. E :| ".repeat(times))
                .chart();
    }

    private static Chart repeated(int bars) {
        return ChartTextReader.read("| Am | F | C | G7 | Dm7 | E7 | Bm7b5 | Bb |\n".repeat(bars / 8))
                .chart();
    }
}
