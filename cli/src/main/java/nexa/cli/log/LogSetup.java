package nexa.cli.log;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.LoggerContext;
import ch.qos.logback.classic.encoder.PatternLayoutEncoder;
import ch.qos.logback.classic.spi.Configurator;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.rolling.FixedWindowRollingPolicy;
import ch.qos.logback.core.rolling.SizeBasedTriggeringPolicy;
import ch.qos.logback.core.spi.ContextAwareBase;
import ch.qos.logback.core.status.NopStatusListener;
import ch.qos.logback.core.util.FileSize;
import java.io.IOException;
import java.nio.file.Path;
import nexa.shoot.Locations;

/**
 * Logs into {@code nexa.log} in the user's state folder. Where that can't be written nothing is logged; in no case does
 * anything of it show on standard output, which belongs to the commands.
 */
public final class LogSetup extends ContextAwareBase implements Configurator {
    private static final String PATTERN = "%d %-5level %logger{20} %msg%n%ex";
    private static final long LARGEST = 5 << 20;
    private static final int KEPT = 2;

    @Override
    public ExecutionStatus configure(LoggerContext context) {
        context.getStatusManager().add(new NopStatusListener());
        Logger root = context.getLogger(org.slf4j.Logger.ROOT_LOGGER_NAME);
        root.setLevel(Level.INFO);
        try {
            root.addAppender(appender(context, file()));
        } catch (IOException | RuntimeException unwritable) { // the program works without a log
            root.setLevel(Level.OFF);
        }
        return ExecutionStatus.DO_NOT_INVOKE_NEXT_IF_ANY;
    }

    /** The property {@code nexa.log} names another file, for benchmarks. */
    private static Path file() throws IOException {
        String asked = System.getProperty("nexa.log");
        return asked == null ? PrivateFile.in(Locations.logsOfThisUser()).resolve("nexa.log") : Path.of(asked);
    }

    private static PrivateFile appender(LoggerContext context, Path file) {
        PrivateFile appender = new PrivateFile();
        appender.setContext(context);
        appender.setFile(file.toString());
        PatternLayoutEncoder encoder = new PatternLayoutEncoder();
        encoder.setContext(context);
        encoder.setPattern(PATTERN);
        encoder.start();
        appender.setEncoder(encoder);
        FixedWindowRollingPolicy rolling = new FixedWindowRollingPolicy();
        rolling.setContext(context);
        rolling.setParent(appender);
        rolling.setFileNamePattern(file + ".%i");
        rolling.setMinIndex(1);
        rolling.setMaxIndex(KEPT);
        rolling.start();
        SizeBasedTriggeringPolicy<ILoggingEvent> full = new SizeBasedTriggeringPolicy<>();
        full.setContext(context);
        full.setMaxFileSize(new FileSize(LARGEST));
        full.start();
        appender.setRollingPolicy(rolling);
        appender.setTriggeringPolicy(full);
        appender.start();
        return appender;
    }
}
