package underhand.server.songs;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import underhand.chart.Chart;
import underhand.format.text.ChartReading;
import underhand.format.text.ChartTextReader;
import underhand.hand.Rung;
import underhand.server.arrangements.ArrangementService;
import underhand.server.arrangements.PlannerVersion;
import underhand.server.arrangements.PreviewRequest;
import underhand.server.arrangements.Task;
import underhand.server.platform.InputException;
import underhand.server.platform.StaleWriteException;
import underhand.server.players.PlayerService;
import underhand.server.songs.SongRepository.Line;
import underhand.server.storage.RemovedThings;
import underhand.server.storage.StorageException;
import underhand.server.storage.Writes;

/** Keeps the songbook. A chart with faults is kept whole as it was typed; the faults are said. */
@Service
public class SongService {

    private static final int LONGEST_TITLE = 200;
    private static final String UNTITLED = "Untitled song";

    /** How long a removed song can be put back. */
    private final SongRepository songs;

    private final ArrangementService arrangements;
    private final PlayerService players;
    private final Writes writes;
    private final ObjectMapper json;
    private final String planner;

    SongService(
            SongRepository songs,
            ArrangementService arrangements,
            PlayerService players,
            Writes writes,
            ObjectMapper json,
            PlannerVersion planner) {
        this.songs = songs;
        this.arrangements = arrangements;
        this.players = players;
        this.writes = writes;
        this.json = json;
        this.planner = planner.toString();
    }

    /** Whether the book never had a song, as far as it remembers. */
    public boolean isUntouched() {
        return songs.count() == 0;
    }

    List<SongSummary> list() {
        List<Line> lines = songs.lines();
        List<SongSummary> summaries = new ArrayList<>();
        for (Line line : lines) {
            summaries.add(summary(line, planner.equals(line.summaryBy()) ? line.summary() : summarised(line.id())));
        }
        return summaries;
    }

    /** Reads the chart of a song that another planner summarised, and keeps what it says. */
    private SongFacts summarised(long id) {
        SongFacts facts = SongFacts.of(
                ChartTextReader.read(songs.findById(id).map(SongEntity::source).orElse("")));
        storedIfThereIsRoom(() -> songs.summarised(id, facts, planner));
        return facts;
    }

    /** Stores what can be worked out anew: where the disk is full it is not kept. */
    private void storedIfThereIsRoom(Runnable write) {
        try {
            writes.in(write);
        } catch (StorageException e) {
            // The answer is known all the same.
        }
    }

    @Transactional(readOnly = true)
    SongView get(long id) {
        return view(song(id));
    }

    /**
     * A song with what asks for its part.
     *
     * @param playedOn day on which it is to be played; empty where none is set
     */
    public record ToPractise(long id, String title, PreviewRequest asked, Optional<LocalDate> playedOn) {}

    /** The songs that are to be played next, then those that were practised last, then those that never were. */
    @Transactional(readOnly = true)
    public List<ToPractise> toPractise(int most, LocalDate today) {
        return songs.lines().stream()
                .sorted(Comparator.comparing((Line line) -> Optional.ofNullable(line.playedOn())
                                .filter(day -> !day.isBefore(today))
                                .orElse(LocalDate.MAX))
                        .thenComparing(Line::practisedAt, Comparator.nullsLast(Comparator.reverseOrder())))
                .limit(most)
                .map(line -> song(line.id()))
                .map(song -> new ToPractise(
                        song.id(), song.title(), song.decisions().asked(song.source(), players), song.playedOn()))
                .toList();
    }

    /** What the song asks of a hand on each rung: kept until the chart or the planner changes. */
    List<ArrangementService.RungEffort> efforts(long id) {
        SongEntity song = song(id);
        return song.efforts(planner).map(SongEfforts::rungs).orElseGet(() -> {
            List<ArrangementService.RungEffort> efforts = arrangements.efforts(song.source());
            storedIfThereIsRoom(() -> songs.measured(id, song.version(), new SongEfforts(efforts), planner));
            return efforts;
        });
    }

    /**
     * Plans a song's part as it is stored, keeps how it looks, and says how that differs from what another planner made of the
     * same song: once, for it is kept then.
     */
    Optional<SeenPart.PartChange> look(long id) {
        SongEntity song = song(id);
        Task task = arrangements.task(song.decisions().asked(song.source(), players));
        SeenPart now = arrangements.planned(
                task,
                () -> SeenPart.of(song.version(), arrangements.arranged(task).arrangement()));
        Optional<SeenPart.PartChange> change = song.seenOfAnother(planner).flatMap(now::changed);
        if (!song.hasSeen(now, planner)) {
            storedIfThereIsRoom(() -> songs.seen(id, song.version(), now, planner));
        }
        return change;
    }

    /** Adds a chart to the book with what its text says was decided; else its own capo becomes the first decision. */
    SongView add(String text) {
        SongText.Taken taken = SongText.read(required(text), json);
        String source = taken.source();
        ChartReading reading = ChartTextReader.read(source);
        Chart chart = reading.chart();
        if (chart.placements().isEmpty()) {
            throw InputException.field(
                    "source",
                    "There is no chord in this text. Write chords in [brackets] inside the words, or on a line"
                            + " over them.");
        }
        Integer capo = chart.capo().isPresent() ? chart.capo().getAsInt() : null;
        Decisions decisions = taken.decisions().orElseGet(() -> Decisions.first(Rung.LOWEST, capo));
        return writes.in(() -> view(songs.saveAndFlush(song(reading, source, decisions))));
    }

    /** Adds a chart with decisions of its own, for the demo book. */
    public void add(String source, int rung) {
        ChartReading reading = ChartTextReader.read(source);
        writes.in(() -> songs.save(song(reading, source, Decisions.first(rung, null))));
    }

    private SongEntity song(ChartReading reading, String source, Decisions decisions) {
        return new SongEntity(title(reading.chart()), source, decisions, SongFacts.of(reading), planner);
    }

    SongView change(long id, long version, String source, Decisions decisions) {
        ChartReading reading = check(source, decisions);
        String title = title(reading.chart());
        return writes.in(() -> {
            SongEntity song = song(id);
            if (song.version() != version) {
                throw new StaleWriteException(
                        "The song",
                        new SongView(id, song.uid(), version, title, source, decisions, song.changedAt(), List.of()),
                        view(song));
            }
            song.change(title, source, decisions, SongFacts.of(reading), planner);
            return view(songs.saveAndFlush(song));
        });
    }

    /** Notes that somebody played along to a song just now. */
    void practised(long id) {
        writes.in(() -> {
            if (songs.practised(id, Instant.now()) == 0) {
                throw noSong(id);
            }
        });
    }

    /**
     * Sets the day on which a song is to be played.
     *
     * @param date year-month-day; null for none
     */
    void playedOn(long id, String date) {
        LocalDate day;
        try {
            day = date == null ? null : LocalDate.parse(date);
        } catch (DateTimeException unread) {
            throw InputException.field("date", "\"" + date + "\" is no day; send one such as 2027-05-01.");
        }
        writes.in(() -> {
            if (songs.playedOn(id, day) == 0) {
                throw noSong(id);
            }
        });
    }

    /** Takes a song out of the book; it can be put back for thirty days. */
    void remove(long id) {
        writes.in(() -> {
            SongEntity song = song(id);
            song.remove();
            songs.saveAndFlush(song);
        });
    }

    /** Songs that can be put back, the last removed first. */
    List<RemovedSongView> removed() {
        return songs.findByRemovedAtIsNotNullOrderByRemovedAtDesc().stream()
                .map(s -> {
                    Instant at = s.removedAt().orElseThrow();
                    return new RemovedSongView(s.id(), s.title(), at, at.plus(RemovedThings.KEPT));
                })
                .toList();
    }

    SongView putBack(long id) {
        return writes.in(() -> {
            SongEntity song = songs.findById(id)
                    .filter(s -> s.removedAt().isPresent())
                    .orElseThrow(() -> InputException.notFound("There is no removed song " + id + " to put back."));
            song.putBack();
            return view(songs.saveAndFlush(song));
        });
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

    static String required(String source) {
        if (source == null || source.isBlank()) {
            throw InputException.field("source", "There is nothing here yet. Paste a chart first.");
        }
        return source;
    }

    private SongEntity song(long id) {
        return songs.findByIdAndRemovedAtIsNull(id).orElseThrow(() -> noSong(id));
    }

    private static InputException noSong(long id) {
        return InputException.notFound("There is no song " + id + " in the book; it may have been removed.");
    }

    private static String title(Chart chart) {
        String title = chart.title().isBlank() ? UNTITLED : chart.title().strip();
        return title.length() <= LONGEST_TITLE ? title : title.substring(0, LONGEST_TITLE);
    }

    private static SongView view(SongEntity song) {
        ChartReading reading = ChartTextReader.read(song.source());
        return new SongView(
                song.id(),
                song.uid(),
                song.version(),
                song.title(),
                song.source(),
                song.decisions(),
                song.changedAt(),
                ArrangementService.faults(reading));
    }

    private SongSummary summary(Line line, SongFacts facts) {
        boolean isMeasured = planner.equals(line.effortsBy()) && line.efforts() != null;
        return new SongSummary(
                line.id(),
                line.title(),
                facts.key(),
                facts.metre(),
                facts.tempo(),
                facts.bars(),
                facts.chords(),
                facts.faults(),
                line.practisedAt(),
                line.playedOn(),
                isMeasured ? line.efforts().rungs() : null);
    }
}
