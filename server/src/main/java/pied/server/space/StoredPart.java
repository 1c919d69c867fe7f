package pied.server.space;

import com.fasterxml.jackson.annotation.JsonInclude;
import pied.core.Nullable;
import pied.core.space.Bar;
import pied.core.space.Column;
import pied.core.space.Difference.PlacedPart;
import pied.core.space.Flight;
import pied.core.space.Opening;
import pied.core.space.Part;
import pied.core.space.Partition;
import pied.core.space.Platform;
import pied.server.space.StoredShell.Hole;
import pied.server.space.StoredShell.Pipe;
import pied.server.space.StoredShell.Post;
import pied.server.space.StoredShell.Raised;
import pied.server.space.StoredShell.Screen;
import pied.server.space.StoredShell.Stairs;

/**
 * One part of a shell as it is stored: just one of these is there. The names here are those in
 * people's files and stay.
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
record StoredPart(
    int place,
    @Nullable Hole opening,
    @Nullable Screen partition,
    @Nullable Post column,
    @Nullable Raised platform,
    @Nullable Stairs flight,
    @Nullable Pipe bar) {
  static @Nullable StoredPart of(@Nullable PlacedPart p) {
    if (p == null) {
      return null;
    }
    Part part = p.part();
    return new StoredPart(
        p.place(),
        part instanceof Opening o ? Hole.of(o) : null,
        part instanceof Partition s ? Screen.of(s) : null,
        part instanceof Column c ? Post.of(c) : null,
        part instanceof Platform f ? Raised.of(f) : null,
        part instanceof Flight f ? Stairs.of(f) : null,
        part instanceof Bar b ? Pipe.of(b) : null);
  }

  PlacedPart live() {
    return new PlacedPart(part(), place);
  }

  private Part part() {
    if (opening != null) {
      return opening.live();
    }
    if (partition != null) {
      return partition.live();
    }
    if (column != null) {
      return column.live();
    }
    if (platform != null) {
      return platform.live();
    }
    return flight != null ? flight.live() : bar.live();
  }
}
