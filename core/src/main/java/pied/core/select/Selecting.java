package pied.core.select;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.stream.Stream;
import pied.core.Nullable;
import pied.core.drawing.Elevations;
import pied.core.drawing.Eye;
import pied.core.edit.Picked;
import pied.core.piece.Keeping;
import pied.core.piece.Piece;
import pied.core.solid.Vec;
import pied.core.space.KeptPart;
import pied.core.space.NamedSelection;
import pied.core.space.Opening;
import pied.core.space.Part;
import pied.core.space.PartName;
import pied.core.space.Space;
import pied.core.units.Refusal;

/**
 * Finds the pieces that are asked for. What is hidden is found by its name only; while a group is
 * opened, a figure and "all" mean what is in it.
 */
public final class Selecting {
  private final Space space;
  private final Meant q;
  private final @Nullable String open;

  private Selecting(Space space, Meant q) {
    this.space = space;
    this.q = q;
    open = space.filing().group(q.open()) == null ? null : q.open();
  }

  /**
   * The pieces meant.
   *
   * @return ids in the order of the space, but the lead last if it is among them
   * @throws Refusal if one is named that is not there, or it is not said what is meant
   */
  public static List<String> of(Space space, Meant q) {
    if (q == null || q.by() == null) {
      throw new Refusal("Say by what they are selected.");
    }
    q.named().stream().filter(id -> !Picked.isPart(space, id)).forEach(space::piece);
    return new Selecting(space, q).found();
  }

  private List<String> found() {
    List<String> found = new ArrayList<>(asked());
    if (!q.named().isEmpty()) {
      String lead = q.named().get(q.named().size() - 1);
      if (found.remove(lead)) {
        found.add(lead);
      }
    }
    return found;
  }

  private List<String> asked() {
    return switch (q.by()) {
      case piece -> wholes(q.named());
      case figure -> inFigure();
      case all -> all(p -> true);
      case others -> {
        Set<String> but = new HashSet<>(q.named());
        yield all(p -> !but.contains(p.id()));
      }
      case kind -> {
        String kind = q.value() == null ? space.article(lead()).kind() : q.value();
        yield all(p -> isOf(space.article(p).kind(), kind));
      }
      case article -> {
        String article = q.value() == null ? lead().article() : q.value();
        yield all(p -> p.article().equals(article));
      }
      case like -> {
        Piece lead = lead();
        yield all(p -> p.form().equals(lead.form()) && p.finishes().equals(lead.finishes()));
      }
      case finish -> byColour();
      case layer -> {
        String layer = q.value() == null ? space.layer(lead()).id() : q.value();
        List<String> both =
            new ArrayList<>(parts(k -> space.layer(k.keeping()).id().equals(layer)));
        both.addAll(all(p -> space.layer(p).id().equals(layer)));
        yield both;
      }
      case carried -> carried();
      case group -> group();
      case named -> named();
    };
  }

  private List<String> carried() {
    Set<String> named = new HashSet<>(q.named());
    named.removeIf(id -> Picked.isPart(space, id));
    Set<String> on = new HashSet<>(space.carriedBy(named));
    on.addAll(space.withCarried(Picked.carriedBy(space, namedParts())));
    return all(p -> on.contains(p.id()));
  }

  /** Whether a kind is another, or a branch of it. */
  private static boolean isOf(String kind, String of) {
    return kind.equals(of) || kind.startsWith(of + "/");
  }

  private Piece lead() {
    if (q.named().isEmpty()) {
      throw new Refusal("Select a piece first; what is like it is found then.");
    }
    return space.piece(q.named().get(q.named().size() - 1));
  }

  private List<String> all(Predicate<Piece> meant) {
    Set<String> in = open == null ? null : space.members(open);
    List<String> all = new ArrayList<>();
    for (Piece p : space.pieces()) {
      if (!space.hidden(p) && (in == null || in.contains(p.id())) && meant.test(p)) {
        all.add(p.id());
      }
    }
    return all;
  }

  /** The parts of the shell among what is named. */
  private List<PartName> namedParts() {
    return q.named().stream().filter(id -> Picked.isPart(space, id)).map(PartName::read).toList();
  }

  /** Names of parts of the shell that are kept so; those that are kept plainly are asked too. */
  private List<String> parts(Predicate<KeptPart> meant) {
    return built()
        .filter(p -> meant.test(space.filing().part(p.name())))
        .map(p -> p.name().text())
        .toList();
  }

  private Stream<Part> built() {
    return space.shell().parts().values().stream()
        .flatMap(List::stream)
        .map(Part.class::cast)
        .filter(p -> !space.hidden(p.name()));
  }

  // ---- groups

  /** These, each with the rest of the group that it is in below the one that is opened. */
  private List<String> wholes(List<String> ids) {
    Set<String> all = new LinkedHashSet<>();
    Set<String> done = new HashSet<>();
    for (String id : ids) {
      Keeping k =
          space.has(id)
              ? space.piece(id).keeping()
              : space.filing().part(PartName.read(id)).keeping();
      List<String> about = space.filing().about(k.group());
      int opened = open == null ? -1 : about.indexOf(open);
      int whole = opened < 0 ? about.size() - 1 : opened - 1;
      if (whole < 0) {
        all.add(id);
      } else if (done.add(about.get(whole))) {
        all.addAll(wholeOf(about.get(whole)));
      }
    }
    return List.copyOf(all);
  }

  /** All that is in a group, parts of the shell before the pieces. */
  private List<String> wholeOf(String group) {
    List<String> all = new ArrayList<>();
    space.filing().partsIn(group).forEach(p -> all.add(p.text()));
    all.addAll(space.members(group));
    return all;
  }

  private List<String> group() {
    String group = q.value();
    if (group == null) {
      List<String> about = space.filing().about(lead().keeping().group());
      if (about.isEmpty()) {
        throw new Refusal("{} is in no group.", lead().name());
      }
      group = about.get(0);
    }
    if (space.filing().group(group) == null) {
      throw new Refusal("There is no such group in this space; it may have been dissolved.");
    }
    return wholeOf(group);
  }

  private List<String> named() {
    NamedSelection s = q.value() == null ? null : space.filing().selection(q.value());
    if (s == null) {
      throw new Refusal("There is no selection of the name “{}”.", q.value());
    }
    return s.pieces().stream().filter(id -> space.has(id) || Picked.isPart(space, id)).toList();
  }

  // ---- finishes

  private List<String> byColour() {
    if (q.value() == null) {
      Set<String> own = new HashSet<>(colours(lead()).values());
      return all(p -> new HashSet<>(colours(p).values()).equals(own));
    }
    String colour = q.value().toUpperCase(Locale.ROOT);
    return all(p -> colours(p).containsValue(colour));
  }

  /** The colours that a piece shows, by its finish parts. */
  private Map<String, String> colours(Piece p) {
    Map<String, String> all = new TreeMap<>();
    space
        .article(p)
        .finishes()
        .keySet()
        .forEach(
            part -> all.put(part, space.article(p).look(part, p.finishes()).finish().colour()));
    return all;
  }

  // ---- figures

  private List<String> inFigure() {
    Meant.MeantIn d = q.drawing();
    Set<String> shown = null;
    Lens lens;
    if (d != null && d.view() != null) {
      lens = Lens.perspective(d.view());
    } else if (d != null && d.look() != null) {
      if (d.look().way() == null) {
        throw new Refusal("Say which way the drawing looks.");
      }
      Elevations.ElevationSheet sheet = Elevations.sheet(space, d.look());
      shown = sheet.pieces();
      lens = Lens.level(sheet.eye(), sheet.zero());
    } else {
      lens = Lens.level(Eye.PLAN, Vec.ZERO);
    }
    Figure figure = new Figure(q.figure(), lens);
    Set<String> among = shown;
    boolean touched = q.takesTouched();
    List<String> taken = new ArrayList<>();
    if (open == null) {
      for (Part p : built().filter(p -> among == null || isSeen(p, d, among)).toList()) {
        if (takes(figure, p, touched)) {
          taken.add(p.name().text());
        }
      }
    }
    taken.addAll(
        all(
            p ->
                (among == null || among.contains(p.id()))
                    && figure.takes(space.shapes().mesh(p), p.pose(), touched)));
    return wholes(taken);
  }

  /** Whether a part is seen in an elevation; what sits in a wall, if one looks at that wall. */
  private static boolean isSeen(Part p, Meant.MeantIn in, Set<String> bodies) {
    return p instanceof Opening o
        ? o.wall().equals(in.look().wall())
        : bodies.contains(p.name().text());
  }

  /** What sits in a wall has no body of its own: it is where the hole is. */
  private boolean takes(Figure figure, Part part, boolean touched) {
    if (part instanceof Opening o) {
      return figure.takes(o.corners(space.shell()), touched);
    }
    return space.shellBodies().stream()
        .filter(b -> part.name().equals(b.name()))
        .anyMatch(b -> figure.takes(b.mesh(), b.pose(), touched));
  }
}
