package pied.core.tool.finish;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import pied.core.catalog.Article;
import pied.core.material.Finish;
import pied.core.material.FinishCard;
import pied.core.piece.Piece;
import pied.core.space.ShellBodies;
import pied.core.space.Space;

/** The finishes that were chosen in spaces: what is used most comes first. */
public final class Palette {
  private static final int MOST = 48;

  private Palette() {}

  /** Cards of them, those of a shell before others used as often. */
  public static List<FinishCard> of(Iterable<Space> spaces) {
    Map<Finish, Integer> used = new LinkedHashMap<>();
    spaces.forEach(s -> count(used, s));
    List<Map.Entry<Finish, Integer>> all = new ArrayList<>(used.entrySet());
    all.sort(Comparator.comparing((Map.Entry<Finish, Integer> e) -> -e.getValue()));
    return all.stream().limit(MOST).map(e -> FinishCard.of(e.getKey())).toList();
  }

  private static void count(Map<Finish, Integer> used, Space space) {
    Map<String, Finish> shell = ShellBodies.looks(space.shell());
    for (String part : space.shell().finishes().parts().keySet()) {
      count(used, shell.get(part));
    }
    for (Piece p : space.pieces()) {
      Article article = space.article(p);
      p.finishes().parts().forEach((part, own) -> count(used, own.over(article.natural(part))));
    }
  }

  /** What glows is a matter of the part, not of what it is made of. */
  private static void count(Map<Finish, Integer> used, Finish f) {
    used.merge(f.withEmission(null), 1, Integer::sum);
  }
}
