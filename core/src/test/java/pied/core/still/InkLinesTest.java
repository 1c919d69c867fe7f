package pied.core.still;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import pied.core.solid.Vec;
import pied.core.still.StillScene.SceneBody;

/** Lines stand where edges are seen, and nowhere else. */
class InkLinesTest {
  private static final int WIDE = 300;
  private static final int HIGH = 200;
  private static final LitSurface GREY = LitSurface.matt(0.5);
  private static final LitSurface DARK = LitSurface.matt(0.2);

  /** Two metres before it, as wide as high; sees 3 m across and 2 m up there. */
  private static final StillCamera EYE =
      StillCamera.looking(new Vec(0, 0, 2), Vec.ZERO, 0.75, 0.5, false);

  private static InkLines drawn(SceneBody... bodies) {
    StillScene scene = Boxes.scene(List.of(bodies), List.of(), Outdoors.dark());
    InkLines ink = new InkLines(scene, EYE, WIDE, HIGH);
    ink.work(() -> true);
    assertThat(ink.isDone()).isTrue();
    return ink;
  }

  private static SceneBody sheet(double x0, double x1, double y0, double y1, double z) {
    return sheet(x0, x1, y0, y1, z, GREY);
  }

  private static SceneBody sheet(
      double x0, double x1, double y0, double y1, double z, LitSurface s) {
    return Boxes.sheet(new Vec(x0, y0, z), new Vec(x1 - x0, 0, 0), new Vec(0, y1 - y0, 0), s);
  }

  /** Where there are lines in a row, and how wide: the middle of each, and its sum, dots. */
  private static List<double[]> row(InkLines ink, int y) {
    List<double[]> all = new ArrayList<>();
    double sum = 0;
    double moment = 0;
    for (int x = 0; x <= WIDE; x++) {
      double v = x == WIDE ? 0 : (ink.ink[y * WIDE + x] & 255) / 255.0;
      if (v > 0) {
        sum += v;
        moment += v * (x + 0.5);
      } else if (sum > 0) {
        all.add(new double[] {moment / sum, sum});
        sum = moment = 0;
      }
    }
    return all;
  }

  private static void hasLines(InkLines ink, int y, double... at) {
    List<double[]> all = row(ink, y);
    assertThat(all).as("%s", all.stream().map(List::of).toList()).hasSize(at.length);
    for (int i = 0; i < at.length; i++) {
      assertThat(all.get(i)[0]).isEqualTo(at[i], within(0.3));
    }
  }

  @Test
  void aThingBeforeAWallHasALineAroundIt() {
    InkLines ink = drawn(sheet(-3, 3, -3, 3, -1), sheet(-0.5, 0.7, -0.6, 0.6, 0));
    // a metre is 100 dots at the distance of the thing
    hasLines(ink, HIGH / 2, 150 - 50, 150 + 70);
    hasLines(ink, 60, 150 - 50, 150 + 70);
    assertThat(row(ink, 30)).isEmpty();
    assertThat(row(ink, 39).get(0)[1] + row(ink, 40).get(0)[1]).isGreaterThan(120);
  }

  /** One line is as wide as another whatever way it goes, and wider around things than in them. */
  @Test
  void linesAreAsWideAsTheyAreMeantToBe() {
    InkLines around = drawn(sheet(-3, 3, -3, 3, -1), sheet(-0.5, 0.7, -0.6, 0.6, 0));
    InkLines slanted =
        drawn(
            sheet(-3, 3, -3, 3, -1),
            Boxes.sheet(new Vec(-0.5, -0.5, 0), new Vec(1, 1, 0), new Vec(-3, 3, 0), GREY));
    double across = row(slanted, HIGH / 2).get(0)[1] * Math.sqrt(0.5);
    // to the raster's third of a dot
    assertThat(row(around, HIGH / 2).get(0)[1]).isEqualTo(across, within(0.4));
    InkLines inner = drawn(sheet(-3, 0, -3, 3, -1), sheet(0, 3, -3, 3, -1, DARK));
    hasLines(inner, HIGH / 2, 150);
    assertThat(row(inner, HIGH / 2).get(0)[1]).isLessThanOrEqualTo(across + 0.4);
  }

  @Test
  void whatLiesFlushAndLooksTheSameHasNoLineBetween() {
    assertThat(row(drawn(sheet(-3, 0.2, -3, 3, -1), sheet(0.2, 3, -3, 3, -1)), 90)).isEmpty();
    // a step of a centimetre has one
    hasLines(drawn(sheet(-3, 0.3, -3, 3, -1), sheet(0.3, 3, -3, 3, -1.02)), 90, 150 + 20);
    // a wall seen at a slant has none in it
    SceneBody slanting =
        Boxes.sheet(new Vec(-1.4, -3, 1), new Vec(0.2, 0, -40), new Vec(0, 6, 0), GREY);
    InkLines ink = drawn(slanting);
    assertThat(row(ink, HIGH / 2)).hasSizeLessThanOrEqualTo(1);
  }

  @Test
  void aFoldHasALineAndASlightBendHasNone() {
    SceneBody box = Boxes.box(new Vec(-0.4, -3, -2), new Vec(0.4, 3, 0), GREY);
    StillCamera corner = StillCamera.looking(new Vec(2, 0, 2), Vec.ZERO, 0.75, 0.5, false);
    StillScene scene = Boxes.scene(List.of(box), List.of(), Outdoors.dark());
    InkLines ink = new InkLines(scene, corner, WIDE, HIGH);
    ink.work(() -> true);
    // its near corner at (0.4, 0): between its two sides
    double deep = (2 - 0.4 + 2) * Math.sqrt(0.5);
    double aside = 0.4 * Math.sqrt(0.5);
    double x = WIDE / 2.0 * (1 + aside / deep / 0.75);
    assertThat(row(ink, HIGH / 2)).anySatisfy(l -> assertThat(l[0]).isEqualTo(x, within(0.3)));
  }

  @Test
  void behindGlassTheLinesOfBothAreSeen() {
    SceneBody pane = sheet(-1, 1, -3, 3, 0.5, LitSurface.pane(0.9));
    InkLines ink = drawn(sheet(-3, 3, -3, 3, -1), sheet(-0.25, 0.25, -3, 3, 0), pane);
    hasLines(ink, HIGH / 2, 150 - 133.3, 150 - 25, 150 + 25, 150 + 133.3);
  }

  @Test
  void manyLinesTogetherAreGreyAndOneStaysBlack() {
    List<SceneBody> rungs = new ArrayList<>();
    rungs.add(sheet(-3, 3, -3, 3, -1));
    for (int i = 0; i < 30; i++) {
      rungs.add(sheet(-0.6 + 0.04 * i, -0.6 + 0.04 * i + 0.02, -3, 3, 0));
    }
    InkLines ink = drawn(rungs.toArray(SceneBody[]::new));
    assertThat(ink.ink[90 * WIDE + 150] & 255).isGreaterThan(140);
    InkLines one = drawn(sheet(-3, 3, -3, 3, -1), sheet(-0.5, 0.7, -0.6, 0.6, 0));
    byte[] before = one.ink.clone();
    ink.thin();
    one.thin();
    int sum = 0;
    for (int x = 120; x < 180; x++) {
      sum += ink.ink[90 * WIDE + x] & 255;
    }
    assertThat(sum / 60.0).isBetween(90.0, 140.0);
    assertThat(one.ink).isEqualTo(before);
  }

  @Test
  void itIsTheSameByAnyNumberOfThreadsAndInAnotherSizeAsMuch() {
    SceneBody[] bodies = {sheet(-3, 3, -3, 3, -1), sheet(-0.5, 0.7, -0.6, 0.6, 0)};
    InkLines one = drawn(bodies);
    StillScene scene = Boxes.scene(List.of(bodies), List.of(), Outdoors.dark());
    InkLines two = new InkLines(scene, EYE, WIDE, HIGH);
    new Hands(3).all(() -> two.work(() -> true));
    assertThat(two.ink).isEqualTo(one.ink);
    float[] half = one.sized(WIDE / 2, HIGH / 2);
    double all = 0;
    for (float v : half) {
      all += 4 * v;
    }
    double full = 0;
    for (byte v : one.ink) {
      full += (v & 255) / 255.0;
    }
    assertThat(all).isEqualTo(full, within(0.01 * full));
  }
}
