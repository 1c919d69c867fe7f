package pied.core.handover;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import pied.core.Nullable;
import pied.core.catalog.Article;
import pied.core.catalog.Finish;
import pied.core.format.Look;
import pied.core.piece.Piece;
import pied.core.solid.Body;
import pied.core.solid.Mesh;
import pied.core.solid.Pose;
import pied.core.space.PartName;
import pied.core.space.ShellBodies;
import pied.core.space.Space;

/**
 * One body of a model: a part of the shell, or a piece.
 *
 * @param looks by the parts of the mesh
 * @param piece null for the shell
 */
record Item(String name, Mesh mesh, Pose pose, Map<String, Look> looks, @Nullable Piece piece) {
  /** Card white. */
  private static final String CARD = "#F4EFE6";

  /**
   * All of a space: the shell first.
   *
   * @param ceiling whether what closes it above comes too
   */
  static List<Item> of(Space space, boolean ceiling) {
    List<Item> all = new ArrayList<>();
    Map<String, String> colours = ShellBodies.colours(space.shell());
    for (Body b : space.shellBodies()) {
      if (ceiling || !PartName.is(b, PartName.Kind.ceiling)) {
        all.add(new Item(space.nameOf(b.id()), b.mesh(), b.pose(), shell(b.mesh(), colours), null));
      }
    }
    for (Piece p : space.pieces()) {
      all.add(of(space, p));
    }
    return all;
  }

  static Item of(Space space, Piece p) {
    Mesh mesh = space.shapes().mesh(p);
    return new Item(p.name(), mesh, p.pose(), looks(space.article(p), p, mesh), p);
  }

  private static Map<String, Look> shell(Mesh mesh, Map<String, String> colours) {
    Map<String, Look> looks = new LinkedHashMap<>();
    for (String part : mesh.parts()) {
      looks.put(part, new Look(part, colours.getOrDefault(part, CARD), 0.9, 0, null));
    }
    return looks;
  }

  private static Map<String, Look> looks(Article article, Piece p, Mesh mesh) {
    Map<String, byte[]> pictures = article.recipe().pictures();
    Map<String, Look> looks = new LinkedHashMap<>();
    for (String part : mesh.parts()) {
      Finish f = article.finishes().get(part);
      String own = p.finishes().get(part);
      String colour = own != null ? own : f == null ? CARD : f.colour();
      // a colour of its own takes the place of a picture
      byte[] picture = own == null ? pictures.get(part) : null;
      looks.put(
          part,
          new Look(
              f == null ? part : f.name(),
              colour,
              f == null ? 0.8 : f.rough(),
              f == null ? 0 : f.glow(),
              picture));
    }
    return looks;
  }
}
