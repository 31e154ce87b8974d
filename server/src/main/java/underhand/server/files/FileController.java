package underhand.server.files;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import underhand.server.arrangements.PreviewRequest;

/** Files of a song to take away, and files of other origin to read; nothing is stored. */
@RestController
@RequestMapping("/api/v1/files")
class FileController {

    private final FileService service;

    FileController(FileService service) {
        this.service = service;
    }

    /**
     * @param format pdf, musicxml, mxl, midi, chart, tab, road, grips or all
     * @param song with its second guitar, where there is one
     * @param paper a4 or letter, of a PDF
     * @param layout words or tab, of a PDF
     * @param big whether a PDF is set large
     * @param writtenOut whether a PDF has every note of strums, of bars like the one before and of repeats
     */
    record FileRequest(
            String format, PreviewRequest song, String paper, String layout, Boolean big, Boolean writtenOut) {}

    @PostMapping(produces = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @ApiResponse(
            responseCode = "200",
            content =
                    @Content(
                            mediaType = MediaType.APPLICATION_OCTET_STREAM_VALUE,
                            schema = @Schema(type = "string", format = "binary")))
    ResponseEntity<byte[]> write(@RequestBody FileRequest request) {
        FileService.Written file = service.write(request);
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(file.name(), StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .contentType(MediaType.parseMediaType(file.type()))
                .body(file.bytes());
    }

    /**
     * @param file its bytes in base64
     * @param source chart text a MIDI tune is laid over; missing for a score, or for a tune that becomes a song of its own
     * @param voice which voice of a MIDI file is the tune, counted from 0; null for the one that sings highest
     * @param shift quarters the tune is moved later, negative for earlier; null for none
     */
    record ReadRequest(
            byte[] file,
            @Schema(nullable = true) String source,
            @Schema(nullable = true) Integer voice,
            @Schema(nullable = true) Double shift) {}

    /**
     * @param notes how many
     * @param lowest pitch, as it sounds, such as {@code C4}
     */
    record MidiVoiceView(String name, int notes, String lowest, String highest) {}

    /**
     * How a tune was taken from a MIDI file.
     *
     * @param voices what the file has to choose from
     * @param voice index of the one that was taken
     * @param shift quarters it was moved later
     * @param proposedShift where it would lie far better over the chords; null where it lies well
     */
    record TuneChoiceView(
            List<MidiVoiceView> voices,
            int voice,
            double shift,
            @Schema(nullable = true) Double proposedShift) {}

    /**
     * @param source the song as chart text
     * @param dropped what was left out, in words
     * @param tune null for files other than MIDI
     */
    record ReadView(
            String source,
            List<String> dropped,
            @Schema(nullable = true) TuneChoiceView tune) {}

    @PostMapping("/read")
    ReadView read(@RequestBody ReadRequest request) {
        return service.read(request);
    }
}
