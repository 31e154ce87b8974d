package underhand.server.songs;

import java.time.Instant;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import underhand.chart.Chart;
import underhand.format.ChartReading;
import underhand.format.ChartTextReader;
import underhand.hand.Rung;
import underhand.harmony.KeyFinder;
import underhand.server.arrangements.ArrangementService;
import underhand.server.platform.InputException;
import underhand.server.platform.StaleWriteException;

/** Keeps the songbook. A chart with faults is kept whole as it was typed; the faults are said. */
@Service
@Transactional
public class SongService {

    private static final int LONGEST_TITLE = 200;
    private static final String UNTITLED = "Untitled song";

    private final SongRepository songs;
    private final ArrangementService arrangements;

    SongService(SongRepository songs, ArrangementService arrangements) {
        this.songs = songs;
        this.arrangements = arrangements;
    }

    @Transactional(readOnly = true)
    List<SongSummary> list() {
        return songs.findAllByOrderByTitleAscIdAsc().stream()
                .map(SongService::summary)
                .toList();
    }

    @Transactional(readOnly = true)
    public boolean isEmpty() {
        return songs.count() == 0;
    }

    @Transactional(readOnly = true)
    SongView get(long id) {
        return view(song(id));
    }

    /** What the song asks of a hand on each rung. */
    @Transactional(readOnly = true)
    List<ArrangementService.RungEffort> efforts(long id) {
        return arrangements.efforts(song(id).source());
    }

    /** Adds a chart to the book; its own capo becomes the first decision. */
    SongView add(String source) {
        ChartReading reading = ChartTextReader.read(required(source));
        Chart chart = reading.chart();
        if (chart.placements().isEmpty()) {
            throw InputException.field(
                    "source",
                    "There is no chord in this text. Write chords in [brackets] inside the words, or on a line"
                            + " over them.");
        }
        Integer capo = chart.capo().isPresent() ? chart.capo().getAsInt() : null;
        return view(songs.saveAndFlush(new Song(title(chart), source, Decisions.first(Rung.LOWEST, capo))));
    }

    /** Adds a chart with decisions of its own, for the demo book. */
    public void add(String source, int rung) {
        Chart chart = ChartTextReader.read(source).chart();
        songs.save(new Song(title(chart), source, Decisions.first(rung, null)));
    }

    SongView change(long id, long version, String source, Decisions decisions) {
        Song song = song(id);
        ChartReading reading = check(source, decisions);
        if (song.version() != version) {
            throw new StaleWriteException(
                    "The song",
                    new SongView(id, version, title(reading.chart()), source, decisions, song.changedAt(), List.of()),
                    view(song));
        }
        song.change(title(reading.chart()), source, decisions);
        return view(songs.saveAndFlush(song));
    }

    /** Notes that somebody played along to a song just now. */
    void practised(long id) {
        if (songs.practised(id, Instant.now()) == 0) {
            throw noSong(id);
        }
    }

    void remove(long id) {
        songs.delete(song(id));
    }

    /** @throws RuntimeException naming what of a chart and its decisions cannot be kept */
    static ChartReading check(String source, Decisions decisions) {
        ChartReading reading = ChartTextReader.read(required(source));
        if (decisions == null) {
            throw InputException.field("decisions", "decisions is missing.");
        }
        decisions.check();
        return reading;
    }

    private static String required(String source) {
        if (source == null || source.isBlank()) {
            throw InputException.field("source", "There is nothing here yet. Paste a chart first.");
        }
        return source;
    }

    private Song song(long id) {
        return songs.findById(id).orElseThrow(() -> noSong(id));
    }

    private static InputException noSong(long id) {
        return InputException.notFound("There is no song " + id + " in the book; it may have been removed.");
    }

    private static String title(Chart chart) {
        String title = chart.title().isBlank() ? UNTITLED : chart.title().strip();
        return title.length() <= LONGEST_TITLE ? title : title.substring(0, LONGEST_TITLE);
    }

    private static SongView view(Song song) {
        ChartReading reading = ChartTextReader.read(song.source());
        return new SongView(
                song.id(),
                song.version(),
                song.title(),
                song.source(),
                song.decisions(),
                song.changedAt(),
                ArrangementService.faults(reading));
    }

    private static SongSummary summary(Song song) {
        ChartReading reading = ChartTextReader.read(song.source());
        Chart chart = reading.chart();
        return new SongSummary(
                song.id(),
                song.title(),
                KeyFinder.keyOf(chart).glyphs(),
                chart.metre().toString(),
                chart.tempo().orElse(Chart.DEFAULT_TEMPO),
                chart.bars(),
                (int) chart.placements().stream()
                        .flatMap(p -> p.placement().chord().stream())
                        .distinct()
                        .count(),
                reading.faults().size(),
                song.practisedAt().orElse(null));
    }
}
