package pied.core.still;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.util.Arrays;
import java.util.concurrent.atomic.AtomicInteger;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import pied.core.Rooms;
import pied.core.show.Viewpoint;
import pied.core.solid.Vec;
import pied.core.space.Space;
import pied.core.units.Refusal;

class StillRunTest {
  private static final Viewpoint VIEW =
      Viewpoint.ready("v", "kept", new Vec(0.5, 1.6, 3.5), new Vec(4, 0.9, 1), false);

  private static Space lit() {
    Rooms room = new Rooms();
    room.put("p", "globe-pendant", 3, 2);
    room.put("t", "cafe-table", 3, 2);
    room.put("c", "dining-chair", 3, 3);
    return room.space;
  }

  private static StillWish wish(int w, int h, StillGrade grade) {
    return new StillWish(VIEW, w, h, grade, null, null, false, false, null);
  }

  private static float[] light(StillRun run) {
    return run.result().light();
  }

  private static StillRun done(StillWish wish, int threads) {
    StillRun run = new StillRun(lit(), wish, threads);
    assertThat(run.run(() -> true)).isTrue();
    return run;
  }

  @Test
  void theSameIsMadeByAnyNumberOfThreads() {
    StillWish w = wish(61, 37, StillGrade.good);
    float[] one = light(done(w, 1));
    assertThat(Arrays.equals(light(done(w, 3)), one)).isTrue();
    assertThat(Arrays.equals(light(done(w, 2)), one)).isTrue();
  }

  @Test
  void whatWasStoppedIsGoneOnWithAsIfItHadNotBeen() throws IOException {
    StillWish w = wish(64, 48, StillGrade.good);
    float[] whole = light(done(w, 2));
    StillRun first = new StillRun(lit(), w, 2);
    ByteArrayOutputStream kept = new ByteArrayOutputStream();
    AtomicInteger after = new AtomicInteger();
    boolean made =
        first.run(
            () -> after.get() < 3,
            () -> {
              if (after.incrementAndGet() == 3) {
                keep(first, kept);
              }
            });
    assertThat(made).isFalse();
    StillRun second = new StillRun(lit(), w, 2);
    assertThat(second.takeUp(new DataInputStream(new ByteArrayInputStream(kept.toByteArray()))))
        .isTrue();
    assertThat(second.goings()).isEqualTo(3);
    assertThat(second.run(() -> true)).isTrue();
    assertThat(Arrays.equals(light(second), whole)).isTrue();

    StillRun other = new StillRun(lit(), wish(65, 48, StillGrade.good), 2);
    assertThat(other.takeUp(new DataInputStream(new ByteArrayInputStream(kept.toByteArray()))))
        .as("of another size")
        .isFalse();
    assertThat(other.goings()).isZero();
  }

  private static void keep(StillRun run, ByteArrayOutputStream to) {
    try {
      run.keep(new DataOutputStream(to));
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }

  /** What ends in cells is as bright, by surfaces, as what is followed to its end. */
  @Test
  void cellsNeitherWinNorLoseLight() {
    for (String hour : new String[] {"0", "10"}) {
      Rooms room = new Rooms();
      room.space = lit();
      room.json("{'do':'day','hour':'" + hour + "','date':'2026-03-21'}");
      StillScene scene = SpaceScene.of(room.space, VIEW, 100, false);
      StillCamera camera = StillCamera.of(VIEW, 1.5, room.shell());
      LightCells cells = LightCells.of(scene, camera, false, new Hands(2));
      assertThat(cells.size()).isBetween(500, 60_000);
      double[] ends = meanOf(scene, camera, cells);
      double[] whole = meanOf(scene, camera, null);
      for (int k = 0; k < 3; k++) {
        assertThat(ends[k]).as(hour).isCloseTo(whole[k], Percentage.withPercentage(5));
      }
    }
  }

  private static double[] meanOf(StillScene scene, StillCamera camera, LightCells cells) {
    Film f = new Film(36, 24);
    new FilmPass(scene, camera, f, 3, cells, Double.POSITIVE_INFINITY, false, 200, null)
        .work(() -> true);
    double[] sum = new double[3];
    for (int dot = 0; dot < f.count.length; dot++) {
      for (int k = 0; k < 3; k++) {
        sum[k] += f.sums[Film.SIZE * dot + k] / f.count[dot];
      }
    }
    return sum;
  }

  /** A picture of few paths is nearer to one of many once its noise is taken out. */
  @Test
  void lessNoiseIsLessError() {
    StillScene scene = SpaceScene.of(lit(), VIEW, 100, false);
    StillCamera camera = StillCamera.of(VIEW, 1.5, lit().shell());
    Film few = new Film(60, 40);
    Film many = new Film(60, 40);
    double all = Double.POSITIVE_INFINITY;
    new FilmPass(scene, camera, few, 1, null, all, false, 4, null).work(() -> true);
    new FilmPass(scene, camera, many, 2, null, all, false, 128, null).work(() -> true);
    float[] smooth = Developed.light(few, camera, new Hands(2));
    double noisy = 0;
    double clean = 0;
    for (int dot = 0; dot < many.count.length; dot++) {
      for (int k = 0; k < 3; k++) {
        double is = many.sums[Film.SIZE * dot + k] / many.count[dot];
        double scale = Math.abs(is) + 1;
        noisy += Math.abs(few.sums[Film.SIZE * dot + k] / few.count[dot] - is) / scale;
        clean += Math.abs(smooth[3 * dot + k] - is) / scale;
      }
    }
    assertThat(clean).isLessThan(0.45 * noisy);
  }

  @Test
  void onePicturesAsLargeAsAskedForAndSeesItGrow() {
    StillRun run = new StillRun(lit(), wish(123, 77, StillGrade.draft), 1);
    AtomicInteger asked = new AtomicInteger();
    assertThat(
            run.run(
                () -> {
                  if (asked.incrementAndGet() == 2) {
                    BufferedImage early = run.picture(50);
                    assertThat(early.getWidth()).isLessThanOrEqualTo(50);
                    assertThat(run.share()).isBetween(0.0, 0.99);
                  }
                  return true;
                }))
        .isTrue();
    assertThat(asked.get()).isGreaterThan(2);
    Developed d = run.result();
    BufferedImage image = d.image();
    assertThat(image.getWidth()).isEqualTo(123);
    assertThat(image.getHeight()).isEqualTo(77);
    for (float v : d.light()) {
      assertThat(v).isFinite().isNotNegative();
    }
  }

  @Test
  void timeEndsIt() {
    StillWish w = new StillWish(VIEW, 120, 80, StillGrade.good, 1.0, null, false, false, null);
    StillRun run = new StillRun(lit(), w, 2);
    assertThat(run.run(() -> true)).isTrue();
    assertThat(run.goings()).isPositive();
    assertThat(run.share()).isPositive();
  }

  @Test
  void noiseEndsIt() {
    StillWish w = new StillWish(VIEW, 60, 40, StillGrade.good, null, 0.2, false, false, null);
    StillRun run = new StillRun(lit(), w, 2);
    assertThat(run.run(() -> true)).isTrue();
    assertThat(run.noise()).isBetween(0.0, 0.2);
  }

  @Test
  void whatMakesNoPictureIsRefused() {
    assertThatThrownBy(() -> wish(8, 100, StillGrade.good)).isInstanceOf(Refusal.class);
    assertThatThrownBy(() -> wish(9000, 100, StillGrade.good)).isInstanceOf(Refusal.class);
    assertThatThrownBy(() -> wish(8192, 8192, StillGrade.good)).isInstanceOf(Refusal.class);
    assertThatThrownBy(() -> new StillWish(VIEW, 300, 100, null, null, null, false, true, null))
        .isInstanceOf(Refusal.class);
    assertThatThrownBy(() -> new StillWish(VIEW, 300, 100, null, 0.0, null, false, false, null))
        .isInstanceOf(Refusal.class);
  }

  @Test
  void allAroundSeesWhatIsBehindToo() {
    Rooms room = new Rooms();
    room.space = lit();
    StillCamera c = StillCamera.round(VIEW);
    double[] way = new double[3];
    double[] ahead = new double[3];
    c.ray(0.5, 0.5, ahead);
    Vec to = VIEW.target().minus(VIEW.eye());
    double level = Math.hypot(to.x(), to.z());
    assertThat(ahead[0]).isEqualTo(to.x() / level, within(1e-9));
    c.ray(0, 0.5, way);
    assertThat(Frames.dot(ahead, way)).isEqualTo(-1, within(1e-9));
    c.ray(0.3, 0, way);
    assertThat(way[1]).isEqualTo(1, within(1e-9));
  }

  /** Verticals stay upright: what is above a point is above it in the picture. */
  @Test
  void uprightKeepsVerticals() {
    StillCamera c = StillCamera.looking(new Vec(0, 1.6, 0), new Vec(1, 2.4, -3), 0.75, 0.5, true);
    double[] a = new double[3];
    double[] b = new double[3];
    c.ray(0.1, 0.2, a);
    c.ray(0.1, 0.9, b);
    assertThat(a[0] / a[2]).isEqualTo(b[0] / b[2], within(1e-9));
    c.ray(0.5, 0.5, a);
    Vec to = new Vec(1, 0.8, -3).unit();
    assertThat(a[1]).isEqualTo(to.y(), within(1e-9));
  }

  /** Ink lies over the picture, which is the same beneath it; alone it stands on paper. */
  @Test
  void inkLiesOverOrStandsAlone() {
    StillWish plain = wish(90, 60, StillGrade.draft);
    BufferedImage bare = done(plain, 2).result().image();
    BufferedImage over = done(plain.withInk(StillInk.over), 2).result().image();
    StillRun run = done(plain.withInk(StillInk.alone), 2);
    BufferedImage alone = run.result().image();
    assertThat(run.rays()).isZero();
    assertThat(run.result().isLit()).isFalse();
    int paper = alone.getRGB(0, 0) & 255;
    int inked = 0;
    for (int y = 0; y < 60; y++) {
      for (int x = 0; x < 90; x++) {
        int a = alone.getRGB(x, y) & 255;
        boolean clean = a == paper;
        if (clean) {
          assertThat(over.getRGB(x, y)).isEqualTo(bare.getRGB(x, y));
        }
        inked += clean ? 0 : 1;
      }
    }
    assertThat(inked).isBetween(300, 2700);
  }
}
