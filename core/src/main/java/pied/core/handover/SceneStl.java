package pied.core.handover;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.solid.Mesh;
import pied.core.solid.Pose;
import pied.core.solid.Vec;
import pied.core.space.Space;
import pied.core.units.Deadline;
import pied.core.units.Refusal;

/**
 * A space, or one piece of it, as STL for making it in card or plastic: millimetres, z up, as such
 * files have it. Every body in it is closed; what is not closed cannot be made.
 */
public final class SceneStl {
  private static final int HEAD = 80;

  private SceneStl() {}

  /**
   * Writes it.
   *
   * @param piece id of the one piece; null for all, without what closes the space above
   * @param scale 1 for true size, 25 for 1:25
   * @throws Refusal if the piece is not closed, or there is nothing closed at all
   */
  public static byte[] of(Space space, @Nullable String piece, int scale, Deadline deadline) {
    if (scale != 1 && scale != 25 && scale != 50 && scale != 100) {
      throw new Refusal("A model is made at 1:1, 1:25, 1:50 or 1:100.");
    }
    List<Item> items = new ArrayList<>();
    if (piece == null) {
      items.addAll(Item.of(space, false));
    } else {
      Item one = Item.of(space, space.piece(piece));
      items.add(new Item(one.name(), one.mesh(), Pose.HERE, one.looks(), one.piece()));
    }
    items.removeIf(i -> !i.mesh().isClosed());
    if (items.isEmpty()) {
      throw new Refusal("The mesh is not closed, so that nobody can make it; hand it over as GLB.");
    }
    int triangles = items.stream().mapToInt(i -> i.mesh().triangles()).sum();
    ByteBuffer out = ByteBuffer.allocate(HEAD + 4 + 50 * triangles).order(ByteOrder.LITTLE_ENDIAN);
    out.put(("Pied, millimetres, 1:" + scale + ", z up").getBytes(StandardCharsets.US_ASCII));
    out.position(HEAD);
    out.putInt(triangles);
    for (Item i : items) {
      deadline.check();
      write(i.mesh(), i.pose(), 1000.0 / scale, out);
    }
    return out.array();
  }

  /** Names of pieces that are left out, since they are not closed. */
  public static List<String> open(Space space) {
    return Item.of(space, false).stream()
        .filter(i -> !i.mesh().isClosed())
        .map(Item::name)
        .toList();
  }

  private static void write(Mesh m, Pose pose, double by, ByteBuffer out) {
    int[] c = m.corners();
    for (int t = 0; t < c.length; t += 3) {
      Vec[] p = new Vec[3];
      for (int k = 0; k < 3; k++) {
        Vec v = pose.apply(m.vertex(c[t + k])).times(by);
        p[k] = new Vec(v.x(), -v.z(), v.y());
      }
      Vec n = p[1].minus(p[0]).cross(p[2].minus(p[0]));
      put(out, n.length() < Tolerance.NONE ? Vec.ZERO : n.unit());
      for (Vec v : p) {
        put(out, v);
      }
      out.putShort((short) 0);
    }
  }

  private static void put(ByteBuffer out, Vec v) {
    out.putFloat((float) v.x()).putFloat((float) v.y()).putFloat((float) v.z());
  }
}
