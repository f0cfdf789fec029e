package nexa.shoot.handover;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.NotDirectoryException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import nexa.core.told.Told;
import nexa.imaging.codec.OpenedPhoto;
import nexa.imaging.deliver.Encoded;
import nexa.imaging.file.Remark;
import nexa.imaging.file.ToldException;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.shoot.Shoot;
import nexa.shoot.disk.AtomicFile;
import nexa.shoot.guard.RefusedException;
import nexa.shoot.guard.WriteGuard;
import nexa.shoot.guard.WriteGuard.IfTaken;
import nexa.shoot.handover.request.Collision;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Runs a plan: one decode a photo, all cores. */
public final class Handover {
    private static final Logger LOG = LoggerFactory.getLogger(Handover.class);

    private final HandoverPlan plan;
    private final Consumer<Outcome> progress;
    private final RunControl control;
    private final Room room = new Room();
    private Optional<Told> listTrouble = Optional.empty();

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
     * @throws IOException if the folder can't be made or another run writes into it
     */
    public List<Outcome> run(Shoot shoot) throws IOException {
        WriteGuard guard = folder(shoot.guard());
        Path folder = plan.request().folder().toRealPath();
        try (Journal journal = Journal.open(folder, plan.request().part(), guard, shoot.seal())) {
            Writing writing = new Writing(folder, guard, journal, shoot);
            List<Outcome> outcomes = ByPhoto.work(plan.deliveries(), ofOne -> deliver(ofOne, writing)).stream()
                    .flatMap(List::stream)
                    .toList();
            end(outcomes, writing);
            return outcomes;
        }
    }

    /** Where and through what a run writes. */
    private record Writing(Path folder, WriteGuard guard, Journal journal, Shoot shoot) {}

    private WriteGuard folder(WriteGuard guard) throws IOException {
        Path folder = plan.request().folder();
        try {
            return guard.inside(folder);
        } catch (NotDirectoryException | RefusedException said) {
            throw new ToldException(Told.of(said), said);
        } catch (IOException failed) {
            throw new ToldException(Told.of("told.handover.folder-cannot-made-or-written", folder), failed);
        }
    }

    /** A run that was cancelled or failed in part can be gone on with; the list tells what is there in either case. */
    private void end(List<Outcome> outcomes, Writing writing) {
        try {
            if (!outcomes.isEmpty() || plan.request().part().isPresent()) {
                Manifest manifest = new Manifest(writing.folder, writing.guard, writing.shoot.seal());
                manifest.write(outcomes, plan);
            }
            if (isWhole(outcomes)) {
                writing.journal.end();
            }
        } catch (IOException full) {
            LOG.warn("The list in {} was not written", writing.folder, full);
            listTrouble = Optional.of(unwritten(full));
        }
    }

    private boolean isWhole(List<Outcome> outcomes) {
        return outcomes.size() == plan.deliveries().size()
                && outcomes.stream().allMatch(Outcome.Written.class::isInstance);
    }

    /** Why the list of files could not be written; empty if it is there. */
    public Optional<Told> listTrouble() {
        return listTrouble;
    }

    private List<Outcome> deliver(List<Delivery> ofOnePhoto, Writing writing) {
        if (!control.mayGoOn()) {
            return List.of();
        }
        Delivery first = ofOnePhoto.getFirst();
        List<Outcome> outcomes = new ArrayList<>();
        boolean damaged = writing.shoot.isDamaged(first.photo());
        try (OpenedPhoto photo = Decoding.open(writing.shoot.codecs(), ofOnePhoto)) {
            for (Delivery delivery : ofOnePhoto) {
                if (control.mayGoOn()) {
                    outcomes.add(told(deliver(delivery, photo, damaged, writing)));
                }
            }
        } catch (UnreadablePhotoException unreadable) {
            ofOnePhoto.forEach(d -> outcomes.add(told(new Outcome.Failed(d, unreadable.told()))));
        }
        return outcomes;
    }

    private Outcome told(Outcome outcome) {
        progress.accept(outcome);
        return outcome;
    }

    private Outcome deliver(Delivery delivery, OpenedPhoto photo, boolean damaged, Writing writing) {
        Optional<Told> tooLarge = Room.refusal(delivery);
        if (tooLarge.isPresent()) {
            return new Outcome.Failed(delivery, tooLarge.get());
        }
        Set<Told> notes = new LinkedHashSet<>(notes(Rendering.facts(delivery).remarks()));
        try (Room.Held held = room.take(delivery)) {
            Sum sum = write(delivery, Rendering.file(delivery, photo, notes::add), writing);
            return new Outcome.Written(delivery, sum.bytes(), sum.sha256(), damaged, List.copyOf(notes));
        } catch (UnreadablePhotoException unreadable) {
            return new Outcome.Failed(delivery, unreadable.told());
        } catch (IOException failed) {
            return new Outcome.Failed(delivery, unwritten(failed));
        } catch (RuntimeException | OutOfMemoryError refused) { // native code's own; one file's trouble stops no other
            return new Outcome.Failed(delivery, Told.of("told.handover.not-rendered", Told.of(refused)));
        }
    }

    /** What of a photo's reading matters to who gets the file. */
    private static List<Told> notes(Set<Remark> remarks) {
        List<Told> notes = new ArrayList<>();
        if (remarks.contains(Remark.SMALL_PREVIEW)) {
            notes.add(Told.of("told.note.small-preview"));
        }
        if (remarks.contains(Remark.HDR)) {
            notes.add(Told.of("told.note.hdr"));
        }
        return notes;
    }

    /** What a file came to while it was written. */
    private static final class Summed implements AtomicFile.Content {
        private final Encoded file;
        private Sum sum = Sum.OF_NOTHING;

        Summed(Encoded file) {
            this.file = file;
        }

        @Override
        public void to(OutputStream out) throws IOException {
            sum = Sum.ofWriting(file, out);
        }
    }

    private Sum write(Delivery delivery, Encoded file, Writing writing) throws IOException {
        Summed written = new Summed(file);
        writing.guard.write(
                delivery.output(),
                written,
                part -> {
                    Sum sum = written.sum;
                    ReadBack.check(delivery, part, sum, writing.shoot.codecs());
                    Path output = part.resolveSibling(delivery.output().getFileName());
                    writing.journal.add(delivery, output, sum.bytes(), sum.sha256());
                    writing.shoot.delivers(output, sum.bytes(), sum.sha256());
                },
                plan.request().collision() == Collision.REPLACE ? IfTaken.REPLACE : IfTaken.REFUSE);
        return written.sum;
    }

    private static Told unwritten(IOException failed) {
        return Told.of("told.handover.not-written", Told.of(failed));
    }
}
