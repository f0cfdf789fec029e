package nexa.desktop.session;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import nexa.core.brief.Brief;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Tilt;
import nexa.core.shape.Shape;
import nexa.imaging.file.FileKind;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.shoot.photo.Photo;
import org.junit.jupiter.api.Test;

class ByFramingTest {
    private final Photo bowl = photo(1);
    private final Photo jug = photo(2);
    private final List<Photo> photos = List.of(bowl, jug);
    private final Map<Photo, Framing> framings = new HashMap<>();
    private final List<Photo> worked = new ArrayList<>();
    private Brief brief = Brief.EMPTY.with("Print", Shape.parse("4:5")).with("Square", Shape.parse("1:1"));
    private final ByFraming<Double> tilts = new ByFraming<>(
            () -> brief, photo -> framings.getOrDefault(photo, Framing.UNTOUCHED), (photo, framing, format, any) -> {
                worked.add(photo);
                return framing.pose().tilt().degrees();
            });

    private static Photo photo(long id) {
        PhotoFacts facts = new PhotoFacts(FileKind.JPEG, new PixelSize(6000, 4000), 1, null, null, Set.of());
        return new Photo(id, id + ".jpg", "print " + id, new Probe.Readable(facts));
    }

    private Format format(int index) {
        return brief.formats().get(index);
    }

    private List<Double> values(List<Photo> of, Format format) {
        worked.clear();
        return List.copyOf(tilts.of(of, format));
    }

    @Test
    void onlyWhatChanged_isWorkedOut() {
        assertEquals(List.of(0.0, 0.0), values(photos, format(0)));
        assertEquals(photos, worked);
        assertEquals(List.of(0.0, 0.0), values(photos, format(0)));
        assertEquals(List.of(), worked);
        framings.put(jug, Framing.UNTOUCHED.withPose(Framing.UNTOUCHED.pose().withTilt(new Tilt(3))));
        assertEquals(List.of(0.0, 3.0), values(photos, format(0)));
        assertEquals(List.of(jug), worked);
    }

    @Test
    void anotherSetFormatOrBrief_isWorkedOutAnew() {
        values(photos, format(0));
        values(photos, format(1));
        assertEquals(photos, worked);
        values(List.of(jug, bowl), format(1));
        assertEquals(List.of(jug, bowl), worked);
        values(List.of(jug), format(1));
        assertEquals(List.of(jug), worked);
        Format square = format(1);
        values(photos, square);
        brief = brief.with("Banner", Shape.parse("16:9"));
        values(photos, square);
        assertEquals(photos, worked);
    }
}
