package underhand.format.score;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import underhand.chord.ChordSymbol;
import underhand.chord.ChordType;
import underhand.format.score.ChordKinds.ChordDegree;

/** Chord types as MusicXML kinds and back. */
class ChordKindsTest {

    private static ChordType type(String suffix) {
        return ChordSymbol.parse("C" + suffix).type();
    }

    /** Whatever a chord is called here, its kind and degrees give the same notes again. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "m",
                "5",
                "7",
                "m7",
                "maj7",
                "6",
                "m6",
                "sus4",
                "sus2",
                "7sus4",
                "7sus2",
                "dim",
                "dim7",
                "m7b5",
                "(b5)",
                "aug",
                "aug7",
                "augmaj7",
                "7b5",
                "maj7b5",
                "m(maj7)",
                "dim(maj7)",
                "add9",
                "m(add9)",
                "add11",
                "6/9",
                "m6/9",
                "9",
                "m9",
                "maj9",
                "m(maj9)",
                "9sus4",
                "maj7sus4",
                "7b9",
                "7#9",
                "7#11",
                "7b13",
                "9b13",
                "7b9b13",
                "7#9b13",
                "7b9sus4",
                "aug9",
                "9b5",
                "7#5b9",
                "7#5#9",
                "7b5b9",
                "7b5#9",
                "9#11",
                "m7#5",
                "m9b5",
                "11",
                "m11",
                "maj7#11",
                "maj9#11",
                "maj11",
                "13",
                "m13",
                "maj13",
                "13sus4",
                "13b9",
                "13#9",
                "13#11",
                "7alt"
            })
    void kindAndDegrees_readAgain_areTheSameNotes(String suffix) {
        ChordType wanted = type(suffix);
        ChordKinds.Kind kind = ChordKinds.of(wanted);
        assertEquals(
                Optional.of(wanted.intervals()),
                ChordKinds.type(kind.kind(), "", kind.degrees()).map(ChordType::intervals),
                kind.toString());
    }

    /** Kinds a musician would choose; the standard's own (W3C, MusicXML 4.0, from memory). */
    @ParameterizedTest
    @CsvSource({
        "7, dominant, 0",
        "maj7, major-seventh, 0",
        "m7b5, half-diminished, 0",
        "dim7, diminished-seventh, 0",
        "5, power, 0",
        "13, dominant-13th, 0",
        "m(maj7), major-minor, 0",
        "7b9, dominant, 1",
        "7sus4, suspended-fourth, 1",
        "add9, major, 1",
        "6/9, major-sixth, 1",
    })
    void kind_isThePlainestWithFewestDegrees(String suffix, String kind, int degrees) {
        ChordKinds.Kind found = ChordKinds.of(type(suffix));
        assertEquals(kind, found.kind());
        assertEquals(degrees, found.degrees().size(), found.toString());
    }

    @Test
    void kind_thatIsNoneOfTheStandards_isReadFromItsText() {
        assertEquals(Optional.of(type("9sus4")), ChordKinds.type("other", "9sus4", List.of()));
        assertTrue(ChordKinds.type("other", "", List.of()).isEmpty());
        assertTrue(ChordKinds.type("other", "nonsense", List.of()).isEmpty());
    }

    @Test
    void degree_thatCannotBe_isRefusedNotGuessed() {
        assertTrue(ChordKinds.type("major", "", List.of(new ChordDegree(99, 0, "add")))
                .isEmpty());
        assertTrue(ChordKinds.type("major", "", List.of(new ChordDegree(5, 9, "alter")))
                .isEmpty());
    }
}
