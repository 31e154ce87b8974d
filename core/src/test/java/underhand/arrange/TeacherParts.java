package underhand.arrange;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import underhand.chart.Bar;
import underhand.chart.Chart;
import underhand.chart.Metre;
import underhand.chart.Placement;
import underhand.chart.Section;
import underhand.chord.ChordSymbol;
import underhand.hand.Parameters;
import underhand.neck.Shape;
import underhand.settings.ArrangementSettings;
import underhand.settings.Setting;

/** Parts a teacher would write, {@code teacher-parts.tsv}, and how many of their chords the planner chooses alike. */
final class TeacherParts {

    static final List<Part> ALL = load();

    private TeacherParts() {}

    record Part(String id, int rung, Setting setting, int capo, List<ChordSymbol> chords, List<List<Shape>> accepted) {
        ArrangementSettings settings() {
            return ArrangementSettings.ofRung(rung).withSetting(setting).withCapo(capo);
        }
    }

    private static List<Part> load() {
        try (InputStream in = TeacherParts.class.getResourceAsStream("teacher-parts.tsv")) {
            return new String(Objects.requireNonNull(in).readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(line -> !line.startsWith("#") && !line.isBlank())
                    .map(line -> line.split("\t"))
                    .map(c -> new Part(
                            c[0],
                            Integer.parseInt(c[1]),
                            Setting.parse(c[2]),
                            Integer.parseInt(c[3]),
                            Arrays.stream(c[4].split(" "))
                                    .map(ChordSymbol::parse)
                                    .toList(),
                            Arrays.stream(c[5].split(" "))
                                    .map(a -> Arrays.stream(a.split("\\|"))
                                            .map(Shape::parse)
                                            .toList())
                                    .toList()))
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** A chart of one chord a bar in 4/4. */
    static Chart chart(List<ChordSymbol> chords) {
        List<Bar> bars = chords.stream()
                .map(c -> new Bar(Metre.COMMON, List.of(new Placement(Optional.of(c), 1, 4, ""))))
                .toList();
        return new Chart(
                "",
                Optional.empty(),
                Metre.COMMON,
                OptionalInt.empty(),
                OptionalInt.empty(),
                Optional.empty(),
                List.of(new Section("", Optional.empty(), bars)));
    }

    /** The shapes chosen for a part, in order. */
    static List<Shape> chosen(Part part, Parameters parameters) {
        return new Arranger(parameters)
                .solve(chart(part.chords()), part.settings(), part.capo()).placements().stream()
                        .map(p -> p.grip().orElseThrow().grip().shape())
                        .toList();
    }

    /** How many chords of a part get an accepted shape. */
    static int agreeing(Part part, Parameters parameters) {
        List<Shape> chosen = chosen(part, parameters);
        int agreeing = 0;
        for (int i = 0; i < chosen.size(); i++) {
            agreeing += part.accepted().get(i).contains(chosen.get(i)) ? 1 : 0;
        }
        return agreeing;
    }
}
