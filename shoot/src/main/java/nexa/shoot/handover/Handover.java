package nexa.shoot.handover;

import java.io.IOException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import nexa.imaging.deliver.AtomicFile;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.source.Source;
import nexa.shoot.Shoot;
import nexa.shoot.scan.FolderScan;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Runs a plan: one decode a photo, all cores. */
public final class Handover {
    private static final Logger LOG = LoggerFactory.getLogger(Handover.class);

    private final HandoverPlan plan;
    private final Consumer<Outcome> progress;
    private final RunControl control;
    private Optional<String> listTrouble = Optional.empty();

    /**
     * @param progress told of every file as it is done, on the worker's thread
     * @param control asked before every file
     */
    public Handover(HandoverPlan plan, Consumer<Outcome> progress, RunControl control) {
        this.plan = plan;
        this.progress = progress;
        this.control = control;
    }

    /**
     * Writes the files; those not begun when cancelled are missing from the outcomes. Blocks until done.
     *
     * @throws IOException if the folder can't be made
     */
    public List<Outcome> run(Shoot shoot) throws IOException {
        Path folder = plan.request().folder();
        makeFolder(folder, shoot.folder());
        List<Outcome> outcomes = ByPhoto.work(plan.deliveries(), this::deliver).stream()
                .flatMap(List::stream)
                .toList();
        end(outcomes);
        return outcomes;
    }

    /** A run that was cancelled or failed in part can be gone on with; the list tells what is there in either case. */
    private void end(List<Outcome> outcomes) {
        Path folder = plan.request().folder();
        try {
            if (!outcomes.isEmpty()) {
                Manifest.write(folder, outcomes, plan.there());
            }
            endJournal(outcomes, folder);
        } catch (IOException full) {
            LOG.warn("The list in {} was not written", folder, full);
            listTrouble = Optional.of(words(full));
        }
    }

    /** Why the list of files could not be written; empty if it is there. */
    public Optional<String> listTrouble() {
        return listTrouble;
    }

    private void endJournal(List<Outcome> outcomes, Path folder) throws IOException {
        boolean whole = outcomes.size() == plan.deliveries().size()
                && outcomes.stream().allMatch(Outcome.Written.class::isInstance);
        if (whole) {
            Journal.end(folder);
        }
    }

    private static void makeFolder(Path folder, Path shoot) throws IOException {
        try {
            Files.createDirectories(folder);
            if (folder.toRealPath().startsWith(shoot) && !folder.toRealPath().equals(shoot)) {
                Files.write(folder.resolve(FolderScan.DELIVERED), new byte[0]);
            }
        } catch (FileAlreadyExistsException file) {
            throw new IOException(folder + " is a file, not a folder", file);
        } catch (IOException failed) {
            throw new IOException("The folder " + folder + " can't be made or written to", failed);
        }
    }

    private List<Outcome> deliver(List<Delivery> ofOnePhoto) {
        if (!control.mayGoOn()) {
            return List.of();
        }
        Delivery first = ofOnePhoto.getFirst();
        List<Outcome> outcomes = new ArrayList<>();
        try (Source source = Source.open(first.source(), Rendering.facts(first))) {
            for (Delivery delivery : ofOnePhoto) {
                if (control.mayGoOn()) {
                    outcomes.add(told(deliver(delivery, source)));
                }
            }
        } catch (UnreadablePhotoException unreadable) {
            ofOnePhoto.forEach(d ->
                    outcomes.add(told(new Outcome.Failed(d, unreadable.trouble().text()))));
        }
        return outcomes;
    }

    private Outcome told(Outcome outcome) {
        progress.accept(outcome);
        return outcome;
    }

    private Outcome deliver(Delivery delivery, Source source) {
        try {
            byte[] encoded = Rendering.bytes(delivery, source);
            Files.createDirectories(delivery.output().getParent());
            Journal.begin(delivery, plan.request());
            AtomicFile.write(delivery.output(), encoded);
            Outcome.Written written = ReadBack.check(delivery, encoded);
            Journal.add(written, plan.request());
            return written;
        } catch (IOException failed) {
            return new Outcome.Failed(delivery, words(failed));
        } catch (RuntimeException | OutOfMemoryError refused) { // native code's own; one file's trouble stops no other
            return new Outcome.Failed(delivery, "could not be rendered: " + refused.getMessage());
        }
    }

    private static String words(IOException failed) {
        return failed.getMessage() == null ? "could not be written" : "could not be written: " + failed.getMessage();
    }
}
