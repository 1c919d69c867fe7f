package pied.core.piece;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import pied.core.catalog.Article;
import pied.core.material.Finishes;
import pied.core.solid.Mesh;
import pied.core.solid.Vec;

/** Where on a piece things glow. */
final class Glow {
  /** Most of one piece; what glows in more places does so from these. */
  private static final int MOST = 6;

  private Glow() {}

  /** Middles of the things that glow, in the frame of the piece; the middle of all for none. */
  static List<Vec> of(Article article, Finishes finishes, Mesh mesh) {
    boolean[] glows = new boolean[mesh.parts().size()];
    for (int i = 0; i < glows.length; i++) {
      glows[i] = article.look(mesh.parts().get(i), finishes).finish().emission() > 0;
    }
    int[] welded = mesh.welded();
    int[] root = joined(mesh, welded, glows);
    Map<Integer, double[]> boxes = new HashMap<>();
    int[] corners = mesh.corners();
    for (int c = 0; c < corners.length; c++) {
      if (glows[mesh.partOf()[c / 3]]) {
        double[] box =
            boxes.computeIfAbsent(
                top(root, welded[corners[c]]), k -> new double[] {1e9, 1e9, 1e9, -1e9, -1e9, -1e9});
        Vec v = mesh.vertex(corners[c]);
        double[] xyz = {v.x(), v.y(), v.z()};
        for (int k = 0; k < 3; k++) {
          box[k] = Math.min(box[k], xyz[k]);
          box[k + 3] = Math.max(box[k + 3], xyz[k]);
        }
      }
    }
    List<Vec> middles =
        boxes.values().stream()
            .map(b -> new Vec((b[0] + b[3]) / 2, (b[1] + b[4]) / 2, (b[2] + b[5]) / 2))
            .sorted(
                Comparator.comparingDouble(Vec::x)
                    .thenComparingDouble(Vec::y)
                    .thenComparingDouble(Vec::z))
            .toList();
    return middles.isEmpty() ? List.of(mesh.box().centre()) : few(middles);
  }

  /** Corners that hang together by what glows have one root. */
  private static int[] joined(Mesh mesh, int[] welded, boolean[] glows) {
    int[] root = new int[welded.length];
    for (int i = 0; i < root.length; i++) {
      root[i] = i;
    }
    int[] corners = mesh.corners();
    for (int c = 0; c < corners.length; c += 3) {
      if (glows[mesh.partOf()[c / 3]]) {
        join(root, welded[corners[c]], welded[corners[c + 1]]);
        join(root, welded[corners[c]], welded[corners[c + 2]]);
      }
    }
    return root;
  }

  /** So many at most: each stands for those next to it. */
  private static List<Vec> few(List<Vec> all) {
    if (all.size() <= MOST) {
      return all;
    }
    List<Vec> some = new ArrayList<>();
    for (int i = 0; i < MOST; i++) {
      List<Vec> these = all.subList(i * all.size() / MOST, (i + 1) * all.size() / MOST);
      some.add(middle(these));
    }
    return some;
  }

  private static void join(int[] root, int a, int b) {
    root[top(root, a)] = top(root, b);
  }

  private static int top(int[] root, int i) {
    int at = i;
    while (root[at] != at) {
      root[at] = root[root[at]];
      at = root[at];
    }
    return at;
  }

  private static Vec middle(List<Vec> at) {
    return at.stream().reduce(Vec.ZERO, Vec::plus).times(1.0 / at.size());
  }
}
