package nexa.shoot.paper;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Function;
import nexa.core.told.Told;
import nexa.shoot.Shoot;
import nexa.shoot.guard.NameTakenException;
import nexa.shoot.guard.WriteGuard.IfTaken;
import nexa.shoot.handover.RunControl;

/** Something that becomes a PDF. */
public sealed interface PaperJob permits ContactSheet, PrintSheet {
    /** Told how far it is, on any thread. */
    @FunctionalInterface
    interface Progress {
        void done(int photos, int of);
    }

    /**
     * What came of it.
     *
     * @param pictures on all pages
     * @param troubles what was left out and why
     * @param cancelled then nothing was written
     */
    record Printed(Path file, int pages, int pictures, List<Told> troubles, boolean cancelled) {
        public Printed {
            troubles = List.copyOf(troubles);
        }
    }

    /**
     * Makes the PDF and puts it in its file whole. Blocks until done.
     *
     * @param words for what is told on the pages themselves
     * @throws NameTakenException if another file has the name and is to stay; known before any work is done
     * @throws IOException if the file can't be written
     */
    Printed write(Shoot shoot, IfTaken ifTaken, Progress progress, RunControl control, Function<Told, String> words)
            throws IOException;
}
