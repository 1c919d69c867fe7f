package pied.core.paper;
import org.junit.jupiter.api.Test;
import java.util.*;
import java.nio.file.*;
import pied.core.*;
import pied.core.drawing.*;
import pied.core.units.LengthUnit;
class TmpTest {
  @Test void t() throws Exception {
    Rooms room = Rooms.teaRoom();
    Drawings d = new Drawings((f, e) -> LineDrawing.of(Rooms.SHAPES.mesh(f), e), new Elevations());
    Plate plate = new Plate("Saltmarsh", "Tea room", "2026-11-27", 12, "M. Reed");
    int n = 0;
    for (var w : List.of(
      new Drawings.Wish(Drawings.Kind.plan, null, 50, Paper.of("A3"), LengthUnit.M, true),
      new Drawings.Wish(Drawings.Kind.ceiling, null, null, Paper.of("A4"), LengthUnit.M, true),
      new Drawings.Wish(Drawings.Kind.elevation, new Elevation.Look(Elevation.Way.wall, "A", null), null, Paper.of("A3"), LengthUnit.M, true),
      new Drawings.Wish(Drawings.Kind.plan, null, 20, Paper.of("A3"), LengthUnit.M, true))) {
      long t0 = System.nanoTime();
      List<Sheet> s = d.draw(room.space, room.space, w, plate, Effort.ANY);
      System.err.println("XX " + s.size() + " " + s.get(0).marks().size() + " " + (System.nanoTime()-t0)/1000000 + " ms");
      Files.writeString(Path.of("/tmp/pw/s" + n++ + ".svg"), SvgSheet.of(s.get(0)));
    }
  }
}
