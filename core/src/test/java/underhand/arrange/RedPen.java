package underhand.arrange;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import underhand.chart.Chart;
import underhand.format.text.ChartTextReader;
import underhand.neck.Shape;
import underhand.settings.ArrangementSettings;
import underhand.settings.Setting;

/**
 * Charts of our own, and what a teacher struck out of the parts the planner once wrote for them: {@code red-pen/}. Verdicts are
 * common practice. Charts whose number ends in 1, 5 or 9 may be fitted to; 3 and 7 are for judging.
 */
final class RedPen {

    /** Charts in order of their names. */
    static final List<String> CHARTS = List.of(
            "01-folk-g",
            "03-folk-a",
            "05-folk-c",
            "07-pop-fsharp",
            "09-pop-db",
            "11-blues-bb",
            "13-ballad-cm",
            "15-jazz-f",
            "17-bossa-dm",
            "19-country-a",
            "21-waltz-g",
            "23-modulate");

    /** Where a part was looked at. */
    record Where(String chart, int rung, Setting setting) {

        ArrangementSettings settings() {
            return ArrangementSettings.ofRung(rung).withSetting(setting);
        }

        boolean isForJudging() {
            char last = chart.charAt(1);
            return last == '3' || last == '7';
        }
    }

    /**
     * A grip that was struck.
     *
     * @param accepted shapes a teacher would take in its place
     */
    record Strike(Where where, int capo, int placement, Shape struck, List<Shape> accepted, String cause) {}

    /** Fingers that were struck, and those a teacher would take: a sign a string, {@code -} for none. */
    record FingerStrike(Where where, int capo, int placement, Shape shape, String struck, List<String> accepted) {}

    /** A capo that was struck. */
    record CapoStrike(Where where, int struck, List<Integer> accepted, double totalStruck, double totalAccepted) {

        /** What it gained over the accepted one, as a part of that. */
        double gain() {
            return 1 - totalStruck / totalAccepted;
        }
    }

    private RedPen() {}

    static Chart chart(String name) {
        return ChartTextReader.read(text("charts/" + name + ".txt")).chart();
    }

    static List<Strike> strikes() {
        return rows("grips.tsv")
                .map(c -> new Strike(
                        where(c),
                        Integer.parseInt(c[3]),
                        Integer.parseInt(c[4]),
                        Shape.parse(c[7]),
                        shapes(c[9]),
                        c[10]))
                .toList();
    }

    static List<FingerStrike> fingers() {
        return rows("fingers.tsv")
                .map(c -> new FingerStrike(
                        where(c),
                        Integer.parseInt(c[3]),
                        Integer.parseInt(c[4]),
                        Shape.parse(c[6]),
                        c[7],
                        List.of(c[8].split("\\|"))))
                .toList();
    }

    static List<CapoStrike> capos() {
        return rows("capos.tsv")
                .map(c -> new CapoStrike(
                        where(c),
                        Integer.parseInt(c[3]),
                        Arrays.stream(c[4].split("\\|")).map(Integer::parseInt).toList(),
                        Double.parseDouble(c[5]),
                        Double.parseDouble(c[6])))
                .toList();
    }

    private static Where where(String[] columns) {
        return new Where(columns[0], Integer.parseInt(columns[1]), Setting.parse(columns[2]));
    }

    private static List<Shape> shapes(String text) {
        return text.isBlank()
                ? List.of()
                : Arrays.stream(text.split("\\|")).map(Shape::parse).toList();
    }

    private static Stream<String[]> rows(String file) {
        return text(file).lines().skip(1).filter(line -> !line.isBlank()).map(line -> line.split("\t", -1));
    }

    private static String text(String file) {
        try (InputStream in = RedPen.class.getResourceAsStream("red-pen/" + file)) {
            return new String(Objects.requireNonNull(in, file).readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
