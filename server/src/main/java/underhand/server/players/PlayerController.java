package underhand.server.players;

import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import underhand.server.platform.InputException;

/** Players and guitars over HTTP. */
@RestController
@RequestMapping("/api/v1")
class PlayerController {

    private final PlayerService service;

    PlayerController(PlayerService service) {
        this.service = service;
    }

    /** @param version the version that was read; missing for a new player */
    record PlayerChangeRequest(Long version, PlayerLimits limits) {}

    /** @param version the version that was read; missing for a new guitar */
    record GuitarChangeRequest(Long version, GuitarBuild build) {}

    @GetMapping("/players")
    List<PlayerView> players() {
        return service.players();
    }

    @PostMapping("/players")
    @ResponseStatus(HttpStatus.CREATED)
    PlayerView addPlayer(@RequestBody PlayerChangeRequest request) {
        return service.add(present("limits", request.limits()));
    }

    @PutMapping("/players/{id}")
    PlayerView changePlayer(@PathVariable long id, @RequestBody PlayerChangeRequest request) {
        return service.change(id, present("version", request.version()), present("limits", request.limits()));
    }

    @DeleteMapping("/players/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removePlayer(@PathVariable long id) {
        service.removePlayer(id);
    }

    @GetMapping("/guitars")
    List<GuitarView> guitars() {
        return service.guitars();
    }

    @PostMapping("/guitars")
    @ResponseStatus(HttpStatus.CREATED)
    GuitarView addGuitar(@RequestBody GuitarChangeRequest request) {
        return service.add(present("build", request.build()));
    }

    @PutMapping("/guitars/{id}")
    GuitarView changeGuitar(@PathVariable long id, @RequestBody GuitarChangeRequest request) {
        return service.change(id, present("version", request.version()), present("build", request.build()));
    }

    @DeleteMapping("/guitars/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeGuitar(@PathVariable long id) {
        service.removeGuitar(id);
    }

    private static <T> T present(String field, T value) {
        if (value == null) {
            throw InputException.field(field, field + " is missing.");
        }
        return value;
    }
}
