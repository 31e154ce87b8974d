package underhand.format.text;

import java.util.List;
import java.util.Optional;

/**
 * A line of a chart with what it is.
 *
 * @param heading the part of the song it begins
 * @param body what stands behind the heading; the whole line where there is none
 * @param pieces of a line with chords; empty for other lines
 */
record Line(SourceLine source, Kind kind, Optional<Heading> heading, SourceLine body, List<Piece> pieces) {

    enum Kind {
        BLANK,
        HEADER,
        /** A heading and nothing else. */
        HEADING,
        /** A letter alone, which may be a chord or name a part. */
        LETTER,
        /** The part of the song ends. */
        PART_END,
        CHORDS,
        BRACKETED,
        WORDS,
        /** Words that are never sung under the chords above them. */
        COMMENT,
        TUNE,
        /** A string of a tab staff. */
        TAB,
        DIRECTION,
        /** What was decided for the song. */
        EXTRA
    }

    static Line of(SourceLine source, Kind kind) {
        return new Line(source, kind, Optional.empty(), source, List.of());
    }

    static Line heading(SourceLine source, Heading heading) {
        return new Line(
                source,
                Kind.HEADING,
                Optional.of(heading),
                source.blankedTo(source.text().length()),
                List.of());
    }

    boolean hasChords() {
        return kind == Kind.CHORDS || kind == Kind.BRACKETED;
    }

    boolean hasBars() {
        return pieces.stream().anyMatch(p -> p.kind().isBar());
    }

    long count(Piece.Kind wanted) {
        return pieces.stream().filter(p -> p.kind() == wanted).count();
    }
}
