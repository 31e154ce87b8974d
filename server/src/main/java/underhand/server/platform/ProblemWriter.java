package underhand.server.platform;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;

/** Writes a problem detail where no controller does: before the request reaches one, or when it reaches none. */
final class ProblemWriter {

    private ProblemWriter() {}

    static void write(HttpServletResponse response, int status, String title, String detail) throws IOException {
        response.setStatus(status);
        response.setContentType("application/problem+json");
        response.getOutputStream().write(json(status, title, detail).getBytes(StandardCharsets.UTF_8));
    }

    /** Title and detail are our own words: they have nothing in them that JSON escapes. */
    static String json(int status, String title, String detail) {
        return "{\"type\":\"about:blank\",\"title\":\"" + title + "\",\"status\":" + status + ",\"detail\":\"" + detail
                + "\"}";
    }
}
