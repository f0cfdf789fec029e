package nexa.cli.packaging;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.DataInputStream;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.jar.JarEntry;
import java.util.jar.JarFile;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import picocli.CommandLine;

/** What the build makes of a library whose classes the ahead-of-time cache would leave out. */
class NewerClassesTest {
    private static final int JAVA_6 = 50;

    @TempDir
    Path folder;

    private Path library() throws Exception {
        URL original = CommandLine.class.getProtectionDomain().getCodeSource().getLocation();
        return Files.copy(Path.of(original.toURI()), folder.resolve("library.jar"));
    }

    private static void rewrite(Path jar) throws Exception {
        Process process = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-cp",
                        jar.toString(),
                        Path.of("..", "packaging", "NewerClasses.java").toString(),
                        jar.toString())
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start();
        assertTrue(process.waitFor(60, TimeUnit.SECONDS));
        assertEquals(0, process.exitValue());
    }

    private static List<JarEntry> classes(JarFile jar) {
        return jar.stream()
                .filter(entry -> entry.getName().endsWith(".class"))
                .filter(entry -> !entry.getName().startsWith("META-INF"))
                .toList();
    }

    private static int version(JarFile jar, JarEntry entry) throws Exception {
        try (DataInputStream bytes = new DataInputStream(jar.getInputStream(entry))) {
            bytes.readInt();
            return bytes.readInt() & 0xFFFF;
        }
    }

    @Test
    void commandLinesLibrary_isWholeAndNewer_andWorks() throws Exception {
        Path jar = library();
        int count;
        try (JarFile before = new JarFile(jar.toFile())) {
            count = classes(before).size();
        }
        rewrite(jar);
        try (JarFile after = new JarFile(jar.toFile())) {
            assertEquals(count, classes(after).size());
            for (JarEntry entry : classes(after)) {
                assertTrue(version(after, entry) >= JAVA_6, entry.getName());
            }
        }
        try (URLClassLoader alone =
                new URLClassLoader(new URL[] {jar.toUri().toURL()}, ClassLoader.getPlatformClassLoader())) {
            Class<?> line = Class.forName("picocli.CommandLine", true, alone); // verified as it is initialized
            assertEquals(alone, line.getClassLoader());
            Class<?> spec = Class.forName("picocli.CommandLine$Model$CommandSpec", true, alone);
            Object command = line.getConstructor(Object.class)
                    .newInstance(spec.getMethod("create").invoke(null));
            String usage = (String) line.getMethod("getUsageMessage").invoke(command);
            assertTrue(usage.startsWith("Usage: <main class>"), usage);
        }
    }

    @Test
    void whatIsNewAlready_staysAsItIs() throws Exception {
        Path jar = library();
        rewrite(jar);
        byte[] once = Files.readAllBytes(jar);
        rewrite(jar);
        assertArrayEquals(once, Files.readAllBytes(jar));
        try (Stream<Path> files = Files.list(folder)) {
            assertEquals(List.of(jar), files.toList(), "nothing is left beside it");
        }
    }
}
