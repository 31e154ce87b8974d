package underhand.format.text;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/**
 * How a chart spells its notes: as its header says; else in German where a chord has a name only German knows, unless Bb
 * stands beside it, for then B may be either.
 */
record SpellingFinder(Spelling spelling) {

    private record Seen(Line line, Piece piece) {
        String name() {
            return ChordToken.bare(piece.text());
        }

        boolean isB() {
            return name().startsWith("B") && !isFlatB();
        }

        boolean isFlatB() {
            return name().startsWith("Bb") || name().startsWith("B♭");
        }
    }

    static SpellingFinder of(List<Line> lines, Consumer<Fault> faults) {
        Optional<Spelling> stated = stated(lines);
        if (stated.isPresent()) {
            return new SpellingFinder(stated.get());
        }
        List<Seen> chords = new ArrayList<>();
        for (Line line : lines) {
            line.pieces().stream()
                    .filter(p -> p.kind() == Piece.Kind.CHORD)
                    .forEach(p -> chords.add(new Seen(line, p)));
        }
        Optional<Seen> german =
                chords.stream().filter(c -> Spelling.isGermanOnly(c.name())).findFirst();
        if (german.isEmpty()) {
            return new SpellingFinder(Spelling.ENGLISH);
        }
        boolean anyB = chords.stream().anyMatch(Seen::isB);
        boolean mixed = anyB && chords.stream().anyMatch(Seen::isFlatB);
        report(german.get(), anyB, mixed, faults);
        return new SpellingFinder(mixed ? Spelling.ENGLISH : Spelling.GERMAN);
    }

    private static void report(Seen first, boolean anyB, boolean mixed, Consumer<Fault> faults) {
        SourceLine line = first.line().source();
        int at = first.piece().at();
        String name = first.piece().text();
        List<Fault.Mend> either = List.of(
                new Fault.Mend("B is B flat", 1, 1, 1, 1, "spelling: german\n"),
                new Fault.Mend("B is B natural", 1, 1, 1, 1, "spelling: english\n"));
        if (mixed) {
            faults.accept(Fault.unsure(
                    line, at, name, "is German, and Bb stands beside it; B is read as B natural here", either));
        } else if (anyB) {
            faults.accept(
                    Fault.unsure(line, at, name, "is German: H is read as B, and B as B flat", either.subList(1, 2)));
        } else {
            faults.accept(Fault.told(line, at, name, "is German, and read as such"));
        }
    }

    private static Optional<Spelling> stated(List<Line> lines) {
        ChartHeaders headers = new ChartHeaders();
        lines.stream().filter(l -> l.kind() == Line.Kind.HEADER).forEach(l -> headers.take(l.source(), fault -> {}));
        return headers.spelling;
    }
}
