package pied.core.space;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.BiFunction;
import java.util.function.Function;
import pied.core.Nullable;
import pied.core.space.Difference.OfBuilt;
import pied.core.space.Difference.OfFrame;
import pied.core.space.Difference.OfPart;
import pied.core.space.Difference.OfShell;
import pied.core.space.Difference.PlacedPart;

/**
 * In what two shells differ: their frames, and each part that is another. What is altered decides
 * how much there is to store.
 */
public final class ShellDifference {
  /** One kind of parts. */
  private record PartList<P extends Part>(
      Class<P> of, Function<Shell, List<P>> in, BiFunction<Shell, List<P>, Shell> with) {
    Map<String, PlacedPart> placed(Shell shell) {
      List<P> parts = in.apply(shell);
      Map<String, PlacedPart> all = new LinkedHashMap<>();
      for (int i = 0; i < parts.size(); i++) {
        all.put(parts.get(i).id(), new PlacedPart(parts.get(i), i));
      }
      return all;
    }

    List<OfPart> between(Shell a, Shell b) {
      List<OfPart> all = new ArrayList<>();
      if (in.apply(a).equals(in.apply(b))) {
        return all;
      }
      Map<String, PlacedPart> was = placed(a);
      Map<String, PlacedPart> is = placed(b);
      was.forEach(
          (id, p) -> {
            PlacedPart q = is.get(id);
            if (q == null || !q.part().equals(p.part())) {
              all.add(new OfPart(p, q));
            }
          });
      is.forEach(
          (id, q) -> {
            if (!was.containsKey(id)) {
              all.add(new OfPart(null, q));
            }
          });
      return all;
    }

    Shell applied(Shell shell, Collection<OfPart> parts) {
      List<OfPart> own = parts.stream().filter(d -> of.isInstance(d.part())).toList();
      if (own.isEmpty()) {
        return shell;
      }
      List<P> next = new ArrayList<>(in.apply(shell));
      List<PlacedPart> put = new ArrayList<>();
      for (OfPart d : own) {
        int at = index(next, d.part().id());
        if (d.after() == null) {
          if (at >= 0) {
            next.remove(at);
          }
        } else if (at >= 0) {
          next.set(at, of.cast(d.after().part()));
        } else {
          put.add(d.after());
        }
      }
      put.sort(Comparator.comparingInt(PlacedPart::place));
      for (PlacedPart p : put) {
        next.add(Math.max(0, Math.min(next.size(), p.place())), of.cast(p.part()));
      }
      return with.apply(shell, next);
    }

    private int index(List<P> all, String id) {
      for (int i = 0; i < all.size(); i++) {
        if (all.get(i).id().equals(id)) {
          return i;
        }
      }
      return -1;
    }
  }

  private static final List<PartList<?>> KINDS =
      List.of(
          new PartList<>(Partition.class, Shell::partitions, Shell::withPartitions),
          new PartList<>(Opening.class, Shell::openings, Shell::withOpenings),
          new PartList<>(Column.class, Shell::columns, Shell::withColumns),
          new PartList<>(Platform.class, Shell::platforms, Shell::withPlatforms),
          new PartList<>(Flight.class, Shell::flights, Shell::withFlights),
          new PartList<>(Bar.class, Shell::bars, Shell::withBars));

  private ShellDifference() {}

  /**
   * All in which a shell differs from another: made, they lead from the one to the other, and
   * reversed back, to the last bit. Where parts are only in another order it is the whole shell.
   */
  public static List<OfBuilt> between(Shell before, Shell after) {
    if (before.equals(after)) {
      return List.of();
    }
    List<OfBuilt> all = new ArrayList<>();
    if (!before.bare().equals(after.bare())) {
      all.add(new OfFrame(before, after));
    }
    KINDS.forEach(k -> all.addAll(k.between(before, after)));
    List<OfBuilt> back = all.stream().map(OfBuilt::reversed).toList();
    boolean exact = applied(before, all).equals(after) && applied(after, back).equals(before);
    return exact ? all : List.of(new OfShell(before, after));
  }

  /**
   * A shell with some of it as it is afterwards: parts are put in, exchanged or taken out by their
   * ids, whether or not they are as they were before. It is not looked at whether it can be built.
   */
  public static Shell applied(Shell shell, Collection<? extends OfBuilt> differences) {
    Shell now = shell;
    List<OfPart> parts = new ArrayList<>();
    for (OfBuilt d : differences) {
      if (d instanceof OfShell s) {
        now = s.after();
      } else if (d instanceof OfFrame f) {
        now = framed(f.after(), now);
      } else if (d instanceof OfPart p) {
        parts.add(p);
      }
    }
    for (PartList<?> k : KINDS) {
      now = k.applied(now, parts);
    }
    return now;
  }

  /** A shell with a part put in behind the others of its kind, or in place of that of its id. */
  public static Shell putting(Shell shell, Part part) {
    PlacedPart was = placed(shell, part);
    PlacedPart is = new PlacedPart(part, was == null ? Integer.MAX_VALUE : was.place());
    return applied(shell, List.of(new OfPart(was, is)));
  }

  /** A shell without a part. */
  public static Shell lacking(Shell shell, Part part) {
    return applied(shell, List.of(new OfPart(placed(shell, part), null)));
  }

  private static Shell framed(Shell frame, Shell parts) {
    return frame.with(
        b ->
            b.openings(parts.openings())
                .partitions(parts.partitions())
                .columns(parts.columns())
                .platforms(parts.platforms())
                .flights(parts.flights())
                .bars(parts.bars()));
  }

  /**
   * A part with its place among those of its kind, as it is in a shell; null if it is not there.
   */
  public static @Nullable PlacedPart placed(Shell shell, Part like) {
    return KINDS.stream()
        .filter(k -> k.of().isInstance(like))
        .map(k -> k.placed(shell).get(like.id()))
        .filter(Objects::nonNull)
        .findFirst()
        .orElse(null);
  }
}
