package underhand.format.text;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.StringJoiner;
import underhand.accompany.Intro;
import underhand.chart.Bar;
import underhand.chord.ChordSymbol;
import underhand.input.RangeException;
import underhand.pitch.Pitch;

/**
 * The tune of a chart as it is written, over all lines of chords as if they were one: read from its {@code tune:} lines and written
 * into them, with every other line left as it is.
 */
public final class TuneText {

    /** Longest tune that is written: about an hour of sixteenths. */
    private static final int MOST_NOTES = 20_000;

    private static final double SAME = 1e-3;

    /**
     * A bar that may carry a tune.
     *
     * @param line number of its line of chords, from 1
     * @param from beats from the chart's first bar
     */
    public record TuneBar(int line, double from, double beats, List<PlacedChord> chords) {

        public TuneBar {
            chords = List.copyOf(chords);
        }
    }

    /** @param from beats from the start of its bar */
    public record PlacedChord(ChordSymbol chord, double from) {}

    /**
     * A note.
     *
     * @param from beats from the chart's first bar
     * @param beats longer than nothing; it may go over bar lines
     */
    public record Note(double from, double beats, Pitch pitch) {

        public Note {
            if (!(from >= 0 && from < 1e6) || !(beats > SAME && beats < 1e6)) {
                throw new RangeException(
                        "notes",
                        "a note starts 0 or more beats in and lasts more than 0, was " + from + " for " + beats);
            }
        }

        double until() {
            return from + beats;
        }
    }

    private final String source;
    private final List<ChartReading.ChordLine> lines;
    private final List<TuneBar> bars = new ArrayList<>();
    private final List<Note> notes = new ArrayList<>();

    private TuneText(String source, ChartReading reading) {
        this.source = source;
        this.lines = reading.lines();
        double at = 0;
        for (ChartReading.ChordLine line : lines) {
            for (Bar bar : line.bars()) {
                double length = TuneCells.length(bar);
                bars.add(new TuneBar(line.line(), at, length, chords(bar)));
                for (TuneCells.Sung sung : TuneCells.notes(bar)) {
                    add(at, sung);
                }
                at += length;
            }
        }
    }

    private static List<PlacedChord> chords(Bar bar) {
        double start = bar.placements().get(0).beat();
        return bar.placements().stream()
                .flatMap(p -> p.chord().map(chord -> new PlacedChord(chord, p.beat() - start)).stream())
                .toList();
    }

    private void add(double at, TuneCells.Sung sung) {
        int last = notes.size() - 1;
        boolean goesOn = sung.tied()
                && last >= 0
                && Math.abs(notes.get(last).until() - at - sung.from()) < SAME
                && notes.get(last).pitch().equals(sung.pitch());
        if (goesOn) {
            Note before = notes.get(last);
            notes.set(last, new Note(before.from(), at + sung.until() - before.from(), before.pitch()));
        } else {
            notes.add(new Note(at + sung.from(), sung.until() - sung.from(), sung.pitch()));
        }
    }

    /** @throws ChartLimitException when the text or what it unrolls to is too large */
    public static TuneText read(String source) {
        return new TuneText(source, ChartTextReader.read(source));
    }

    /**
     * The text of the song with the tune's last bars before it.
     *
     * @param bars 1 to 16; empty for a line of four
     * @throws RangeException when there is no tune, or an intro already
     */
    public static String withIntro(String source, OptionalInt bars) {
        return ChartTextWriter.write(Intro.before(ChartTextReader.read(source).chart(), bars.orElse(Intro.BARS)));
    }

    /** The bars a tune can be written over, in the order of the text. */
    public List<TuneBar> bars() {
        return List.copyOf(bars);
    }

    /** What is written over them, in the order of time. */
    public List<Note> notes() {
        return List.copyOf(notes);
    }

    /**
     * The text with another tune. Lines whose tune stays are left as they were typed; a line of chords without any tune has no
     * {@code tune:} line.
     *
     * @param tune in the order of time, none over another
     */
    public String with(List<Note> tune) {
        check(tune);
        List<String> text = new ArrayList<>(source.lines().toList());
        int bar = bars.size();
        for (int i = lines.size() - 1; i >= 0; i--) {
            ChartReading.ChordLine line = lines.get(i);
            bar -= line.bars().size();
            List<TuneBar> over = bars.subList(bar, bar + line.bars().size());
            write(line, cells(over, tune), cells(over, notes), text);
        }
        String end = source.contains("\r\n") ? "\r\n" : "\n";
        return String.join(end, text) + (source.endsWith("\n") ? end : "");
    }

    private static void check(List<Note> tune) {
        if (tune.size() > MOST_NOTES) {
            throw new RangeException("notes", "a tune has at most " + MOST_NOTES + " notes, was " + tune.size());
        }
        for (int i = 1; i < tune.size(); i++) {
            if (tune.get(i).from() < tune.get(i - 1).until() - SAME) {
                throw new RangeException(
                        "notes", "notes[" + i + "] begins before the one before it has ended; a tune is one voice");
            }
        }
    }

    private static void write(ChartReading.ChordLine line, String after, String before, List<String> text) {
        if (after.equals(before)) {
            return;
        }
        OptionalInt at = line.tuneLine();
        if (at.isPresent() && after.isEmpty()) {
            text.remove(at.getAsInt() - 1);
        } else if (at.isPresent()) {
            text.set(at.getAsInt() - 1, after);
        } else {
            text.add(line.lastLine(), after);
        }
    }

    /** The tune over the bars of a line as text; empty where there is none. Bars at its end without notes are left out. */
    private static String cells(List<TuneBar> over, List<Note> tune) {
        int sung = 0;
        List<String> texts = new ArrayList<>();
        for (int i = 0; i < over.size(); i++) {
            TuneBar bar = over.get(i);
            List<TuneCells.Sung> within = within(bar, tune);
            texts.add(TuneCells.of(bar.beats(), within));
            sung = within.isEmpty() ? sung : i + 1;
        }
        if (sung == 0) {
            return "";
        }
        StringJoiner line = new StringJoiner(" | ", "tune: ", " |");
        texts.subList(0, sung).forEach(line::add);
        return line.toString();
    }

    private static List<TuneCells.Sung> within(TuneBar bar, List<Note> tune) {
        double end = bar.from() + bar.beats();
        return tune.stream()
                .filter(n -> n.until() > bar.from() + SAME && n.from() < end - SAME)
                .map(n -> new TuneCells.Sung(
                        Math.max(0, n.from() - bar.from()),
                        Math.min(bar.beats(), n.until() - bar.from()),
                        n.pitch(),
                        n.from() < bar.from() - SAME))
                .toList();
    }
}
