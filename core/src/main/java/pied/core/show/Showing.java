package pied.core.show;

import io.vavr.collection.TreeMap;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import pied.core.Nullable;

/** All that is kept of how a space is shown. Never changed once made. */
public final class Showing {
  public static final Showing PLAIN = new Showing(TreeMap.empty());

  private final TreeMap<String, Shown> all;

  private Showing(TreeMap<String, Shown> all) {
    this.all = all;
  }

  public static Showing of(Iterable<Shown> some) {
    Showing s = PLAIN;
    for (Shown one : some) {
      s = s.with(one);
    }
    return s;
  }

  /** All of it, by its keys. */
  public List<Shown> all() {
    return all.values().toJavaList();
  }

  /** What is kept under a key; null for nothing. */
  public @Nullable Shown get(String key) {
    return all.getOrElse(key, null);
  }

  /** The day; one that suits where none was chosen. */
  public Day day() {
    return (Day) all.getOrElse(Day.PLAIN.key(), Day.PLAIN);
  }

  /** In their order. */
  public List<LightLook> looks() {
    return some(
        LightLook.class, Comparator.comparingDouble(LightLook::place).thenComparing(LightLook::id));
  }

  /** Photometric files, by their names. */
  public List<LampCurve> curves() {
    return some(
        LampCurve.class, Comparator.comparing(LampCurve::name).thenComparing(LampCurve::id));
  }

  /** Those that people keep, in their order. */
  public List<Viewpoint> viewpoints() {
    return some(
        Viewpoint.class, Comparator.comparingDouble(Viewpoint::place).thenComparing(Viewpoint::id));
  }

  private <T extends Shown> List<T> some(Class<T> sort, Comparator<T> order) {
    List<T> some = new ArrayList<>();
    for (Shown s : all.values()) {
      if (sort.isInstance(s)) {
        some.add(sort.cast(s));
      }
    }
    some.sort(order);
    return some;
  }

  public Showing with(Shown s) {
    return new Showing(all.put(s.key(), s));
  }

  public Showing without(String key) {
    return new Showing(all.remove(key));
  }

  /** Keys of what another has otherwise. */
  public List<String> others(Showing now) {
    if (all == now.all) {
      return List.of();
    }
    return all.keySet()
        .union(now.all.keySet())
        .toJavaStream()
        .filter(k -> !Objects.equals(get(k), now.get(k)))
        .toList();
  }

  /** A place for what comes to stand n-th among others. */
  public static double place(List<Double> others, int n) {
    int at = Math.max(0, Math.min(others.size(), n));
    if (others.isEmpty()) {
      return 0;
    }
    return at == 0
        ? others.get(0) - 1
        : at == others.size() ? others.get(at - 1) + 1 : (others.get(at - 1) + others.get(at)) / 2;
  }

  @Override
  public boolean equals(Object o) {
    return o instanceof Showing s && all.equals(s.all);
  }

  @Override
  public int hashCode() {
    return all.hashCode();
  }
}
