package underhand.server;

import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import org.springframework.boot.test.autoconfigure.web.servlet.MockMvcBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Every request of the tests asks for this machine by its name, as browsers do. */
@Configuration(proxyBeanMethods = false)
class FromHere {

    @Bean
    MockMvcBuilderCustomizer byName() {
        return builder -> builder.defaultRequest(get("/").header("Host", "localhost"));
    }
}
