package underhand.server;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;
import underhand.arrange.Arranger;
import underhand.server.arrangements.KeptGrips;

/** Starts the application on the loopback interface. */
@SpringBootApplication
public class UnderhandApplication {

    public static void main(String[] args) {
        SpringApplication.run(UnderhandApplication.class, args);
    }

    @Bean
    Arranger arranger() {
        return new Arranger(new KeptGrips());
    }
}
