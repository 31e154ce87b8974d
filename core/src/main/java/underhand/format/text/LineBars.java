package underhand.format.text;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import underhand.chart.Bar;
import underhand.chart.Metre;
import underhand.chart.Placement;
import underhand.chord.ChordSymbol;

/**
 * Adds the bars of one line with chords to a chart, in one pass over its pieces. Without bar lines each chord fills a bar, but
 * chords within one word share one.
 */
final class LineBars {

    private static final int MOST_TIMES = 32;

    private final SourceLine line;
    private final List<Piece> pieces;
    private final ChartBuilder builder;
    private final ChartHeaders headers;
    private final Optional<Under> under;
    private final Consumer<Fault> faults;
    private final boolean barred;
    private final int firstBar;
    private BarFiller bar = new BarFiller();
    private boolean closesRepeat;

    /** Whether a bar line stands before this place with nothing after it yet that makes or explains a bar. */
    private boolean isOpen;

    /** What could not be read in the bar that is open. */
    private boolean isMarked;

    private int chords;

    /** Words before the first chord of a bar; they go with that chord. */
    private String pickUp = "";

    private LineBars(
            Line line, ChartBuilder builder, ChartHeaders headers, Optional<String> words, Consumer<Fault> faults) {
        this.line = line.source();
        this.pieces = line.pieces();
        this.builder = builder;
        this.headers = headers;
        this.faults = faults;
        this.barred = line.hasBars();
        this.firstBar = builder.barsInSection();
        this.under = words.map(text -> new Under(
                text, pieces.stream().filter(LineBars::isPlace).map(Piece::at).toList()));
    }

    /** @param words that stand under the line, where it is one of chords */
    static void add(
            Line line, ChartBuilder builder, ChartHeaders headers, Optional<String> words, Consumer<Fault> faults) {
        new LineBars(line, builder, headers, words, faults).run();
    }

    private static boolean isPlace(Piece piece) {
        return piece.kind() == Piece.Kind.CHORD || piece.kind() == Piece.Kind.UNREAD;
    }

    private void run() {
        pieces.forEach(this::piece);
        finishBar();
        finishRepeat(2);
        builder.lyric(pickUp);
    }

    private void piece(Piece piece) {
        if (piece.kind() != Piece.Kind.TIMES) {
            finishRepeat(2);
        }
        switch (piece.kind()) {
            case CHORD, UNREAD -> chord(piece);
            case ODD -> odd(piece);
            case WORDS -> words(piece.text());
            case BEAT -> bar.beat();
            case STROKE -> bar.stroke();
            case DASH -> bar.dash();
            case SAME_BAR -> sameBar(piece);
            case ENDING -> {
                isOpen = true;
                builder.ending();
            }
            case METRE -> metre(piece);
            case DIRECTION -> {
                isOpen = false;
                direction(line, piece.at(), piece.text(), faults);
            }
            case TIMES -> times(piece);
            case BAR, OPEN_REPEAT, CLOSE_REPEAT, TURN_REPEAT -> barLine(piece);
        }
    }

    /** Says that a jump is not played. */
    static void direction(SourceLine line, int at, String text, Consumer<Fault> faults) {
        faults.accept(Fault.told(line, at, text, "is a jump, which is not played; write out the bars that come again"));
    }

    private void barLine(Piece piece) {
        if (bar.isEmpty() && isOpen && piece.kind() != Piece.Kind.OPEN_REPEAT) {
            emptyBar(piece);
        }
        finishBar();
        switch (piece.kind()) {
            case OPEN_REPEAT -> builder.openRepeat();
            case CLOSE_REPEAT -> closesRepeat = true;
            case TURN_REPEAT -> {
                closesRepeat = true;
                finishRepeat(2);
                builder.openRepeat();
            }
            default -> {
                // A plain bar line.
            }
        }
        isOpen = piece.kind() != Piece.Kind.CLOSE_REPEAT;
        isMarked = false;
    }

    /** Nothing stands between two bar lines, or nothing that can be read: it is a bar all the same. */
    private void emptyBar(Piece end) {
        if (isMarked) {
            bar.chord(Optional.empty(), takePickUp());
            return;
        }
        if (pickUp.isBlank()) {
            faults.accept(Fault.told(
                    line,
                    end.at(),
                    end.text(),
                    "ends a bar with nothing in it; "
                            + builder.lastChord()
                                    .map(c -> "the " + c + " before it goes on")
                                    .orElse("it is silent")));
        }
        bar.beat(takePickUp());
    }

    private String takePickUp() {
        String words = pickUp;
        pickUp = "";
        return words;
    }

    private void chord(Piece piece) {
        int index = chords++;
        boolean sharesWord = piece.glued() && !bar.isEmpty()
                || under.filter(u -> u.shares(index)).isPresent() && !bar.isEmpty();
        if (!barred && !sharesWord) {
            finishBar();
        }
        Optional<ChordSymbol> chord =
                piece.kind() == Piece.Kind.CHORD ? piece.token().chord() : Optional.empty();
        if (piece.kind() == Piece.Kind.UNREAD) {
            unread(piece);
        }
        bar.chord(chord, takePickUp() + under.map(u -> u.of(index)).orElse(""));
    }

    private void unread(Piece piece) {
        faults.accept(Fault.unread(line, piece.at(), piece.text(), "is no chord name here")
                .suggesting(ChordSuggester.suggest(piece.text())));
    }

    /** A word among chords: it takes no bar, but one that stands in a bar alone was meant as something. */
    private void odd(Piece piece) {
        isMarked = true;
        faults.accept(Fault.unread(line, piece.at(), piece.text(), "is no chord; kept as text"));
    }

    private void words(String text) {
        if (bar.isEmpty()) {
            pickUp += text;
        } else {
            bar.lyric(text);
        }
    }

    private void sameBar(Piece piece) {
        finishBar();
        isOpen = false;
        Optional<Bar> last = builder.lastBar();
        if (last.isEmpty()) {
            faults.accept(Fault.unread(line, piece.at(), piece.text(), "repeats a bar, but there is none before it"));
        }
        builder.bar(last.map(Bar::again).orElseGet(() -> silent(headers.metre)));
    }

    private static Bar silent(Metre metre) {
        return new Bar(metre, List.of(new Placement(Optional.empty(), 1, metre.beats(), "")));
    }

    private void metre(Piece piece) {
        try {
            headers.metre = Metre.parse(piece.text());
            if (builder.isEmpty()) {
                headers.firstMetre = headers.metre;
            }
        } catch (IllegalArgumentException e) {
            faults.accept(Fault.unread(line, piece.at(), piece.text(), "is no metre (write it like 3/4)"));
        }
    }

    private void finishBar() {
        if (bar.isEmpty()) {
            return;
        }
        Metre metre = headers.metre;
        int drawn = bar.drawnBeats(metre);
        boolean first = builder.isEmpty();
        boolean pickUpBar = first && bar.isShort(metre);
        if (drawn > 0 && drawn != metre.beats() && barred && !pickUpBar) {
            faults.accept(Fault.unread(
                    line,
                    line.indent(),
                    drawn + " beats",
                    "stand in a bar of " + metre + "; the bar was shared evenly"));
        }
        builder.bar(builder.fill(bar, metre, headers.pickUp));
        bar = new BarFiller();
    }

    private void finishRepeat(int times) {
        if (closesRepeat) {
            builder.closeRepeat(times);
            closesRepeat = false;
        }
    }

    private void times(Piece piece) {
        isOpen = false;
        int times = Marks.times(piece.text());
        if (times < 1 || times > MOST_TIMES) {
            faults.accept(Fault.unread(line, piece.at(), piece.text(), "repeats 1 to " + MOST_TIMES + " times"));
        } else if (closesRepeat) {
            finishRepeat(times);
        } else {
            finishBar();
            builder.repeat(firstBar, times);
        }
    }
}
