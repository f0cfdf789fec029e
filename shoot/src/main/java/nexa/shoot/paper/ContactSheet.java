package nexa.shoot.paper;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import nexa.core.brief.Format;
import nexa.core.brief.FrameState;
import nexa.core.paper.Box;
import nexa.core.paper.ContactGrid;
import nexa.core.paper.ContactGrid.Cell;
import nexa.core.paper.Page;
import nexa.core.print.SizeTarget;
import nexa.core.told.Told;
import nexa.imaging.file.Trouble;
import nexa.shoot.Shoot;
import nexa.shoot.guard.WriteGuard;
import nexa.shoot.guard.WriteGuard.IfTaken;
import nexa.shoot.handover.Delivery;
import nexa.shoot.handover.HandoverPlan;
import nexa.shoot.handover.Rendering;
import nexa.shoot.handover.RunControl;
import nexa.shoot.paper.Pictures.Made;
import nexa.shoot.photo.Photo;

/**
 * The crops of a shoot to look at, with names and states. Photos set aside are left out.
 *
 * @param byPhoto whether a photo's formats stand side by side; else each format begins a page
 * @param columns of pictures; where a photo's formats stand side by side, as many whole photos as they hold, at least one
 */
public record ContactSheet(Path file, List<Format> formats, boolean byPhoto, Page page, int columns)
        implements PaperJob {
    private static final double HEADING = 14;
    private static final double CAPTION = 10;
    private static final double GAP = 4;
    private static final double LINE = 3.6;
    private static final float TITLE_SIZE = 11;
    private static final float TEXT_SIZE = 7;
    private static final double PPI = 220;

    public ContactSheet {
        formats = List.copyOf(formats);
    }

    /** One picture with what is said below it; without a delivery the photo can't be read. */
    private record Entry(Photo photo, Format format, Optional<Delivery> delivery) {}

    @Override
    public Printed write(
            Shoot shoot, IfTaken ifTaken, Progress progress, RunControl control, Function<Told, String> words)
            throws IOException {
        WriteGuard guard = shoot.guard();
        guard.require(file, ifTaken);
        List<List<Entry>> parts = parts(shoot);
        List<Cell> cells = grid().cells();
        int longEdge = (int) Math.ceil(cells.getFirst().picture().width() / SizeTarget.MILLIMETRES_PER_INCH * PPI);
        List<Delivery> deliveries = parts.stream()
                .flatMap(List::stream)
                .flatMap(entry -> entry.delivery.stream())
                .toList();
        Made made =
                Pictures.make(deliveries, photo -> Rendering.small(shoot.codecs(), photo, longEdge), progress, control);
        if (!control.mayGoOn()) {
            return new Printed(file, 0, 0, List.of(), true);
        }
        List<List<Entry>> pages =
                parts.stream().flatMap(part -> onPages(part, cells.size())).toList();
        try (Pdf pdf = new Pdf()) {
            for (int number = 1; number <= pages.size(); number++) {
                List<Entry> here = pages.get(number - 1);
                pdf.begin(page);
                heading(pdf, shoot, words, here.getFirst().format, number, pages.size());
                for (int i = 0; i < here.size(); i++) {
                    draw(pdf, shoot, words, here.get(i), cells.get(i), made);
                }
            }
            pdf.save(file, guard, ifTaken);
        }
        return new Printed(file, pages.size(), made.pictures().size(), troubles(made), false);
    }

    private static Stream<List<Entry>> onPages(List<Entry> part, int most) {
        return IntStream.iterate(0, first -> first < part.size(), first -> first + most)
                .mapToObj(first -> part.subList(first, Math.min(part.size(), first + most)));
    }

    private static List<Told> troubles(Made made) {
        return made.failed().entrySet().stream()
                .sorted(Comparator.comparing(failed -> failed.getKey().file()))
                .map(failed -> Told.of("told.at", failed.getKey().file(), failed.getValue()))
                .toList();
    }

    private ContactGrid grid() {
        int across = byPhoto ? Math.max(1, columns / formats.size()) * formats.size() : columns;
        return new ContactGrid(page, across, HEADING, CAPTION, GAP);
    }

    /** What begins a page each: all photos, or those of each format. */
    private List<List<Entry>> parts(Shoot shoot) {
        List<Photo> photos = shoot.photos().stream()
                .filter(photo -> !shoot.framing(photo).setAside())
                .toList();
        Stream<List<Entry>> parts = byPhoto
                ? Stream.of(photos.stream()
                        .flatMap(photo -> formats.stream().map(format -> entry(shoot, photo, format)))
                        .toList())
                : formats.stream().map(format -> photos.stream()
                        .map(photo -> entry(shoot, photo, format))
                        .toList());
        return parts.filter(part -> !part.isEmpty()).toList();
    }

    private static Entry entry(Shoot shoot, Photo photo, Format format) {
        return new Entry(
                photo,
                format,
                photo.isReadable() ? Optional.of(HandoverPlan.sample(shoot, photo, format)) : Optional.empty());
    }

    private void heading(Pdf pdf, Shoot shoot, Function<Told, String> words, Format format, int number, int pages)
            throws IOException {
        Box inside = page.inside();
        double baseline = inside.top() + 5;
        String what = byPhoto ? "" : " · " + named(words, format);
        pdf.text(shoot.name() + what, inside.left(), baseline, inside.width() - 25, TITLE_SIZE, false);
        pdf.textBefore(words.apply(Told.of("told.paper.page", number, pages)), inside.right(), baseline, TEXT_SIZE);
    }

    /** With its shape, if the name does not say it. */
    private static String named(Function<Told, String> words, Format format) {
        String shape = words.apply(Told.of("told.paper.shape", format.shape()));
        return format.name().equalsIgnoreCase(shape)
                ? shape
                : words.apply(Told.of("told.paper.shaped", format.name(), format.shape()));
    }

    private void draw(Pdf pdf, Shoot shoot, Function<Told, String> words, Entry entry, Cell cell, Made made)
            throws IOException {
        byte[] picture = entry.delivery.map(made.pictures()::get).orElse(null);
        Box box = cell.picture();
        List<String> lines = new ArrayList<>();
        lines.add(byPhoto ? entry.photo.name() + " · " + entry.format.name() : entry.photo.name());
        if (picture == null) {
            pdf.empty(box.fitting(1.25));
            lines.add(entry.photo
                    .trouble()
                    .map(Trouble::told)
                    .or(() -> Optional.ofNullable(made.failed().get(entry.photo)))
                    .map(words)
                    .orElse(""));
        } else {
            pdf.picture(
                    picture, box.fitting(entry.delivery.orElseThrow().frame().aspect()), false);
            lines.add(below(shoot, words, entry));
        }
        for (int i = 0; i < lines.size(); i++) {
            double baseline = cell.caption().top() + (i + 1) * LINE;
            pdf.text(lines.get(i), box.left(), baseline, box.width(), TEXT_SIZE, i > 0);
        }
    }

    private static String below(Shoot shoot, Function<Told, String> words, Entry entry) {
        Delivery delivery = entry.delivery.orElseThrow();
        FrameState state = shoot.framing(entry.photo).state(entry.format);
        return words.apply(Told.of("state." + state.name().toLowerCase(Locale.ROOT))) + " · "
                + delivery.size().width() + " × " + delivery.size().height();
    }
}
