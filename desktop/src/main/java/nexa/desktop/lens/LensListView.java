package nexa.desktop.lens;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Executor;
import java.util.stream.Stream;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressIndicator;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;
import javafx.util.Subscription;
import nexa.core.geometry.Point;
import nexa.core.lens.Lens;
import nexa.core.lens.LensUse;
import nexa.core.space.PhotoSpace;
import nexa.core.space.Pose;
import nexa.desktop.model.LensModel;
import nexa.desktop.model.LensModel.Group;
import nexa.desktop.model.ShootModels;
import nexa.desktop.paint.LevelView;
import nexa.desktop.paint.Palette;
import nexa.desktop.paint.PhotoPainter;
import nexa.desktop.pane.ReviewFrame;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.picture.FramePicture;
import nexa.desktop.session.Session;
import nexa.desktop.widget.Buttons;
import nexa.desktop.widget.DrawnPane;
import nexa.desktop.widget.LensWords;
import nexa.desktop.widget.Nodes;
import nexa.shoot.lens.LensOffer;
import nexa.shoot.photo.Photo;
import nexa.words.Words;

/** The lenses that a shoot was taken with, each with what correcting it does to one of its photos, to accept or to leave. */
public final class LensListView extends ReviewFrame {
    private static final double PICTURE = 210;
    private static final int CELLS = 4;

    private final Session session;
    private final LensModel lens;
    private final PhotoLoader loader;
    private final Executor fx;
    private final Label summary = new Label();
    private final ProgressIndicator busy = new ProgressIndicator();
    private final Button all;
    private final Subscription subscription;
    private List<FramePicture> pictures = List.of();

    /** @param done called when the user is through */
    public LensListView(ShootModels models, PhotoLoader loader, Executor fx, Runnable done) {
        super("lens.list.title", "lens-list-done", done);
        session = models.session();
        lens = models.lens();
        this.loader = loader;
        this.fx = fx;
        setId("lens-list-view");
        summary.getStyleClass().add("note");
        busy.setPrefSize(22, 22);
        all = Buttons.text("lens.list.all", this::acceptAll);
        all.setId("lens-accept-all");
        all.getStyleClass().add("primary");
        addFacts(summary, busy);
        addActions(all);
        subscription = Subscription.combine(
                lens.groupsProperty().subscribe(groups -> refresh()),
                session.editsProperty().subscribe(count -> refresh()));
        lens.lookThrough();
    }

    private void acceptAll() {
        lens.groupsProperty()
                .get()
                .ifPresent(groups ->
                        lens.accept(groups.stream().filter(Group::isFound).toList()));
    }

    private void refresh() {
        pictures.forEach(FramePicture::clear);
        pictures = List.of();
        Optional<List<Group>> groups = lens.groupsProperty().get();
        Nodes.show(busy, groups.isEmpty());
        List<Group> known = groups.orElse(List.of());
        List<Group> found = known.stream().filter(Group::isFound).toList();
        int photos = found.stream().mapToInt(group -> group.offers().size()).sum();
        int unknown = known.stream().mapToInt(group -> group.offers().size()).sum() - photos;
        summary.setText(
                groups.isEmpty()
                        ? Words.of("lens.looking")
                        : Words.of("lens.list.summary", found.size(), photos, unknown));
        all.setText(Words.of("lens.list.all", photos));
        all.setDisable(
                found.stream().allMatch(this::isAccepted) || !session.shoot().mayEdit());
        rows().getChildren().setAll(known.stream().map(this::row).toList());
    }

    private boolean isAccepted(Group group) {
        return group.offers().keySet().stream()
                .allMatch(photo -> session.framing(photo).pose().lens().use() == LensUse.FOUND);
    }

    private HBox row(Group group) {
        Map.Entry<Photo, LensOffer> first = group.offers().entrySet().iterator().next();
        Photo example = first.getKey();
        LensOffer offer = first.getValue();
        Label name = new Label(LensWords.name(group.match()));
        name.getStyleClass().add("format-name");
        name.setWrapText(true);
        Label count = new Label(Words.of("lens.list.photos", group.offers().size(), Words.name(example.name())));
        Label why = new Label(LensWords.why(offer));
        why.getStyleClass().add("note");
        why.setWrapText(true);
        VBox text = texts(380, name, count, why);
        if (group.isFound()) {
            Pose plain = session.framing(example).pose().withLens(Lens.OFF);
            Lens found = Lens.OFF.measured(LensUse.FOUND, "", offer.terms().orElseThrow());
            return row(actions(group), picture(example, plain), picture(example, plain.withLens(found)), text);
        }
        return row(actions(group), text);
    }

    private HBox actions(Group group) {
        boolean accepted = isAccepted(group);
        Label state = new Label(Words.of("lens.list.accepted"));
        state.setVisible(accepted);
        state.setManaged(accepted);
        Button accept = Buttons.text("lens.list.accept", () -> lens.accept(List.of(group)));
        accept.setId("accept-lens-" + rows().getChildren().size());
        accept.setVisible(group.isFound() && !accepted);
        accept.setManaged(accept.isVisible());
        accept.setDisable(!session.shoot().mayEdit());
        return actions(state, accept);
    }

    /** The photo as a lens setting leaves it, under a grid by which bent lines are seen. */
    private Region picture(Photo photo, Pose pose) {
        PhotoSpace space = photo.space(pose);
        Evidence evidence = new Evidence(photo, space);
        evidence.fit(PICTURE, space.upright().aspect());
        return evidence;
    }

    private final class Evidence extends DrawnPane {
        private final PhotoSpace space;
        private final FramePicture picture;

        Evidence(Photo photo, PhotoSpace space) {
            this.space = space;
            picture = new FramePicture(session.shoot(), loader, fx, this::redraw);
            picture.show(photo, PhotoLoader.SMALL);
            pictures = Stream.concat(pictures.stream(), Stream.of(picture)).toList();
        }

        @Override
        public void draw(GraphicsContext canvas, double width, double height) {
            LevelView view = LevelView.fitting(space.extent(), 0, 0, width, height);
            canvas.setFill(Palette.WAITING);
            canvas.fillRect(0, 0, width, height);
            picture.corrected(space).ifPresent(pixels -> new PhotoPainter(canvas, view).photo(pixels, space));
            canvas.setStroke(Color.gray(1, 0.55));
            canvas.setLineWidth(1);
            for (int i = 1; i < CELLS; i++) {
                Point at = new Point(Math.floor(width * i / CELLS) + 0.5, Math.floor(height * i / CELLS) + 0.5);
                canvas.strokeLine(at.x(), 0, at.x(), height);
                canvas.strokeLine(0, at.y(), width, at.y());
            }
        }
    }

    @Override
    public void dispose() {
        subscription.unsubscribe();
        pictures.forEach(FramePicture::clear);
    }
}
