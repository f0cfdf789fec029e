package nexa.bench;

import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.ChainedOptionsBuilder;
import org.openjdk.jmh.runner.options.OptionsBuilder;

/** Runs all benchmarks, or those whose names contain one of the arguments. */
public final class Main {
    private Main() {}

    public static void main(String[] names) throws RunnerException {
        ChainedOptionsBuilder options =
                new OptionsBuilder().jvmArgsAppend("-Dnexa.home=" + System.getProperty("nexa.home", "."));
        if (names.length == 0) {
            options.include("nexa\\.bench\\.");
        }
        for (String name : names) {
            options.include("nexa\\.bench\\..*" + name);
        }
        new Runner(options.build()).run();
    }
}
