package underhand.solo;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import underhand.chart.Chart;
import underhand.format.text.ChartTextReader;

/** Tunes in the public domain, written out from memory; each file names its source. */
public final class Tunes {

    public static final List<String> ALL = List.of(
            "ode-to-joy",
            "greensleeves",
            "amazing-grace",
            "auld-lang-syne",
            "londonderry-air",
            "silent-night",
            "augustin",
            "old-hundredth");

    private Tunes() {}

    public static Chart chart(String name) {
        try (InputStream in = Tunes.class.getResourceAsStream(name + ".txt")) {
            return ChartTextReader.read(new String(in.readAllBytes(), StandardCharsets.UTF_8))
                    .chart();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
