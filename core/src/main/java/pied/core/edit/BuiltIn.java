package pied.core.edit;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import pied.core.Names;
import pied.core.piece.Keeping;
import pied.core.piece.Partner;
import pied.core.solid.Vec;
import pied.core.space.KeptPart;
import pied.core.space.Locked;
import pied.core.space.Opening;
import pied.core.space.Part;
import pied.core.space.PartName;
import pied.core.space.Partition;
import pied.core.space.Shell;
import pied.core.space.ShellDifference;
import pied.core.space.Space;
import pied.core.space.Twin;
import pied.core.units.Refusal;

/** What edits do to parts of the shell as they do it to pieces. */
public final class BuiltIn {
  private BuiltIn() {}

  /**
   * Keeps parts otherwise.
   *
   * @throws Locked if one is locked, and more is altered than how it is shown
   */
  public static void keep(
      EditSession session, Collection<PartName> parts, UnaryOperator<KeptPart> how) {
    List<PartName> locked = new ArrayList<>();
    List<KeptPart> next = new ArrayList<>();
    for (PartName part : parts) {
      KeptPart old = session.filing().part(part);
      KeptPart now = how.apply(old);
      boolean shown = now.equals(old.withKeeping(old.keeping().shownAs(now.keeping())));
      if (!shown && session.space().locked(part)) {
        locked.add(part);
      }
      String group = old.keeping().group();
      if (group != null && !group.equals(now.keeping().group())) {
        session.leave(group);
      }
      next.add(now);
    }
    unlocked(session.space(), locked);
    next.forEach(k -> session.file(session.filing().with(k)));
  }

  /**
   * @throws Locked if there are any
   */
  static void unlocked(Space space, List<PartName> locked) {
    if (!locked.isEmpty()) {
      throw new Locked(space, List.of(), locked);
    }
  }

  /** Moves parts, and what stands on them, hangs from them or sits in them. */
  public static void move(EditSession session, List<PartName> parts, Vec by) {
    Shell shell = session.space().shell();
    for (PartName part : parts) {
      shell = ShellDifference.putting(shell, shell.part(part).moved(by, shell));
    }
    if (by.length() > 0 && shell.equals(session.space().shell())) {
      String wall = shell.wallName(((Opening) shell.part(parts.get(0))).wall());
      throw new Refusal("{} goes along {} only.", session.space().nameOf(parts.get(0)), wall);
    }
    session.build(shell, Map.of(), parts.size() == 1 ? parts.get(0) : null);
  }

  /** How far a copy of some parts comes beside them where nothing is said: their width and more. */
  public static double wide(Shell shell, PartName part) {
    return switch (part.kind()) {
      case platform -> Shell.envelope(Part.find(shell.platforms(), part.id()).outline()).getWidth();
      case flight -> Shell.envelope(Part.find(shell.flights(), part.id()).outline()).getWidth();
      case column -> Part.find(shell.columns(), part.id()).width();
      case bar -> Part.find(shell.bars(), part.id()).length();
      case opening -> Part.find(shell.openings(), part.id()).width();
      case wall -> {
        Partition p = Part.find(shell.partitions(), part.id());
        yield Math.abs(p.from().x() - p.to().x()) + p.thickness();
      }
      default -> throw new IllegalStateException(part.text());
    };
  }

  /**
   * Puts in copies of parts, so far elsewhere; an opening in a partition that is copied comes into
   * the copy.
   *
   * @return the copies by what they are copies of
   */
  public static Map<PartName, PartName> copy(
      EditSession session, List<PartName> parts, UnaryOperator<Vec> way, Vec by) {
    Shell shell = session.space().shell();
    Map<PartName, PartName> copies = new HashMap<>();
    for (PartName name : wallsFirst(parts)) {
      Part part = shell.part(name);
      Vec along = by;
      if (part instanceof Opening o) {
        PartName wall = copies.get(PartName.wall(o.wall()));
        along =
            wall == null ? fitting(shell, o, way.apply(shell.wall(o.wall()).along())) : Vec.ZERO;
        part = wall == null ? o : o.at(wall.id(), o.from());
      }
      Part copy = part.moved(along, shell).called(shell.freeId(part.sort()));
      shell = ShellDifference.putting(shell, copy);
      copies.put(name, copy.name());
    }
    session.build(shell, Map.of(), copies.size() == 1 ? copies.get(parts.get(0)) : null);
    return copies;
  }

  /** The other way where there is no more wall this way. */
  private static Vec fitting(Shell shell, Opening o, Vec way) {
    return fits(shell, o.moved(way, shell)) || !fits(shell, o.moved(way.times(-1), shell))
        ? way
        : way.times(-1);
  }

  private static boolean fits(Shell shell, Opening o) {
    return o.from() >= 0 && o.to() <= shell.wall(o.wall()).length();
  }

  /** What is set into others comes after them. */
  private static List<PartName> wallsFirst(List<PartName> parts) {
    return parts.stream()
        .sorted(Comparator.comparingInt(p -> p.kind() == PartName.PartKind.opening ? 1 : 0))
        .toList();
  }

  /** Puts in the other one of each of these. */
  static Map<PartName, PartName> twin(EditSession session, Twin line, List<PartName> parts) {
    Shell shell = session.space().shell();
    Map<PartName, PartName> others = new HashMap<>();
    for (PartName name : wallsFirst(parts)) {
      Part part = shell.part(name);
      Part image = part.image(line, shell, shell.freeId(part.sort()));
      shell = ShellDifference.putting(shell, image);
      others.put(name, image.name());
    }
    session.build(shell, Map.of(), null);
    others.forEach(
        (part, other) -> {
          KeptPart own = session.filing().part(part);
          Keeping k = own.keeping().withTwin(new Partner(line.id(), other.text(), true));
          session.file(session.filing().with(own.withKeeping(k)));
          Keeping there =
              own.keeping()
                  .withGroup(null)
                  .withLocked(false)
                  .withTwin(new Partner(line.id(), part.text(), false));
          String name =
              own.name() == null ? null : Names.free(Names.bare(own.name()), names(session));
          session.file(session.filing().with(new KeptPart(other, name, there)));
        });
    return others;
  }

  private static Set<String> names(EditSession session) {
    return session.filing().parts().stream()
        .map(KeptPart::name)
        .filter(Objects::nonNull)
        .collect(Collectors.toSet());
  }

  /** Takes parts away, partitions with what is set into them; what was on them finds its place. */
  public static void remove(EditSession session, List<PartName> parts) {
    Shell shell = session.space().shell();
    for (PartName name : parts) {
      Part part = shell.part(name);
      if (part instanceof Partition p) {
        for (Opening o : shell.openings()) {
          shell = o.wall().equals(p.id()) ? ShellDifference.lacking(shell, o) : shell;
        }
      }
      shell = part == null ? shell : ShellDifference.lacking(shell, part);
    }
    session.build(shell, Map.of(), null);
  }

  /** The others of all pairs of a line go where they are the images of the first ones. */
  static void follow(EditSession session, Twin line) {
    Shell shell = session.space().shell();
    for (KeptPart k : session.filing().parts()) {
      Partner t = k.keeping().twin();
      if (t != null && t.first() && t.twin().equals(line.id())) {
        shell = image(shell, line, k);
      }
    }
    if (!shell.equals(session.space().shell())) {
      session.build(shell, Map.of(), null);
    }
  }

  /** The shell in which the other one of a part is its image. */
  static Shell image(Shell shell, Twin line, KeptPart of) {
    PartName other = PartName.read(of.keeping().twin().piece());
    Part part = shell.part(of.part());
    if (part == null || shell.part(other) == null) {
      return shell;
    }
    return ShellDifference.putting(shell, part.image(line, shell, other.id()));
  }

  /** What was kept of parts that are gone is forgotten; whose twin is gone has none any more. */
  static void forgetGone(EditSession session) {
    Shell shell = session.space().shell();
    Set<String> lines = new HashSet<>();
    for (KeptPart k : session.filing().parts()) {
      Partner t = k.keeping().twin();
      boolean gone = shell.part(k.part()) == null;
      boolean alone = t != null && shell.part(PartName.read(t.piece())) == null;
      if (t != null && (gone || alone)) {
        lines.add(t.twin());
      }
      if (gone) {
        session.leave(k.keeping().group());
        session.file(session.filing().with(new KeptPart(k.part(), null, Keeping.PLAIN)));
      } else if (alone) {
        session.file(session.filing().with(k.withKeeping(k.keeping().withTwin(null))));
      }
    }
    lines.forEach(line -> Paired.dissolveEmpty(session, line));
  }
}
