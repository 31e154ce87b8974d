package underhand.server.songs;

import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Versions of an arrangement over HTTP. */
@RestController
@RequestMapping("/api/v1/songs/{songId}/versions")
class VersionController {

    private final VersionService service;

    VersionController(VersionService service) {
        this.service = service;
    }

    record VersionRequest(String name, String source, Decisions decisions) {}

    @GetMapping
    List<VersionView> list(@PathVariable long songId) {
        return service.list(songId);
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    VersionView keep(@PathVariable long songId, @RequestBody VersionRequest request) {
        return service.keep(songId, request.name(), request.source(), request.decisions());
    }

    /** The part of a version as it was planned when it was kept. */
    @GetMapping("/{id}/planned")
    PlannedView planned(@PathVariable long songId, @PathVariable long id) {
        return service.planned(songId, id);
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable long songId, @PathVariable long id) {
        service.remove(songId, id);
    }

    @PostMapping("/{id}/put-back")
    VersionView putBack(@PathVariable long songId, @PathVariable long id) {
        return service.putBack(songId, id);
    }
}
