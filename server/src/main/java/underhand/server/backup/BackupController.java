package underhand.server.backup;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import underhand.server.backup.BackupService.Mode;
import underhand.server.platform.InputException;
import underhand.server.storage.DataDirectory;

/** The whole book over HTTP: to take away, to put back, and to undo that. */
@RestController
@RequestMapping("/api/v1")
class BackupController {

    private static final String ZIP = "application/zip";

    private final BackupService service;
    private final DataDirectory directory;

    BackupController(BackupService service, DataDirectory directory) {
        this.service = service;
        this.directory = directory;
    }

    @GetMapping(path = "/backup", produces = ZIP)
    @ApiResponse(
            responseCode = "200",
            content = @Content(mediaType = ZIP, schema = @Schema(type = "string", format = "binary")))
    void backup(HttpServletResponse response) throws IOException {
        Path file = temporary();
        try {
            service.write(file);
            response.setContentType(ZIP);
            response.setHeader(
                    HttpHeaders.CONTENT_DISPOSITION,
                    "attachment; filename=\"" + DailyBackups.name(LocalDate.now()) + "\"");
            response.setContentLengthLong(Files.size(file));
            Files.copy(file, response.getOutputStream());
        } finally {
            Files.deleteIfExists(file);
        }
    }

    /**
     * Puts a backup back: the ZIP as the body.
     *
     * @param mode {@code replace} makes the book what the backup holds, {@code merge} takes nothing away
     * @param preview whether only to say what would change
     */
    @PostMapping(path = "/restore", consumes = MediaType.ALL_VALUE)
    @io.swagger.v3.oas.annotations.parameters.RequestBody(
            content = @Content(mediaType = ZIP, schema = @Schema(type = "string", format = "binary")))
    RestorePlan restore(
            HttpServletRequest request,
            @RequestParam(defaultValue = "replace") String mode,
            @RequestParam(defaultValue = "false") boolean preview)
            throws IOException {
        Mode how = mode(mode);
        Path file = temporary();
        try (InputStream body = request.getInputStream()) {
            if (Files.copy(body, file, StandardCopyOption.REPLACE_EXISTING) == 0) {
                throw new BackupException("The file is empty. Send the ZIP of a backup.");
            }
            return preview ? service.preview(file, how) : service.restore(file, how);
        } finally {
            Files.deleteIfExists(file);
        }
    }

    @PostMapping("/restore/undo")
    RestorePlan undo() throws IOException {
        return service.undo();
    }

    /** A backup that was made by itself. */
    record KeptBackupView(String name, long bytes, Instant made) {}

    @GetMapping("/backups")
    List<KeptBackupView> kept() throws IOException {
        List<KeptBackupView> views = new ArrayList<>();
        if (directory.backups().isPresent()) {
            for (Path file : BackupService.files(directory.backups().get(), DailyBackups.START)) {
                views.add(
                        0,
                        new KeptBackupView(
                                file.getFileName().toString(),
                                Files.size(file),
                                Files.getLastModifiedTime(file).toInstant()));
            }
        }
        return views;
    }

    /** The same as {@link #restore} with a backup that was made by itself. */
    @PostMapping("/backups/{name}/restore")
    RestorePlan restoreKept(
            @PathVariable String name,
            @RequestParam(defaultValue = "replace") String mode,
            @RequestParam(defaultValue = "false") boolean preview)
            throws IOException {
        Path file = kept().stream()
                .filter(k -> k.name().equals(name))
                .findFirst()
                .map(k -> directory.backups().orElseThrow().resolve(k.name()))
                .orElseThrow(() -> InputException.notFound("There is no backup " + name + " here."));
        return preview ? service.preview(file, mode(mode)) : service.restore(file, mode(mode));
    }

    @ExceptionHandler
    ProblemDetail unusable(BackupException e) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(HttpStatus.UNPROCESSABLE_ENTITY, e.getMessage());
        problem.setTitle("Backup not put back");
        return problem;
    }

    private static Mode mode(String mode) {
        return switch (mode) {
            case "replace" -> Mode.REPLACE;
            case "merge" -> Mode.MERGE;
            default -> throw InputException.field("mode", "mode must be replace or merge, was \"" + mode + "\".");
        };
    }

    private Path temporary() throws IOException {
        return directory.path().isPresent()
                ? Files.createTempFile(directory.path().get(), "backup", ".tmp")
                : Files.createTempFile("backup", ".tmp");
    }
}
