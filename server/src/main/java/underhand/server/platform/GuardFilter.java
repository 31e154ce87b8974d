package underhand.server.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Sets the security headers of every response and refuses bodies past the limit, announced or not. */
@Component
class GuardFilter extends OncePerRequestFilter {

    /** Bytes of a body at most. */
    static final long MOST_BYTES = 5L * 1024 * 1024;

    /** Bytes of a backup at most; it is never held in memory. */
    static final long MOST_BACKUP_BYTES = 500L * 1024 * 1024;

    private static final String RESTORE = "/api/v1/restore";

    private static final String POLICY = "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:;"
            + " font-src 'self' data:; worker-src 'self' blob:; frame-ancestors 'none'; base-uri 'none'; form-action 'self'";

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        response.setHeader("Content-Security-Policy", POLICY);
        response.setHeader("X-Content-Type-Options", "nosniff");
        response.setHeader("Referrer-Policy", "no-referrer");
        response.setHeader("X-Frame-Options", "DENY");
        if (request.getRequestURI().startsWith("/api/")) {
            response.setHeader("Cache-Control", "no-store");
        }
        long most = request.getRequestURI().equals(RESTORE) ? MOST_BACKUP_BYTES : MOST_BYTES;
        if (request.getContentLengthLong() > most) {
            ProblemWriter.write(
                    response,
                    HttpServletResponse.SC_REQUEST_ENTITY_TOO_LARGE,
                    "Request too large",
                    new RequestTooLargeException(most).getMessage());
            return;
        }
        chain.doFilter(new Limited(request, most), response);
    }

    /** A request whose body cannot be read past the limit, for bodies of unannounced length. */
    private static final class Limited extends HttpServletRequestWrapper {

        private final long most;

        Limited(HttpServletRequest request, long most) {
            super(request);
            this.most = most;
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            return new LimitedStream(super.getInputStream(), most);
        }
    }

    private static final class LimitedStream extends ServletInputStream {
        private final ServletInputStream in;
        private final long most;
        private long read;

        LimitedStream(ServletInputStream in, long most) {
            this.in = in;
            this.most = most;
        }

        @Override
        public int read() throws IOException {
            int value = in.read();
            count(value < 0 ? 0 : 1);
            return value;
        }

        @Override
        public int read(byte[] buffer, int offset, int length) throws IOException {
            int count = in.read(buffer, offset, length);
            count(Math.max(0, count));
            return count;
        }

        private void count(int bytes) throws RequestTooLargeException {
            read += bytes;
            if (read > most) {
                throw new RequestTooLargeException(most);
            }
        }

        @Override
        public boolean isFinished() {
            return in.isFinished();
        }

        @Override
        public boolean isReady() {
            return in.isReady();
        }

        @Override
        public void setReadListener(ReadListener listener) {
            in.setReadListener(listener);
        }
    }
}
