package pied.core;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What holds for the sources themselves: that names are told apart, and tolerances in a table. */
class HouseTest {
  private static final Path SOURCES = Path.of("src/main/java");

  /** Words and remarks, which may say anything. */
  private static final Pattern ASIDE =
      Pattern.compile("\"(?:\\\\.|[^\"\\\\\\n])*\"|/\\*(?s:.*?)\\*/|//[^\\n]*");

  private static final Pattern TYPE =
      Pattern.compile("\\b(?:class|record|enum|interface) ([A-Z]\\w*)");

  private static final Pattern SMALL = Pattern.compile("(?<![\\w.])\\d+(?:\\.\\d+)?e-\\d+");

  /**
   * Rooms that have figures of their own, which are no tolerances: where a ray is sent to see what
   * is hidden, and how far single precision rounds.
   */
  private static final List<String> OWN =
      List.of(
          "Tolerance", "LineDrawing", "SeenEdges", "Support", "WideTree", "WideNodes", "RayStart");

  /** What is put together of texts and other things where a message is written; § is a text. */
  private static final Pattern PUT_TOGETHER =
      Pattern.compile(
          "(?:new Refusal|new Wanting|Message\\.of|\\.say)\\(\\s*"
              + "(?:§(?:\\s*\\+\\s*§)*\\s*\\+\\s*[^§\\s]|[a-z][\\w.()]*\\s*\\+)");

  private static Map<String, String> code() {
    return code("");
  }

  /**
   * @param text what stands for a text
   */
  private static Map<String, String> code(String text) {
    Map<String, String> all = new TreeMap<>();
    try (Stream<Path> files = Files.walk(SOURCES)) {
      for (Path p : files.filter(f -> f.toString().endsWith(".java")).toList()) {
        all.put(
            p.getFileName().toString().replace(".java", ""),
            ASIDE
                .matcher(Files.readString(p))
                .replaceAll(m -> m.group().startsWith("\"") ? text : ""));
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return all;
  }

  @Test
  void noTwoTypesHaveOneName() {
    Map<String, List<String>> where = new TreeMap<>();
    code()
        .forEach(
            (file, text) -> {
              Matcher m = TYPE.matcher(text);
              while (m.find()) {
                where.computeIfAbsent(m.group(1), k -> new ArrayList<>()).add(file);
              }
            });
    where.values().removeIf(files -> files.size() == 1);
    assertThat(where).isEmpty();
  }

  @Test
  void tolerancesAreInTheirTable() {
    Map<String, List<String>> where = new TreeMap<>();
    code()
        .forEach(
            (file, text) -> {
              Matcher m = SMALL.matcher(text);
              while (m.find()) {
                where.computeIfAbsent(file, k -> new ArrayList<>()).add(m.group());
              }
            });
    where.keySet().removeAll(OWN);
    assertThat(where).isEmpty();
  }

  @Test
  void aMessageIsATextWithGapsSoThatItsCodeIsAlwaysTheSame() {
    Map<String, String> where = new TreeMap<>();
    code("§")
        .forEach(
            (file, text) -> {
              Matcher m = PUT_TOGETHER.matcher(text);
              while (m.find()) {
                where.put(file, m.group());
              }
            });
    assertThat(where).isEmpty();
    assertThat(PUT_TOGETHER.matcher("new Refusal(§ + name + §)").find()).isTrue();
    assertThat(PUT_TOGETHER.matcher("Message.of(p.name() + §)").find()).isTrue();
    assertThat(PUT_TOGETHER.matcher("new Refusal(§\n + §, a + b)").find()).isFalse();
  }
}
