package underhand.server.files;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.Charset;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TextFileTest {

    private static final String GERMAN =
            "title: Überm Kanal\n[Am]Früh löst der [H7]Schleusenwärter die Stämme\n[Em]spät\n";
    private static final String FRENCH = "title: Le canal\n[Am]Où est la péniche, [E7]le café est froid\n[Am]déjà\n";

    private static byte[] encoded(String text, String charset, String mark) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        for (int i = 0; i < mark.length(); i += 2) {
            bytes.write(Integer.parseInt(mark.substring(i, i + 2), 16));
        }
        bytes.write(text.getBytes(Charset.forName(charset)));
        return bytes.toByteArray();
    }

    @ParameterizedTest
    @CsvSource({"UTF-8,''", "UTF-8,EFBBBF", "UTF-16LE,FFFE", "UTF-16BE,FEFF", "ISO-8859-1,''", "windows-1252,''"})
    void read_chartInEveryUsualEncoding_isTheSameText(String charset, String mark) throws IOException {
        assertEquals(Optional.of(GERMAN), TextFile.read(encoded(GERMAN, charset, mark)));
        assertEquals(Optional.of(FRENCH), TextFile.read(encoded(FRENCH, charset, mark)));
    }

    @Test
    void read_shortWesternText_keepsItsUmlauts() throws IOException {
        assertEquals(Optional.of("[G]ü [D]Öl"), TextFile.read(encoded("[G]ü [D]Öl", "ISO-8859-1", "")));
    }

    @Test
    void read_bytesOfAPicture_areNoText() {
        byte[] bytes = new byte[4096];
        new Random(7).nextBytes(bytes);
        assertEquals(Optional.empty(), TextFile.read(bytes));
    }
}
