package underhand.server.storage;

import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What the first block of the database's file says of its end. The database itself takes a file whose end is cut off for an
 * older one, or for an empty one; whoever closed it in order wrote down which chunk is the last and where it lies (H2's
 * documentation, "MVStore, File Format").
 */
final class StoreHeader {

    private static final int BLOCK = 4096;
    private static final int FOOTER = 128;

    private StoreHeader() {}

    /** Whether a file that was closed in order lacks its last chunk, or a part of it. */
    static boolean lacksItsEnd(Path path) throws IOException {
        try (RandomAccessFile file = new RandomAccessFile(path.toFile(), "r")) {
            String header = text(file, 0, BLOCK);
            Optional<Long> chunk = number(header, "chunk");
            Optional<Long> block = number(header, "block");
            boolean isClosed = header.startsWith("H:") && header.contains(",clean:1,");
            if (!isClosed || chunk.isEmpty() || block.isEmpty()) {
                return false;
            }
            long start = block.get() * BLOCK;
            String first = text(file, start, BLOCK);
            Optional<Long> blocks = number(first, "len");
            if (!number(first, "chunk").equals(chunk) || blocks.isEmpty()) {
                return true;
            }
            String footer = text(file, start + blocks.get() * BLOCK - FOOTER, FOOTER);
            return !number(footer, "chunk").equals(chunk);
        }
    }

    /** Characters of a part of a file; fewer at its end. */
    private static String text(RandomAccessFile file, long from, int length) throws IOException {
        if (from < 0 || from >= file.length()) {
            return "";
        }
        byte[] bytes = new byte[(int) Math.min(length, file.length() - from)];
        file.seek(from);
        file.readFully(bytes);
        return new String(bytes, StandardCharsets.ISO_8859_1);
    }

    /** A hexadecimal number by its name. */
    private static Optional<Long> number(String text, String name) {
        Matcher matcher =
                Pattern.compile("(?:^|,)" + name + ":([0-9a-f]{1,15})").matcher(text);
        return matcher.find() ? Optional.of(Long.parseLong(matcher.group(1), 16)) : Optional.empty();
    }
}
