package nexa.desktop.bench.layer;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Tilt;
import nexa.core.space.PhotoSpace;
import nexa.core.space.Pose;
import nexa.desktop.camera.Camera;
import nexa.desktop.keys.Command;
import nexa.desktop.keys.Keys;
import nexa.desktop.paint.LevelView;
import nexa.desktop.paint.LevelView.ScreenBox;
import nexa.desktop.paint.Palette;
import nexa.desktop.paint.PhotoPainter;
import nexa.desktop.paint.PhotoRaster;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.photo.ProofedPictures.Proofed;
import nexa.desktop.photo.ScreenPhoto;
import nexa.desktop.picture.FramePicture;
import nexa.desktop.session.Moment;
import nexa.desktop.session.Session;
import nexa.desktop.widget.DrawnPane;
import nexa.desktop.widget.Looks;
import nexa.shoot.photo.Photo;
import nexa.words.Words;

/**
 * What the Bench draws: neighbours, photo and frame lie on layers of their own, so that each is drawn only when what it
 * shows changes.
 */
public final class BenchLayers {
    /**
     * What the current photo's layer shows. While only the frame moves it stays, and nothing is drawn of it.
     *
     * @param only the frame, where nothing beyond it shows
     */
    private record PhotoLayer(
            Optional<ScreenPhoto> pixels,
            Optional<PhotoSpace> space,
            Optional<LevelView> view,
            Optional<Frame> only,
            Optional<Color> veil) {}

    /** What the layer of one neighbour shows. */
    private record NeighbourLayer(
            Optional<Photo> photo,
            Optional<ScreenPhoto> pixels,
            Optional<LevelView> view,
            Optional<PhotoSpace> space,
            Optional<Frame> frame) {}

    /** A neighbour's side, picture and layer. */
    private final class Neighbour {
        private final int side;
        private final FramePicture picture;
        private final DrawnPane layer = layer(this::draw);
        private Optional<NeighbourLayer> shown = Optional.empty();

        Neighbour(int side, FramePicture picture) {
            this.side = side;
            this.picture = picture;
        }

        void show() {
            Optional<NeighbourLayer> now = Optional.of(wanted());
            if (!shown.equals(now)) {
                shown = now;
                place(layer, now.get().space(), now.get().view());
            }
        }

        private NeighbourLayer wanted() {
            Optional<Photo> photo = camera.neighbour(side);
            Optional<PhotoSpace> space = photo.flatMap(p -> session.shoot().space(p));
            return new NeighbourLayer(
                    photo,
                    space.flatMap(picture::corrected),
                    photo.flatMap(p -> camera.neighbourView(p, side)),
                    space,
                    photo.flatMap(p ->
                            session.format().flatMap(format -> session.shoot().frame(p, format))));
        }

        private void draw(GraphicsContext canvas) {
            shown.ifPresent(now -> now.view().ifPresent(view -> {
                PhotoPainter painter = new PhotoPainter(canvas, view);
                canvas.setGlobalAlpha(NEIGHBOUR_OPACITY);
                now.pixels()
                        .ifPresent(pixels -> painter.photo(pixels, now.space().orElseThrow()));
                canvas.setGlobalAlpha(1);
                now.frame().ifPresent(painter::edge);
            }));
        }
    }

    private static final double NEIGHBOUR_OPACITY = 0.42;

    private final Region bench;
    private final Session session;
    private final Keys keys;
    private final Camera camera;
    private final BenchPictures pictures;
    private final FramePicture current;
    private final Neighbour before;
    private final Neighbour after;
    private final DrawnPane waitingLayer = layer(this::drawWaiting);
    private final PhotoRaster raster;
    private final OverPhoto over;
    private Optional<PhotoLayer> photoShown = Optional.empty();
    private Optional<ScreenPhoto> laid = Optional.empty();
    private Optional<CompletableFuture<Optional<Proofed>>> proof = Optional.empty();

    /** @param bench lays its layers out when they ask for it */
    public BenchLayers(
            Region bench,
            Session session,
            Keys keys,
            Camera camera,
            BenchPictures pictures,
            OverPhoto over,
            Executor fx) {
        this.bench = bench;
        this.session = session;
        this.keys = keys;
        this.camera = camera;
        this.pictures = pictures;
        this.current = pictures.current();
        this.before = new Neighbour(-1, pictures.before());
        this.after = new Neighbour(1, pictures.after());
        this.raster = new PhotoRaster(fx, this::prepareNext);
        this.over = over;
    }

    /** From the bottom to the top. */
    public List<Node> inOrder() {
        return Stream.concat(Stream.of(before.layer, after.layer, waitingLayer, raster), over.inOrder().stream())
                .toList();
    }

    /** Whether the photo is drawn as it is held, if only as a draft. */
    public boolean isDrawn() {
        return isLaid() && raster.isDrawn();
    }

    /** Whether the photo is drawn as well as it can be. */
    public boolean isSettled() {
        return isLaid() && raster.isSettled();
    }

    /** Whether the pixels that are there are the laid ones; new ones wait for a pulse. */
    private boolean isLaid() {
        return laid.equals(current.pixels());
    }

    public void dispose() {
        raster.dispose();
    }

    /** A layer may be smaller than the Bench; what it draws is given in the Bench's coordinates all the same. */
    private DrawnPane layer(Consumer<GraphicsContext> drawing) {
        DrawnPane pane = new DrawnPane() {
            @Override
            public void draw(GraphicsContext canvas, double width, double height) {
                canvas.save();
                canvas.translate(-getLayoutX(), -getLayoutY());
                drawing.accept(canvas);
                canvas.restore();
            }
        };
        pane.setMouseTransparent(true);
        return pane;
    }

    /** Puts everything where it is now. */
    public void lay() {
        over.lay(bench.getWidth(), bench.getHeight());
        Optional<LevelView> view = camera.view();
        boolean resultOnly = keys.isHeld(Command.RESULT);
        laid = current.pixels();
        Optional<ScreenPhoto> lit = shownSpace().flatMap(current::lit);
        proof = keys.isHeld(Command.PROOF) ? pictures.proofed(lit, session.format()) : Optional.empty();
        PhotoLayer photo = new PhotoLayer(
                proof.flatMap(BenchLayers::made).map(Proofed::picture).or(() -> lit),
                shownSpace(),
                view,
                resultOnly ? session.frame() : Optional.empty(),
                veil());
        Optional<ScreenBox> opening = BenchDrawing.isLooking(keys)
                ? Optional.of(new ScreenBox(0, 0, bench.getWidth(), bench.getHeight()))
                : view.flatMap(v -> session.frame().map(v::toScreen));
        if (photoShown.equals(Optional.of(photo))) {
            raster.open(opening);
        } else {
            photoShown = Optional.of(photo);
            showRaster(photo, opening);
            place(waitingLayer, photo.pixels().isEmpty() ? photo.space() : Optional.empty(), view);
        }
        before.show();
        after.show();
        prepareNext();
    }

    /** Has the photos behind and before the current one drawn, so that they are there when somebody goes on or back. */
    private void prepareNext() {
        boolean asUsual = proof.isEmpty() && !keys.isHeld(Command.RESULT) && !keys.isHeld(Command.BEFORE);
        if (!isInGesture()) {
            raster.prepare(() -> asUsual
                    ? Stream.of(1, -1)
                            .flatMap(side -> camera.neighbour(side).flatMap(this::wish).stream())
                            .toList()
                    : List.of());
        }
    }

    private boolean isInGesture() {
        return session.photo()
                .filter(photo -> !session.shoot().framing(photo).equals(session.framing()))
                .isPresent();
    }

    /** What {@link #lay} would wish for if another photo were the current one; nothing if its values are corrected. */
    private Optional<PhotoRaster.Wish> wish(Photo other) {
        Moment then = session.moment().showing(other, session.framing(other));
        return then.space()
                .filter(space -> space.pose().correction().keepsValues())
                .flatMap(space -> camera.restingView(then)
                        .flatMap(view -> pictures.ready(other, PhotoLoader.edgeFor(view.scale() * camera.pixelScale()))
                                .flatMap(pixels -> BenchRaster.wish(
                                        pixels,
                                        space,
                                        view,
                                        Optional.empty(),
                                        then.frame().map(frame -> mat(pixels)),
                                        screen()))));
    }

    /** Puts a layer where its photo is and no larger, in steps, so that tilting seldom changes its size; draws it anew. */
    private void place(DrawnPane layer, Optional<PhotoSpace> space, Optional<LevelView> view) {
        LayerBox box = space.flatMap(s -> view.map(v -> LayerBox.of(s, v, bench.getWidth(), bench.getHeight())))
                .orElse(LayerBox.NONE);
        layer.resizeRelocate(box.x(), box.y(), box.width(), box.height());
        layer.redraw();
    }

    /** The photo as it is held, or as it was before it was corrected and tilted. */
    private Optional<PhotoSpace> shownSpace() {
        boolean before = keys.isHeld(Command.BEFORE);
        return session.space()
                .map(space -> before
                        ? new PhotoSpace(space.asShot(), new Pose(space.pose().turn(), Tilt.NONE))
                        : space);
    }

    /** Where the photo will be. */
    private void drawWaiting(GraphicsContext canvas) {
        photoShown.ifPresent(shown -> shown.view().ifPresent(view -> {
            if (current.trouble().isEmpty() && shown.pixels().isEmpty()) {
                double aspect = shown.space().orElseThrow().upright().aspect();
                ScreenBox box = view.toScreen(new Frame(0, 0, Math.min(1, aspect), Math.min(1, 1 / aspect)));
                canvas.setFill(Palette.WAITING);
                canvas.fillRect(box.x(), box.y(), box.width(), box.height());
            }
        }));
    }

    /** The mat's colour on this photo. */
    private Optional<Color> veil() {
        return session.frame().flatMap(frame -> current.pixels()).map(this::mat);
    }

    private Color mat(ScreenPhoto pixels) {
        return Looks.mat(session.settings(), pixels.brightness());
    }

    private static Optional<Proofed> made(CompletableFuture<Optional<Proofed>> proof) {
        return proof.isDone() && !proof.isCompletedExceptionally() ? proof.join() : Optional.empty();
    }

    /** What is said about the proof that shows. */
    public Optional<String> proofWords() {
        return proof.map(proofed -> {
            if (!proofed.isDone()) {
                return Words.of("proof.making");
            }
            return proofed.isCompletedExceptionally()
                    ? Words.of(proofed.exceptionNow())
                    : proofed.join().map(BenchLayers::words).orElseGet(() -> Words.of("proof.none"));
        });
    }

    private static String words(Proofed proofed) {
        double percent = Math.ceil(1000 * proofed.share()) / 10;
        return Words.of(
                "proof.is", proofed.profile(), percent == 0 ? Words.of("proof.all") : Words.of("proof.part", percent));
    }

    private BenchRaster.Screen screen() {
        return new BenchRaster.Screen(bench.getWidth(), bench.getHeight(), camera.pixelScale());
    }

    private void showRaster(PhotoLayer layer, Optional<ScreenBox> opening) {
        boolean shows = layer.pixels().isPresent()
                && layer.view().isPresent()
                && layer.space().isPresent()
                && current.trouble().isEmpty();
        if (shows) {
            BenchRaster.wish(
                            layer.pixels().get(),
                            layer.space().get(),
                            layer.view().get(),
                            layer.only(),
                            layer.veil(),
                            screen())
                    .ifPresentOrElse(wish -> raster.show(wish, opening), raster::hide);
        } else {
            raster.hide();
        }
    }
}
