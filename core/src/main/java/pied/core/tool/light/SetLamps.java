package pied.core.tool.light;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.material.Colours;
import pied.core.material.Finish;
import pied.core.piece.Lamp;
import pied.core.units.Text;

/**
 * Switches lamps on or off, dims them, or puts them on a circuit. What is not said stays.
 *
 * @param pieces ids; of these only lamps are meant. Null for those of {@code which}
 * @param which null where pieces are named
 * @param on null where it follows from the level: what is dimmed to more than nothing burns
 * @param level of full light: a number from 0 to 1, or a text such as "40 %"
 * @param circuit name of the circuit they are switched with; empty for none
 * @param filter colour of the filter before them, #RRGGBB or by its name; empty for none
 * @param curve id or name of a photometric file that was taken in; empty for none
 */
@JsonTypeName("lamps")
@RecordBuilder
public record SetLamps(
    @Nullable List<String> pieces,
    @Nullable LampsMeant which,
    @Nullable Boolean on,
    @Nullable Amount level,
    @Nullable String circuit,
    @Nullable String filter,
    @Nullable String curve)
    implements Edit, SetLampsBuilder.With {
  @Override
  public void make(EditSession session) {
    List<String> lamps = LampsMeant.named(session, pieces, which);
    Double to = level == null ? null : share(level);
    String with =
        circuit == null || circuit.isBlank() ? null : Text.name("A circuit", circuit.strip());
    String measured = curve == null || curve.isBlank() ? null : Looks.curve(session, curve).id();
    session.alter(lamps, p -> p.withLamp(set(p.lamp(), to, with, measured)));
  }

  private Lamp set(
      Lamp was, @Nullable Double to, @Nullable String with, @Nullable String measured) {
    boolean burns = on != null ? on : to == null ? was.on() : to > 0;
    // a lamp dimmed to nothing that is switched on again gives all its light
    double share = to != null && to > 0 ? to : burns && was.level() == 0 ? 1 : was.level();
    return new Lamp(
        burns,
        share,
        circuit == null ? was.circuit() : with,
        was.aim(),
        filter == null ? was.filter() : colour(filter),
        curve == null ? was.curve() : measured,
        was.head(),
        was.shutters());
  }

  private static @Nullable String colour(String filter) {
    if (filter.isBlank() || filter.strip().equalsIgnoreCase("none")) {
      return null;
    }
    String named = Colours.read(filter);
    return named != null ? named : Finish.colour(filter.strip());
  }

  /**
   * A level as it was said.
   *
   * @return from 0 to 1
   */
  static double share(Amount level) {
    return Shares.of(
        level,
        "A lamp is dimmed to so much per cent, such as 40 %.",
        "A lamp gives between 0 and 100 % of its light.");
  }
}
