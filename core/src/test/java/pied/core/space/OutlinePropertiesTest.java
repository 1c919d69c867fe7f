package pied.core.space;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import pied.core.Choices;
import pied.core.material.Finishes;
import pied.core.solid.Body;
import pied.core.solid.Vec;
import pied.core.units.Refusal;

/** What holds for any outline that can be built. */
class OutlinePropertiesTest {
  /** A room of square corners, convex and reentrant: steps up and down along its front. */
  private static List<Spot> stepped(Random r) {
    List<Spot> c = new ArrayList<>(List.of(new Spot(0, 0)));
    int n = 1 + r.nextInt(4);
    double width = 0;
    double[] depths = new double[n];
    double[] ends = new double[n];
    for (int i = 0; i < n; i++) {
      width += 1 + r.nextInt(30) / 10.0;
      ends[i] = width;
      depths[i] = 2 + 0.7 * i * (i % 2 == 0 ? 1 : -0.3) + r.nextInt(10) / 10.0;
    }
    c.add(new Spot(width, 0));
    for (int i = n - 1; i >= 0; i--) {
      c.add(new Spot(ends[i], depths[i]));
      c.add(new Spot(i == 0 ? 0 : ends[i - 1], depths[i]));
    }
    return c;
  }

  /** Any figure that is seen whole from its middle. */
  private static List<Spot> star(Random r) {
    int n = 5 + r.nextInt(7);
    List<Spot> c = new ArrayList<>();
    for (int i = 0; i < n; i++) {
      double a = 2 * Math.PI * (i + 0.3 * r.nextDouble()) / n;
      double far = 3 + 2 * r.nextDouble();
      c.add(new Spot(far * Math.cos(a), far * Math.sin(a)));
    }
    return c;
  }

  private static Shell shell(List<Spot> outline, List<Opening> openings) {
    return new Shell(outline, 2.6, 0.18, openings, Finishes.NONE);
  }

  @Property(tries = 80)
  void wallsAreClosedAndFaceOutward(@ForAll Choices r) {
    Shell room = shell(r.nextBoolean() ? stepped(r) : star(r), List.of());
    if (!buildable(room)) {
      return;
    }
    for (Wall w : room.walls()) {
      Spot in = w.spot(w.length() / 2, 0.01);
      assertThat(room.holds(in)).as("inward of wall " + w.name()).isTrue();
    }
    for (Body b : ShellBodies.of(room)) {
      assertThat(b.mesh().isClosed()).as(b.id()).isTrue();
      assertThat(b.mesh().volume()).as(b.id() + " faces outward").isPositive();
    }
    assertThat(room.area()).isCloseTo(Outlines.area(room.outline()), within(1e-9));
    assertThat(Outlines.clockwise(room.outline())).isEqualTo(room.outline());
  }

  @Property(tries = 80)
  void openingsTakeJustTheirVolumeAndLeaveWallsClosed(@ForAll Choices r) {
    List<Spot> outline = stepped(r);
    Shell bare = shell(outline, List.of());
    if (!buildable(bare)) {
      return;
    }
    List<Opening> openings = new ArrayList<>();
    double cut = 0;
    Wall wall = bare.walls().get(0);
    double at = 0;
    while (at < wall.length() - 0.5 && openings.size() < 5) {
      double width = Math.min(0.2 + r.nextDouble(), wall.length() - at);
      boolean niche = r.nextInt(4) == 0;
      double sill = r.nextInt(3) * 0.45;
      double height = r.nextInt(5) == 0 ? 2.6 - sill : 0.4 + 0.8 * r.nextDouble();
      Opening o =
          new Opening(
              "o" + openings.size(),
              niche ? Opening.OpeningKind.niche : Opening.OpeningKind.opening,
              "A",
              at,
              width,
              sill,
              height,
              null,
              null,
              niche ? 0.03 + 0.1 * r.nextDouble() : 0);
      openings.add(o);
      cut += width * height * (niche ? o.depth() : 0.18);
      at += width + (r.nextInt(3) == 0 ? 0 : 0.1 + r.nextDouble());
    }
    Shell room = shell(outline, openings);
    if (!buildable(room)) {
      return; // all of the wall gone
    }
    Body whole = body(bare);
    Body left = body(room);
    assertThat(left.mesh().isClosed()).isTrue();
    // an opening at a mitred end cuts along the mitre, elsewhere squarely
    boolean atEnd = openings.get(0).from() == 0 || at >= wall.length();
    assertThat(whole.mesh().volume() - left.mesh().volume())
        .isCloseTo(cut, within(atEnd ? 0.2 : 1e-6));
    for (Opening o : openings) {
      Vec in =
          wall.spot(o.from() + o.width() / 2, -o.depth() / 2 - 1e-3).at(o.sill() + o.height() / 2);
      assertThat(left.mesh().tree().winding(in)).as(o.id()).isZero();
    }
  }

  private static Body body(Shell shell) {
    return ShellBodies.of(shell).stream()
        .filter(b -> b.id().equals("wall:A"))
        .findFirst()
        .orElseThrow();
  }

  private static boolean buildable(Shell shell) {
    try {
      ShellCheck.checked(shell);
      ShellBodies.of(shell);
      return true;
    } catch (Refusal e) {
      return false;
    }
  }

  @Property(tries = 60)
  void theFloorIsWhereTheOutlineIs(@ForAll Choices r) {
    Shell room = shell(star(r), List.of());
    for (int i = 0; i < 40; i++) {
      Spot p = new Spot(12 * r.nextDouble() - 6, 12 * r.nextDouble() - 6);
      // a point is inside if it lies on the inner side of the wall its direction meets
      double a = Math.atan2(p.z(), p.x());
      Spot far = new Spot(20 * Math.cos(a), 20 * Math.sin(a));
      double reach = Double.POSITIVE_INFINITY;
      for (Wall w : room.walls()) {
        double o = w.off(new Spot(0, 0));
        double t = o / (o - w.off(far));
        double s = w.station(new Spot(far.x() * t, far.z() * t));
        if (t > 0 && s >= 0 && s <= w.length()) {
          reach = Math.min(reach, 20 * t);
        }
      }
      double d = Math.hypot(p.x(), p.z());
      if (Math.abs(d - reach) > 1e-6) {
        assertThat(room.holds(p)).isEqualTo(d < reach);
      }
    }
  }

  @Test
  void theUsualFormsHaveTheAreasOneReckons() {
    assertThat(Outlines.area(Outlines.rectangle(5, 4))).isEqualTo(20);
    assertThat(Outlines.area(Outlines.l(6, 5, 2.5, 2))).isEqualTo(30 - 5);
    assertThat(Outlines.area(Outlines.t(6, 5, 2, 2))).isEqualTo(6 * 2 + 2 * 3);
    assertThat(Outlines.area(Outlines.u(6, 5, 2, 3))).isEqualTo(30 - 6);
    for (List<Spot> o :
        List.of(Outlines.l(6, 5, 2.5, 2), Outlines.t(6, 5, 2, 2), Outlines.u(6, 5, 2, 3))) {
      ShellCheck.checked(shell(o, List.of()));
    }
  }
}
