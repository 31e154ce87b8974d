package underhand.server.about;

import io.swagger.v3.oas.annotations.media.Schema;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import underhand.server.storage.DataDirectory;

/** The application about itself. */
@RestController
@RequestMapping("/api/v1")
class AboutController {

    private final DataDirectory directory;
    private final Licences licences;

    AboutController(DataDirectory directory, Licences licences) {
        this.directory = directory;
        this.licences = licences;
    }

    /**
     * @param version of the application
     * @param data directory in which the book lies; null when it is kept by a database server
     */
    record AboutView(
            String version, @Schema(nullable = true) String data) {}

    @GetMapping("/about")
    AboutView about() {
        String version = getClass().getPackage().getImplementationVersion();
        return new AboutView(
                Optional.ofNullable(version).orElse("in development"),
                directory.path().map(Path::toString).orElse(null));
    }

    /**
     * @param of what ships under it
     * @param text the licence
     */
    record LicenceView(List<String> of, String text) {}

    @GetMapping("/licences")
    List<LicenceView> licences() {
        return licences.all();
    }
}
