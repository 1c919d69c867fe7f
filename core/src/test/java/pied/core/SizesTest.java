package pied.core;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.util.JavacTask;
import com.sun.source.util.SourcePositions;
import com.sun.source.util.TreePathScanner;
import com.sun.source.util.Trees;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Stream;
import javax.tools.JavaCompiler;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.Test;

/** A class fits on two screens, a method on one; what does not says why. */
class SizesTest {
  private static final int MOST_OF_FILE = 400;
  private static final int MOST_OF_METHOD = 40;

  private static final String LOCALS =
      "an inner loop: what it works on are locals, and a call would cost more than its work";
  private static final String SEED =
      "the order in which chance is asked is what a seed repeats; it is read in one piece";
  private static final String FORMAT = "nested as the format it reads is nested";

  /** Methods that are longer, with the reason. */
  private static final Map<String, String> LONGER =
      Map.ofEntries(
          Map.entry("WideTree.nearest", LOCALS),
          Map.entry("WideTree.any", LOCALS),
          Map.entry("BoxTree.split", LOCALS),
          Map.entry("Lighter.pass", LOCALS),
          Map.entry("ModelNumbers.read", LOCALS),
          Map.entry("ObjReader.lines", LOCALS),
          Map.entry("Mesh.join", LOCALS),
          Map.entry("ScatterLayout.laid", SEED),
          Map.entry("ScatterLayout.thrown", SEED),
          Map.entry("ColladaReader.node", FORMAT),
          Map.entry("GltfReader.primitive", FORMAT),
          Map.entry("Filling.fill", "one pass in which every place goes into one of five lists"),
          Map.entry("Say.make", "line after line, each on what the one before it left"),
          Map.entry("V6__Steps.steps", "a migration, which is never altered"));

  private static List<Path> sources() throws IOException {
    List<Path> all = new ArrayList<>();
    for (String module : List.of("core", "server", "supplier")) {
      try (Stream<Path> files = Files.walk(Path.of("..", module, "src/main/java"))) {
        files.filter(f -> f.toString().endsWith(".java")).forEach(all::add);
      }
    }
    return all;
  }

  @Test
  void noFileIsLongerThanTwoScreens() throws IOException {
    Map<String, Integer> longer = new TreeMap<>();
    for (Path p : sources()) {
      int lines = Files.readAllLines(p).size();
      if (lines > MOST_OF_FILE) {
        longer.put(p.getFileName().toString(), lines);
      }
    }
    assertThat(longer).isEmpty();
  }

  @Test
  void noMethodIsLongerThanOneScreenButWhereItSaysWhy() throws IOException {
    Set<String> longer = new TreeSet<>();
    JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
    try (var files = compiler.getStandardFileManager(null, null, null)) {
      JavacTask task =
          (JavacTask)
              compiler.getTask(
                  null, files, d -> {}, null, null, files.getJavaFileObjectsFromPaths(sources()));
      SourcePositions at = Trees.instance(task).getSourcePositions();
      int[] methods = {0};
      for (CompilationUnitTree unit : task.parse()) {
        String file = Path.of(unit.getSourceFile().getName()).getFileName().toString();
        new TreePathScanner<Void, Void>() {
          @Override
          public Void visitMethod(MethodTree m, Void none) {
            methods[0]++;
            long from = unit.getLineMap().getLineNumber(at.getStartPosition(unit, m));
            long to = unit.getLineMap().getLineNumber(at.getEndPosition(unit, m));
            if (to - from >= MOST_OF_METHOD) {
              longer.add(file.replace(".java", ".") + m.getName());
            }
            return super.visitMethod(m, none);
          }
        }.scan(unit, null);
      }
      assertThat(methods[0]).as("methods that were looked at").isGreaterThan(3000);
    }
    assertThat(longer).isEqualTo(new TreeSet<>(LONGER.keySet()));
  }
}
