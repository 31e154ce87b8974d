package underhand.bench;

import java.util.Collection;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;

/** Runs the benchmarks and prints their table. Usage: {@code ./underhand bench [part of a benchmark's name]}. */
public final class Main {

    private Main() {}

    public static void main(String[] args) throws RunnerException {
        Collection<RunResult> results = new Runner(new OptionsBuilder()
                        .include(Main.class.getPackageName() + ".*" + (args.length == 0 ? "" : args[0]))
                        .build())
                .run();
        System.out.println("| benchmark | bars, readings or tuning | ms | error |");
        System.out.println("|---|---|---|---|");
        for (RunResult result : results) {
            String name = result.getPrimaryResult().getLabel();
            String size = Stream.of("bars", "readings", "tuning")
                    .map(result.getParams()::getParam)
                    .filter(Objects::nonNull)
                    .collect(Collectors.joining());
            System.out.printf(
                    "| %s | %s | %.2f | ± %.2f |%n",
                    name,
                    size,
                    result.getPrimaryResult().getScore(),
                    result.getPrimaryResult().getScoreError());
        }
    }
}
