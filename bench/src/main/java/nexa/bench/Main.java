package nexa.bench;

import java.io.IOException;
import java.util.List;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.ChainedOptionsBuilder;
import org.openjdk.jmh.runner.options.OptionsBuilder;

/** Runs all benchmarks, or those whose names contain one of the arguments; {@code frames} or {@code batch} alone = the
 * window's. */
public final class Main {
    private Main() {}

    public static void main(String[] names) throws RunnerException, IOException {
        if (List.of(names).equals(List.of("frames"))) {
            FrameTimes.run();
            return;
        }
        if (List.of(names).equals(List.of("batch"))) {
            BatchTimes.run();
            return;
        }
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
