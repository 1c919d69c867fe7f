package pied.core.place;

import java.util.HashSet;
import java.util.Set;
import org.locationtech.jts.geom.Coordinate;
import pied.core.Nullable;
import pied.core.piece.On;
import pied.core.solid.Bodies;
import pied.core.solid.Body;
import pied.core.solid.Box;
import pied.core.solid.Mesh;
import pied.core.solid.Pose;
import pied.core.solid.Travel;
import pied.core.solid.Vec;
import pied.core.space.Opening;
import pied.core.space.Space;

/** What a piece stands on where it is, without moving it. */
final class Standing {
  private final Space space;
  private final Bodies bodies;
  private final Surfaces surfaces;
  private final Mesh mesh;

  Standing(Space space, Bodies bodies, Surfaces surfaces, Mesh mesh) {
    this.space = space;
    this.bodies = bodies;
    this.surfaces = surfaces;
    this.mesh = mesh;
  }

  /** What it stands on; what it overlaps hides that, and is looked past. */
  On on(Pose pose) {
    Body flat = flatUnder(pose);
    if (flat != null) {
      return Surfaces.on(flat);
    }
    Set<String> through = new HashSet<>();
    while (true) {
      Bodies.Met met =
          bodies.travel(
              mesh,
              pose,
              Vec.DOWN,
              Resting.CONTACT,
              b -> surfaces.mayCarry(b) && !through.contains(b.id()));
      if (met.stop().meets()) {
        return Surfaces.on(met.body());
      }
      if (!met.stop().overlapping() || !through.add(met.body().id())) {
        return onSill(pose);
      }
    }
  }

  /** What stands in an opening of a wall stands on its sill. */
  private On onSill(Pose pose) {
    Opening o = Inset.holding(space.shell(), pose.at());
    boolean there = o != null && Math.abs(pose.at().y() - o.sill()) <= Resting.CONTACT;
    return there ? On.opening(o.id()) : On.NOTHING;
  }

  /**
   * The only thing that could carry it, if a level face of it lies on a level top of that and the
   * rest of that is lower: most stand so, and it is seen at once. Null for all else.
   */
  @Nullable
  Body flatUnder(Pose pose) {
    Box box = pose.box(mesh.box());
    if (!Flats.upright(pose)) {
      return null;
    }
    Vec low = new Vec(box.min().x(), box.min().y() - Resting.CONTACT, box.min().z());
    Body[] first = {null};
    boolean several =
        bodies.any(
            new Box(low, box.max()),
            b -> {
              if (!surfaces.mayCarry(b)) {
                return false;
              }
              boolean another = first[0] != null;
              first[0] = another ? first[0] : b;
              return another;
            });
    if (several) {
      return null;
    }
    Body only = first[0];
    boolean lower =
        only != null
            && only.box().max().y() <= box.min().y() + Travel.TOUCH
            && Flats.upright(only.pose());
    return lower && flat(pose, only) ? only : null;
  }

  private boolean flat(Pose pose, Body body) {
    double up = pose.at().y() - body.pose().at().y();
    for (Flats.Flat under : Flats.of(mesh).down()) {
      for (Flats.Flat top : Flats.of(body.mesh()).up()) {
        double gap = under.y() + up - top.y();
        if (gap <= Resting.CONTACT
            && gap >= -Travel.TOUCH
            && top.ready().intersects(Flats.from(pose, body.pose()).transform(under.core()))) {
          return true;
        }
      }
    }
    return onFeet(pose, body, up);
  }

  /** Whether one of its lowest corners is on a level top of a body. */
  private boolean onFeet(Pose pose, Body body, double up) {
    for (Vec foot : Flats.of(mesh).feet()) {
      for (Flats.Flat top : Flats.of(body.mesh()).up()) {
        double gap = foot.y() + up - top.y();
        if (gap <= Resting.CONTACT && gap >= -Travel.TOUCH) {
          Vec at = body.pose().unapply(pose.apply(foot));
          if (top.ready().contains(Flats.PLANE.createPoint(new Coordinate(at.x(), at.z())))) {
            return true;
          }
        }
      }
    }
    return false;
  }
}
