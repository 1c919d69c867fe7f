package pied.core.handover;

import com.fasterxml.jackson.databind.node.ObjectNode;
import pied.core.Nullable;
import pied.core.catalog.Article;
import pied.core.catalog.Light;
import pied.core.format.GltfScene;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.solid.Box;
import pied.core.solid.Vec;
import pied.core.space.Group;
import pied.core.space.Space;
import pied.core.space.Viewpoint;
import pied.core.units.Deadline;

/**
 * A space as one binary glTF file: a mesh for every form there is, in all its places; finishes with
 * their pictures, lamps, viewpoints as cameras, and what the schedule knows of a piece as extras.
 */
public final class SceneGlb {
  /** Height of what a camera sees, degrees. */
  private static final double SEES = 50;

  private SceneGlb() {}

  /**
   * Writes it.
   *
   * @param ceiling whether what closes the space above comes too
   */
  public static byte[] of(Space space, String name, boolean ceiling, Deadline deadline) {
    GltfScene scene = new GltfScene(name, space.shapes().pictures());
    scene.about().put("unit", "m").put("datum", "place is read from the datum");
    for (Item i : Item.of(space, ceiling)) {
      deadline.check();
      ObjectNode node = scene.put(i.name(), i.mesh(), i.pose(), i.looks());
      if (i.piece() != null) {
        about(space, i.piece(), node.putObject("extras"));
        lamp(space, i, scene);
      }
    }
    for (Viewpoint v : Viewpoint.of(space.shell())) {
      scene.camera(v.name(), v.eye(), v.target(), SEES);
    }
    return scene.bytes();
  }

  private static void about(Space space, Piece p, ObjectNode out) {
    Article a = space.article(p);
    out.put("id", p.id()).put("article", a.name()).put("kind", a.kind());
    ObjectNode size = out.putObject("size");
    size.put("width", p.size().width()).put("depth", p.size().depth());
    size.put("height", p.size().height());
    Vec from = p.at().minus(space.shell().datum());
    ObjectNode place = out.putObject("place");
    place.put("across", from.x()).put("deep", from.z()).put("high", from.y());
    out.put("turn", p.turn());
    out.put("on", p.on().equals(On.NOTHING) ? "" : space.nameOf(p.on()));
    out.put("layer", space.layer(p).name());
    Group group = space.filing().group(p.keeping().group());
    say(out, "group", group == null ? null : group.name());
    say(out, "supplier", a.supplier());
    say(out, "remark", p.keeping().remark());
  }

  private static void say(ObjectNode out, String what, @Nullable String text) {
    if (text != null && !text.isEmpty()) {
      out.put(what, text);
    }
  }

  /** A lamp shines from the middle of what glows, or else of all of it. */
  private static void lamp(Space space, Item i, GltfScene scene) {
    Light light = space.article(i.piece()).light();
    if (light == null) {
      return;
    }
    Vec at = i.pose().apply(glowing(i).centre());
    // lumens to all sides are candela times the whole sphere, 4π
    scene.lamp(i.name(), at, light.lumens() / (4 * Math.PI), Kelvin.linear(light.kelvin()));
  }

  private static Box glowing(Item i) {
    double[] lo = {1e9, 1e9, 1e9};
    double[] hi = {-1e9, -1e9, -1e9};
    int[] corners = i.mesh().corners();
    for (int c = 0; c < corners.length; c++) {
      String part = i.mesh().parts().get(i.mesh().partOf()[c / 3]);
      if (i.looks().get(part).finish().emission() > 0) {
        Vec v = i.mesh().vertex(corners[c]);
        double[] p = {v.x(), v.y(), v.z()};
        for (int k = 0; k < 3; k++) {
          lo[k] = Math.min(lo[k], p[k]);
          hi[k] = Math.max(hi[k], p[k]);
        }
      }
    }
    return lo[0] > hi[0]
        ? i.mesh().box()
        : new Box(new Vec(lo[0], lo[1], lo[2]), new Vec(hi[0], hi[1], hi[2]));
  }
}
