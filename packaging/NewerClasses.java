import java.io.IOException;
import java.io.OutputStream;
import java.lang.classfile.ClassFile;
import java.lang.classfile.ClassFile.StackMapsOption;
import java.lang.classfile.ClassFileVersion;
import java.lang.classfile.ClassModel;
import java.lang.classfile.ClassTransform;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.Collections;
import java.util.jar.JarEntry;
import java.util.jar.JarFile;
import java.util.jar.JarOutputStream;

/**
 * Rewrites the class files of a library that are older than Java 6 as those of today: the same code, with the stack maps that it
 * needs for it. The JVM's ahead-of-time cache leaves older ones out, so that each start would read and verify them anew.
 *
 * <p>Run as {@code java -cp JAR NewerClasses.java JAR}; the jar is replaced, and says so in an entry of its own.
 */
final class NewerClasses {
    private static final int OLDEST = ClassFile.JAVA_6_VERSION;
    private static final String NOTICE = "META-INF/CHANGED.txt";
    private static final String CHANGED =
            "For Nexa the class files of this library were rewritten as those of a newer Java; their code is the same.\n";

    public static void main(String[] arguments) throws IOException {
        Path jar = Path.of(arguments[0]);
        try (JarFile library = new JarFile(jar.toFile())) {
            if (library.getEntry(NOTICE) == null) {
                Path made = jar.resolveSibling(jar.getFileName() + ".new");
                rewrite(library, made);
                Files.move(made, jar, StandardCopyOption.REPLACE_EXISTING);
            }
        }
    }

    private static void rewrite(JarFile from, Path made) throws IOException {
        try (OutputStream file = Files.newOutputStream(made);
                JarOutputStream to = new JarOutputStream(file)) {
            for (JarEntry entry : Collections.list(from.entries())) {
                byte[] bytes = from.getInputStream(entry).readAllBytes();
                JarEntry copy = new JarEntry(entry.getName());
                copy.setTime(entry.getTime());
                to.putNextEntry(copy);
                to.write(entry.getName().endsWith(".class") ? newer(bytes) : bytes);
            }
            to.putNextEntry(new JarEntry(NOTICE));
            to.write(CHANGED.getBytes(StandardCharsets.UTF_8));
        }
    }

    private static byte[] newer(byte[] bytes) {
        ClassFile files = ClassFile.of(StackMapsOption.GENERATE_STACK_MAPS);
        ClassModel model = files.parse(bytes);
        if (model.majorVersion() >= OLDEST) {
            return bytes;
        }
        ClassTransform codeAnew = ClassTransform.transformingMethodBodies((code, element) -> code.with(element));
        return files.transformClass(model, codeAnew.andThen((made, element) -> {
            if (element instanceof ClassFileVersion) {
                made.withVersion(ClassFile.latestMajorVersion(), 0);
            } else {
                made.with(element);
            }
        }));
    }
}
