package nexa.cli.deliver;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import nexa.cli.base.Rows;
import nexa.cli.base.ShootCommand;
import nexa.core.brief.Format;
import nexa.core.paper.Page;
import nexa.core.paper.Paper;
import nexa.shoot.Shoot;
import nexa.shoot.handover.RunControl;
import nexa.shoot.paper.ContactSheet;
import nexa.shoot.paper.PaperJob;
import nexa.shoot.paper.PaperJob.Printed;
import nexa.shoot.paper.PrintSheet;
import nexa.words.Words;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** Crops on paper, as PDF. */
public final class PaperCommands {
    private PaperCommands() {}

    /** What contact sheets and print sheets share. */
    private abstract static class OnPaper extends ShootCommand {
        @Option(names = "--out", required = true, paramLabel = "FILE.pdf", description = "The file to write.")
        @SuppressWarnings("NullAway.Init")
        private Path out;

        @Option(names = "--format", paramLabel = "NAME", description = "Only this format; may be given several times.")
        private List<String> names = new ArrayList<>();

        @Option(
                names = "--paper",
                defaultValue = "A4",
                description = "One of: ${COMPLETION-CANDIDATES}; A4 if nothing is said.")
        @SuppressWarnings("NullAway.Init")
        private Paper paper;

        @Option(names = "--lying", description = "The paper's long side across.")
        private boolean lying;

        @Option(names = "--margin", paramLabel = "MM", defaultValue = "10", description = "White on each side.")
        private double margin;

        @Option(names = "--replace", description = "Put what is written in place of a file that has its name.")
        private boolean replace;

        @Override
        protected final boolean run(Shoot shoot, Rows rows) throws IOException {
            List<Format> formats = formats(shoot, names);
            if (formats.isEmpty()) {
                throw wrong(Words.of("cli.brief-empty-so-nothing-print"));
            }
            PaperJob job = job(out.toAbsolutePath(), formats, page());
            Printed printed =
                    exported(() -> job.write(shoot, ifTaken(replace), (done, of) -> {}, new RunControl(), Words::of));
            printed.troubles().forEach(told -> say(Words.of(told)));
            rows.add()
                    .with("output", printed.file().toString())
                    .with("pages", printed.pages())
                    .with("pictures", printed.pictures());
            return printed.troubles().isEmpty();
        }

        private Page page() {
            try {
                return paper.page(lying, margin);
            } catch (IllegalArgumentException none) {
                throw wrong(Words.of("cli.margin", margin), none);
            }
        }

        abstract PaperJob job(Path file, List<Format> formats, Page page);
    }

    @Command(name = "contact", description = "Print the crops in rows, with names and states, to a PDF.")
    public static final class Contact extends OnPaper {
        @Option(names = "--columns", paramLabel = "N", defaultValue = "5", description = "Pictures in a row.")
        private int columns;

        @Option(names = "--by-photo", description = "A row for each photo, with all formats.")
        private boolean byPhoto;

        @Override
        PaperJob job(Path file, List<Format> formats, Page page) {
            if (columns < 1 || columns > 20) {
                throw wrong(Words.of("cli.columns-from-not", columns));
            }
            return new ContactSheet(file, formats, byPhoto, page, columns);
        }
    }

    @Command(name = "prints", description = "Put prints in their sizes on sheets to be cut apart, in a PDF.")
    public static final class Prints extends OnPaper {
        @Option(names = "--bleed", paramLabel = "MM", defaultValue = "3", description = "Picture beyond the cut.")
        private double bleed;

        @Option(names = "--no-marks", description = "Without the lines that say where to cut.")
        private boolean unmarked;

        @Override
        PaperJob job(Path file, List<Format> formats, Page page) {
            if (!(bleed >= 0 && bleed <= 50)) {
                throw wrong(Words.of("cli.bleed-from-mm-not", bleed));
            }
            return new PrintSheet(file, formats, page, bleed, !unmarked);
        }
    }
}
