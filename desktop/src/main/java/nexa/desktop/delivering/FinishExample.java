package nexa.desktop.delivering;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executor;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import nexa.core.brief.Format;
import nexa.core.files.Finish;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Raster;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.shoot.Shoot;
import nexa.shoot.handover.Delivery;
import nexa.shoot.handover.HandoverPlan;
import nexa.shoot.handover.Rendering;
import nexa.shoot.photo.Photo;

/** The middle of a delivered photo at its own pixels, as it is and sharpened. */
public final class FinishExample {
    /** The same pixels twice. */
    public record Pair(Raster plain, Raster finished) {}

    private final Shoot shoot;
    private final Executor work;
    private final Executor fx;
    private final int side;
    private final ReadOnlyObjectWrapper<Optional<Pair>> pair = new ReadOnlyObjectWrapper<>(Optional.empty());
    private long latest;

    /** @param side of the square, in delivered pixels */
    public FinishExample(Shoot shoot, Executor work, Executor fx, int side) {
        this.shoot = shoot;
        this.work = work;
        this.fx = fx;
        this.side = side;
    }

    /** Empty until it is made, and for a photo that can't be read. */
    public ReadOnlyObjectProperty<Optional<Pair>> pairProperty() {
        return pair.getReadOnlyProperty();
    }

    /** Makes another one, off the interface's thread. */
    public void show(Photo photo, Format format) {
        long mine = ++latest;
        Delivery delivery = HandoverPlan.sample(shoot, photo, format);
        work.execute(() -> {
            Optional<Pair> made = made(delivery);
            fx.execute(() -> {
                if (mine == latest) {
                    pair.set(made);
                }
            });
        });
    }

    private Optional<Pair> made(Delivery delivery) {
        Finish finish = delivery.format().files().finish();
        try {
            List<Picture> pictures = Rendering.samples(shoot.codecs(), delivery, side, List.of(Finish.DEFAULT, finish));
            try (Picture plain = pictures.getFirst();
                    Picture finished = pictures.getLast()) {
                return Optional.of(new Pair(plain.toRaster(), finished.toRaster()));
            }
        } catch (UnreadablePhotoException gone) { // the photo itself shows why
            return Optional.empty();
        }
    }
}
