package underhand.server;

import java.lang.annotation.ElementType;
import java.lang.annotation.Inherited;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.springframework.boot.test.autoconfigure.web.servlet.AutoConfigureMockMvc;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.context.annotation.Import;

/** The whole server on a book in memory; one context serves all such tests. */
@Target(ElementType.TYPE)
@Retention(RetentionPolicy.RUNTIME)
@Inherited
@SpringBootTest(
        properties = {
            "spring.datasource.url=jdbc:h2:mem:test",
            "underhand.demo=true",
            "underhand.demo-log=false",
            "springdoc.api-docs.path=/described",
            "springdoc.paths-to-match=/api/v1/**",
            "springdoc.paths-to-exclude=/api/v1/openapi",
            "springdoc.default-produces-media-type=application/json",
            "springdoc.default-consumes-media-type=application/json"
        })
@Import({ApiDescription.class, FromHere.class})
@AutoConfigureMockMvc
public @interface ServerTest {}
