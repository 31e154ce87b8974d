package underhand.server.platform;

import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.web.servlet.context.ServletWebServerApplicationContext;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Says the address once everything is ready, for whoever started the application from a terminal. */
@Component
class ReadyNotice {

    @EventListener
    void ready(ApplicationReadyEvent event) {
        if (event.getApplicationContext() instanceof ServletWebServerApplicationContext web) {
            System.out.println(
                    "Underhand is ready: http://localhost:" + web.getWebServer().getPort());
        }
    }
}
