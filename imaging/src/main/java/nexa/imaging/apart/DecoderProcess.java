package nexa.imaging.apart;

import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.StreamCorruptedException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executor;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;

/** A process apart that decodes one file after the other. For one thread at a time. */
final class DecoderProcess implements AutoCloseable {
    private static final Duration START = Duration.ofSeconds(60);

    /** Where there is none, all are alike. */
    private static final Path NICE = Path.of("/usr/bin/nice");

    /** A sixth of another process's share: enough to be done in time while others work. */
    private static final String NICENESS = "8";

    private final Process process;
    private final PixelFile pixels;
    private final DataOutputStream orders;
    private final DataInputStream answers;

    /** It did not answer in time and was ended. */
    static final class TooSlowException extends IOException {
        private static final long serialVersionUID = 1;

        TooSlowException(Duration limit) {
            super("no answer in " + limit);
        }
    }

    private DecoderProcess(Process process, PixelFile pixels) {
        this.process = process;
        this.pixels = pixels;
        this.orders = new DataOutputStream(new BufferedOutputStream(process.getOutputStream()));
        this.answers = new DataInputStream(new BufferedInputStream(process.getInputStream()));
    }

    /**
     * One after the other: several at once would all be late.
     *
     * @param isPatient whether it leaves the processors to others, where the system can be told so
     * @throws IOException if no such process can be had here
     */
    static synchronized DecoderProcess start(boolean isPatient) throws IOException {
        PixelFile pixels = PixelFile.create();
        List<String> command = new ArrayList<>();
        if (isPatient && Files.isExecutable(NICE)) {
            command.addAll(List.of(NICE.toString(), "-n", NICENESS));
        }
        command.addAll(DecoderProgram.command(pixels.path()));
        Process process;
        try {
            process = new ProcessBuilder(command)
                    .redirectError(ProcessBuilder.Redirect.DISCARD)
                    .start();
        } catch (IOException failed) {
            pixels.close();
            throw failed;
        }
        DecoderProcess started = new DecoderProcess(process, pixels);
        try {
            started.awaitReady();
        } catch (IOException failed) {
            started.close();
            throw failed;
        }
        return started;
    }

    private void awaitReady() throws IOException {
        within(START, () -> {
            if (answers.readByte() != DecoderMain.READY) {
                throw new StreamCorruptedException("not the process that was expected");
            }
            return true;
        });
        pixels.hide();
    }

    /** Where the pixels of the last order are, until the next. */
    PixelFile pixels() {
        return pixels;
    }

    /**
     * What it says of an order.
     *
     * @throws TooSlowException if it takes longer than that; it is ended then
     * @throws IOException if it ended
     */
    Answer ask(Order order, Duration limit) throws IOException {
        return within(limit, () -> {
            order.write(orders);
            return Answer.read(answers);
        });
    }

    /** Something that ends with an exception as soon as the process does. */
    @FunctionalInterface
    private interface Exchange<T> {
        T run() throws IOException;
    }

    private <T> T within(Duration limit, Exchange<T> exchange) throws IOException {
        AtomicBoolean isLate = new AtomicBoolean();
        Executor later = CompletableFuture.delayedExecutor(limit.toMillis(), TimeUnit.MILLISECONDS);
        CompletableFuture<Void> end = CompletableFuture.runAsync(
                () -> {
                    isLate.set(true);
                    process.destroyForcibly();
                },
                later);
        try {
            return exchange.run();
        } catch (IOException ended) {
            if (isLate.get()) {
                throw new TooSlowException(limit);
            }
            throw ended;
        } finally {
            end.cancel(false);
        }
    }

    boolean isAlive() {
        return process.isAlive();
    }

    /** For tests. */
    ProcessHandle handle() {
        return process.toHandle();
    }

    @Override
    public void close() {
        process.destroyForcibly();
        pixels.close();
    }
}
