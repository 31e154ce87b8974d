package underhand.server.arrangements;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.URISyntaxException;
import java.net.URL;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import underhand.arrange.Arranger;

/**
 * Which planner this is, with all its tables: a digest of the core's code and resources. What was worked out by another one
 * is worked out anew.
 */
@Component
public final class PlannerVersion {

    private final String digest;

    PlannerVersion() {
        try {
            digest = digest(Arranger.class.getProtectionDomain().getCodeSource().getLocation());
        } catch (IOException | URISyntaxException e) {
            throw new IllegalStateException("the planner's own code cannot be read", e);
        }
    }

    private static String digest(URL code) throws IOException, URISyntaxException {
        MessageDigest sha;
        try {
            sha = MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every JDK has SHA-256", e);
        }
        if (code.getProtocol().equals("file") && Files.isDirectory(Path.of(new URI(code.toString())))) {
            try (Stream<Path> files = Files.walk(Path.of(new URI(code.toString())))) {
                List<Path> sorted = files.filter(Files::isRegularFile).sorted().toList();
                sorted.forEach(file -> add(sha, file));
            }
        } else {
            try (InputStream in = code.openStream()) {
                sha.update(in.readAllBytes());
            }
        }
        return HexFormat.of().formatHex(sha.digest());
    }

    private static void add(MessageDigest sha, Path file) {
        try {
            sha.update(Files.readAllBytes(file));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** 64 hexadecimal digits. */
    @Override
    public String toString() {
        return digest;
    }
}
