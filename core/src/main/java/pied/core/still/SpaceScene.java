package pied.core.still;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import pied.core.BoundedCache;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.catalog.Article;
import pied.core.catalog.Light;
import pied.core.format.TexturePlaces;
import pied.core.light.LinearColour;
import pied.core.lighting.Daylight;
import pied.core.lighting.LampSource;
import pied.core.lighting.LampSources;
import pied.core.lighting.OuterOpening;
import pied.core.lighting.Passing;
import pied.core.lighting.SunLight;
import pied.core.material.Appearance;
import pied.core.material.Finish;
import pied.core.material.Look;
import pied.core.material.Tiles;
import pied.core.piece.Piece;
import pied.core.show.Day;
import pied.core.show.Viewpoint;
import pied.core.solid.Body;
import pied.core.solid.Mesh;
import pied.core.solid.Pose;
import pied.core.solid.Vec;
import pied.core.space.Opening;
import pied.core.space.Opening.OpeningKind;
import pied.core.space.PartName;
import pied.core.space.ShellBodies;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.space.Wall;
import pied.core.still.Outdoors.Portal;
import pied.core.still.StillScene.SceneBody;
import pied.core.still.StillScene.ShiningBody;

/** Makes what light meets out of a space: its bodies as they look, its lamps, and its day. */
final class SpaceScene {
  /** What glows without being a lamp is as bright as paper in the light around, times this. */
  private static final double GLOW = 0.6;

  /** Who does not look into a lantern sees so much of its light. */
  private static final double ASIDE = 0.1;

  /** What lets through more than this in an opening of a wall is its pane. */
  private static final double PANE = 0.2;

  /** What shuts a door reaches so far over it, metres. */
  private static final double BEYOND = 0.05;

  private static final Set<OpeningKind> DOORS =
      Set.of(OpeningKind.door, OpeningKind.doubleDoor, OpeningKind.slidingDoor);

  private static final Map<String, Optional<Texture>> TEXTURES =
      BoundedCache.room(0.03, t -> t.map(Texture::bytes).orElse(0L));

  private final Space space;
  private final Viewpoint view;
  private final double used;
  private final boolean card;
  private final Map<List<Object>, LitSurface> surfaces = new HashMap<>();
  private final Map<Object, Texture> printed = new HashMap<>();
  private final List<SceneBody> bodies = new ArrayList<>();
  private final List<ShiningBody> lamps = new ArrayList<>();

  private SpaceScene(Space space, Viewpoint view, double used, boolean card) {
    this.space = space;
    this.view = view;
    this.used = used;
    this.card = card;
  }

  /**
   * The scene of a space as it is lit now.
   *
   * @param view what is left out of the picture
   * @param used light that an eye gets used to, lux
   * @param card whether all is of white card
   */
  static StillScene of(Space space, Viewpoint view, double used, boolean card) {
    SpaceScene s = new SpaceScene(space, view, used, card);
    s.shell();
    s.shutDoors();
    s.pieces();
    return new StillScene(s.bodies, s.lamps, s.outdoors(), s.isOutside());
  }

  /** That of all that can be seen in a space, from nowhere. */
  static StillScene of(Space space) {
    Viewpoint nowhere = Viewpoint.ready("", "", Vec.ZERO, new Vec(0, 0, 1), true);
    return of(space, nowhere, 0, false);
  }

  private void shell() {
    Map<String, Finish> looks = ShellBodies.looks(space.shell());
    for (Body b : space.shellBodies()) {
      if (!space.seen(b)) {
        continue;
      }
      boolean opening = PartName.is(b, PartName.PartKind.opening);
      LitSurface[] own =
          b.mesh().parts().stream()
              .map(part -> shell(part, looks.getOrDefault(part, Finish.CARD), opening))
              .toArray(LitSurface[]::new);
      boolean lifted = view.lifted().contains(b.id());
      bodies.add(new SceneBody(b.mesh(), b.pose(), own, lifted, false));
    }
  }

  private LitSurface shell(String part, Finish f, boolean opening) {
    if (opening && Passing.passes(f) > PANE) {
      return LitSurface.pane(Passing.PANE);
    }
    return surface(new Look(part, f, null), false);
  }

  /** Behind doors there are other rooms: what one sees under them is not the sky. */
  private void shutDoors() {
    if (space.shell().stage() != null) {
      return;
    }
    for (Opening o : space.shell().openings()) {
      Wall w =
          space.shell().walls().stream()
              .filter(x -> x.name().equals(o.wall()))
              .findFirst()
              .orElse(null);
      if (DOORS.contains(o.kind()) && w != null && !w.open()) {
        double off = -w.thickness() - Tolerance.NEAR;
        Vec a = w.spot(o.from() - BEYOND, off).at(o.sill() - BEYOND);
        Vec b = w.spot(o.to() + BEYOND, off).at(o.head() + BEYOND);
        double[] xyz = {
          a.x(), a.y(), a.z(), b.x(), a.y(), b.z(), b.x(), b.y(), b.z(), a.x(), b.y(), a.z()
        };
        Mesh sheet = Mesh.of(xyz, new int[] {0, 1, 2, 0, 2, 3});
        LitSurface[] dark = {LitSurface.matt(0.05)};
        bodies.add(new SceneBody(sheet, Pose.HERE, dark, isOutside(), false));
      }
    }
  }

  private void pieces() {
    Set<String> hidden = Set.copyOf(view.hidden());
    Map<String, List<LampSource>> burning = new LinkedHashMap<>();
    for (LampSource l : LampSources.of(space)) {
      burning.computeIfAbsent(l.piece(), k -> new ArrayList<>()).add(l);
    }
    for (Piece p : space.pieces()) {
      if (!space.hidden(p) && !hidden.contains(p.id())) {
        piece(p, burning.getOrDefault(p.id(), List.of()));
      }
    }
  }

  private void piece(Piece p, List<LampSource> burning) {
    Article a = space.article(p);
    Mesh mesh = space.shapes().mesh(p);
    List<Look> looks = mesh.parts().stream().map(part -> a.look(part, p.finishes())).toList();
    double glowing = glowing(mesh, looks);
    double radius = Math.sqrt(glowing / (4 * Math.PI * Math.max(1, burning.size())));
    LitSurface[] own = new LitSurface[looks.size()];
    for (int i = 0; i < own.length; i++) {
      Look l = looks.get(i);
      LitSurface s = surface(l, mesh.uv() != null && TexturePlaces.pictured(l));
      double emission = l.finish().emission();
      own[i] = emission > 0 ? s.glowing(glow(a, s, emission, burning, glowing)) : s;
    }
    burning.forEach(l -> lamps.add(new ShiningBody(l, radius, bodies.size())));
    bodies.add(new SceneBody(mesh, p.pose(), own, false, a.light() != null));
  }

  /** How much of a mesh glows, m². */
  private static double glowing(Mesh mesh, List<Look> looks) {
    double sum = 0;
    for (int t = 0; t < mesh.triangles(); t++) {
      if (looks.get(mesh.partOf()[t]).finish().emission() > 0) {
        Vec a = mesh.vertex(mesh.corners()[3 * t]);
        Vec b = mesh.vertex(mesh.corners()[3 * t + 1]).minus(a);
        Vec c = mesh.vertex(mesh.corners()[3 * t + 2]).minus(a);
        sum += b.cross(c).length() / 2;
      }
    }
    return sum;
  }

  /** What a part that glows shines with: the light of its lamp over all that glows on it. */
  private double[] glow(
      Article a, LitSurface s, double emission, List<LampSource> burning, double area) {
    double[] c = new double[3];
    if (a.light() == null) {
      for (int k = 0; k < 3; k++) {
        c[k] = GLOW * emission * used / Math.PI * s.colour()[k];
      }
      return c;
    }
    double aside = a.light().way() == Light.LightWay.front ? ASIDE : 1;
    double most = Math.max(s.colour()[0], Math.max(s.colour()[1], s.colour()[2]));
    for (LampSource l : burning) {
      double bright = aside * emission * l.leaving() / (Math.PI * Math.max(area, Tolerance.HAIR));
      c[0] += bright * l.colour().red() * s.colour()[0] / most;
      c[1] += bright * l.colour().green() * s.colour()[1] / most;
      c[2] += bright * l.colour().blue() * s.colour()[2] / most;
    }
    return c;
  }

  private LitSurface surface(Look look, boolean pictured) {
    if (card) {
      Finish f = look.finish();
      return surfaces.computeIfAbsent(
          List.of("card", f.transparency()),
          k -> LitSurface.of(Appearance.of(Finish.CARD.withTransparency(f.transparency())), null));
    }
    Object picture = pictured ? look.picture() : "";
    return surfaces.computeIfAbsent(
        List.of(look.finish(), picture), k -> made(Appearance.of(look.finish()), look, pictured));
  }

  private LitSurface made(Appearance a, Look look, boolean pictured) {
    if (pictured) {
      Texture t = printed.computeIfAbsent(look.picture(), k -> Texture.of(look.picture(), true));
      LitSurface.TiledSurface tiled =
          t == null
              ? null
              : new LitSurface.TiledSurface(
                  t, null, null, new double[6], false, true, false, t.wide(), 1);
      return LitSurface.of(a, tiled);
    }
    Appearance.Tiled tile = a.tile();
    Texture colours = tile == null ? null : texture(tile.colours(), true);
    if (colours == null) {
      return LitSurface.of(a, null);
    }
    return LitSurface.of(
        a,
        new LitSurface.TiledSurface(
            colours,
            texture(tile.normals(), false),
            texture(tile.roughness(), false),
            tile.matrix(),
            tile.along(),
            false,
            tile.holes(),
            colours.wide(),
            tile.width()));
  }

  private @Nullable Texture texture(@Nullable String name, boolean colours) {
    return name == null
        ? null
        : TEXTURES
            .computeIfAbsent(
                name,
                n ->
                    Optional.ofNullable(
                        Texture.of(Tiles.file(n, space.shapes().pictures()), colours)))
            .orElse(null);
  }

  private Outdoors outdoors() {
    if (space.shell().stage() != null) {
      return Outdoors.dark();
    }
    Day day = space.showing().day();
    SunLight sun = Daylight.sun(space, day);
    Vec toward = day.toward(space.shell().north());
    LinearColour ofSun = sun == null ? LinearColour.of(1, 1, 1) : sun.colour();
    double lux = sun == null ? 0 : sun.lux();
    double altitude = day.sun().altitude();
    List<Portal> portals = new ArrayList<>();
    for (OuterOpening o : OuterOpening.of(space.shell())) {
      portals.add(portal(o));
    }
    return new Outdoors(
        Outdoors.dome(day.sky(), toward, altitude, lux, ofSun),
        portals,
        sun == null ? null : toward,
        lux,
        ofSun);
  }

  /** The opening in the middle of its wall. */
  private static Portal portal(OuterOpening o) {
    Opening w = o.opening();
    double deep = -o.wall().thickness() / 2;
    Vec corner = o.wall().spot(w.from(), deep).at(w.sill());
    Vec next = o.wall().spot(w.from() + w.width(), deep).at(w.sill());
    return Portal.of(corner, next.minus(corner), new Vec(0, w.height(), 0), o.wall().inward());
  }

  /** Whether one looks at it as at a model, with paper behind it. */
  private boolean isOutside() {
    Vec eye = view.eye();
    boolean above = eye.y() > space.shell().height();
    boolean beside = Double.isNaN(space.shell().floorAt(new Spot(eye.x(), eye.z())));
    return view.fits() || space.shell().stage() == null && (above || beside);
  }
}
