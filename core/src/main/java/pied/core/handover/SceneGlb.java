package pied.core.handover;

import com.fasterxml.jackson.databind.node.ObjectNode;
import pied.core.Nullable;
import pied.core.catalog.Article;
import pied.core.format.GltfScene;
import pied.core.light.LinearColour;
import pied.core.lighting.LampSource;
import pied.core.lighting.LampSources;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.show.Viewpoint;
import pied.core.solid.Vec;
import pied.core.space.Group;
import pied.core.space.ReadyViewpoints;
import pied.core.space.Space;
import pied.core.units.Deadline;

/**
 * A space as one binary glTF file: a mesh for every form there is, in all its places; finishes with
 * their pictures, lamps, viewpoints as cameras, and what the schedule knows of a piece as extras.
 */
public final class SceneGlb {
  /** Height of what a camera sees, degrees. */
  private static final double SEES = 50;

  /** Of a picture that is as large as where it is drawn. */
  private static final double WIDE = 1.5;

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
      }
    }
    for (LampSource l : LampSources.of(space)) {
      LinearColour c = l.colour();
      double edge = l.beam().isRound() ? 0 : l.beam().edge();
      scene.lamp(
          space.piece(l.piece()).name(),
          new GltfScene.SceneLamp(
              l.at(),
              l.way(),
              l.candela(),
              new double[] {c.red(), c.green(), c.blue()},
              l.beam().full(),
              edge));
    }
    for (Viewpoint v : space.showing().viewpoints()) {
      double ratio = v.frame().ratio() == 0 ? WIDE : v.frame().ratio();
      scene.camera(v.name(), v.eye(), v.target(), v.high(ratio), ratio);
    }
    for (Viewpoint v : ReadyViewpoints.of(space.shell())) {
      scene.camera(v.name(), v.eye(), v.target(), SEES, 0);
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
}
