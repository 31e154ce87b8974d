package underhand.format.score;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import underhand.input.FormatException;

/** Compressed MusicXML: a ZIP file whose {@code META-INF/container.xml} names the score in it. */
final class MxlFile {

    private static final String CONTAINER = "META-INF/container.xml";
    private static final String SCORE = "score.musicxml";
    private static final Pattern ROOT_FILE = Pattern.compile("full-path\\s*=\\s*[\"']([^\"']+)[\"']");

    /** What a small file may grow to when it is unpacked. */
    private static final int MOST_BYTES = 40 * 1024 * 1024;

    private MxlFile() {}

    public static byte[] pack(String musicXml) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            XmlText container = new XmlText();
            container.open("container").open("rootfiles");
            container.empty("rootfile", "full-path", SCORE, "media-type", "application/vnd.recordare.musicxml+xml");
            container.close().close();
            entry(zip, CONTAINER, container.toString());
            entry(zip, SCORE, musicXml);
        } catch (IOException e) {
            throw new UncheckedIOException("writing to memory failed", e);
        }
        return out.toByteArray();
    }

    private static void entry(ZipOutputStream zip, String name, String content) throws IOException {
        ZipEntry entry = new ZipEntry(name);
        entry.setTime(0);
        zip.putNextEntry(entry);
        zip.write(content.getBytes(StandardCharsets.UTF_8));
        zip.closeEntry();
    }

    public static boolean is(byte[] bytes) {
        return bytes.length > 3 && bytes[0] == 'P' && bytes[1] == 'K';
    }

    /**
     * The score in a compressed file.
     *
     * @throws FormatException when there is none, or it unpacks to more than 40 MiB
     */
    public static byte[] unpack(byte[] bytes) {
        String wanted = null;
        List<String> names = new ArrayList<>();
        List<byte[]> contents = new ArrayList<>();
        int total = 0;
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(bytes))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                byte[] content = zip.readNBytes(MOST_BYTES - total + 1);
                total += content.length;
                if (total > MOST_BYTES) {
                    throw FormatException.inFile("The compressed file unpacks to more than 40 MiB.", 0, 0);
                }
                names.add(entry.getName());
                contents.add(content);
                if (entry.getName().equals(CONTAINER)) {
                    Matcher root = ROOT_FILE.matcher(new String(content, StandardCharsets.UTF_8));
                    wanted = root.find() ? root.group(1) : null;
                }
            }
        } catch (IOException | IllegalArgumentException e) {
            throw FormatException.inFile("This is no compressed MusicXML file: it cannot be unpacked.", 0, 0);
        }
        for (int i = 0; i < names.size(); i++) {
            boolean named = names.get(i).equals(wanted);
            boolean only = wanted == null
                    && !names.get(i).startsWith("META-INF")
                    && names.get(i).matches(".*\\.(musicxml|xml)");
            if (named || only) {
                return contents.get(i);
            }
        }
        throw FormatException.inFile(
                "This compressed file holds no score"
                        + (wanted == null ? "." : ": it names " + wanted + ", which is not in it."),
                0,
                0);
    }
}
