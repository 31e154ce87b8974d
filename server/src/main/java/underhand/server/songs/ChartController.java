package underhand.server.songs;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Locale;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import underhand.format.text.ChartReading;
import underhand.format.text.ChartTextReader;
import underhand.server.arrangements.ArrangementService;
import underhand.server.arrangements.ArrangementView.FaultView;

/** What is understood of a chart's text, before it is kept. */
@RestController
@RequestMapping("/api/v1/charts")
class ChartController {

    record ChartTextRequest(String source) {}

    /**
     * A stretch of a line and what it was read as.
     *
     * @param kind {@code header}, {@code heading}, {@code chord}, {@code sign} or {@code aside}
     */
    record SpanView(int line, int column, int length, String kind) {}

    /**
     * @param key null where no chord was found
     * @param parts parts of the song, those without chords among them
     * @param chords different chords
     * @param faults what was not understood or can be read otherwise
     * @param spans what the text is made of
     */
    record ChartView(
            String title,

            @Schema(nullable = true) String key,

            int parts,
            int bars,
            int chords,
            List<FaultView> faults,
            List<SpanView> spans) {

        static ChartView of(ChartReading reading) {
            boolean empty = reading.chart().placements().isEmpty();
            SongFacts facts = empty ? null : SongFacts.of(reading);
            return new ChartView(
                    reading.chart().title(),
                    empty ? null : facts.key(),
                    reading.chart().parts(),
                    reading.chart().bars(),
                    empty ? 0 : facts.chords(),
                    ArrangementService.faults(reading),
                    reading.spans().stream()
                            .map(s -> new SpanView(
                                    s.line(),
                                    s.column(),
                                    s.length(),
                                    s.kind().name().toLowerCase(Locale.ROOT)))
                            .toList());
        }
    }

    /** Reads a text and keeps nothing. */
    @PostMapping("/read")
    ChartView read(@RequestBody ChartTextRequest request) {
        return ChartView.of(ChartTextReader.read(SongService.required(request.source())));
    }
}
