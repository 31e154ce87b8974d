package underhand.server.songs;

import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Removed songs over HTTP: each can be put back for thirty days. */
@RestController
@RequestMapping("/api/v1/removed-songs")
class RemovedSongController {

    private final SongService service;

    RemovedSongController(SongService service) {
        this.service = service;
    }

    @GetMapping
    List<RemovedSongView> list() {
        return service.removed();
    }

    @PostMapping("/{id}/put-back")
    SongView putBack(@PathVariable long id) {
        return service.putBack(id);
    }
}
