package underhand.server.files;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.springframework.stereotype.Service;
import underhand.chart.Chart;
import underhand.format.score.ReadScore;
import underhand.format.score.ScoredPart;
import underhand.format.score.SongFiles;
import underhand.server.files.FileController.FileRequest;
import underhand.server.files.FileController.MidiVoiceView;
import underhand.server.files.FileController.ReadRequest;
import underhand.server.files.FileController.ReadView;
import underhand.server.files.FileController.TuneChoiceView;
import underhand.server.files.PdfSheet.Look;
import underhand.server.files.PdfSheet.Paper;
import underhand.server.parts.PartService;
import underhand.server.platform.InputException;
import underhand.server.songs.SongText;

/** Writes songs into files and reads them from files. */
@Service
class FileService {

    private static final int MOST_FILE_BYTES = 5 * 1024 * 1024;
    private static final int MOST_ENTRIES = 200;
    private static final String CHART_ENDING = "chart.txt";
    private static final String TEXT = "text/plain;charset=UTF-8";
    private static final String ZIP = "application/zip";

    private final PartService parts;
    private final ObjectMapper json;

    FileService(PartService parts, ObjectMapper json) {
        this.parts = parts;
        this.json = json;
    }

    record Written(String name, String type, byte[] bytes) {}

    /** What every file is written from. */
    private record Sheaf(String title, String source, PartService.Written first, List<ScoredPart> parts) {}

    Written write(FileRequest request) {
        if (request.song() == null || request.format() == null) {
            throw InputException.field("format", "Send the format wanted and the song, as a preview takes it.");
        }
        Look look = look(request);
        Sheaf song = song(request);
        if (request.format().equals("all")) {
            Map<String, byte[]> files = new LinkedHashMap<>();
            for (String format : List.of("pdf", "musicxml", "mxl", "midi", "chart", "tab", "road")) {
                Written file = one(format, song, look);
                files.put(file.name(), file.bytes());
            }
            grips(song).forEach((name, svg) -> files.put("grips/" + name, svg));
            return new Written(named(song, "zip"), ZIP, zip(files));
        }
        return one(request.format(), song, look);
    }

    private Sheaf song(FileRequest request) {
        PartService.Written first = parts.part(request.song());
        String title = first.arranged().chart().title().isBlank()
                ? "Untitled song"
                : first.arranged().chart().title();
        List<ScoredPart> scored = new ArrayList<>();
        scored.add(first.scored("Guitar"));
        if (request.song().second() != null) {
            scored.add(parts.second(request.song()).scored("Second guitar"));
        }
        boolean asTyped = request.song().transpose() == null || request.song().transpose() == 0;
        Chart chart = first.arranged().chart();
        String source = asTyped ? request.song().chart().source() : SongFiles.chartText(chart);
        int moved = asTyped ? 0 : request.song().transpose();
        return new Sheaf(title, SongText.write(source, request.song(), moved, json), first, scored);
    }

    private static Look look(FileRequest request) {
        Paper paper = switch (request.paper() == null ? "a4" : request.paper().toLowerCase(Locale.ROOT)) {
            case "a4" -> Paper.A4;
            case "letter" -> Paper.LETTER;
            default ->
                throw InputException.field("paper", "paper must be a4 or letter, was \"" + request.paper() + "\".");
        };
        boolean tab = switch (request.layout() == null ? "words" : request.layout()) {
            case "words" -> false;
            case "tab" -> true;
            default ->
                throw InputException.field("layout", "layout must be words or tab, was \"" + request.layout() + "\".");
        };
        return new Look(paper, tab, Boolean.TRUE.equals(request.big()), Boolean.TRUE.equals(request.writtenOut()));
    }

    private static Written one(String format, Sheaf song, Look look) {
        return switch (format) {
            case "pdf" ->
                new Written(named(song, "pdf"), "application/pdf", PdfSheet.write(song.title(), song.parts(), look));
            case "chart" ->
                new Written(named(song, CHART_ENDING), TEXT, song.source().getBytes(StandardCharsets.UTF_8));
            case "grips" -> new Written(named(song, "grips.zip"), ZIP, zip(grips(song)));
            case "musicxml", "mxl", "midi", "tab", "road" ->
                written(SongFiles.Format.valueOf(format.toUpperCase(Locale.ROOT)), song);
            default ->
                throw InputException.field(
                        "format",
                        "format must be pdf, musicxml, mxl, midi, chart, tab, road, grips or all, was \"" + format
                                + "\".");
        };
    }

    private static Written written(SongFiles.Format format, Sheaf song) {
        return new Written(named(song, format.ending()), format.mediaType(), format.write(song.title(), song.parts()));
    }

    /** A file name any system takes. */
    private static String named(Sheaf song, String ending) {
        String plain = song.title().replaceAll("[^\\p{L}\\p{N} ,'-]", "").strip();
        String name = plain.isEmpty() ? "song" : plain.substring(0, Math.min(80, plain.length()));
        return name + "." + ending;
    }

    private static Map<String, byte[]> grips(Sheaf song) {
        return SongFiles.grips(song.parts().get(0));
    }

    private static byte[] zip(Map<String, byte[]> files) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (Map.Entry<String, byte[]> file : files.entrySet()) {
                ZipEntry entry = new ZipEntry(file.getKey());
                entry.setTime(0);
                zip.putNextEntry(entry);
                zip.write(file.getValue());
                zip.closeEntry();
            }
        } catch (IOException e) {
            throw new UncheckedIOException("writing to memory failed", e);
        }
        return out.toByteArray();
    }

    /** A file of other origin as chart text: a score, a tune for a chart that is there, or chart text itself. */
    ReadView read(ReadRequest request) {
        byte[] file = request.file();
        if (file == null || file.length == 0) {
            throw InputException.field("file", "The file is empty.");
        }
        if (file.length > MOST_FILE_BYTES) {
            throw InputException.field(
                    "file", "A file may have at most 5 MiB; this one has " + file.length + " bytes.");
        }
        Optional<byte[]> chart = chartIn(file);
        if (chart.isPresent()) {
            return read(new ReadRequest(chart.get(), null, null, null));
        }
        if (SongFiles.isTune(file)) {
            return view(SongFiles.tune(
                    Optional.ofNullable(request.source()).filter(s -> !s.isBlank()),
                    file,
                    request.voice() == null ? OptionalInt.empty() : OptionalInt.of(request.voice()),
                    request.shift() == null ? 0 : request.shift()));
        }
        if (SongFiles.isScore(file)) {
            return view(SongFiles.score(file));
        }
        String text = TextFile.read(file)
                .orElseThrow(() -> InputException.field(
                        "file", "This is neither chart text, nor MusicXML, nor MIDI. Save the song as one of these."));
        return new ReadView(text, List.of(), null);
    }

    /** The chart text in a ZIP of all of a song's files. */
    private static Optional<byte[]> chartIn(byte[] file) {
        if (file.length < 4 || file[0] != 'P' || file[1] != 'K') {
            return Optional.empty();
        }
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(file))) {
            ZipEntry entry = zip.getNextEntry();
            for (int i = 0; entry != null && i < MOST_ENTRIES; i++) {
                if (entry.getName().endsWith("." + CHART_ENDING)) {
                    return Optional.of(zip.readNBytes(MOST_FILE_BYTES));
                }
                entry = zip.getNextEntry();
            }
        } catch (IOException | IllegalArgumentException e) {
            // No ZIP after all: it is refused as whatever it is.
        }
        return Optional.empty();
    }

    private static ReadView view(ReadScore read) {
        return new ReadView(
                SongFiles.chartText(read.chart()),
                read.dropped(),
                read.tune().map(FileService::view).orElse(null));
    }

    private static TuneChoiceView view(ReadScore.Tune tune) {
        return new TuneChoiceView(
                tune.voices().stream()
                        .map(v -> new MidiVoiceView(v.name(), v.notes(), v.lowest(), v.highest()))
                        .toList(),
                tune.voice(),
                tune.shift(),
                tune.proposedShift().isPresent() ? tune.proposedShift().getAsDouble() : null);
    }
}
