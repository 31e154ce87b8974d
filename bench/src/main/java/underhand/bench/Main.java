package underhand.bench;

import java.util.Collection;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;

/** Runs the benchmarks and prints their table. Usage: {@code ./underhand bench}. */
public final class Main {

    private Main() {}

    public static void main(String[] args) throws RunnerException {
        Collection<RunResult> results = new Runner(new OptionsBuilder()
                        .include(PlannerBenchmark.class.getName())
                        .build())
                .run();
        System.out.println("| benchmark | bars | ms | error |");
        System.out.println("|---|---|---|---|");
        for (RunResult result : results) {
            String name = result.getPrimaryResult().getLabel();
            String bars = result.getParams().getParam("bars");
            System.out.printf(
                    "| %s | %s | %.2f | ± %.2f |%n",
                    name,
                    bars == null ? "" : bars,
                    result.getPrimaryResult().getScore(),
                    result.getPrimaryResult().getScoreError());
        }
    }
}
