package pied.core.still;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pied.core.Rooms;
import pied.core.lighting.LampSource;
import pied.core.lighting.LampSources;
import pied.core.solid.Vec;
import pied.core.space.Space;
import pied.core.still.LuxMeter.LuxReading;

class LuxMeterTest {
  private static final double ROOM = 3;
  private static final int CUT = 9;

  /** By the point-by-point sum of the trade: candela by d² and the slant, in a black room. */
  @Test
  void underOneLampItIsTheTradesOwnSum() {
    Rooms room = dark("globe-pendant");
    for (String part : List.of("floor", "ceiling", "wall", "skirting")) {
      room.json("{'do':'decorate','part':'" + part + "','finish':{'colour':'#000000','metal':1}}");
    }
    LuxMeter meter = new LuxMeter(room.space);
    List<LampSource> lamps = LampSources.of(room.space);
    assertThat(lamps).isNotEmpty();
    for (Vec at : List.of(new Vec(3, 0, 2), new Vec(4.5, 0, 2.7), new Vec(1, 0, 1))) {
      double sum = lamps.stream().mapToDouble(l -> l.lux(at, Vec.UP)).sum();
      LuxReading r = meter.at(at, Vec.UP, 0.005);
      assertThat(r.lux()).isCloseTo(sum, Percentage.withPercentage(3));
      assertThat(r.off()).isLessThan(0.02 * sum);
    }
  }

  private static Rooms dark(String lamp) {
    Rooms room = new Rooms();
    room.put("p", lamp, 3, 2);
    room.json("{'do':'day','hour':'0','date':'2026-01-05'}");
    return room;
  }

  /**
   * By utilance, as the trade reckons a room with one number each for floor, ceiling and walls: of
   * the lamp's light so much falls on each at once (its solid angle), and what they throw back goes
   * to and fro between the three by their form factors.
   */
  @ParameterizedTest
  @CsvSource({"1.2, 3", "1.5, 3", "1.8, 3", "2.2, 4"}) // the ceiling over a near lamp is not even
  void onTheFloorOfARoomItIsWhatItsUtilanceSays(double high, double percent) {
    Vec room = new Vec(6, 3, 5);
    Vec lamp = new Vec(3, high, 2.5);
    double lumens = 5000;
    double[] back = {0.2, 0.7, 0.5};
    LitSurface[] of = new LitSurface[6];
    for (int i = 0; i < 6; i++) {
      of[i] = KnownLightTest.lambert(back[Math.min(i, 2)]);
    }
    StillScene scene =
        Boxes.scene(Boxes.room(room, of), List.of(Boxes.lamp(lamp, lumens, 0.02)), Outdoors.dark());
    double mean = 0;
    for (int i = 0; i < 6; i++) {
      for (int k = 0; k < 5; k++) {
        mean += Boxes.lux(scene, new Vec(i + 0.5, 0, k + 0.5), Vec.UP, 0.01) / 30;
      }
    }
    double area = room.x() * room.z();
    double utilance = utilance(room, lamp.y(), back);
    assertThat(utilance).isBetween(0.3, 0.9);
    assertThat(mean).isCloseTo(lumens * utilance / area, Percentage.withPercentage(percent));
  }

  /** Of the light of a lamp that shines to all sides over the middle, what comes to the floor. */
  private static double utilance(Vec room, double high, double[] back) {
    double floor = solid(room, high) / (4 * Math.PI);
    double ceiling = solid(room, room.y() - high) / (4 * Math.PI);
    double area = room.x() * room.z();
    double walls = 2 * room.y() * (room.x() + room.z());
    double across = parallel(room.x() / room.y(), room.z() / room.y());
    double aside = 1 - across;
    double wallTo = aside * area / walls;
    double[] own = {floor / area, ceiling / area, (1 - floor - ceiling) / walls};
    double[][] form = {{0, across, aside}, {across, 0, aside}, {wallTo, wallTo, 1 - 2 * wallTo}};
    double[] lit = own.clone();
    for (int r = 0; r < 60; r++) {
      double[] next = own.clone();
      for (int i = 0; i < 3; i++) {
        for (int k = 0; k < 3; k++) {
          next[i] += form[i][k] * back[k] * lit[k];
        }
      }
      lit = next;
    }
    return lit[0] * area;
  }

  /** The solid angle of a rectangle seen from over its middle. */
  private static double solid(Vec room, double high) {
    double a = room.x() / 2;
    double b = room.z() / 2;
    return 4 * Math.asin(a * b / Math.sqrt((a * a + high * high) * (b * b + high * high)));
  }

  /** The form factor of two like rectangles across from each other (Howell, C-11), sides by gap. */
  private static double parallel(double x, double y) {
    double p = 1 + x * x;
    double q = 1 + y * y;
    double sum = Math.log(Math.sqrt(p * q / (p + y * y)));
    sum += x * Math.sqrt(q) * Math.atan(x / Math.sqrt(q));
    sum += y * Math.sqrt(p) * Math.atan(y / Math.sqrt(p));
    sum += -x * Math.atan(x) - y * Math.atan(y);
    return 2 / (Math.PI * x * y) * sum;
  }

  /**
   * All walls alike, a lamp in the middle: against radiosity with {@link #CUT} times as many pieces
   * of each wall each way, whose form factors are summed from point to point.
   */
  @Test
  void aBoxIsAsRadiosityHasIt() {
    double[] back = {0.2, 0.8, 0.6, 0.6, 0.4, 0.7};
    LitSurface[] of = new LitSurface[6];
    for (int i = 0; i < 6; i++) {
      of[i] = KnownLightTest.lambert(back[i]);
    }
    StillScene scene =
        Boxes.scene(
            Boxes.room(new Vec(ROOM, ROOM, ROOM), of),
            List.of(Boxes.lamp(new Vec(1.5, 1.5, 1.5), 1000, 0.02)),
            Outdoors.dark());
    double[] walls = radiosity(back);
    Vec[] faces = {
      Vec.UP, Vec.DOWN, new Vec(1, 0, 0), new Vec(-1, 0, 0), new Vec(0, 0, 1), new Vec(0, 0, -1)
    };
    for (int w = 0; w < 6; w++) {
      double sum = 0;
      int n = 5;
      for (int i = 0; i < n * n; i++) {
        sum +=
            Boxes.lux(scene, on(w, (i % n + 0.5) / n, (i / n + 0.5) / n), faces[w], 0.01) / (n * n);
      }
      assertThat(sum).as("wall %d", w).isCloseTo(walls[w], Percentage.withPercentage(2));
    }
  }

  /** A point of a wall, in the order of {@link Boxes#room}. */
  private static Vec on(int wall, double u, double v) {
    double a = u * ROOM;
    double b = v * ROOM;
    double c = wall % 2 == 0 ? 0 : ROOM;
    return wall < 2 ? new Vec(a, c, b) : wall < 4 ? new Vec(c, a, b) : new Vec(a, b, c);
  }

  /** Light on each wall in the mean, lux. */
  private static double[] radiosity(double[] back) {
    int n = CUT * CUT;
    List<Vec> at = new ArrayList<>();
    for (int i = 0; i < 6 * n; i++) {
      at.add(on(i / n, (i % CUT + 0.5) / CUT, (i % n / CUT + 0.5) / CUT));
    }
    double area = ROOM * ROOM / n;
    double[][] form = new double[6 * n][6 * n];
    double[] own = new double[6 * n];
    for (int i = 0; i < own.length; i++) {
      Vec to = new Vec(1.5, 1.5, 1.5).minus(at.get(i));
      own[i] = 1000 / (4 * Math.PI) * 1.5 / Math.pow(to.length(), 3);
      double all = 0;
      for (int k = 0; k < own.length; k++) {
        if (i / n != k / n) {
          Vec d = at.get(k).minus(at.get(i));
          double l2 = d.dot(d);
          form[i][k] = off(i / n, d) * off(k / n, d) / (Math.PI * l2 * l2) * area;
          all += form[i][k];
        }
      }
      for (int k = 0; k < own.length; k++) {
        form[i][k] /= all; // a room is closed
      }
    }
    double[] lux = own.clone();
    for (int r = 0; r < 40; r++) {
      double[] next = own.clone();
      for (int i = 0; i < own.length; i++) {
        for (int k = 0; k < own.length; k++) {
          next[i] += form[i][k] * back[k / n] * lux[k];
        }
      }
      lux = next;
    }
    double[] walls = new double[6];
    for (int i = 0; i < lux.length; i++) {
      walls[i / n] += lux[i] / n;
    }
    return walls;
  }

  /** How far a way goes off a wall. */
  private static double off(int wall, Vec d) {
    return Math.abs(wall < 2 ? d.y() : wall < 4 ? d.x() : d.z());
  }

  @Test
  void withAllItsWallsItIsBrighterAndWithoutLampsItIsDark() {
    Rooms room = dark("globe-pendant");
    Space space = room.space;
    Vec at = new Vec(3, 0, 2);
    double direct = LampSources.of(space).stream().mapToDouble(l -> l.lux(at, Vec.UP)).sum();
    assertThat(new LuxMeter(space).at(at, Vec.UP, 0.02).lux()).isGreaterThan(1.2 * direct);
    room.json("{'do':'lamps','which':{},'on':false}");
    assertThat(new LuxMeter(room.space).at(at, Vec.UP, 0.02).lux()).isLessThan(0.1);
    assertThat(new LuxMeter(space).level(List.of(at, new Vec(1, 0, 1)), 0.02, 2)).hasSize(2);
  }
}
