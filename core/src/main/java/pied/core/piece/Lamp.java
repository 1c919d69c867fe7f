package pied.core.piece;

import io.soabase.recordbuilder.core.RecordBuilder;
import pied.core.Nullable;
import pied.core.light.Shutters;
import pied.core.recipe.Head;

/**
 * How a lamp is switched.
 *
 * @param on whether it burns; how far it is dimmed stays as it was where it does not
 * @param level of its full light, 0 to 1
 * @param circuit name of the circuit it is switched with; null for none
 * @param aim what its head is turned to; null for straight ahead
 * @param filter colour before it, #RRGGBB; null for none
 * @param curve id of the photometric file it was given; null for none
 * @param head how its head is turned so that it looks where it is aimed; null for straight ahead
 * @param shutters blades in its light; null where all are out
 */
@RecordBuilder
public record Lamp(
    boolean on,
    double level,
    @Nullable String circuit,
    @Nullable Aim aim,
    @Nullable String filter,
    @Nullable String curve,
    @Nullable Head head,
    @Nullable Shutters shutters)
    implements LampBuilder.With {
  /** As any lamp is that nothing was said of. */
  public static final Lamp PLAIN = new Lamp(true, 1, null, null, null, null, null, null);

  public Lamp {
    level = Math.max(0, Math.min(1, Double.isFinite(level) ? level : 1));
  }

  /** Where its shutters are, all out where none is in. */
  public Shutters blades() {
    return shutters == null ? Shutters.OUT : shutters;
  }

  /** What is left of its light, of 1. */
  public double burning() {
    return on ? level : 0;
  }
}
