package pied.core.space;

import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.BiConsumer;
import pied.core.Tolerance;
import pied.core.show.Day;
import pied.core.show.LampCurve;
import pied.core.show.LightLook;
import pied.core.show.Showing;
import pied.core.show.Viewpoint;
import pied.core.units.Text;

/** Makes of how a space is shown that comes from elsewhere what edits could have made. */
final class ShowingValidation {
  private static final double MOST_LUMENS = 1e9;

  private ShowingValidation() {}

  /**
   * What is sound of it.
   *
   * @param pieces ids of those there are
   * @param say hears what is left out, and why
   */
  static Showing of(Showing s, Set<String> pieces, BiConsumer<String, String> say) {
    Showing kept = Showing.PLAIN;
    if (s.get(Day.PLAIN.key()) != null) {
      kept = kept.with(s.day());
    }
    for (LightLook l : s.looks()) {
      Map<String, LightLook.LampLevel> levels = new TreeMap<>(l.levels());
      levels.keySet().retainAll(pieces);
      boolean sound =
          kept.looks().size() < LightLook.MOST
              && Validation.isSound(() -> Validity.id(l.id()))
              && Validation.isSound(() -> Text.name("A look", l.name()))
              && Double.isFinite(l.place())
              && l.fade() >= 0
              && l.fade() <= LightLook.LONGEST
              && levels.values().stream().allMatch(v -> v.level() >= 0 && v.level() <= 1);
      if (sound) {
        kept = kept.with(l.withLevels(levels).withName(Text.name("A look", l.name())));
      } else {
        say.accept("look", "makes no sense");
      }
    }
    kept = curves(s, kept, say);
    for (Viewpoint v : s.viewpoints()) {
      if (kept.viewpoints().size() < Viewpoint.MOST && isSound(v)) {
        Viewpoint named = v.withName(Text.name("A viewpoint", v.name()));
        boolean look = v.look() == null || kept.get(LightLook.key(v.look())) != null;
        kept = kept.with(look ? named : named.withLook(null));
      } else {
        say.accept("viewpoint", "makes no sense");
      }
    }
    return kept;
  }

  private static Showing curves(Showing s, Showing before, BiConsumer<String, String> say) {
    Showing kept = before;
    for (LampCurve c : s.curves()) {
      boolean sound =
          kept.curves().size() < LampCurve.MOST
              && Validation.isSound(() -> Validity.id(c.id()))
              && Validation.isSound(() -> Text.name("A curve", c.name()))
              && c.light().lumens() >= 0
              && c.light().lumens() < MOST_LUMENS;
      if (sound) {
        kept = kept.with(c);
      } else {
        say.accept("curve", "makes no sense");
      }
    }
    return kept;
  }

  private static boolean isSound(Viewpoint v) {
    return Validation.isSound(() -> Validity.id(v.id()))
        && Validation.isSound(() -> Text.name("A viewpoint", v.name()))
        && Validity.near(v.eye())
        && Validity.near(v.target())
        && v.eye().distance(v.target()) > Tolerance.NEAR
        && v.lens() >= Viewpoint.SHORTEST
        && v.lens() <= Viewpoint.LONGEST
        && Double.isFinite(v.place())
        && v.lifted().size() <= Viewpoint.MOST
        && v.lifted().stream().allMatch(b -> b != null && b.length() <= Text.LONGEST_NAME);
  }
}
