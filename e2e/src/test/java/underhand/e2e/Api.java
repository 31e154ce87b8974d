package underhand.e2e;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.openqa.selenium.json.Json;

/** Calls of the API as a script makes them. */
final class Api {

    private static final Json JSON = new Json();

    private final HttpClient client =
            HttpClient.newBuilder().version(HttpClient.Version.HTTP_1_1).build();
    private final String address;

    Api(Application application) {
        this.address = application.address() + "/api/v1";
    }

    /**
     * @param body as it came; JSON mostly
     */
    record Answer(int status, byte[] body) {

        @SuppressWarnings("unchecked")
        Map<String, Object> object() {
            return JSON.toType(text(), Map.class);
        }

        @SuppressWarnings("unchecked")
        List<Map<String, Object>> list() {
            return JSON.toType(text(), List.class);
        }

        String text() {
            return new String(body, StandardCharsets.UTF_8);
        }

        long number(String field) {
            return ((Number) object().get(field)).longValue();
        }
    }

    Answer get(String path) throws IOException {
        return send("GET", path, null);
    }

    Answer post(String path, Object body) throws IOException {
        return send("POST", path, body);
    }

    /** @param body bytes as they are, or a value to be sent as JSON; null for none */
    Answer send(String method, String path, Object body) throws IOException {
        HttpRequest.BodyPublisher publisher = body == null
                ? HttpRequest.BodyPublishers.noBody()
                : HttpRequest.BodyPublishers.ofByteArray(
                        body instanceof byte[] bytes ? bytes : JSON.toJson(body).getBytes(StandardCharsets.UTF_8));
        HttpRequest request = HttpRequest.newBuilder(URI.create(address + path))
                .timeout(Duration.ofSeconds(60))
                .header("Content-Type", body instanceof byte[] ? "application/zip" : "application/json")
                .method(method, publisher)
                .build();
        try {
            HttpResponse<byte[]> response = client.send(request, HttpResponse.BodyHandlers.ofByteArray());
            return new Answer(response.statusCode(), response.body());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException("interrupted", e);
        }
    }

    /** Adds a song and gives it as it was stored. */
    Map<String, Object> addSong(String source) throws IOException {
        Answer answer = post("/songs", Map.of("source", source));
        if (answer.status() != 201) {
            throw new IOException("not added: " + answer.status() + " " + answer.text());
        }
        return answer.object();
    }

    /** Changes a song, over the version that is given. */
    Answer change(Map<String, Object> song, String source) throws IOException {
        return send(
                "PUT",
                "/songs/" + ((Number) song.get("id")).longValue(),
                Map.of(
                        "version", ((Number) song.get("version")).longValue(),
                        "source", source,
                        "decisions", song.get("decisions")));
    }
}
