package pied.core.space;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import pied.core.BoundedCache;
import pied.core.Nullable;

/**
 * What follows from a shell, worked out when it is first asked for and kept as long as the shell
 * is. The figures are not to be altered. Safe for threads: two may work out the same at once.
 */
final class Built {
  private static final Map<Shell, Built> KNOWN = BoundedCache.weakly();

  private final Shell shell;
  private volatile List<Wall> walls;
  private volatile List<Wall> faces;
  private volatile Geometry floor;
  private volatile Polygon within;
  private volatile Polygon apron;

  private Built(Shell shell) {
    // the parts alone, or the map would hold on to its own key
    this.shell = shell.like();
  }

  static Built of(Shell shell) {
    return KNOWN.computeIfAbsent(shell, Built::new);
  }

  /** In order, those that are open edges too. */
  List<Wall> walls() {
    if (walls == null) {
      walls = List.copyOf(walls(shell));
    }
    return walls;
  }

  /** What one can fix something to. */
  List<Wall> faces() {
    if (faces == null) {
      List<Wall> all = new ArrayList<>(walls());
      all.removeIf(Wall::open);
      for (Partition p : shell.partitions()) {
        all.add(p.face());
        all.add(p.back());
      }
      faces = List.copyOf(all);
    }
    return faces;
  }

  /** The outline, and on a stage the apron. */
  Geometry floor() {
    if (floor == null) {
      Polygon front = apron();
      floor = front == null ? within() : OverlayNGRobust.overlay(within(), front, OverlayNG.UNION);
    }
    return floor;
  }

  Polygon within() {
    if (within == null) {
      within = Shell.polygon(shell.outline());
    }
    return within;
  }

  @Nullable
  Polygon apron() {
    boolean fronted = shell.stage() != null && shell.stage().apron() != null;
    if (fronted && apron == null) {
      apron = Shell.polygon(shell.stage().apron().outline());
    }
    return apron;
  }

  private static List<Wall> walls(Shell shell) {
    List<Spot> outline = shell.outline();
    int n = outline.size();
    double base = shell.stage() == null ? 0 : -shell.stage().level();
    double[] thick = new double[n];
    for (int i = 0; i < n; i++) {
      thick[i] = shell.thicknesses().getOrDefault(Shell.name(i), shell.thickness());
    }
    Spot[][] outer = Offsets.around(outline, thick);
    List<Wall> walls = new ArrayList<>();
    for (int i = 0; i < n; i++) {
      int j = (i + 1) % n;
      walls.add(
          new Wall(
              Shell.name(i),
              outline.get(i),
              outline.get(j),
              outer[i][1],
              outer[j][0],
              thick[i],
              base,
              shell.height()));
    }
    return walls;
  }
}
