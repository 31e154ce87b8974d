package underhand.format.staff;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import underhand.arrange.Arranger;
import underhand.format.text.ChartTextReader;
import underhand.neck.Shape;
import underhand.settings.ArrangementSettings;
import underhand.settings.Lock;

class ChordMarkTest {

    /** Roman numerals, common practice. */
    @ParameterizedTest
    @CsvSource({
        "1,I",
        "3,III",
        "4,IV",
        "5,V",
        "8,VIII",
        "9,IX",
        "10,X",
        "14,XIV",
        "15,XV",
        "19,XIX",
        "24,XXIV",
        "36,XXXVI"
    })
    void roman_ofAFret_isItsNumeral(int fret, String numeral) {
        assertEquals(numeral, ChordMark.roman(fret));
    }

    @ParameterizedTest
    @CsvSource({"F, 133211, F BI", "Bb, 6-8-8-7-6-6, B♭ BVI", "C, x32010, C", "E, 12-14-14-13-12-12, E BXII"})
    void of_aGrip_saysItsBarre(String chord, String shape, String mark) {
        ArrangementSettings settings =
                ArrangementSettings.ofRung(5).withCapo(0).withLocks(List.of(Lock.onShape(0, Shape.parse(shape))));
        assertEquals(
                mark,
                ChordMark.of(new Arranger()
                        .arrange(ChartTextReader.read("| " + chord + " |").chart(), settings)
                        .placements()
                        .get(0)));
    }
}
