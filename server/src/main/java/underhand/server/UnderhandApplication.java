package underhand.server;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;
import underhand.arrange.Arranger;
import underhand.arrange.FrettingHand;
import underhand.arrange.KnownGrips;

/** Starts the application on the loopback interface. */
@SpringBootApplication
public class UnderhandApplication {

    /** A hand with each of its capo positions is one. */
    private static final int HANDS_KEPT = 500;

    public static void main(String[] args) {
        SpringApplication.run(UnderhandApplication.class, args);
    }

    /** One that keeps the grips of the hands it was last asked for, as long as there is memory to spare. */
    @Bean
    Arranger arranger() {
        Cache<FrettingHand, KnownGrips> known =
                Caffeine.newBuilder().maximumSize(HANDS_KEPT).softValues().build();
        return new Arranger(known::get);
    }
}
