package nexa.shoot;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.UnaryOperator;
import java.util.zip.DeflaterOutputStream;
import java.util.zip.InflaterInputStream;
import nexa.core.brief.Crop;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.geometry.Frame;
import nexa.shoot.edit.Edit;
import nexa.shoot.edit.Edit.FramingChange;
import nexa.shoot.edit.Step;
import nexa.shoot.photo.Photo;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The steps of earlier sessions, of which only what is asked for is read. */
class StepsTest {
    private static final int PHOTOS = 5;
    private static final Frame CARRIED = new Frame(0.06, 0, 0.5, 0.4);

    @TempDir
    Path base;

    private TestShoot test;
    private List<Framing> made;

    /** A format, the first photo placed, then all of them. */
    @BeforeEach
    void fill() throws IOException {
        test = new TestShoot(base);
        for (int i = 1; i <= PHOTOS; i++) {
            test.photo("k" + i + ".jpg", 90, 60 + i);
        }
        try (Shoot shoot = test.open()) {
            Format print = TestShoot.addFormat(shoot, "Print", "4:5");
            TestShoot.place(shoot, shoot.photos().getFirst(), print, TestShoot.WISH);
            List<FramingChange> changes = new ArrayList<>();
            for (Photo photo : shoot.photos()) {
                Framing before = shoot.framing(photo);
                changes.add(new FramingChange(photo.id(), before, before.withCrop(print, new Crop(CARRIED))));
            }
            shoot.apply(new Edit("edit.carry", changes, null));
            made = framings(shoot);
        }
    }

    private static List<Framing> framings(Shoot shoot) {
        return shoot.photos().stream().map(shoot::framing).toList();
    }

    /** Puts other bytes in place of what the newest step changed, as if the program had broken down before. */
    private void rewrite(UnaryOperator<byte[]> change) throws Exception {
        try (Connection database = test.database();
                Statement statement = database.createStatement()) {
            statement.executeUpdate("DELETE FROM setting WHERE name = 'seal'");
            ResultSet newest = statement.executeQuery("SELECT edit, place FROM step ORDER BY place DESC");
            byte[] json = new InflaterInputStream(new ByteArrayInputStream(newest.getBytes(1))).readAllBytes();
            ByteArrayOutputStream deflated = new ByteArrayOutputStream();
            try (DeflaterOutputStream out = new DeflaterOutputStream(deflated)) {
                out.write(change.apply(json));
            }
            try (PreparedStatement update = database.prepareStatement("UPDATE step SET edit = ? WHERE place = ?")) {
                update.setBytes(1, deflated.toByteArray());
                update.setLong(2, newest.getLong(2));
                assertEquals(1, update.executeUpdate());
            }
        }
    }

    private static UnaryOperator<byte[]> replacing(String what, String by) {
        return json -> {
            String before = new String(json, StandardCharsets.UTF_8);
            String after = before.replace(what, by);
            assertFalse(after.equals(before), before);
            return after.getBytes(StandardCharsets.UTF_8);
        };
    }

    private static void assertInShort(Shoot shoot) {
        List<Step> steps = shoot.history().done();
        assertEquals(
                List.of("edit.carry", "edit.frame", "edit.brief"),
                steps.stream().map(Step::label).toList());
        assertEquals(List.of(PHOTOS, 1, 0), steps.stream().map(Step::photoCount).toList());
        Photo first = shoot.photos().getFirst();
        FramingChange carried = steps.getFirst().first().orElseThrow();
        assertEquals(first.id(), carried.photo());
        assertEquals(shoot.framing(first), carried.after());
        assertEquals(carried.before(), steps.get(1).first().orElseThrow().after());
        assertEquals(Optional.empty(), steps.get(2).first());
    }

    @Test
    void stepsSayTheSameInShort_whenTheShootIsOpenedAgain() throws IOException {
        try (Shoot shoot = test.open()) {
            assertInShort(shoot);
            shoot.undo();
            shoot.undo();
            shoot.undo();
            assertTrue(shoot.brief().formats().isEmpty());
            shoot.redo();
            shoot.redo();
            shoot.redo();
            assertEquals(made, framings(shoot));
            assertInShort(shoot);
        }
    }

    @Test
    void stepsOfEarlierVersions_areCounted() throws Exception {
        rewrite(replacing("\"photos\":" + PHOTOS + ",", ""));
        try (Shoot shoot = test.open()) {
            assertInShort(shoot);
            shoot.undo();
            assertEquals(1, shoot.history().done().getFirst().photoCount());
            shoot.redo();
            assertEquals(made, framings(shoot));
        }
    }

    @Test
    void stepThatTurnsOutToBeSpoiled_isToldWhenItIsToBeTakenBack() throws Exception {
        rewrite(replacing("\"after\"", "\"afterwards\""));
        AtomicInteger lost = new AtomicInteger();
        try (Shoot shoot = test.open()) {
            shoot.listen(new Shoot.Listener() {
                @Override
                public void changed(Edit edit) {}

                @Override
                public void lostSteps() {
                    lost.incrementAndGet();
                }
            });
            assertEquals(List.of(), shoot.told());
            Step newest = shoot.history().done().getFirst();
            assertEquals("edit.carry", newest.label());
            assertEquals(0, newest.photoCount());
            assertEquals(Optional.empty(), newest.first());
            shoot.undo();
            assertEquals(1, lost.get());
            assertTrue(
                    shoot.told().toString().contains("steps-spoiled"),
                    shoot.told().toString());
            assertEquals(made, framings(shoot), "nothing is taken back");
            assertEquals(List.of(), shoot.history().done(), "nor can be what lies behind");
            TestShoot.addFormat(shoot, "Square", "1:1");
            shoot.undo();
            assertEquals(1, shoot.brief().formats().size());
            assertEquals(1, lost.get());
        }
        assertEquals(made, again());
    }

    @Test
    void nextSteps_areReadAhead() throws IOException {
        try (Shoot shoot = test.open()) {
            shoot.undo();
        }
        try (Shoot shoot = test.open()) {
            List<Step> done = shoot.history().done();
            Step undone = shoot.history().undone().getFirst();
            List<Runnable> work = new ArrayList<>();
            shoot.history().readAhead(work::add);
            assertEquals(2, work.size());
            assertFalse(done.getFirst().isAtHand());
            work.forEach(Runnable::run);
            assertTrue(done.getFirst().isAtHand());
            assertTrue(undone.isAtHand());
            assertFalse(done.get(1).isAtHand(), "not yet");
            shoot.history().readAhead(work::add);
            assertEquals(2, work.size(), "what is there need not be read");
            shoot.redo();
            assertEquals(made, framings(shoot));
        }
    }

    @Test
    void spoiledStepReadAhead_isToldOnlyWhenItIsToBeTakenBack() throws Exception {
        rewrite(replacing("\"after\"", "\"afterwards\""));
        try (Shoot shoot = test.open()) {
            shoot.history().readAhead(Runnable::run);
            assertEquals(List.of(), shoot.told());
            shoot.undo();
            assertEquals(1, shoot.told().size());
        }
    }

    @Test
    void smallStepAfterASpoiledOneOfTheSame_isAStepOfItsOwn() throws Exception {
        rewrite(json -> replacing("edit.carry", "edit.together")
                .apply(replacing("\"after\"", "\"then\"").apply(json)));
        try (Shoot shoot = test.open()) {
            Photo first = shoot.photos().getFirst();
            Format print = shoot.brief().find("Print").orElseThrow();
            Framing before = shoot.framing(first);
            shoot.apply(Edit.framing(
                    "edit.together", first.id(), before, before.withCrop(print, new Crop(TestShoot.WISH))));
            shoot.undo();
            assertEquals(made, framings(shoot));
        }
    }

    private List<Framing> again() throws IOException {
        try (Shoot shoot = test.open()) {
            return framings(shoot);
        }
    }
}
