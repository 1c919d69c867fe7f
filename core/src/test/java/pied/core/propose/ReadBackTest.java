package pied.core.propose;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import pied.core.Choices;
import pied.core.Rooms;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.Edits;
import pied.core.edit.Outcome;
import pied.core.measure.Side;
import pied.core.phrase.Phrase;
import pied.core.piece.Piece;
import pied.core.register.Sentences;
import pied.core.say.Ask;
import pied.core.space.Rule;
import pied.core.space.Space;
import pied.core.tool.ring.RingBuilder;
import pied.core.tool.row.RowBuilder;
import pied.core.tool.scatter.ScatterBuilder;
import pied.core.tool.trail.TrailBuilder;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;

/**
 * What is read back is what is done: over all sentences in the documents, each edit that is
 * understood is written, the writing is read again, and both are done. The table of it is written
 * to {@code target/read-back.txt}.
 */
class ReadBackTest {
  private static final Pattern QUOTED = Pattern.compile("`([^`]+)`");

  private final AtomicInteger ids = new AtomicInteger();
  private final List<String> table = new ArrayList<>();
  private int done;
  private int unread;
  private int differences;

  /** All that stands as an example in the documents, and how it is made more of. */
  private static List<String> corpus() throws IOException {
    List<String> all = new ArrayList<>();
    for (String line : Files.readAllLines(Path.of("..", "docs", "say.md"))) {
      if (line.startsWith("| ") && !line.contains("---")) {
        Matcher m = QUOTED.matcher(line);
        while (m.find()) {
          all.add(m.group(1));
        }
      }
    }
    all.addAll(
        List.of(
            "4 along wall A, 0.2 apart",
            "4 along wall A, 0.6 from middle to middle",
            "6 along walls A and B, 0.15 apart, facing out",
            "3 along the front of the counter, 0.1 apart, 0.2 off",
            "5 in a row, 0.1 apart, filling 4",
            "at 2, 1, 0.8",
            "0.6 to the right",
            "twin about their middle",
            "lean against wall A at 70",
            "underside at 0.80",
            "at 2, 1, underside at 0.4",
            "a crate at 2, 1, 0.8",
            "110%",
            "turn 30 then turn to 10",
            "a jug at 4, 3.6 then turn 30"));
    return all;
  }

  @Test
  void overAllSentencesThereAre() throws IOException {
    for (String text : corpus()) {
      one(text);
    }
    theTeaRoom();
    Files.createDirectories(Path.of("target"));
    Files.write(Path.of("target", "read-back.txt"), table);
    assertThat(differences).as(String.join("\n", table)).isZero();
    assertThat(done).as("edits that were read back").isGreaterThan(60);
  }

  /** Rules with whatever is said of them, and left out. */
  @Property(tries = 150)
  void overAllRules(@ForAll Choices r) {
    Space space = ROOM;
    Edit e = rule(r);
    int before = differences;
    one(r.toString(), space, e);
    assertThat(differences - before).as(String.join("\n", table)).isZero();
    table.clear();
  }

  private static final Space ROOM = SayTest.furnished().space;

  private static Edit rule(Random r) {
    List<String> own = List.of("s", "s2");
    Amount count = some(r, Amount.of(1 + r.nextInt(5)));
    Amount gap = some(r, length(r, 40));
    Amount pitch = gap == null ? some(r, length(r, 80)) : null;
    Amount turn = some(r, Amount.of(15 * r.nextInt(24)));
    return switch (r.nextInt(4)) {
      case 0 -> {
        boolean walls = r.nextBoolean();
        var along =
            walls
                ? List.of("wall:A")
                : r.nextBoolean() ? List.of("wall:A", "wall:B") : List.of("k");
        yield TrailBuilder.builder()
            .pieces(own)
            .along(along)
            .side(along.equals(List.of("k")) ? Side.front : null)
            .count(count == null && gap == null && pitch == null ? Amount.of(3) : count)
            .gap(gap)
            .pitch(pitch)
            .offset(some(r, length(r, 20)))
            .facing(some(r, Rule.RepeatFacing.values()[r.nextInt(4)]))
            .turn(turn)
            .build();
      }
      case 1 ->
          RowBuilder.builder()
              .pieces(own)
              .count(count == null ? Amount.of(4) : count)
              .gap(pitch == null && gap == null ? Amount.of(0.1) : gap)
              .pitch(pitch)
              .rows(some(r, Amount.of(2)))
              .build();
      case 2 ->
          RingBuilder.builder()
              .pieces(own)
              .around("t")
              .count(count == null ? Amount.of(4) : count)
              .gap(gap)
              .facing(
                  some(r, r.nextBoolean() ? Rule.RepeatFacing.inward : Rule.RepeatFacing.outward))
              .turn(turn)
              .build();
      default ->
          ScatterBuilder.builder()
              .pieces(own)
              .count(count == null ? Amount.of(6) : count)
              .least(gap)
              .turning(some(r, Amount.of(45)))
              .seed(Amount.of(1 + r.nextInt(50)))
              .build();
    };
  }

  private static Amount length(Random r, int centimetres) {
    return Amount.of((5 + r.nextInt(centimetres)) / 100.0);
  }

  private static <T> T some(Random r, T value) {
    return r.nextBoolean() ? value : null;
  }

  /** One after the other, each in what those before it have made. */
  private void theTeaRoom() throws IOException {
    Space space = new Space(Rooms.teaRoom().shell(), List.of(), Rooms.SHAPES);
    List<String> chosen = List.of();
    for (String line : Files.readAllLines(Path.of("..", "docs", "tea-room.txt"))) {
      if (line.isBlank() || line.startsWith("#")) {
        continue;
      }
      Understood u = Say.understand(ask(space, chosen), line.strip());
      assertThat(u.wrong()).as(line).isNull();
      Space before = space;
      for (Edit e : u.edits()) {
        space = one(line, space, e);
      }
      chosen =
          u.edits().isEmpty()
              ? u.selected()
              : pied.core.select.Afterwards.selected(
                  space,
                  u.selected(),
                  pied.core.edit.Change.between(
                      before, space, space.pieces().stream().map(Piece::id).toList()));
    }
  }

  private void one(String text) {
    Space space = SayTest.furnished().space;
    Ask ask = ask(space, List.of("s", "s2"));
    Understood u = Say.understand(ask, text);
    if (u.wrong() != null || u.edits().isEmpty()) {
      unread++;
      table.add("not of this room | " + text + " | " + u.wrong());
      return;
    }
    for (Edit e : u.edits()) {
      space = one(text, space, e);
      if (space == null) {
        return;
      }
    }
  }

  /** The space after the edit; null where it cannot be done. */
  private Space one(String text, Space space, Edit e) {
    List<Phrase> words = Sentences.write(space, e, LengthUnit.M);
    Object meant = made(space, e);
    if (words != null) {
      String written = Phrase.said(words);
      Understood again = Say.understand(ask(space, about(e, space)), written);
      Object read =
          again.wrong() != null
              ? "cannot be read: " + again.wrong()
              : again.edits().size() == 1 ? made(space, again.edits().get(0)) : "is more than one";
      boolean same = read.equals(meant);
      done++;
      differences += same ? 0 : 1;
      table.add((same ? "same" : "DIFFERENT") + " | " + text + " | " + written);
      if (!same) {
        table.add("  meant " + meant);
        table.add("  read  " + read);
      }
    }
    try {
      return apply(space, e).space();
    } catch (Refusal r) {
      return null;
    }
  }

  private Ask ask(Space space, List<String> selected) {
    return new Ask(space, selected, LengthUnit.M, () -> "x" + ids.incrementAndGet());
  }

  /** What a sentence about an edit is about: the pieces it names. */
  private static List<String> about(Edit e, Space space) {
    try {
      Object pieces = e.getClass().getMethod("pieces").invoke(e);
      if (pieces instanceof List<?> all) {
        return all.stream().map(String::valueOf).filter(space::has).toList();
      }
    } catch (ReflectiveOperationException x) {
      return List.of(); // about none
    }
    return List.of();
  }

  private static Outcome apply(Space space, Edit e) {
    int[] n = {0};
    return Edits.apply(
        space, List.of(e), LengthUnit.M, () -> "y" + space.pieces().size() + "-" + n[0]++);
  }

  private static final Pattern NUMBER = Pattern.compile("-?\\d+\\.\\d+(?:E-?\\d+)?");

  /** Written numbers have as many decimals as it takes to a billionth of a metre. */
  private static String rounded(String text) {
    return NUMBER
        .matcher(text)
        .replaceAll(
            m -> String.valueOf(Math.rint(Double.parseDouble(m.group()) * 1e9) / 1e9 + 0.0));
  }

  /** What comes of it, whatever ids new pieces have; or why it cannot be done. */
  private static Object made(Space space, Edit e) {
    try {
      Map<String, Integer> all = new TreeMap<>();
      for (Piece p : apply(space, e).space().pieces()) {
        String piece = p.name() + p.form() + p.stance() + p.keeping().slot();
        all.merge(rounded(piece), 1, Integer::sum);
      }
      return all;
    } catch (Refusal r) {
      return r.getMessage();
    }
  }
}
