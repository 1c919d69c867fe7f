package pied.core.tool.keep;

import com.fasterxml.jackson.annotation.JsonIgnoreProperties;
import com.fasterxml.jackson.annotation.JsonTypeName;
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
import pied.core.catalog.Article;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.material.Finishes;
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
import pied.core.space.Validity;
import pied.core.units.Refusal;
import pied.core.units.Text;

/**
 * Puts in pieces as they were when they were copied, here or in another space, which need not be
 * there any more.
 *
 * @param pieces what was copied, the lead last
 * @param groups the groups they were in
 * @param at where the middle of them goes on the plan; null for the same place
 */
@JsonTypeName("paste")
@RecordBuilder
public record Paste(List<PastedPiece> pieces, @Nullable List<Bundle> groups, @Nullable PlanPoint at)
    implements Edit {
  /**
   * A piece as it was copied.
   *
   * @param on what it stood on; what is not among the others is looked for anew
   */
  public record PastedPiece(
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
      @Nullable Finishes finishes,
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
  public void make(EditSession session) {
    boolean none = EditSession.need(pieces, "pieces").isEmpty();
    if (none || pieces.stream().anyMatch(Objects::isNull)) {
      throw new Refusal("Nothing was copied that could be pasted.");
    }
    if (pieces.size() > EditSession.MOST_PIECES) {
      throw new Refusal("A space holds at most {} pieces.", EditSession.MOST_PIECES);
    }
    Map<String, String> ids = new LinkedHashMap<>();
    pieces.forEach(i -> ids.put(i.id, session.newId()));
    Map<String, String> kept = groups(session);
    List<Piece> made = new ArrayList<>();
    for (PastedPiece i : pieces) {
      made.add(piece(session, i, ids, kept));
    }
    Vec by = way(session, made);
    session.put(made.stream().map(p -> p.moved(by)).toList());
    List<String> tops = new ArrayList<>();
    for (Piece p : made) {
      if (p.on().kind() != On.OnKind.piece) {
        tops.add(p.id());
      }
    }
    session.settle(tops, false);
    session.sayOverlaps(tops);
  }

  private static Piece piece(
      EditSession session, PastedPiece i, Map<String, String> ids, Map<String, String> groups) {
    Article article = article(session, i);
    Size size = Validity.size(i.name, EditSession.need(i.size, "size"));
    if (!i.stretched) {
      article.check(i.name, size);
    }
    boolean along = i.on != null && i.on.kind() == On.OnKind.piece && ids.containsKey(i.on.id());
    Finishes finishes = article.finishes(i.finishes);
    boolean there = i.layer != null && session.filing().layer(i.layer) != null;
    Keeping keeping =
        (there ? Keeping.PLAIN.withLayer(i.layer) : session.fresh()).withGroup(groups.get(i.group));
    return new Piece(
        ids.get(i.id),
        session.freeName(Names.bare(EditSession.need(i.name, "name"))),
        new Form(article.id(), size, i.mirrored, i.stretched),
        new Stance(EditSession.need(i.at, "at"), i.turn, i.lean == null ? Lean.NONE : i.lean),
        along ? On.piece(ids.get(i.on.id())) : i.on != null && i.on.held() ? i.on : On.NOTHING,
        along && i.attached,
        finishes,
        keeping);
  }

  private static Article article(EditSession session, PastedPiece i) {
    try {
      return session.space().shapes().catalog().article(i.article);
    } catch (Refusal e) {
      throw new Refusal(
          "{} cannot be pasted: its article is not in the catalog of this project any" + " more.",
          i.name);
    }
  }

  /** Makes the groups of which something is pasted; their ids by what they were. */
  private Map<String, String> groups(EditSession session) {
    Map<String, Bundle> known = new HashMap<>();
    if (groups != null) {
      groups.stream().filter(Objects::nonNull).forEach(g -> known.put(g.id(), g));
    }
    Set<String> needed = new HashSet<>();
    for (PastedPiece i : pieces) {
      for (Bundle g = known.get(i.group); g != null && needed.add(g.id()); ) {
        g = known.get(g.in());
      }
    }
    Map<String, String> made = new HashMap<>();
    needed.forEach(id -> made.put(id, session.newId()));
    Set<String> taken = new HashSet<>();
    session.filing().groups().forEach(g -> taken.add(g.name()));
    for (String id : needed) {
      Bundle g = known.get(id);
      deep(known, g);
      String name =
          g.name() == null || g.name().isBlank() ? "Group" : Text.name("A group", g.name());
      String called = Names.free(Names.bare(name), taken);
      taken.add(called);
      session.file(session.filing().with(new Group(made.get(id), called, made.get(g.in()))));
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
        throw new Refusal("Groups go up to {} deep into one another.", Group.DEEPEST);
      }
    }
  }

  private Vec way(EditSession session, List<Piece> made) {
    if (at == null) {
      return Vec.ZERO;
    }
    Box all =
        made.stream()
            .map(p -> p.pose().box(session.space().shapes().mesh(p).box()))
            .reduce(Box::union)
            .orElseThrow();
    Vec c = all.centre();
    return new Vec(session.length(at.x(), c.x()) - c.x(), 0, session.length(at.z(), c.z()) - c.z());
  }
}
