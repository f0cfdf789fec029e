package nexa.cli;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.BufferedReader;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.List;
import java.util.stream.Stream;
import nexa.shoot.Locations;
import nexa.shoot.Shoot;
import org.junit.jupiter.api.Test;

/** Commands beside other people's files, beside other programs, and in systems that say little. */
class SafetyCommandsTest extends CommandTest {
    private void brief() {
        assertEquals(0, run("formats", shoot(), "--add", "Print=4:5"));
    }

    @Test
    void exports_askBeforeTheyReplace_andNeverReplacePhotosOrStores() throws IOException {
        brief();
        byte[] photo = Files.readAllBytes(folder.resolve("h.jpg"));
        Path mine = Files.writeString(base.resolve("mine.csv"), "mine");
        for (String[] command : List.of(
                new String[] {"crops", shoot(), "--export"},
                new String[] {"formats", shoot(), "--export"},
                new String[] {"contact", shoot(), "--out"})) {
            for (String target : List.of(
                    folder.resolve("h.jpg").toString(),
                    folder.resolve(".nexa/shoot.db").toString())) {
                assertEquals(1, run(command[0], command[1], command[2], target, "--replace"), target);
                assertFalse(said().contains("Exception"), said());
            }
            assertEquals(1, run(command[0], command[1], command[2], mine.toString()));
            assertTrue(said().contains("--replace"), said());
            assertEquals("mine", Files.readString(mine));
        }
        assertArrayEquals(photo, Files.readAllBytes(folder.resolve("h.jpg")));
        assertEquals(0, run("crops", shoot(), "--export", mine.toString(), "--replace"), this::said);
        assertTrue(Files.readString(mine).startsWith("photo,"));
    }

    @Test
    void tinyFrames_areRefusedInWords() {
        brief();
        for (String size : List.of("1e-320", "1e-9", "0.05")) {
            assertEquals(2, run("crop", shoot(), "--format", "Print", "--size", size));
            assertTrue(said().contains("at least 16 on a side"), said());
        }
        assertEquals(0, run("crop", shoot(), "--format", "Print", "--size", "0.5"), this::said);
    }

    @Test
    void picturesThatAreNotRead_areCounted() throws IOException {
        for (String name : List.of("a.psd", "b.tga", "c.EXR", "d.svg", "e.raw")) {
            Files.writeString(folder.resolve(name), "some picture");
        }
        Files.writeString(folder.resolve("notes.txt"), "no picture");
        assertEquals(0, run("photos", shoot()));
        assertEquals("5 other files, not photos Nexa reads", said().strip());
    }

    @Test
    void handover_letsOthersEdit() throws Exception {
        brief();
        try (Shoot looking = Shoot.open(folder, Locations.ofThisUser())) {
            looking.letOthersEdit();
            assertEquals(0, run("crop", shoot(), "--format", "Print", "--tilt", "3"), this::said);
        }
    }

    // ---- as a program of its own ----

    private Process program(Path state, String... arguments) throws IOException {
        List<String> line = Stream.concat(
                        Stream.of(
                                Path.of(System.getProperty("java.home"), "bin", "java")
                                        .toString(),
                                "--enable-native-access=ALL-UNNAMED",
                                "--sun-misc-unsafe-memory-access=allow",
                                "-cp",
                                System.getProperty("java.class.path"),
                                Main.class.getName()),
                        Stream.of(arguments))
                .toList();
        ProcessBuilder builder = new ProcessBuilder(line);
        builder.environment().put("NEXA_HOME", state.toString());
        builder.environment().put("LC_ALL", "C");
        return builder.start();
    }

    private static String all(BufferedReader reader) {
        return reader.lines().reduce("", (a, b) -> a + b + "\n");
    }

    @Test
    void log_isPrivate_andNeverOnStandardOutput() throws Exception {
        Files.writeString(folder.resolve("broken.jpg"), "no photo");
        Path state = base.resolve("state");
        Process listing = program(state, "photos", shoot(), "--json");
        String out = all(listing.inputReader());
        assertEquals(1, listing.waitFor());
        assertTrue(out.startsWith("["), out);
        Path log = state.resolve("log/nexa.log");
        assertEquals("rw-------", PosixFilePermissions.toString(Files.getPosixFilePermissions(log)));
        Path blocked = Files.writeString(base.resolve("blocked"), "a file where the folder would be");
        Process without = program(blocked, "photos", shoot(), "--json");
        String silent = all(without.inputReader());
        without.waitFor();
        assertTrue(silent.startsWith("["), silent);
    }

    /** The letters of such names can't be said in this language, or in none: the others are shown all the same. */
    @Test
    void namesThatCantBeSaid_areUnreadablePhotos() throws Exception {
        Files.copy(folder.resolve("h.jpg"), folder.resolve("ä.jpg"));
        Files.copy(folder.resolve("h.jpg"), folder.resolve("ö.jpg"));
        Process listing = program(base.resolve("state"), "photos", shoot(), "--json");
        String out = all(listing.inputReader(StandardCharsets.UTF_8));
        assertEquals(1, listing.waitFor());
        assertEquals(4, out.split("\"file\"").length - 1, out);
        assertEquals(2, out.split("rename it").length - 1, out);
    }
}
