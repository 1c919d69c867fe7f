package pied.core.edit.keep;

import com.fasterxml.jackson.annotation.JsonIgnoreProperties;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import pied.core.Names;
import pied.core.Nullable;
import pied.core.Refusal;
import pied.core.Text;
import pied.core.catalog.Article;
import pied.core.edit.Bench;
import pied.core.edit.Edit;
import pied.core.piece.Form;
import pied.core.piece.Keeping;
import pied.core.piece.Lean;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.piece.Stance;
import pied.core.size.Size;
import pied.core.solid.Box;
import pied.core.solid.Vec;
import pied.core.space.Group;
import pied.core.space.Sound;

/**
 * Puts in pieces as they were when they were copied, here or in another space, which need not be
 * there any more.
 *
 * @param pieces what was copied, the lead last
 * @param groups the groups they were in
 * @param at where the middle of them goes on the plan; null for the same place
 */
@RecordBuilder
public record Paste(List<Item> pieces, @Nullable List<Bundle> groups, @Nullable PlanPoint at)
    implements Edit {
  /**
   * A piece as it was copied.
   *
   * @param on what it stood on; what is not among the others is looked for anew
   */
  public record Item(
      String id,
      String article,
      String name,
      Size size,
      boolean mirrored,
      boolean stretched,
      Vec at,
      double turn,
      @Nullable Lean lean,
      On on,
      boolean attached,
      @Nullable Map<String, String> finishes,
      @Nullable String layer,
      @Nullable String group) {}

  /**
   * A group that pieces were in.
   *
   * @param in id of the group that it was in itself; null for none
   */
  @JsonIgnoreProperties(ignoreUnknown = true) // what it is kept by does not come along
  public record Bundle(String id, String name, @Nullable String in) {}

  @Override
  public void make(Bench bench) {
    boolean none = Bench.need(pieces, "pieces").isEmpty();
    if (none || pieces.stream().anyMatch(Objects::isNull)) {
      throw new Refusal("Nothing was copied that could be pasted.");
    }
    if (pieces.size() > Bench.MOST_PIECES) {
      throw new Refusal("A space holds at most " + Bench.MOST_PIECES + " pieces.");
    }
    Map<String, String> ids = new LinkedHashMap<>();
    pieces.forEach(i -> ids.put(i.id, bench.newId()));
    Map<String, String> kept = groups(bench);
    List<Piece> made = new ArrayList<>();
    for (Item i : pieces) {
      made.add(piece(bench, i, ids, kept));
    }
    Vec by = way(bench, made);
    bench.put(made.stream().map(p -> p.moved(by)).toList());
    List<String> tops = new ArrayList<>();
    for (Piece p : made) {
      if (p.on().kind() != On.Kind.piece) {
        tops.add(p.id());
      }
    }
    bench.settle(tops, false);
    bench.sayOverlaps(tops);
  }

  private static Piece piece(
      Bench bench, Item i, Map<String, String> ids, Map<String, String> groups) {
    Article article = article(bench, i);
    Size size = Sound.size(i.name, Bench.need(i.size, "size"));
    if (!i.stretched) {
      article.check(i.name, size);
    }
    boolean along = i.on != null && i.on.kind() == On.Kind.piece && ids.containsKey(i.on.id());
    Map<String, String> finishes = new HashMap<>();
    if (i.finishes != null) {
      i.finishes.forEach((part, colour) -> finishes.put(part, article.finish(part, colour)));
    }
    boolean there = i.layer != null && bench.filing().layer(i.layer) != null;
    Keeping keeping =
        (there ? Keeping.PLAIN.withLayer(i.layer) : bench.fresh()).withGroup(groups.get(i.group));
    return new Piece(
        ids.get(i.id),
        bench.freeName(Names.bare(Bench.need(i.name, "name"))),
        new Form(article.id(), size, i.mirrored, i.stretched),
        new Stance(Bench.need(i.at, "at"), i.turn, i.lean == null ? Lean.NONE : i.lean),
        along ? On.piece(ids.get(i.on.id())) : i.on != null && i.on.held() ? i.on : On.NOTHING,
        along && i.attached,
        finishes,
        keeping);
  }

  private static Article article(Bench bench, Item i) {
    try {
      return bench.space().shapes().catalog().article(i.article);
    } catch (Refusal e) {
      throw new Refusal(
          i.name
              + " cannot be pasted: its article is not in the catalog of this project any more.");
    }
  }

  /** Makes the groups of which something is pasted; their ids by what they were. */
  private Map<String, String> groups(Bench bench) {
    Map<String, Bundle> known = new HashMap<>();
    if (groups != null) {
      groups.stream().filter(Objects::nonNull).forEach(g -> known.put(g.id(), g));
    }
    Set<String> needed = new HashSet<>();
    for (Item i : pieces) {
      for (Bundle g = known.get(i.group); g != null && needed.add(g.id()); ) {
        g = known.get(g.in());
      }
    }
    Map<String, String> made = new HashMap<>();
    needed.forEach(id -> made.put(id, bench.newId()));
    Set<String> taken = new HashSet<>();
    bench.filing().groups().forEach(g -> taken.add(g.name()));
    for (String id : needed) {
      Bundle g = known.get(id);
      deep(known, g);
      String name =
          g.name() == null || g.name().isBlank() ? "Group" : Text.name("A group", g.name());
      String called = Names.free(Names.bare(name), taken);
      taken.add(called);
      bench.file(bench.filing().with(new Group(made.get(id), called, made.get(g.in()))));
    }
    return made;
  }

  /**
   * @throws Refusal if groups are in one another too deep, or without end
   */
  private static void deep(Map<String, Bundle> known, Bundle group) {
    int n = 0;
    for (Bundle g = group; g != null; g = known.get(g.in())) {
      if (++n > Group.DEEPEST) {
        throw new Refusal("Groups go up to " + Group.DEEPEST + " deep into one another.");
      }
    }
  }

  private Vec way(Bench bench, List<Piece> made) {
    if (at == null) {
      return Vec.ZERO;
    }
    Box all =
        made.stream()
            .map(p -> p.pose().box(bench.space().shapes().mesh(p).box()))
            .reduce(Box::union)
            .orElseThrow();
    Vec c = all.centre();
    return new Vec(bench.length(at.x(), c.x()) - c.x(), 0, bench.length(at.z(), c.z()) - c.z());
  }
}
