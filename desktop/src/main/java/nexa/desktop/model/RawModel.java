package nexa.desktop.model;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.Executor;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import nexa.desktop.session.Session;
import nexa.imaging.file.Trouble;
import nexa.shoot.photo.Photo;
import nexa.shoot.photo.RawPicture;
import nexa.shoot.raw.Developing;
import nexa.shoot.raw.Developing.Developed;
import nexa.shoot.scan.PairShown;
import nexa.words.Words;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Which picture of raw files is shown: of chosen photos, of all, and of those that come in. On the interface's thread. */
public final class RawModel {
    private static final Logger LOG = LoggerFactory.getLogger(RawModel.class);

    private final Session session;
    private final Executor work;
    private final Executor fx;
    private final ReadOnlyStringWrapper message = new ReadOnlyStringWrapper("");

    /** What is said of one photo only; whoever goes on to another knows. */
    private String ofPhoto = "";

    private volatile boolean closed;

    /**
     * @param work where files are read
     * @param fx the interface's thread
     */
    public RawModel(Session session, Executor work, Executor fx) {
        this.session = session;
        this.work = work;
        this.fx = fx;
        session.onOtherPhoto(() -> {
            if (message.get().equals(ofPhoto)) {
                understood();
            }
        });
    }

    /** What goes on or came of it; empty if nothing was asked for. */
    public ReadOnlyStringProperty messageProperty() {
        return message.getReadOnlyProperty();
    }

    /** Whoever reads the message needs it no more. */
    public void understood() {
        message.set("");
    }

    /** What raw files show that come in. */
    public RawPicture usual() {
        return RawPicture.of(session.shoot().setting(RawPicture.SETTING));
    }

    /** Whether the shoot has any raw file, in a pair or alone. */
    public boolean hasAny() {
        return session.shoot().photos().stream()
                .anyMatch(photo -> RawPicture.of(photo).isPresent()
                        || session.shoot().companion(photo).isPresent());
    }

    /** What becomes of a raw file with a finished picture of its name. */
    public PairShown pairs() {
        return PairShown.of(session.shoot().setting(PairShown.SETTING));
    }

    /** Counts from the next time on that the shoot is opened. */
    public void pair(PairShown shown) {
        session.shoot().remember(PairShown.SETTING, shown.setting());
    }

    /** Of all photos, and of those that come in. */
    public void showOfAll(RawPicture picture) {
        session.shoot().remember(RawPicture.SETTING, picture.setting());
        show(session.shoot().photos(), picture);
    }

    /** The other picture of the current photo, and the same of all chosen ones. */
    public void toggle() {
        List<Photo> chosen = session.selection().chosen();
        session.photo().ifPresent(photo -> RawPicture.of(photo)
                .ifPresentOrElse(
                        shown -> show(chosen, shown == RawPicture.CAMERA ? RawPicture.DATA : RawPicture.CAMERA),
                        () -> sayOf(photo)));
    }

    private void sayOf(Photo photo) {
        ofPhoto = noPicture(photo);
        message.set(ofPhoto);
    }

    /** Why no other picture of it can be shown. */
    private static String noPicture(Photo photo) {
        return photo.trouble()
                .map(trouble -> Words.of("bench.unreadable", photo.name(), Words.of(trouble)))
                .orElseGet(() -> Words.of("raw.none", photo.name()));
    }

    private void show(List<Photo> photos, RawPicture picture) {
        if (!session.shoot().mayEdit()) {
            return;
        }
        message.set(Words.of("raw.working"));
        CompletableFuture.supplyAsync(() -> developed(photos, picture), work)
                .whenCompleteAsync(
                        (developed, failure) -> {
                            if (failure != null) {
                                LOG.warn("Other pictures of raw files are not shown", failure);
                                message.set(Words.of("raw.failed"));
                            } else if (!closed) {
                                session.shoot().take(developed.arrivals());
                                message.set(told(developed, picture));
                            }
                        },
                        fx);
    }

    private Developed developed(List<Photo> photos, RawPicture picture) {
        try {
            return Developing.show(session.shoot(), photos, picture, () -> !closed);
        } catch (IOException unstored) {
            throw new CompletionException(unstored);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new CompletionException(stopped);
        }
    }

    private static String told(Developed developed, RawPicture picture) {
        int count = developed.arrivals().photos().size();
        String done = Words.of("raw.shown." + picture.setting(), count);
        return developed.refused().entrySet().stream()
                .findFirst()
                .map(first -> done + " " + refused(first, developed.refused().size()))
                .orElse(done);
    }

    private static String refused(Map.Entry<Photo, Trouble> first, int all) {
        return Words.of("raw.refused", all, first.getKey().name(), Words.of(first.getValue()));
    }

    /** Stops what goes on. */
    public void dispose() {
        closed = true;
    }
}
