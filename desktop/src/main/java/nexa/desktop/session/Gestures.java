package nexa.desktop.session;

import java.util.Map;
import nexa.core.brief.Crop;
import nexa.core.brief.Framing;
import nexa.core.geometry.Frame;
import nexa.shoot.Framings;
import nexa.shoot.edit.Edit;
import nexa.shoot.edit.Edit.FramingChange;
import nexa.shoot.photo.Photo;

/**
 * The way from a gesture to an edit: what it leads to is shown without being stored, then made one edit or taken back.
 */
public final class Gestures {
    private final Framings shoot;
    private final Current current;
    private final Selection selection;

    Gestures(Framings shoot, Current current, Selection selection) {
        this.shoot = shoot;
        this.current = current;
        this.selection = selection;
    }

    /** Shows what a gesture leads to, without storing it. */
    public void preview(Framing gesture) {
        if (shoot.mayEdit()) {
            current.preview(gesture);
        }
    }

    void showPreviews(Map<Photo, Framing> shown) {
        current.preview(shown);
    }

    /** Makes what is shown one edit. */
    public void commit(String label) {
        current.moment()
                .photo()
                .filter(p -> shoot.mayEdit())
                .ifPresent(p -> shoot.apply(Edit.framing(
                        label, p.id(), shoot.framing(p), current.moment().framing())));
    }

    /** Shows what is stored again. */
    public void abandon() {
        current.abandon();
    }

    /** What is asked of a photo, from what was. */
    @FunctionalInterface
    public interface Asking {
        Framing after(Photo photo, Framing before);
    }

    /** Changes all photos that are adjusted as one edit. */
    public void editAll(String label, Asking asking) {
        if (shoot.mayEdit()) {
            shoot.apply(new Edit(
                    label,
                    selection.adjusted().stream()
                            .map(p -> new FramingChange(p.id(), shoot.framing(p), asking.after(p, shoot.framing(p))))
                            .toList(),
                    null));
        }
    }

    public void edit(String label, Framing after) {
        preview(after);
        commit(label);
    }

    /** The framing with the frame as the active format's wish; what else its crop asks for stays. */
    public Framing placed(Frame frame) {
        return current.moment()
                .crop()
                .map(crop -> placed(
                        crop.withWish(current.moment().space().orElseThrow().toAsShot(frame))))
                .orElse(current.moment().framing());
    }

    Framing placed(Crop crop) {
        return current.moment().framing().withCrop(current.moment().format().orElseThrow(), crop);
    }
}
