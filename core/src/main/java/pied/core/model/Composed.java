package pied.core.model;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import pied.core.catalog.Mounting;
import pied.core.material.FinishPart;
import pied.core.material.Look;
import pied.core.piece.Piece;
import pied.core.solid.Box;
import pied.core.solid.Mesh;
import pied.core.solid.Pose;
import pied.core.solid.Vec;
import pied.core.space.Space;
import pied.core.units.Refusal;

/**
 * Pieces put together as one model, to be kept as an article: as they stand to one another, its
 * front that of the lead, with the colours they have.
 *
 * @param mesh in its own frame, the middle of its underside at 0
 * @param finishes by finish part; what is alike is one part
 * @param pictures on finish parts
 * @param weight kg; 0 if that of one is not known
 */
public record Composed(
    Mesh mesh,
    Map<String, FinishPart> finishes,
    Map<String, byte[]> pictures,
    double weight,
    boolean onTops,
    Mounting mounting) {
  /** Most triangles of what is put together: as many as a heavy model is drawn with. */
  public static final int MOST = 400_000;

  /** Most finish parts; more could not be told apart. */
  private static final int MOST_PARTS = 60;

  /**
   * @param ids the pieces, the lead last
   * @throws Refusal if one is not there, or it would be too much for one article
   */
  public static Composed of(Space space, List<String> ids) {
    if (ids == null || ids.isEmpty()) {
      throw new Refusal("No piece was named.");
    }
    List<Piece> pieces = ids.stream().map(space::piece).toList();
    long triangles = pieces.stream().mapToLong(p -> space.shapes().mesh(p).triangles()).sum();
    if (triangles > MOST) {
      throw new Refusal(
          "These have {} triangles together; an article has up to {}. Keep fewer of them"
              + " as one.",
          triangles,
          MOST);
    }
    return new Composer(space, pieces).composed();
  }

  /** Puts them together, one after the other. */
  private static final class Composer {
    private final Space space;
    private final List<Piece> pieces;
    private final Map<String, FinishPart> finishes = new LinkedHashMap<>();
    private final Map<String, byte[]> pictures = new LinkedHashMap<>();

    Composer(Space space, List<Piece> pieces) {
      this.space = space;
      this.pieces = pieces;
    }

    Composed composed() {
      Piece lead = pieces.get(pieces.size() - 1);
      Pose turned = Pose.of(Vec.ZERO, -lead.turn());
      List<Mesh> meshes = new ArrayList<>();
      double weight = 0;
      boolean known = true;
      for (Piece p : pieces) {
        meshes.add(named(p).at(p.pose()).at(turned));
        double own = space.article(p).weight(p.size());
        known &= own > 0;
        weight += own;
      }
      if (finishes.size() > MOST_PARTS) {
        throw new Refusal(
            "These have {} finishes together; an article has up to {}. Keep fewer of them"
                + " as one.",
            finishes.size(),
            MOST_PARTS);
      }
      Mesh all = Mesh.join(meshes);
      Box box = all.box();
      Vec foot = new Vec(box.centre().x(), box.min().y(), box.centre().z());
      Mounting mounting = space.article(lead).mounting();
      return new Composed(
          all.at(Pose.of(foot.times(-1), 0)),
          finishes,
          pictures,
          known ? weight : 0,
          space.article(lead).standsOnTops(),
          mounting == Mounting.OPENING ? Mounting.STANDS : mounting);
    }

    /** Its mesh, with finish parts that have a name of their own in the whole. */
    private Mesh named(Piece p) {
      Mesh m = space.shapes().mesh(p);
      List<String> names = new ArrayList<>();
      for (String part : m.parts()) {
        names.add(part(part, space.article(p).look(part, p.finishes())));
      }
      return new Mesh(m.xyz(), m.normals(), m.corners(), m.partOf(), names, m.uv());
    }

    /** The key of a finish part: the same for what is the same. */
    private String part(String part, Look look) {
      for (int n = 1; ; n++) {
        String key = n == 1 ? part : part + "-" + n;
        FinishPart there = finishes.get(key);
        if (there == null) {
          String name = n == 1 ? look.name() : look.name() + " " + n;
          finishes.put(key, new FinishPart(name, look.finish()));
          if (look.picture() != null) {
            pictures.put(key, look.picture());
          }
          return key;
        }
        boolean same =
            there.finish().equals(look.finish())
                && Arrays.equals(pictures.get(key), look.picture());
        if (same) {
          return key;
        }
      }
    }
  }
}
