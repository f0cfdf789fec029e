package nexa.cli.correct;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.Callable;
import nexa.cli.base.ExitCode;
import nexa.cli.base.Rows;
import nexa.cli.base.ShootCommand;
import nexa.core.paper.Paper;
import nexa.shoot.Locations;
import nexa.shoot.Shoot;
import nexa.shoot.guard.WriteGuard;
import nexa.shoot.lens.LensMeasuring;
import nexa.shoot.paper.LensChart;
import nexa.words.Words;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/**
 * The chart, and measuring a lens by photos of it. They are written {@code lens chart} and {@code lens measure}; see {@link
 * #joined}.
 */
public final class LensMeasureCommands {
    private static final List<String> WORDS = List.of("chart", "measure");

    private LensMeasureCommands() {}

    /** One command of the two words; a command with a folder of its own can't have others below it. */
    public static String[] joined(String[] arguments) {
        if (arguments.length < 2 || !arguments[0].equals("lens") || !WORDS.contains(arguments[1])) {
            return arguments;
        }
        String[] joined = new String[arguments.length - 1];
        System.arraycopy(arguments, 2, joined, 1, joined.length - 1);
        joined[0] = "lens-" + arguments[1];
        return joined;
    }

    @Command(name = "lens-chart", description = "Print the chart that lenses are measured by, to a PDF (lens chart).")
    public static final class Chart implements Callable<Integer> {
        private static final double MARGIN = 12;

        @Spec
        @SuppressWarnings("NullAway.Init")
        private CommandSpec spec;

        @Option(
                names = "--paper",
                defaultValue = "A4",
                description = "One of: ${COMPLETION-CANDIDATES}; A4 if nothing is said.")
        @SuppressWarnings("NullAway.Init")
        private Paper paper;

        @Option(names = "--out", required = true, paramLabel = "FILE.pdf", description = "The file to write.")
        @SuppressWarnings("NullAway.Init")
        private Path out;

        @Option(names = "--replace", description = "Put what is written in place of a file that has its name.")
        private boolean replace;

        @Option(
                names = {"-h", "--help"},
                usageHelp = true,
                description = "Show this help.")
        private boolean help;

        @Override
        public Integer call() throws IOException {
            Locations locations = Locations.ofThisUser();
            Path file = out.toAbsolutePath();
            WriteGuard guard = new WriteGuard(
                    Objects.requireNonNullElse(file.getParent(), file),
                    List.of(),
                    any -> false,
                    List.of(locations.data(), locations.cache()));
            LensChart.write(
                    file, paper.page(true, MARGIN), Words.of("lens.chart.words"), guard, ShootCommand.ifTaken(replace));
            spec.commandLine().getOut().println(file);
            return ExitCode.of(true);
        }
    }

    @Command(
            name = "lens-measure",
            description = "Measure a lens by photos of the chart and of an even grey wall (lens measure).")
    public static final class Measure extends ShootCommand {
        @Option(names = "--out", required = true, paramLabel = "FILE.xml", description = "The file to write.")
        @SuppressWarnings("NullAway.Init")
        private Path out;

        @Option(names = "--replace", description = "Put what is written in place of a file that has its name.")
        private boolean replace;

        @Override
        protected boolean run(Shoot shoot, Rows rows) throws IOException {
            Optional<LensMeasuring.Result> found = LensMeasuring.measure(shoot);
            if (found.isEmpty()) {
                throw new IOException(Words.of("cli.lens-no-chart", LensMeasuring.LEAST_PHOTOS));
            }
            LensMeasuring.Result result = found.get();
            result.without().forEach(photo -> say(Words.of("cli.lens-without", photo.file())));
            exported(() -> {
                LensMeasuring.write(shoot, result, out.toAbsolutePath(), ifTaken(replace));
                return out;
            });
            for (LensMeasuring.Measured measured : result.measured()) {
                rows.add()
                        .with("lens", result.lens().name())
                        .with("focal", measured.focal())
                        .with("photos", measured.photos())
                        .with("error", measured.reprojection())
                        .with("straight", measured.straightness())
                        .with("output", out.toAbsolutePath().toString());
            }
            if (result.measured().isEmpty()) {
                rows.add()
                        .with("lens", result.lens().name())
                        .with("walls", result.calibration().light().size())
                        .with("output", out.toAbsolutePath().toString());
            }
            return true;
        }
    }
}
