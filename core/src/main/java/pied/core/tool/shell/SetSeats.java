package pied.core.tool.shell;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.space.Shell;
import pied.core.space.Stage;

/** Rows of seats; none takes them away. */
@JsonTypeName("seats")
@RecordBuilder
public record SetSeats(
    @Nullable Amount first,
    @Nullable Amount pitch,
    @Nullable Amount rise,
    @Nullable Amount rows,
    @Nullable Amount width,
    @Nullable Boolean none)
    implements ShellEdit {
  @Override
  public ShellWork.ShellResult rebuild(ShellWork w) {
    Shell shell = w.shell();
    Stage st = w.stage();
    if (Boolean.TRUE.equals(none)) {
      return w.done(shell.withStage(new Stage(st.level(), st.rake(), st.apron(), null)), null);
    }
    Stage.Seats s =
        st.seats() == null ? new Stage.Seats(2.5, 0.9, 0.12, 8, shell.extent().x()) : st.seats();
    Stage.Seats next =
        new Stage.Seats(
            w.length(first, s.first()),
            w.length(pitch, s.pitch()),
            w.length(rise, s.rise()),
            rows == null ? s.rows() : rows.whole(s.rows()),
            w.length(width, s.width()));
    return w.done(shell.withStage(new Stage(st.level(), st.rake(), st.apron(), next)), null);
  }
}
