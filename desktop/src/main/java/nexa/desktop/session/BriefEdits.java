package nexa.desktop.session;

import java.util.List;
import nexa.core.brief.Brief;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.shape.Shape;
import nexa.shoot.Shoot;
import nexa.shoot.edit.Edit;
import nexa.shoot.edit.Edit.FramingChange;

/** What can be done to the brief, each as one edit. Names that are taken are refused with words for the user. */
public final class BriefEdits {
    private final Session session;

    BriefEdits(Session session) {
        this.session = session;
    }

    /** @throws IllegalArgumentException with words for the user if the name is taken or not a name */
    public void add(String name, Shape shape) {
        added(brief().with(name, shape));
    }

    /** @throws IllegalArgumentException with words for the user if the name is taken */
    public void add(Format format) {
        added(brief().with(format));
    }

    /** Formats of another brief; what is here already is left out. */
    public void addAll(List<Format> formats) {
        added(brief().withAll(formats));
    }

    /** The first one added becomes the active format. */
    private void added(Brief longer) {
        int before = brief().formats().size();
        if (session.shoot().mayEdit() && !longer.equals(brief())) {
            boolean several = longer.formats().size() > before + 1;
            change(several ? "edit.brief.add-several" : "edit.brief.add", longer);
            session.choose(longer.formats().get(before));
        }
    }

    /** Makes another brief of this one. */
    public void change(String label, Brief changed) {
        if (session.shoot().mayEdit()) {
            session.shoot().apply(Edit.brief(label, brief(), changed));
        }
    }

    /** Its crops are kept: stepping back brings it back with all of them. */
    public void remove(Format removed) {
        change("edit.brief.remove", brief().without(removed));
    }

    /** How many photos have crops of formats that were removed. */
    public long withRemoved() {
        Shoot shoot = session.shoot();
        return shoot.photos().stream()
                .map(shoot::framing)
                .filter(framing -> !framing.onlyOf(brief()).equals(framing))
                .count();
    }

    /** Forgets the crops of formats that were removed. */
    public void forgetRemoved() {
        Shoot shoot = session.shoot();
        if (shoot.mayEdit()) {
            List<FramingChange> changes = shoot.photos().stream()
                    .map(photo -> {
                        Framing before = shoot.framing(photo);
                        return new FramingChange(photo.id(), before, before.onlyOf(brief()));
                    })
                    .filter(change -> !change.before().equals(change.after()))
                    .toList();
            shoot.apply(new Edit("edit.forget", changes, null));
        }
    }

    private Brief brief() {
        return session.brief();
    }
}
