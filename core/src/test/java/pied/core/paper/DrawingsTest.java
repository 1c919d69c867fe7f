package pied.core.paper;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import pied.core.Nullable;
import pied.core.Rooms;
import pied.core.drawing.Elevation;
import pied.core.drawing.Elevations;
import pied.core.drawing.LineDrawing;
import pied.core.material.Finishes;
import pied.core.piece.Piece;
import pied.core.space.Outlines;
import pied.core.space.Shell;
import pied.core.space.Spot;
import pied.core.units.Deadline;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;

/** Drawings on paper: what is measured there, times the scale, is what is in the model. */
class DrawingsTest {
  private static final Drawings DRAWINGS =
      new Drawings((f, e) -> LineDrawing.of(Rooms.SHAPES.mesh(f), e), new Elevations());
  private static final Plate PLATE = new Plate("Saltmarsh", "Tea room", "2026-11-27", 12, "");

  private static Drawings.SheetWish wish(
      Drawings.SheetKind kind, @Nullable Integer scale, String paper, boolean numbers) {
    Elevation.ElevationLook look =
        kind == Drawings.SheetKind.elevation
            ? new Elevation.ElevationLook(Elevation.LookWay.wall, "A", null)
            : null;
    return new Drawings.SheetWish(kind, look, scale, Paper.of(paper), LengthUnit.M, numbers);
  }

  private static List<Sheet> draw(Rooms room, Drawings.SheetWish wish) {
    return DRAWINGS.draw(room.space, room.space, wish, PLATE, Deadline.NONE);
  }

  private static List<Sheet> plan(Rooms room, Integer scale, String paper) {
    return draw(room, wish(Drawings.SheetKind.plan, scale, paper, false));
  }

  private static Stream<double[]> lines(Sheet s, Pen pen) {
    return s.marks().stream()
        .filter(m -> m instanceof Mark.MarkLine l && l.pen() == pen)
        .map(m -> ((Mark.MarkLine) m).xy());
  }

  private static Envelope box(Stream<double[]> lines) {
    Envelope e = new Envelope();
    lines.forEach(
        xy -> {
          for (int i = 0; i < xy.length; i += 2) {
            e.expandToInclude(xy[i], xy[i + 1]);
          }
        });
    return e;
  }

  private static Envelope cut(Sheet s) {
    return box(
        s.marks().stream()
            .filter(m -> m instanceof Mark.MarkArea a && a.pen() == Pen.CUT)
            .flatMap(m -> ((Mark.MarkArea) m).rings().stream()));
  }

  @ParameterizedTest
  @ValueSource(ints = {20, 25, 50, 100, 200})
  void lengthsOnPaperTimesTheScaleAreThoseOfTheModel(int scale) {
    Rooms room = new Rooms(); // 6 × 4 within walls of 0.2
    room.put("b", "block", 2, 1.5);
    room.put("c", "block", 4.25, 3);
    Sheet s = plan(room, scale, "A0").get(0);
    double k = scale / 1000.0;
    assertThat(cut(s).getWidth() * k).isEqualTo(6.4, within(1e-4));
    assertThat(cut(s).getHeight() * k).isEqualTo(4.4, within(1e-4));
    Envelope blocks =
        box(
            lines(s, Pen.OUTLINE)
                .filter(
                    xy ->
                        box(Stream.of(xy)).getWidth() < 0.51 / k
                            && cut(s).contains(box(Stream.of(xy)))
                            && box(Stream.of(xy)).getHeight() > 0.4 / k
                            && box(Stream.of(xy)).getHeight() < 0.51 / k));
    assertThat(blocks.getWidth() * k).isEqualTo(2.25 + 0.5, within(1e-4));
    assertThat(blocks.getHeight() * k).isEqualTo(1.5 + 0.5, within(1e-4));
    assertThat((blocks.getMinX() - cut(s).getMinX()) * k).isEqualTo(0.2 + 1.75, within(1e-4));
  }

  static Stream<Rooms> rooms() {
    List<Spot> notched =
        List.of(
            new Spot(0, 0),
            new Spot(6, 0),
            new Spot(6, 2),
            new Spot(5.2, 2),
            new Spot(5.2, 3),
            new Spot(6, 3),
            new Spot(6, 5),
            new Spot(3, 5),
            new Spot(3, 4),
            new Spot(0, 4));
    Rooms corners = Rooms.of(new Shell(notched, 2.8, 0.2, List.of(), Finishes.NONE));
    corners.json("{'do':'opening','kind':'window','wall':'A','from':0.1,'width':0.3}");
    corners.json("{'do':'opening','kind':'window','wall':'A','from':0.5,'width':0.3}");
    corners.json("{'do':'opening','kind':'door','wall':'J','from':0.2,'width':0.8}");
    Rooms round =
        Rooms.of(new Shell(Outlines.clockwise(regular(11)), 2.8, 0.2, List.of(), Finishes.NONE));
    return Stream.of(Rooms.teaRoom(), corners, round, Rooms.stage());
  }

  private static List<Spot> regular(int n) {
    List<Spot> all = new ArrayList<>();
    for (int i = 0; i < n; i++) {
      double a = 2 * Math.PI * i / n;
      all.add(new Spot(3 * Math.cos(a), 3 * Math.sin(a)));
    }
    return all;
  }

  @ParameterizedTest
  @MethodSource("rooms")
  void noTextCoversAnother(Rooms room) {
    for (Drawings.SheetKind kind : Drawings.SheetKind.values()) {
      for (Sheet s : draw(room, wish(kind, null, "A3", true))) {
        List<Geometry> boxes = new ArrayList<>();
        for (Mark m : s.marks()) {
          if (m instanceof Mark.MarkText t) {
            Geometry box = TakenRoom.box(t).buffer(-0.35); // without the air about it
            assertThat(boxes)
                .as(kind + ": " + t.text() + " at " + t.x() + ", " + t.y())
                .noneMatch(b -> b.intersects(box));
            boxes.add(box);
          }
        }
      }
    }
  }

  private static double length(Sheet s, Pen pen) {
    return lines(s, pen).mapToDouble(DrawingsTest::length).sum();
  }

  private static double length(double[] xy) {
    double sum = 0;
    for (int i = 2; i < xy.length; i += 2) {
      sum += Math.hypot(xy[i] - xy[i - 2], xy[i + 1] - xy[i - 1]);
    }
    return sum;
  }

  @Test
  void ofAHeapInOnePlaceOneIsDrawnAndTheOthersAreUnderneath() {
    Rooms room = new Rooms();
    Piece one = room.put("s", "stool", 3, 2);
    Sheet alone = plan(room, 20, "A1").get(0);
    for (int i = 0; i < 9; i++) {
      room.space = room.space.with(List.of(one.withId("p" + i)));
    }
    Sheet heap = plan(room, 20, "A1").get(0);
    assertThat(length(heap, Pen.OUTLINE)).isEqualTo(length(alone, Pen.OUTLINE), within(1e-6));
    assertThat(length(heap, Pen.DETAIL)).isEqualTo(length(alone, Pen.DETAIL), within(1e-6));
    assertThat(box(lines(heap, Pen.HIDDEN)).getWidth() * 0.02).isEqualTo(0.36, within(1e-3));
  }

  @Test
  void numbersOfAHeapCoverNoOtherAndTheLegendSaysHowManyHaveNoRoom() {
    Rooms room = new Rooms();
    Piece one = room.put("s", "stool", 3, 2);
    for (int i = 1; i < 400; i++) {
      room.space = room.space.with(List.of(one.withId("p" + i)));
    }
    Sheet s = draw(room, wish(Drawings.SheetKind.plan, 20, "A1", true)).get(0);
    assertThat(texts(s)).contains("400 ×");
    List<Mark.MarkText> numbers =
        s.marks().stream()
            .filter(m -> m instanceof Mark.MarkText t && t.text().equals("1") && !t.bold())
            .map(m -> (Mark.MarkText) m)
            .toList();
    for (Mark.MarkText a : numbers) {
      for (Mark.MarkText b : numbers) {
        assertThat(a == b || TakenRoom.box(a).disjoint(TakenRoom.box(b)))
            .as(a + " and " + b)
            .isTrue();
      }
    }
    assertThat(texts(s)).contains(400 - numbers.size() + " numbers have no room here");
  }

  @Test
  void whatIsUnderneathIsDashedAndWhatIsAboveTheCutIsDashedLonger() {
    Rooms room = new Rooms();
    room.put("t", "long-table", 3, 2);
    room.put("s", "stool", 3, 2);
    Sheet s = plan(room, 20, "A1").get(0);
    assertThat(lines(s, Pen.HIDDEN)).isNotEmpty();
    assertThat(lines(s, Pen.OVERHEAD)).isEmpty();
    Envelope hidden = box(lines(s, Pen.HIDDEN));
    assertThat(hidden.getWidth() * 0.02).isEqualTo(0.36, within(1e-3));
    room.put("p", "pendant-lamp", 4.5, 1);
    assertThat(lines(plan(room, 20, "A1").get(0), Pen.OVERHEAD)).isNotEmpty();
    // on the ceiling plan there is only the lamp
    Sheet ceiling = draw(room, wish(Drawings.SheetKind.ceiling, 20, "A1", true)).get(0);
    assertThat(texts(ceiling)).anyMatch(t -> t.contains("Pendant lamp"));
    assertThat(texts(ceiling)).noneMatch(t -> t.contains("Long table"));
  }

  private static List<String> texts(Sheet s) {
    return s.marks().stream()
        .filter(m -> m instanceof Mark.MarkText)
        .map(m -> ((Mark.MarkText) m).text())
        .toList();
  }

  @Test
  void whatDoesNotFitIsOnSeveralSheetsThatOverlap() {
    Rooms room = new Rooms();
    List<Sheet> sheets = plan(room, 10, "A3"); // 640 mm of 400
    assertThat(sheets).hasSize(4);
    Set<String> parts = new HashSet<>();
    double across = 0;
    for (Sheet s : sheets) {
      texts(s).stream().filter(t -> t.contains("part ")).forEach(parts::add);
      Envelope frame = new Envelope(10, 410, 10, 267);
      assertThat(frame.covers(cut(s))).isTrue();
      across += cut(s).getWidth();
    }
    assertThat(parts).hasSize(4).anyMatch(t -> t.contains("part B2 of B2"));
    // two rows of two, each 640 mm in all, and 15 mm of each twice
    assertThat(across).isEqualTo(2 * (640 + 15), within(1e-6));
  }

  @Test
  void theLargestScaleAtWhichItIsOnOneSheetIsFound() {
    Rooms room = new Rooms();
    assertThat(texts(plan(room, null, "A3").get(0))).contains("1:20 on A3");
    assertThat(texts(plan(room, null, "A4").get(0))).contains("1:50 on A4");
    assertThat(plan(room, null, "A4")).hasSize(1);
  }

  @Test
  void alikeHasTheSameNumberAndTheLegendCountsIt() {
    Rooms room = new Rooms();
    for (int i = 0; i < 3; i++) {
      room.put("s" + i, "stool", 1.5 + i, 2);
    }
    room.put("t", "trunk", 3, 3);
    List<String> texts = texts(draw(room, wish(Drawings.SheetKind.plan, 50, "A3", true)).get(0));
    assertThat(texts).contains("3 ×", "1 ×", "Stool", "0.36 × 0.36 × 0.46");
    String number = texts.get(texts.indexOf("3 ×") - 1);
    // three on the drawing, and one in the legend
    assertThat(texts.stream().filter(number::equals)).hasSize(4);
  }

  @Test
  void anElevationIsToScaleToo() {
    Rooms room = new Rooms();
    Sheet s = draw(room, wish(Drawings.SheetKind.elevation, 25, "A2", false)).get(0);
    assertThat(cut(s).getWidth() * 0.025).isEqualTo(6.4, within(1e-4));
    assertThat(texts(s)).contains("6.00", "2.80", "Elevation of wall A");
  }

  @Test
  void theSameSpaceMakesTheSameSheetsAndTheirSvgIsEscaped() {
    Plate odd = new Plate("A & B", "<room> \"1\"", "2026-11-27", 1, "\u0007");
    Drawings.SheetWish wish = wish(Drawings.SheetKind.plan, 50, "A3", true);
    Rooms room = Rooms.teaRoom();
    String one =
        SvgSheet.of(DRAWINGS.draw(room.space, room.space, wish, odd, Deadline.NONE).get(0));
    room = Rooms.teaRoom();
    String two =
        SvgSheet.of(DRAWINGS.draw(room.space, room.space, wish, odd, Deadline.NONE).get(0));
    assertThat(two).isEqualTo(one);
    assertThat(one).contains("A &amp; B", "&lt;room&gt; \"1\"").doesNotContain("\u0007");
    assertThat(one).contains("width=\"420mm\" height=\"297mm\" viewBox=\"0 0 420 297\"");
  }

  @Test
  void scalesPapersAndTooManySheetsAreRefused() {
    assertThatThrownBy(() -> wish(Drawings.SheetKind.plan, 30, "A3", true))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("1:25");
    assertThatThrownBy(() -> Paper.of("A5")).isInstanceOf(Refusal.class);
    Rooms hall = Rooms.of(new Shell(Outlines.rectangle(60, 40), 6, 0.3, List.of(), Finishes.NONE));
    assertThatThrownBy(() -> plan(hall, 10, "A4"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("sheets");
  }
}
