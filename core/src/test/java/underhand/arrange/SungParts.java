package underhand.arrange;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import underhand.chart.Chart;
import underhand.format.text.ChartTextReader;
import underhand.neck.Shape;
import underhand.settings.ArrangementSettings;
import underhand.settings.Setting;
import underhand.solve.PlacedGrip;
import underhand.solve.Singer;

/** Charts of our own with words, four of them with their tunes, and what a singer changes in their parts. */
final class SungParts {

    static final List<String> CHARTS =
            List.of("ferry-bell", "glass-orchard", "cold-kettle", "two-umbrellas", "seven-fields", "lamp-room");

    static final int LOWEST_RUNG = 3;

    /**
     * A part with a singer beside the part alone.
     *
     * @param unlike placements with another shape
     */
    record Pair(String chart, int rung, Arrangement alone, Arrangement sung, List<PlacedGrip> unlike) {

        boolean hasOtherRightHand() {
            return !patterns(alone).equals(patterns(sung));
        }

        private static List<String> patterns(Arrangement part) {
            return part.rightHand().stream().map(c -> c.pattern().id()).toList();
        }

        boolean differs() {
            return !unlike.isEmpty() || hasOtherRightHand() || alone.capo() != sung.capo();
        }

        /** What is said of each grip that is another one. */
        List<String> reasons() {
            return unlike.stream()
                    .map(p -> Singer.of(
                                    sung.placements().stream()
                                            .map(PlacedGrip::slot)
                                            .toList(),
                                    sung.settings(),
                                    sung.board(),
                                    sung.parameters())
                            .flatMap(s -> s.words(
                                    p.slot().index(), p.grip().orElseThrow().grip()))
                            .orElse(""))
                    .toList();
        }
    }

    private SungParts() {}

    static Chart chart(String name) {
        try (InputStream file = SungParts.class.getResourceAsStream("sung/" + name + ".txt")) {
            return ChartTextReader.read(new String(file.readAllBytes(), StandardCharsets.UTF_8))
                    .chart();
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    /** The parts of all charts on rungs 3 to 5. */
    static List<Pair> pairs(Arranger arranger) {
        List<Pair> pairs = new ArrayList<>();
        for (String name : CHARTS) {
            for (int rung = LOWEST_RUNG; rung <= 5; rung++) {
                ArrangementSettings settings = ArrangementSettings.ofRung(rung);
                Arrangement alone = arranger.arrange(chart(name), settings);
                Arrangement sung = arranger.arrange(chart(name), settings.withSetting(Setting.SINGER));
                pairs.add(new Pair(name, rung, alone, sung, unlike(alone, sung)));
            }
        }
        return pairs;
    }

    private static List<PlacedGrip> unlike(Arrangement alone, Arrangement sung) {
        List<PlacedGrip> unlike = new ArrayList<>();
        for (int i = 0;
                i < Math.min(alone.placements().size(), sung.placements().size());
                i++) {
            PlacedGrip one = sung.placements().get(i);
            if (one.grip().isPresent()
                    && !shape(one).equals(shape(alone.placements().get(i)))) {
                unlike.add(one);
            }
        }
        return unlike;
    }

    private static Optional<Shape> shape(PlacedGrip placed) {
        return placed.grip().map(g -> g.grip().shape());
    }

    /** How many parts differ from those alone, for {@code ./underhand judge}. */
    static String report(Arranger arranger) {
        List<Pair> pairs = pairs(arranger);
        long differ = pairs.stream().filter(Pair::differs).count();
        long grips = pairs.stream().filter(p -> !p.unlike().isEmpty()).count();
        return "parts with a singer on rungs 3 to 5: " + pairs.size() + ", other than alone " + differ
                + ", in their grips " + grips + "\n";
    }
}
