package pied.server.handover;

import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import pied.core.Nullable;
import pied.core.drawing.Elevation;
import pied.core.edit.Amount;
import pied.core.handover.Extent;
import pied.core.handover.ScheduleCsv;
import pied.core.paper.Drawings;
import pied.core.paper.Paper;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;
import pied.server.still.StillShelf;

/** What of a space is to be handed over, as it stands in an address. */
final class Wanted {
  /** All files there are. */
  static final List<String> FILES =
      List.of(
          "schedule.csv",
          "plan.svg",
          "plan.pdf",
          "ceiling.svg",
          "ceiling.pdf",
          "elevation.svg",
          "elevation.pdf",
          "section.svg",
          "section.pdf",
          "drawings.pdf",
          "space.glb",
          "space.obj.zip",
          "space.stl",
          "still.png",
          "still.jpg",
          "still.hdr");

  /** All files there are of a project. */
  static final List<String> OF_PROJECT =
      List.of("schedule.csv", "plans.pdf", "plans.svg", "pack.zip");

  private static final Set<String> KNOWN =
      Set.of(
          "layers",
          "hidden",
          "unit",
          "by",
          "decimal",
          "scale",
          "paper",
          "numbers",
          "drawnBy",
          "sheet",
          "wall",
          "way",
          "at",
          "ceiling",
          "piece",
          "viewpoint",
          "look");

  private final String file;
  private final Map<String, String> said;

  /**
   * @throws Refusal if there is no such file, or something said has no meaning
   */
  Wanted(String file, Map<String, String> said) {
    this(file, said, FILES);
  }

  /** Of a project. */
  static Wanted ofProject(String file, Map<String, String> said) {
    return new Wanted(file, said, OF_PROJECT);
  }

  private Wanted(String file, Map<String, String> said, List<String> files) {
    if (!files.contains(file)) {
      throw new Refusal(
          "There is no “{}” to hand over; there is {}.", file, String.join(", ", files));
    }
    for (String key : said.keySet()) {
      if (!KNOWN.contains(key)) {
        throw new Refusal("“{}” has no meaning here.", key);
      }
    }
    this.file = file;
    this.said = new TreeMap<>(said);
  }

  String file() {
    return file;
  }

  /** The same for the same wish. */
  String key() {
    return file + said;
  }

  boolean is(String... names) {
    return Arrays.asList(names).contains(file);
  }

  String ending() {
    return file.substring(file.indexOf('.') + 1);
  }

  private String get(String name, String usual) {
    String v = said.get(name);
    return v == null || v.isBlank() ? usual : v;
  }

  private boolean flag(String name, boolean usual) {
    return Boolean.parseBoolean(get(name, String.valueOf(usual)));
  }

  private @Nullable Integer whole(String name) {
    String v = get(name, "");
    try {
      return v.isEmpty() ? null : Integer.valueOf(v);
    } catch (NumberFormatException e) {
      throw new Refusal("“{}” is a whole number such as 50, not “{}”.", name, v);
    }
  }

  LengthUnit unit() {
    return LengthUnit.of(get("unit", "m"));
  }

  Extent extent() {
    String layers = get("layers", "");
    Set<String> ids = layers.isEmpty() ? null : new LinkedHashSet<>(List.of(layers.split(",")));
    return new Extent(ids, flag("hidden", false));
  }

  /** What a line of a list is about. */
  ScheduleCsv.CsvBy by() {
    String by = get("by", "piece");
    return Arrays.stream(ScheduleCsv.CsvBy.values())
        .filter(b -> b.name().equals(by))
        .findFirst()
        .orElse(ScheduleCsv.CsvBy.piece);
  }

  /** What tells it from others of the same sort: "wall A", "looking left"; empty for nothing. */
  String which() {
    String wall = get("wall", "");
    String way = get("way", "");
    if (is("schedule.csv")) {
      return switch (by()) {
        case piece -> "";
        case article -> " by article";
        case opening -> " of doors and windows";
        case built -> " of what is built in";
        case look -> " of lamps and looks";
      };
    }
    return wall.isEmpty() ? way.isEmpty() ? "" : " looking " + way : " " + wall;
  }

  boolean comma() {
    return get("decimal", "point").equals("comma");
  }

  String drawnBy() {
    return get("drawnBy", "");
  }

  boolean ceiling() {
    return flag("ceiling", true);
  }

  @Nullable
  String piece() {
    String p = get("piece", "");
    return p.isEmpty() ? null : p;
  }

  /** Whether it is a picture that was made already. */
  boolean isStill() {
    return file.startsWith("still.");
  }

  /** Of a still: from where it is. */
  String viewpoint() {
    return get("viewpoint", StillShelf.SET_VIEW);
  }

  /** Of a still: id of the look it shows. */
  @Nullable
  String look() {
    String look = get("look", "");
    return look.isEmpty() ? null : look;
  }

  /** Of a model: 25 for 1:25. */
  int modelScale() {
    Integer s = whole("scale");
    return s == null ? 1 : s;
  }

  /** Of one that has several: which, from 1 on. */
  int sheet() {
    Integer s = whole("sheet");
    return s == null ? 1 : s;
  }

  /** Of a drawing. */
  Drawings.SheetWish wish(Drawings.SheetKind kind, @Nullable Elevation.ElevationLook look) {
    String scale = get("scale", "");
    return new Drawings.SheetWish(
        kind,
        look,
        scale.equals("fit") ? null : whole("scale"),
        Paper.of(get("paper", "A3")),
        unit(),
        flag("numbers", true));
  }

  /** Of one drawing: which. */
  Drawings.SheetWish wish() {
    if (file.startsWith("plan")) {
      return wish(Drawings.SheetKind.plan, null);
    }
    return file.startsWith("ceiling")
        ? wish(Drawings.SheetKind.ceiling, null)
        : wish(Drawings.SheetKind.elevation, direction());
  }

  private Elevation.ElevationLook direction() {
    String at = get("at", "");
    Double where = at.isEmpty() ? null : Amount.typed(at).metres(unit());
    if (file.startsWith("elevation")) {
      return new Elevation.ElevationLook(Elevation.LookWay.wall, get("wall", "A"), where);
    }
    String way = get("way", "back");
    for (Elevation.LookWay w : Elevation.LookWay.values()) {
      if (w.name().equals(way) && w != Elevation.LookWay.wall) {
        return new Elevation.ElevationLook(w, null, where);
      }
    }
    throw new Refusal("One looks to the back, front, left or right, not “{}”.", way);
  }
}
