package underhand.server.files;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.stream.Stream;
import org.mozilla.universalchardet.UniversalDetector;

/**
 * Reads a text file in whatever encoding it was saved: a byte order mark says which, then UTF-8 where every byte fits it, then
 * what the detector finds, then Windows-1252. No sign is replaced in silence.
 */
final class TextFile {

    private static final Charset WESTERN = Charset.forName("windows-1252");

    private TextFile() {}

    /** The text; empty where the file is none. */
    static Optional<String> read(byte[] file) {
        Optional<Charset> marked = Optional.ofNullable(UniversalDetector.detectCharsetFromBOM(file))
                .map(Charset::forName);
        if (marked.isPresent()) {
            return decoded(file, marked.get()).map(TextFile::withoutMark).filter(TextFile::isText);
        }
        return Stream.of(Optional.of(StandardCharsets.UTF_8), detected(file), Optional.of(WESTERN))
                .flatMap(Optional::stream)
                .flatMap(charset -> decoded(file, charset).stream())
                .findFirst()
                .filter(TextFile::isText);
    }

    private static Optional<Charset> detected(byte[] file) {
        UniversalDetector detector = new UniversalDetector();
        detector.handleData(file);
        detector.dataEnd();
        return Optional.ofNullable(detector.getDetectedCharset())
                .filter(Charset::isSupported)
                .map(Charset::forName);
    }

    private static Optional<String> decoded(byte[] file, Charset charset) {
        try {
            return Optional.of(
                    charset.newDecoder().decode(ByteBuffer.wrap(file)).toString());
        } catch (CharacterCodingException e) {
            return Optional.empty();
        }
    }

    private static String withoutMark(String text) {
        return text.startsWith("\uFEFF") ? text.substring(1) : text;
    }

    /** A text has hardly any control characters; a picture or a program is full of them. */
    private static boolean isText(String text) {
        long controls = text.chars()
                .filter(c -> Character.isISOControl(c) && !Character.isWhitespace(c) || c == '\uFFFD')
                .count();
        return text.indexOf('\0') < 0 && controls <= text.length() / 50;
    }
}
