package underhand.format.score;

import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.BiFunction;
import underhand.chart.Chart;
import underhand.format.text.ChartTextReader;
import underhand.format.text.ChartTextWriter;
import underhand.input.FormatException;
import underhand.input.RangeException;

/** The door to the files a song can become, and from which one can come. */
public final class SongFiles {

    /** What the parts of a song can be written into. */
    public enum Format {
        MUSICXML(
                "application/vnd.recordare.musicxml+xml",
                "musicxml",
                (title, parts) -> bytes(MusicXmlWriter.write(title, parts))),
        MXL(
                "application/vnd.recordare.musicxml",
                "mxl",
                (title, parts) -> MxlFile.pack(MusicXmlWriter.write(title, parts))),
        MIDI("audio/midi", "mid", MidiWriter::write),
        TAB(
                "text/plain;charset=UTF-8",
                "tab.txt",
                (title, parts) -> bytes(String.join(
                        "\n\n",
                        parts.stream().map(part -> TabText.write(title, part)).toList()))),
        /** The hand road of the first guitar, as a drawing. */
        ROAD(
                "image/svg+xml",
                "road.svg",
                (title, parts) -> bytes(RoadSvg.write(
                        title, parts.get(0).part().arrangement(), parts.get(0).handedness())));

        private final String mediaType;
        private final String ending;
        private final BiFunction<String, List<ScoredPart>, byte[]> writer;

        Format(String mediaType, String ending, BiFunction<String, List<ScoredPart>, byte[]> writer) {
            this.mediaType = mediaType;
            this.ending = ending;
            this.writer = writer;
        }

        public String mediaType() {
            return mediaType;
        }

        /** Of the file's name, without the dot before it. */
        public String ending() {
            return ending;
        }

        /** @param parts first guitar first; one at least */
        public byte[] write(String title, List<ScoredPart> parts) {
            return writer.apply(title, parts);
        }

        private static byte[] bytes(String text) {
            return text.getBytes(StandardCharsets.UTF_8);
        }
    }

    private SongFiles() {}

    /** A chord frame of each shape and chord of a part, by a name for its file. */
    public static Map<String, byte[]> grips(ScoredPart part) {
        Map<String, byte[]> drawings = new LinkedHashMap<>();
        part.part()
                .arrangement()
                .placements()
                .forEach(place -> place.grip().ifPresent(rated -> {
                    String chord = place.played().orElseThrow().toString();
                    String name = chord.replace('/', '-').replaceAll("[^A-Za-z0-9#()-]", "") + " "
                            + rated.grip().shape() + ".svg";
                    drawings.putIfAbsent(
                            name,
                            GripSvg.write(place.played().get().glyphs(), rated.grip(), part.handedness())
                                    .getBytes(StandardCharsets.UTF_8));
                }));
        return drawings;
    }

    /** Chart text that reads as a chart. */
    public static String chartText(Chart chart) {
        return ChartTextWriter.write(chart);
    }

    /** Whether a file holds a tune, but no chords: it needs a chart to be laid over. */
    public static boolean isTune(byte[] file) {
        return MidiFile.is(file);
    }

    /**
     * The tune of a file over a chart, or where there is none as a chart of its own, whose bars wait for chords.
     *
     * @param chartText empty for the tune alone
     * @param voice which of its voices, counted from 0; empty for the one that sings highest
     * @param shift quarters it is moved later
     * @throws FormatException when the file cannot be read
     * @throws RangeException when it has no such voice, or is moved too far
     */
    public static ReadScore tune(Optional<String> chartText, byte[] file, OptionalInt voice, double shift) {
        return chartText
                .map(text -> MidiTuneReader.into(ChartTextReader.read(text).chart(), file, voice, shift))
                .orElseGet(() -> MidiTuneReader.alone(file, voice, shift));
    }

    /** Whether a file is a score, plain or compressed. */
    public static boolean isScore(byte[] file) {
        return MxlFile.is(file) || MusicXmlReader.isXml(file);
    }

    /** @throws FormatException when the score cannot be read */
    public static ReadScore score(byte[] file) {
        return MusicXmlReader.read(file);
    }
}
