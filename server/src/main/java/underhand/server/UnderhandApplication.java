package underhand.server;

import java.util.Optional;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.WebApplicationType;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.event.ApplicationEnvironmentPreparedEvent;
import org.springframework.context.ApplicationListener;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.annotation.Bean;
import org.springframework.scheduling.annotation.EnableScheduling;
import underhand.arrange.Arranger;
import underhand.server.arrangements.KeptGrips;
import underhand.server.backup.BackupTask;
import underhand.server.storage.BookOpening;
import underhand.server.storage.StartupFailure;

/** Starts the application on the loopback interface, or does one task with the book and ends. */
@SpringBootApplication
@EnableScheduling
public class UnderhandApplication {

    public static void main(String[] args) {
        SpringApplication application = new SpringApplication(UnderhandApplication.class);
        boolean isTask = BackupTask.isAskedFor(args);
        application.setWebApplicationType(isTask ? WebApplicationType.NONE : WebApplicationType.SERVLET);
        application.addListeners((ApplicationListener<ApplicationEnvironmentPreparedEvent>)
                event -> BookOpening.check(event.getEnvironment(), BackupTask.isRestoring(args)));
        try {
            ConfigurableApplicationContext context = application.run(args);
            if (isTask) {
                System.exit(SpringApplication.exit(context));
            }
        } catch (RuntimeException e) {
            if (isAbandoned(e)) {
                throw e;
            }
            System.err.println(sentence(e));
            System.exit(1);
        }
    }

    /** Whether Spring itself ends the start, as it does after a training run. */
    private static boolean isAbandoned(RuntimeException e) {
        return e instanceof SpringApplication.AbandonedRunException;
    }

    private static String sentence(Throwable failure) {
        return cause(failure, StartupFailure.class)
                .or(() -> cause(failure, org.springframework.boot.web.server.PortInUseException.class))
                .map(Throwable::getMessage)
                .orElseGet(() -> {
                    failure.printStackTrace();
                    return "Underhand could not start; what is above is for whoever looks after the code.";
                });
    }

    private static Optional<Throwable> cause(Throwable failure, Class<? extends Throwable> kind) {
        for (Throwable at = failure; at != null; at = at.getCause()) {
            if (kind.isInstance(at)) {
                return Optional.of(at);
            }
        }
        return Optional.empty();
    }

    @Bean
    Arranger arranger() {
        return new Arranger(new KeptGrips());
    }
}
