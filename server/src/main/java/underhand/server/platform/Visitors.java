package underhand.server.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Lets in only who asks for this machine by one of its own names, from a page of its own or from no page at all. A page from
 * elsewhere could have its name led here (DNS rebinding), or send a form to this port; neither finds the book.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class Visitors extends OncePerRequestFilter {

    private static final Set<String> LOOPBACK = Set.of("localhost", "127.0.0.1", "[::1]");

    private final Set<String> others;

    /** @param others further names, with their port where it is not the usual one, that the machine is asked for by */
    Visitors(@Value("${underhand.hosts:}") List<String> others) {
        this.others = Set.copyOf(
                others.stream().map(h -> h.strip().toLowerCase(Locale.ROOT)).toList());
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String host = request.getHeader("Host");
        if (host == null || !isOurs(host, request.getLocalPort())) {
            refuse(
                    response,
                    "Host not known",
                    "Underhand answers only to names of this machine, such as localhost. Others can be allowed with"
                            + " --underhand.hosts=NAME:PORT.");
        } else if (isForeign(request)) {
            refuse(
                    response,
                    "Not from here",
                    "A page from elsewhere asked for this. Underhand answers only its own pages and programs of this"
                            + " machine.");
        } else {
            chain.doFilter(request, response);
        }
    }

    private boolean isOurs(String host, int port) {
        String asked = host.toLowerCase(Locale.ROOT);
        return others.contains(asked) || LOOPBACK.stream().anyMatch(name -> isAt(asked, name, port));
    }

    private static boolean isAt(String host, String name, int port) {
        return host.equals(name + ":" + port) || port == 80 && host.equals(name);
    }

    /** Whether a browser says that a page of another origin asks. */
    private boolean isForeign(HttpServletRequest request) {
        String origin = request.getHeader("Origin");
        if (origin != null && !isOurOrigin(origin, request.getLocalPort())) {
            return true;
        }
        String site = request.getHeader("Sec-Fetch-Site");
        boolean isVisit = "navigate".equals(request.getHeader("Sec-Fetch-Mode")) && isReading(request);
        return "cross-site".equals(site) && !isVisit;
    }

    private static boolean isReading(HttpServletRequest request) {
        return request.getMethod().equals("GET") || request.getMethod().equals("HEAD");
    }

    private boolean isOurOrigin(String origin, int port) {
        try {
            URI uri = URI.create(origin);
            return uri.getAuthority() != null && isOurs(uri.getAuthority(), port);
        } catch (IllegalArgumentException e) {
            return false;
        }
    }

    private static void refuse(HttpServletResponse response, String title, String detail) throws IOException {
        ProblemWriter.write(response, HttpServletResponse.SC_FORBIDDEN, title, detail);
    }
}
