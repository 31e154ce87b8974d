package underhand.server.about;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.JarURLConnection;
import java.net.URL;
import java.net.URLConnection;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.jar.JarEntry;
import java.util.jar.JarFile;
import java.util.regex.Pattern;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.stereotype.Component;
import underhand.server.about.AboutController.LicenceView;

/**
 * The licence texts of everything that ships: of each library what lies in its jar, or, where it brings none, the text named
 * in {@code licences/libraries.tsv}; of the front end what its build wrote down.
 */
@Component
class Licences {

    private static final Pattern TEXT = Pattern.compile(
            "(?:META-INF/)?(?:LICEN[CS]E|NOTICE|COPYING)[^/]*|META-INF/licenses/.+", Pattern.CASE_INSENSITIVE);

    private static final String OWN = "underhand";

    List<LicenceView> all() {
        try {
            Map<String, List<String>> byText = new LinkedHashMap<>();
            put(byText, "Underhand", text(new ClassPathResource("licences/underhand.txt")));
            for (Map.Entry<String, JarFile> jar : jars().entrySet()) {
                put(byText, jar.getKey(), text(jar.getKey(), jar.getValue()));
            }
            ClassPathResource web = new ClassPathResource("static/licences.txt");
            if (web.exists()) {
                put(byText, "The page's libraries and fonts", text(web));
            }
            return byText.entrySet().stream()
                    .map(e -> new LicenceView(e.getValue(), e.getKey()))
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException("the licence texts cannot be read", e);
        }
    }

    private static void put(Map<String, List<String>> byText, String of, String text) {
        byText.computeIfAbsent(text, t -> new ArrayList<>()).add(of);
    }

    /** The jars of the class path that are not our own, by file name. */
    static Map<String, JarFile> jars() throws IOException {
        Map<String, JarFile> jars = new TreeMap<>();
        for (URL manifest : Collections.list(Licences.class.getClassLoader().getResources("META-INF/MANIFEST.MF"))) {
            URLConnection connection = manifest.openConnection();
            if (connection instanceof JarURLConnection jar) {
                String path = jar.getJarFileURL().getPath();
                String name = path.replaceFirst("!?/?$", "").replaceFirst(".*/", "");
                if (!isOurs(name)) {
                    jars.put(name, jar.getJarFile());
                }
            }
        }
        return jars;
    }

    private static boolean isOurs(String jar) {
        return jar.matches("(core|web|server)-[0-9.]+(-exec)?\\.jar") || jar.startsWith(OWN);
    }

    private static String text(String name, JarFile jar) throws IOException {
        StringBuilder texts = new StringBuilder();
        for (JarEntry entry : Collections.list(jar.entries())) {
            if (!entry.isDirectory()
                    && TEXT.matcher(entry.getName()).matches()
                    && !entry.getName().endsWith(".class")) {
                try (InputStream in = jar.getInputStream(entry)) {
                    texts.append(new String(in.readAllBytes(), StandardCharsets.UTF_8).strip())
                            .append("\n\n");
                }
            }
        }
        return texts.isEmpty() ? text(named(name)) : texts.toString().strip();
    }

    /** The text the table names for a jar without one. */
    private static Resource named(String jar) throws IOException {
        String table = text(new ClassPathResource("licences/libraries.tsv"));
        for (String line : table.split("\n")) {
            String[] cells = line.split("\t");
            if (!line.startsWith("#") && cells.length == 2 && jar.matches(cells[0] + "-[0-9].*\\.jar")) {
                return new PathMatchingResourcePatternResolver().getResource("classpath:licences/" + cells[1]);
            }
        }
        throw new IllegalStateException(
                "licences/libraries.tsv has no line for " + jar + ", which brings no licence text");
    }

    private static String text(Resource resource) throws IOException {
        return resource.getContentAsString(StandardCharsets.UTF_8).strip();
    }
}
