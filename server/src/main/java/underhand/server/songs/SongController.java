package underhand.server.songs;

import io.swagger.v3.oas.annotations.media.Schema;
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
import underhand.server.arrangements.ArrangementService;

/** The songbook over HTTP. */
@RestController
@RequestMapping("/api/v1/songs")
class SongController {

    private final SongService service;

    SongController(SongService service) {
        this.service = service;
    }

    record NewSongRequest(String source) {}

    /** @param version the version that was read; a write over a newer one is refused with 409 */
    record SongRequest(long version, String source, Decisions decisions) {}

    @GetMapping
    List<SongSummary> list() {
        return service.list();
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    SongView add(@RequestBody NewSongRequest request) {
        return service.add(request.source());
    }

    @GetMapping("/{id}")
    SongView get(@PathVariable long id) {
        return service.get(id);
    }

    @GetMapping("/{id}/efforts")
    List<ArrangementService.RungEffort> efforts(@PathVariable long id) {
        return service.efforts(id);
    }

    @PutMapping("/{id}")
    SongView change(@PathVariable long id, @RequestBody SongRequest request) {
        return service.change(id, request.version(), request.source(), request.decisions());
    }

    /**
     * @param before the chart the decisions were taken for
     * @param after the same chart, edited
     */
    record CarryRequest(String before, String after, Decisions decisions) {}

    /** Takes decisions over into an edited chart, and says which of them are about chords that are gone. Nothing is stored. */
    @PostMapping("/carry")
    CarriedDecisions carry(@RequestBody CarryRequest request) {
        SongService.check(request.before(), request.decisions());
        SongService.check(request.after(), request.decisions());
        return CarriedDecisions.of(request.before(), request.after(), request.decisions());
    }

    /** @param change how another planner's part of the same song was otherwise; null where it was not, or was said before */
    record LookView(@Schema(nullable = true) SeenPart.PartChange change) {}

    /** Looks at a song's part: says once how it changed when a new planner plans it. */
    @PostMapping("/{id}/look")
    LookView look(@PathVariable long id) {
        return new LookView(service.look(id).orElse(null));
    }

    /** Notes that the song was played along to just now. */
    @PostMapping("/{id}/practice")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void practised(@PathVariable long id) {
        service.practised(id);
    }

    /** @param date the day as year-month-day; null for none */
    record PlayedOnRequest(@Schema(nullable = true) String date) {}

    /** Sets the day on which a song is to be played: what it still lacks comes early in the plan of practice then. */
    @PutMapping("/{id}/played-on")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void playedOn(@PathVariable long id, @RequestBody PlayedOnRequest request) {
        service.playedOn(id, request.date());
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable long id) {
        service.remove(id);
    }
}
