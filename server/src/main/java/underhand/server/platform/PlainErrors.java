package underhand.server.platform;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.core.StandardHost;
import org.apache.catalina.valves.ErrorReportValve;
import org.springframework.boot.web.embedded.tomcat.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;

/** Errors the web server itself answers, before any of our code is reached, are problem details too. */
@Component
class PlainErrors implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {

    @Override
    public void customize(TomcatServletWebServerFactory factory) {
        factory.addContextCustomizers(context -> {
            if (context.getParent() instanceof StandardHost host) {
                host.setErrorReportValveClass(Report.class.getName());
            }
        });
    }

    /** Writes a problem detail in place of the web server's page. Made by the web server, by name. */
    public static final class Report extends ErrorReportValve {

        @Override
        protected void report(Request request, Response response, Throwable throwable) {
            int status = response.getStatus();
            if (status < 400 || response.getContentWritten() > 0 || !response.setErrorReported()) {
                return;
            }
            try {
                response.setContentType("application/problem+json");
                response.getOutputStream()
                        .write(ProblemWriter.json(status, title(status), detail(status))
                                .getBytes(StandardCharsets.UTF_8));
                response.finishResponse();
            } catch (IOException | IllegalStateException e) {
                // Whoever asked has left.
            }
        }

        private static String title(int status) {
            return switch (status) {
                case 400 -> "Request not readable";
                case 404 -> "Not found";
                case 405 -> "Not done this way";
                case 406 -> "Not to be had in this form";
                case 413 -> "Request too large";
                case 414, 431 -> "Headers too large";
                default -> status < 500 ? "Request not usable" : "Unexpected error";
            };
        }

        private static String detail(int status) {
            return switch (status) {
                case 400 -> "This is no request as HTTP has them: look at its address and its headers.";
                case 404 -> "Nothing is kept at this address.";
                case 414, 431 -> "The address and the headers of a request may have 8 KiB together.";
                default ->
                    status < 500
                            ? "The request cannot be answered as it was sent."
                            : "Something went wrong here, not with your input. Nothing was stored.";
            };
        }
    }
}
