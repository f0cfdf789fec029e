package nexa.desktop;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import nexa.shoot.Locations;
import nexa.shoot.Shoot;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Opening and closing, without a window. */
class DoorsTest {
    @TempDir
    Path base;

    private final List<Shoot> inside = Collections.synchronizedList(new ArrayList<>());
    private Doors doors;
    private Path kiln;

    @BeforeEach
    void stand() throws IOException {
        doors = new Doors(new Locations(base.resolve("data"), base.resolve("cache")), Runnable::run);
        kiln = Files.createDirectory(base.resolve("Kiln"));
    }

    /** Takes in what it is given as long as it is wanted. */
    private final class Door implements Doors.Entrance {
        private final boolean wanted;
        private final boolean enters;

        Door(boolean wanted, boolean enters) {
            this.wanted = wanted;
            this.enters = enters;
        }

        @Override
        public boolean isWanted() {
            return wanted;
        }

        @Override
        public void found(int photos) {}

        @Override
        public boolean enter(Shoot shoot) {
            inside.add(shoot);
            return enters;
        }
    }

    private static void await(CompletableFuture<Void> done) throws Exception {
        done.get(20, TimeUnit.SECONDS);
    }

    @Test
    void whatIsNotTakenIn_isLetGo_beforeTheNextOneOpensTheSameFolder() throws Exception {
        List<CompletableFuture<Void>> asked = new ArrayList<>();
        for (int i = 0; i < 5; i++) {
            asked.add(doors.open(kiln, new Door(true, false)));
        }
        asked.add(doors.open(kiln, new Door(true, true)));
        for (CompletableFuture<Void> each : asked) {
            await(each);
        }
        assertEquals(6, inside.size());
        assertTrue(inside.stream().allMatch(Shoot::mayEdit), "none was opened to look at only");
        await(doors.close(inside.getLast()));
        await(doors.still());
    }

    @Test
    void whatIsNoLongerWanted_isNotOpened() throws Exception {
        await(doors.open(kiln, new Door(false, true)));
        assertTrue(inside.isEmpty());
        assertTrue(Files.notExists(kiln.resolve(".nexa")), "it was not even looked at");
    }

    /** Wanted until it is told of the second photo. */
    private final class Impatient implements Doors.Entrance {
        private final List<Integer> told = Collections.synchronizedList(new ArrayList<>());

        @Override
        public boolean isWanted() {
            return told.size() < 2;
        }

        @Override
        public void found(int photos) {
            told.add(photos);
        }

        @Override
        public boolean enter(Shoot shoot) {
            return inside.add(shoot);
        }
    }

    @Test
    void lookThatIsGivenUp_endsAtOnce_andLetsTheFolderGo() throws Exception {
        for (int i = 0; i < 5; i++) {
            Files.write(kiln.resolve(i + ".jpg"), new byte[] {1});
        }
        Impatient hand = new Impatient();
        assertThrows(ExecutionException.class, () -> await(doors.open(kiln, hand)));
        assertEquals(List.of(1, 2), hand.told);
        assertTrue(inside.isEmpty());
        await(doors.open(kiln, new Door(true, true)));
        assertTrue(inside.getFirst().mayEdit(), "nothing else holds it");
        await(doors.close(inside.getFirst()));
    }

    @Test
    void folderThatIsNone_failsInWords_andTheNextOneOpens() throws Exception {
        Path none = base.resolve("none");
        ExecutionException failed =
                assertThrows(ExecutionException.class, () -> await(doors.open(none, new Door(true, true))));
        IOException said = assertInstanceOf(IOException.class, failed.getCause());
        assertTrue(said.getMessage().contains("none"), said.getMessage());
        Files.createDirectory(none);
        await(doors.open(none, new Door(true, true)));
        assertEquals(1, inside.size());
        await(doors.close(inside.getFirst()));
    }
}
