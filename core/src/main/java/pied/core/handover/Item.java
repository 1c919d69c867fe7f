package pied.core.handover;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import pied.core.Nullable;
import pied.core.catalog.Article;
import pied.core.material.Finish;
import pied.core.material.Look;
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

  /**
   * All of a space: the shell first.
   *
   * @param ceiling whether what closes it above comes too
   */
  static List<Item> of(Space space, boolean ceiling) {
    List<Item> all = new ArrayList<>();
    Map<String, Finish> looks = ShellBodies.looks(space.shell());
    for (Body b : space.shellBodies()) {
      if (space.seen(b) && (ceiling || !PartName.is(b, PartName.PartKind.ceiling))) {
        all.add(new Item(space.nameOf(b.id()), b.mesh(), b.pose(), shell(b.mesh(), looks), null));
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

  private static Map<String, Look> shell(Mesh mesh, Map<String, Finish> shown) {
    Map<String, Look> looks = new LinkedHashMap<>();
    for (String part : mesh.parts()) {
      looks.put(part, new Look(part, shown.getOrDefault(part, Finish.CARD), null));
    }
    return looks;
  }

  private static Map<String, Look> looks(Article article, Piece p, Mesh mesh) {
    Map<String, Look> looks = new LinkedHashMap<>();
    for (String part : mesh.parts()) {
      looks.put(part, article.look(part, p.finishes()));
    }
    return looks;
  }
}
