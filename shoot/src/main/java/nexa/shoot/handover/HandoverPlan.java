package nexa.shoot.handover;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import nexa.core.brief.Format;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.naming.OutputName;
import nexa.core.print.OutputSize;
import nexa.core.print.SizeTarget;
import nexa.shoot.Photo;
import nexa.shoot.Shoot;

/**
 * All files a handover writes, decided before anything is written, and the photos it can't deliver.
 *
 * @param deliveries grouped by photo, in the shoot's order; photos set aside are left out
 */
public record HandoverPlan(HandoverRequest request, List<Delivery> deliveries, List<Photo> unreadable) {

    /** Names that exist in the folder are numbered on, never written over. */
    public static HandoverPlan of(Shoot shoot, HandoverRequest request) {
        List<Delivery> deliveries = new ArrayList<>();
        List<Photo> unreadable = new ArrayList<>();
        OutputName names = new OutputName();
        for (Photo photo : shoot.photos()) {
            if (shoot.framing(photo).setAside()) {
                continue;
            }
            if (!photo.isReadable()) {
                unreadable.add(photo);
                continue;
            }
            for (Format format : request.formats()) {
                deliveries.add(delivery(shoot, photo, format, request, names));
            }
        }
        return new HandoverPlan(request, deliveries, unreadable);
    }

    private static Delivery delivery(
            Shoot shoot, Photo photo, Format format, HandoverRequest request, OutputName names) {
        Frame frame = shoot.frame(photo, format).orElseThrow();
        PixelSize asShot = photo.facts().orElseThrow().asShot();
        boolean sized = request.longEdge() > 0 && format.target().equals(SizeTarget.NONE);
        PixelSize size = sized
                ? OutputSize.atMost(frame, asShot, request.longEdge())
                : format.target().output(frame, asShot);
        Path output = free(request, photo, format, names);
        return new Delivery(photo, shoot.fileOf(photo), shoot.framing(photo), format, frame, size, output);
    }

    private static Path free(HandoverRequest request, Photo photo, Format format, OutputName names) {
        String extension = request.settings(format).type().extension();
        Path output;
        do {
            output = request.folder().resolve(names.next(photo.name(), format.name(), extension));
        } while (Files.exists(output));
        return output;
    }
}
