package underhand.server.players;

import java.util.List;
import java.util.stream.IntStream;
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
import underhand.neck.Fretboard;
import underhand.neck.Guitar;
import underhand.neck.Tuning;

/** Players and guitars over HTTP. */
@RestController
@RequestMapping("/api/v1")
class PlayerController {

    private static final int NEAREST_REACH = 3;
    private static final int FARTHEST_REACH = 8;

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
        return service.players().all();
    }

    @PostMapping("/players")
    @ResponseStatus(HttpStatus.CREATED)
    PlayerView addPlayer(@RequestBody PlayerChangeRequest request) {
        return service.players().add(request.limits());
    }

    @PutMapping("/players/{id}")
    PlayerView changePlayer(@PathVariable long id, @RequestBody PlayerChangeRequest request) {
        return service.players().change(id, request.version(), request.limits());
    }

    @DeleteMapping("/players/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removePlayer(@PathVariable long id) {
        service.players().remove(id);
    }

    @PostMapping("/players/{id}/put-back")
    PlayerView putBackPlayer(@PathVariable long id) {
        return service.players().putBack(id);
    }

    /** @param mm between the fingertips, to the nearest whole */
    record FretReachView(int fret, long mm) {}

    /** How far the little finger reaches on a steel-string guitar when it presses a fret and the index finger the first. */
    @GetMapping("/reaches")
    List<FretReachView> reaches() {
        Fretboard board = new Fretboard(Guitar.ACOUSTIC, Tuning.STANDARD, 0);
        return IntStream.rangeClosed(NEAREST_REACH, FARTHEST_REACH)
                .mapToObj(fret -> new FretReachView(fret, Math.round(board.pressMm(fret) - board.pressMm(1))))
                .toList();
    }

    @GetMapping("/guitars")
    List<GuitarView> guitars() {
        return service.guitars().all();
    }

    @PostMapping("/guitars")
    @ResponseStatus(HttpStatus.CREATED)
    GuitarView addGuitar(@RequestBody GuitarChangeRequest request) {
        return service.guitars().add(request.build());
    }

    @PutMapping("/guitars/{id}")
    GuitarView changeGuitar(@PathVariable long id, @RequestBody GuitarChangeRequest request) {
        return service.guitars().change(id, request.version(), request.build());
    }

    @DeleteMapping("/guitars/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeGuitar(@PathVariable long id) {
        service.guitars().remove(id);
    }

    @PostMapping("/guitars/{id}/put-back")
    GuitarView putBackGuitar(@PathVariable long id) {
        return service.guitars().putBack(id);
    }
}
