package nexa.shoot;

import java.util.List;
import nexa.core.brief.Brief;
import nexa.core.brief.Framing;
import nexa.shoot.edit.Edit;
import nexa.shoot.photo.Photo;

/** What photos are asked for, and the one way in which that changes. */
public interface Framings {
    /** False while another program has the shoot open: edits are refused then. */
    boolean mayEdit();

    Brief brief();

    List<Photo> photos();

    Framing framing(Photo photo);

    /**
     * Does an edit.
     *
     * @throws IllegalStateException if nothing may be edited
     */
    void apply(Edit edit);
}
