package nexa.desktop.camera;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.util.Optional;
import java.util.Set;
import nexa.core.brief.Brief;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.shape.Shape;
import nexa.core.space.PhotoSpace;
import nexa.core.space.Pose;
import nexa.desktop.paint.LevelView;
import nexa.desktop.session.Moment;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Trouble;
import nexa.shoot.photo.Photo;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** How the Bench looks at a photo, without a window. */
class CameraTest {
    private static final PixelSize SIZE = new PixelSize(6000, 4000);
    private static final Frame FRAME = new Frame(0.1, -0.05, 0.4, 0.4);
    private static final Point MIDDLE = new Point(600, 400);

    private final Camera.Subject subject = mock(Camera.Subject.class);
    private final Camera camera = new Camera(subject);

    @BeforeEach
    void look() {
        when(subject.moment()).thenReturn(moment(Optional.of(new PhotoSpace(SIZE, Pose.AS_SHOT))));
        when(subject.showsNeighbours()).thenReturn(true);
        camera.resize(1200, 800, 2);
    }

    private static Photo photo(int number) {
        return new Photo(number, number + ".jpg", "print", Probe.unreadable(Trouble.Kind.EMPTY));
    }

    private static Moment moment(Optional<PhotoSpace> space) {
        Brief brief = Brief.EMPTY.with("Square", Shape.parse("1:1"));
        Format format = brief.formats().getFirst();
        return new Moment(
                space.map(there -> photo(1)),
                Framing.UNTOUCHED,
                brief,
                Optional.of(format),
                space,
                of -> space.map(photos -> FRAME),
                Optional.empty(),
                Set.of());
    }

    private LevelView view() {
        return camera.view().orElseThrow();
    }

    @Test
    void atFirst_theWholePhotoShows_inTheMiddle() {
        assertFalse(camera.isZoomed());
        assertEquals(Optional.empty(), camera.zoomFactor());
        Point corner = view().toScreen(new Point(-0.5, -1 / 3.0));
        Point other = view().toScreen(new Point(0.5, 1 / 3.0));
        assertTrue(corner.x() > 0 && corner.y() > 0 && other.x() < 1200 && other.y() < 800);
        assertEquals(600, (corner.x() + other.x()) / 2, 1e-9);
    }

    @Test
    void aPlaceIsLookedAt_inTheMiddle_at100Percent_unlessOneLooksCloserAlready() {
        camera.lookAt(new Point(0.2, -0.1));
        assertEquals(Optional.of(1.0), camera.zoomFactor());
        assertEquals(MIDDLE, view().toScreen(new Point(0.2, -0.1)));
        camera.lookAt(Point.ORIGIN);
        assertEquals(MIDDLE, view().toScreen(new Point(0.2, -0.1)));
    }

    /** Eyes that were found are what is looked at; those that somebody drew round are not. */
    @Test
    void withoutNeighbours_thePhotoIsLarger() {
        double beside = view().scale();
        when(subject.showsNeighbours()).thenReturn(false);
        camera.resize(1200, 800, 2);
        assertTrue(view().scale() > 1.1 * beside);
    }

    @Test
    void pointsGoThereAndBack() {
        Point level = new Point(0.2, -0.1);
        Point there = camera.toScreen(level).orElseThrow();
        assertEquals(0, camera.toLevel(there).orElseThrow().distance(level), 1e-12);
    }

    @Test
    void withoutAPhoto_thereIsNothingToLookAt() {
        when(subject.moment()).thenReturn(moment(Optional.empty()));
        assertEquals(Optional.empty(), camera.view());
        camera.nextZoom(MIDDLE);
        camera.zoomBy(2, MIDDLE);
        assertFalse(camera.isZoomed());
    }

    @Test
    void nextZoom_goesRound_andKeepsThePointUnderThePointer() {
        Point pointer = new Point(420, 300);
        Point under = camera.toLevel(pointer).orElseThrow();
        camera.nextZoom(pointer);
        assertEquals(1, camera.zoomFactor().orElseThrow(), 1e-12, "screen pixels for each of the photo's");
        assertEquals(0, camera.toLevel(pointer).orElseThrow().distance(under), 1e-9);
        camera.nextZoom(pointer);
        assertEquals(2, camera.zoomFactor().orElseThrow(), 1e-12);
        camera.nextZoom(pointer);
        assertFalse(camera.isZoomed());
    }

    @Test
    void zoomingOutAsFarAsTheWhole_isTheWhole() {
        camera.zoomBy(1.2, MIDDLE);
        assertTrue(camera.isZoomed());
        camera.zoomBy(1 / 1.3, MIDDLE);
        assertFalse(camera.isZoomed());
    }

    @Test
    void zoomToFrame_showsTheFrameAsLargeAsItGoes_andBack() {
        camera.zoomToFrame();
        Point corner = camera.toScreen(new Point(FRAME.left(), FRAME.top())).orElseThrow();
        assertTrue(corner.y() > 0 && corner.y() < 60, "its height fills the Bench");
        camera.zoomToFrame();
        assertFalse(camera.isZoomed());
    }

    /** While the photo moves under it, the frame stays in the middle. */
    @Test
    void wherePhotosAreMoved_theFrameIsInTheMiddle() {
        Point whole = view().toScreen(Point.ORIGIN);
        when(subject.isPhotoMoved()).thenReturn(true);
        Point centre = camera.toScreen(FRAME.centre()).orElseThrow();
        assertEquals(0, centre.distance(whole), 1e-9);
    }

    @Test
    void heldView_winsUntilItIsLetGo() {
        LevelView before = view();
        LevelView held = new LevelView(3, 4, 500);
        camera.hold(held);
        assertEquals(held, view());
        camera.letGo();
        assertEquals(before, view());
    }

    @Test
    void settling_keepsTheHeldView_onlyWhereOneLooksCloser() {
        LevelView whole = view();
        camera.hold(new LevelView(3, 4, 500));
        camera.settle();
        assertEquals(whole, view(), "the whole photo stays where it was");
        camera.nextZoom(MIDDLE);
        LevelView moved = new LevelView(view().originX() + 50, view().originY() - 20, view().scale());
        camera.hold(moved);
        camera.settle();
        assertEquals(moved.originX(), view().originX(), 1e-6);
        assertEquals(moved.originY(), view().originY(), 1e-6);
    }

    @Test
    void neighbours_showBesideThePhoto_andNotWhenOneLooksCloser() {
        Photo next = nextStored();
        when(subject.neighbour(-1)).thenReturn(Optional.empty());
        Point beside = camera.neighbourView(next, 1).orElseThrow().toScreen(new Point(-0.4, 0));
        assertTrue(camera.isOverNeighbour(1, beside));
        assertFalse(camera.isOverNeighbour(-1, beside));
        assertFalse(camera.isOverNeighbour(1, MIDDLE), "the photo itself is there");
        camera.zoomToFrame();
        assertFalse(camera.isOverNeighbour(1, beside));
        camera.zoomToFit();
        camera.bareProperty().set(true);
        assertEquals(Optional.empty(), camera.neighbourView(next, 1));
    }

    @Test
    void neighbours_rest_whileAGestureTiltsThePhoto() {
        Photo next = nextStored();
        Optional<LevelView> resting = camera.neighbourView(next, 1);
        when(subject.moment()).thenReturn(moment(Optional.of(new PhotoSpace(SIZE, new Pose(Turn.NONE, new Tilt(9))))));
        assertEquals(resting, camera.neighbourView(next, 1));
        assertTrue(resting.isPresent());
    }

    private Photo nextStored() {
        Photo next = photo(2);
        Optional<PhotoSpace> stored = Optional.of(new PhotoSpace(SIZE, Pose.AS_SHOT));
        when(subject.neighbour(1)).thenReturn(Optional.of(next));
        when(subject.space(next)).thenReturn(stored);
        when(subject.space(photo(1))).thenReturn(stored);
        return next;
    }
}
