package nexa.shoot.paper;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import nexa.core.brief.Format;
import nexa.core.geometry.PixelSize;
import nexa.core.paper.Box;
import nexa.core.paper.Page;
import nexa.core.paper.PrintLayout;
import nexa.core.paper.PrintLayout.Piece;
import nexa.core.paper.PrintLayout.Place;
import nexa.core.paper.PrintLayout.Sheets;
import nexa.core.print.Sense;
import nexa.core.print.SizeTarget;
import nexa.core.told.Told;
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
 * Prints in their sizes on sheets, to be cut apart; of the formats that ask for a print. Photos set aside are left out.
 *
 * @param bleed millimetres of picture beyond the cut; beyond the photo its edge goes on
 * @param marks whether lines outside the picture say where to cut
 */
public record PrintSheet(Path file, List<Format> formats, Page page, double bleed, boolean marks) implements PaperJob {
    private static final double MARK = 4;
    private static final double MARK_GAP = 1;
    private static final double FOOT = 3;
    private static final float TEXT_SIZE = 6;

    public PrintSheet {
        formats = List.copyOf(formats);
    }

    @Override
    public Printed write(
            Shoot shoot, IfTaken ifTaken, Progress progress, RunControl control, Function<Told, String> words)
            throws IOException {
        WriteGuard guard = shoot.guard();
        guard.require(file, ifTaken);
        List<Told> troubles = new ArrayList<>();
        List<Delivery> deliveries = deliveries(shoot, troubles);
        List<Piece> prints = deliveries.stream().map(PrintSheet::print).toList();
        Sheets sheets = new PrintLayout(page, bleed, marks ? MARK + MARK_GAP : 0).place(prints);
        sheets.tooLarge().forEach(i -> troubles.add(Told.of("told.paper.too-large", name(deliveries.get(i)))));
        List<Delivery> placed = sheets.places().stream()
                .map(place -> deliveries.get(place.print()))
                .toList();
        Made made = Pictures.make(
                placed, photo -> Rendering.bleeding(shoot.codecs(), photo, this::bleed), progress, control);
        if (!control.mayGoOn()) {
            return new Printed(file, 0, 0, List.of(), true);
        }
        made.failed().forEach((photo, reason) -> troubles.add(Told.of("told.at", photo.file(), reason)));
        if (!sheets.places().isEmpty()) {
            write(sheets, deliveries, made, guard, ifTaken);
        }
        return new Printed(file, sheets.count(), made.pictures().size(), troubles, false);
    }

    private List<Delivery> deliveries(Shoot shoot, List<Told> troubles) {
        List<Delivery> deliveries = new ArrayList<>();
        for (Format format : formats) {
            if (!(format.target() instanceof SizeTarget.Print)) {
                troubles.add(Told.of("told.paper.no-print-size", format.name()));
                continue;
            }
            for (Photo photo : shoot.photos()) {
                if (photo.isReadable() && !shoot.framing(photo).setAside()) {
                    deliveries.add(HandoverPlan.sample(shoot, photo, format));
                }
            }
        }
        return deliveries;
    }

    private static String name(Delivery delivery) {
        return delivery.photo().name() + " · " + delivery.format().name();
    }

    /** As large as the format asks, as the frame lies. */
    private static Piece print(Delivery delivery) {
        PixelSize size = delivery.size();
        double ppi = ppi(delivery);
        return new Piece(Sense.millimetres(size.width(), ppi), Sense.millimetres(size.height(), ppi));
    }

    private static double ppi(Delivery delivery) {
        return Sense.ppi(delivery.size(), (SizeTarget.Print) delivery.format().target());
    }

    /** In delivered pixels. */
    private double bleed(Delivery delivery) {
        return bleed / SizeTarget.MILLIMETRES_PER_INCH * ppi(delivery);
    }

    private void write(Sheets sheets, List<Delivery> deliveries, Made made, WriteGuard guard, IfTaken ifTaken)
            throws IOException {
        try (Pdf pdf = new Pdf()) {
            int sheet = -1;
            for (Place place : sheets.places()) {
                if (place.sheet() != sheet) {
                    sheet = place.sheet();
                    pdf.begin(page);
                    foot(pdf, sheet, sheets.count());
                }
                byte[] picture = made.pictures().get(deliveries.get(place.print()));
                if (picture != null) {
                    pdf.picture(picture, place.cut().grown(bleed), place.turned());
                    if (marks) {
                        mark(pdf, place.cut());
                    }
                }
            }
            pdf.save(file, guard, ifTaken);
        }
    }

    private void foot(Pdf pdf, int sheet, int count) throws IOException {
        if (page.margin() > FOOT) {
            pdf.text((sheet + 1) + " of " + count, page.margin(), page.height() - FOOT, 20, TEXT_SIZE, true);
        }
    }

    /** Two lines at each corner, outside of the bleed, in the directions of the cuts. */
    private void mark(Pdf pdf, Box cut) throws IOException {
        double from = bleed + MARK_GAP;
        double to = from + MARK;
        for (double x : List.of(cut.left(), cut.right())) {
            pdf.line(x, cut.top() - to, x, cut.top() - from);
            pdf.line(x, cut.bottom() + from, x, cut.bottom() + to);
        }
        for (double y : List.of(cut.top(), cut.bottom())) {
            pdf.line(cut.left() - to, y, cut.left() - from, y);
            pdf.line(cut.right() + from, y, cut.right() + to, y);
        }
    }
}
