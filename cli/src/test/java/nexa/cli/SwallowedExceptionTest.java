package nexa.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.sun.source.tree.CatchTree;
import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.ThrowTree;
import com.sun.source.util.JavacTask;
import com.sun.source.util.TreeScanner;
import com.sun.source.util.Trees;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import javax.tools.JavaCompiler;
import javax.tools.StandardJavaFileManager;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.Test;

/** An exception that is caught is thrown on, told or logged, or a comment says why it needs nothing. */
class SwallowedExceptionTest {
    private static final List<String> MODULES = List.of("core", "imaging", "shoot", "desktop", "cli", "bench");

    @Test
    void exceptions_areNotSwallowedWithoutAWord() throws IOException {
        List<Path> sources =
                MODULES.stream().flatMap(module -> javaFiles(module)).toList();
        assertTrue(sources.size() > 300, "sources are found");
        List<String> silent = new ArrayList<>();
        JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
        try (StandardJavaFileManager files = compiler.getStandardFileManager(null, null, null)) {
            JavacTask task = (JavacTask)
                    compiler.getTask(null, files, null, null, null, files.getJavaFileObjectsFromPaths(sources));
            Trees trees = Trees.instance(task);
            for (CompilationUnitTree unit : task.parse()) {
                new Catches(trees, unit, silent).scan(unit, null);
            }
        }
        assertEquals("", String.join("\n", silent));
    }

    private static Stream<Path> javaFiles(String module) {
        try (Stream<Path> all = Files.walk(Path.of("..", module, "src", "main"))) {
            return all.filter(file -> file.toString().endsWith(".java")).toList().stream();
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    private static final class Catches extends TreeScanner<Void, Void> {
        private final Trees trees;
        private final CompilationUnitTree unit;
        private final List<String> silent;
        private final String source;

        Catches(Trees trees, CompilationUnitTree unit, List<String> silent) throws IOException {
            this.trees = trees;
            this.unit = unit;
            this.silent = silent;
            source = unit.getSourceFile().getCharContent(true).toString();
        }

        @Override
        public Void visitCatch(CatchTree caught, Void unused) {
            long start = trees.getSourcePositions().getStartPosition(unit, caught);
            long end = trees.getSourcePositions().getEndPosition(unit, caught);
            String text = source.substring((int) start, (int) end);
            boolean staysInterrupted = text.contains("currentThread().interrupt()");
            if (!text.contains("//") && !staysInterrupted && !speaks(caught)) {
                long line = unit.getLineMap().getLineNumber(start);
                silent.add(unit.getSourceFile().getName() + ":" + line + " "
                        + text.lines().findFirst().orElse(""));
            }
            return super.visitCatch(caught, unused);
        }

        /** Whether the exception is looked at, or another is thrown. */
        private static boolean speaks(CatchTree caught) {
            boolean[] found = {false};
            new TreeScanner<Void, Void>() {
                @Override
                public Void visitIdentifier(IdentifierTree name, Void unused) {
                    found[0] |= name.getName().equals(caught.getParameter().getName());
                    return super.visitIdentifier(name, unused);
                }

                @Override
                public Void visitThrow(ThrowTree thrown, Void unused) {
                    found[0] = true;
                    return super.visitThrow(thrown, unused);
                }
            }.scan(caught.getBlock(), null);
            return found[0];
        }
    }
}
