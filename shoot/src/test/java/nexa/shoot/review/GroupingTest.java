package nexa.shoot.review;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import nexa.core.brief.Framing;
import nexa.core.geometry.Orientation;
import nexa.core.geometry.Tilt;
import nexa.core.trim.Trim;
import nexa.imaging.TestPhotos;
import nexa.imaging.deliver.Encoder;
import nexa.imaging.pixels.Picture;
import nexa.shoot.Shoot;
import nexa.shoot.TestShoot;
import nexa.shoot.edit.Edit;
import nexa.shoot.photo.Photo;
import nexa.shoot.review.PhotoGroup.Kind;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class GroupingTest {
    @TempDir
    Path base;

    private TestShoot test;

    @BeforeEach
    void folder() throws IOException {
        test = new TestShoot(base);
    }

    private void taken(String name, String time) throws IOException {
        TestPhotos.jpegTaken(test.folder().resolve(name), 60, 40, "2026:09:14 " + time);
    }

    private void undated(String name) throws IOException {
        try (Picture scene = TestPhotos.scene(60, 40)) {
            Files.write(test.folder().resolve(name), Encoder.plainJpeg(scene, 90));
        }
    }

    private static List<String> told(List<PhotoGroup> groups) {
        return groups.stream()
                .map(group -> group.kind() + " "
                        + group.photos().stream().map(Photo::file).toList())
                .toList();
    }

    private static List<PhotoGroup> groups(Shoot shoot, PhotoGrouping grouping) {
        return grouping.groups(shoot, shoot.photos(), Map.of());
    }

    @Test
    void longRests_partMoments_whateverThePhotosAreCalled() throws IOException {
        taken("d.jpg", "10:00:00");
        taken("c.jpg", "10:00:20");
        taken("b.jpg", "10:00:40");
        taken("a.jpg", "11:30:00");
        taken("e.jpg", "11:30:30");
        undated("f.jpg");
        try (Shoot shoot = test.open()) {
            assertEquals(
                    List.of("MOMENT [d.jpg, c.jpg, b.jpg]", "MOMENT [a.jpg, e.jpg]", "UNDATED [f.jpg]"),
                    told(groups(shoot, PhotoGrouping.TIME)));
        }
    }

    @Test
    void slowShoot_restsLonger() throws IOException {
        for (int hour = 10; hour < 14; hour++) {
            taken("h" + hour + ".jpg", hour + ":00:00");
        }
        try (Shoot shoot = test.open()) {
            assertEquals(1, groups(shoot, PhotoGrouping.TIME).size(), "an hour is usual here");
        }
    }

    @Test
    void lying_isAsThePhotosAreTurned_unreadableOnesLast() throws IOException {
        test.photo("a.jpg", 60, 40);
        test.photo("b.jpg", 40, 60);
        test.photo("c.jpg", 50, 50);
        test.photo("d.jpg", 90, 40);
        Files.writeString(test.folder().resolve("e.jpg"), "text");
        try (Shoot shoot = test.open()) {
            assertEquals(
                    List.of("HORIZONTAL [a.jpg, d.jpg]", "VERTICAL [b.jpg]", "SQUARE [c.jpg]", "UNKNOWN [e.jpg]"),
                    told(groups(shoot, PhotoGrouping.LYING)));
        }
    }

    @Test
    void trimmedPhoto_liesAsWhatItsBordersLeave_asTheFilterSays() throws IOException {
        test.photo("a.jpg", 60, 40);
        test.photo("b.jpg", 60, 40);
        try (Shoot shoot = test.open()) {
            Photo photo = shoot.photos().getLast();
            Framing before = shoot.framing(photo);
            Trim narrow = new Trim(-0.1, -0.3, 0.1, 0.3, Tilt.NONE, 0);
            shoot.apply(Edit.framing(
                    "edit.trim",
                    photo.id(),
                    before,
                    before.withPose(before.pose().withTrim(narrow))));
            assertEquals(List.of("HORIZONTAL [a.jpg]", "VERTICAL [b.jpg]"), told(groups(shoot, PhotoGrouping.LYING)));
            assertTrue(PhotoFilter.ALL.lying(Set.of(Orientation.VERTICAL)).lets(shoot, photo, Optional.empty()));
        }
    }

    @Test
    void alike_comeFirst_ofThemOnlyThoseThatAreLookedAt() throws IOException {
        for (String name : List.of("a.jpg", "b.jpg", "c.jpg", "d.jpg")) {
            test.photo(name, 60, 40);
        }
        try (Shoot shoot = test.open()) {
            List<Photo> all = shoot.photos();
            List<Photo> like = List.of(all.get(1), all.get(2), all.get(3));
            Map<Photo, List<Photo>> alike = Map.of(all.get(1), like, all.get(2), like, all.get(3), like);
            List<Photo> sorted = List.of(all.get(0), all.get(1), all.get(3));
            assertEquals(
                    List.of("ALIKE [b.jpg, d.jpg]", "SINGLE [a.jpg]"),
                    told(PhotoGrouping.ALIKE.groups(shoot, sorted, alike)));
        }
    }

    @Test
    void everyPhoto_isInOneGroup() throws IOException {
        taken("a.jpg", "10:00:00");
        test.photo("b.jpg", 40, 60);
        Files.writeString(test.folder().resolve("c.jpg"), "text");
        try (Shoot shoot = test.open()) {
            for (PhotoGrouping grouping : PhotoGrouping.values()) {
                List<Photo> grouped = groups(shoot, grouping).stream()
                        .flatMap(group -> group.photos().stream())
                        .toList();
                assertEquals(3, grouped.size(), grouping::toString);
                assertTrue(grouped.containsAll(shoot.photos()), grouping::toString);
                assertEquals(List.of(), grouping.groups(shoot, List.of(), Map.of()), grouping::toString);
            }
            assertEquals(
                    List.of(Kind.ALL),
                    groups(shoot, PhotoGrouping.NONE).stream()
                            .map(PhotoGroup::kind)
                            .toList());
        }
    }
}
