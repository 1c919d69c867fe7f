package pied.server.space;

import com.fasterxml.jackson.annotation.JsonIgnoreProperties;
import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import pied.core.light.Photometry;
import pied.core.light.Photometry.PlaneFold;
import pied.core.light.Shutters;
import pied.core.light.Sky;
import pied.core.piece.Aim;
import pied.core.piece.Lamp;
import pied.core.recipe.Head;
import pied.core.show.Day;
import pied.core.show.LampCurve;
import pied.core.show.LightLook;
import pied.core.show.PictureFrame;
import pied.core.show.Shown;
import pied.core.show.Viewpoint;
import pied.server.space.StoredShell.Place;

/** What is kept of how a space is shown, as it is stored. The names here stay. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "is")
@JsonSubTypes({
  @JsonSubTypes.Type(value = StoredShown.StoredDay.class, name = "day"),
  @JsonSubTypes.Type(value = StoredShown.StoredLook.class, name = "look"),
  @JsonSubTypes.Type(value = StoredShown.StoredView.class, name = "viewpoint"),
  @JsonSubTypes.Type(value = StoredShown.StoredCurve.class, name = "curve")
})
sealed interface StoredShown {
  static StoredShown of(Shown s) {
    if (s == null) {
      return null;
    }
    if (s instanceof Day d) {
      return StoredDay.of(d);
    }
    if (s instanceof LampCurve c) {
      return StoredCurve.of(c);
    }
    return s instanceof LightLook l ? StoredLook.of(l) : StoredView.of((Viewpoint) s);
  }

  Shown live();

  /** Where and when. */
  @JsonIgnoreProperties(ignoreUnknown = true)
  record StoredDay(
      double latitude, double longitude, double zone, String date, double hour, String sky)
      implements StoredShown {
    static StoredDay of(Day d) {
      return d == null
          ? null
          : new StoredDay(
              d.latitude(), d.longitude(), d.zone(), d.date().toString(), d.hour(), d.sky().name());
    }

    /** What makes no sense is the day that suits where none was chosen. */
    @Override
    public Day live() {
      try {
        return new Day(latitude, longitude, zone, LocalDate.parse(date), hour, Sky.valueOf(sky));
      } catch (RuntimeException e) { // from an archive, it may be anything
        return Day.PLAIN;
      }
    }
  }

  /** A look; levels of lamps that burn are above 0, of others below it or 0. */
  @JsonIgnoreProperties(ignoreUnknown = true)
  @JsonInclude(JsonInclude.Include.NON_NULL)
  record StoredLook(
      String id,
      String name,
      double place,
      double fade,
      StoredDay day,
      Map<String, Double> on,
      Map<String, Double> off)
      implements StoredShown {
    static StoredLook of(LightLook l) {
      Map<String, Double> on = new TreeMap<>();
      Map<String, Double> off = new TreeMap<>();
      l.levels().forEach((id, v) -> (v.on() ? on : off).put(id, v.level()));
      return new StoredLook(l.id(), l.name(), l.place(), l.fade(), StoredDay.of(l.day()), on, off);
    }

    @Override
    public LightLook live() {
      Map<String, LightLook.LampLevel> levels = new TreeMap<>();
      if (on != null) {
        on.forEach((k, v) -> levels.put(k, new LightLook.LampLevel(true, v)));
      }
      if (off != null) {
        off.forEach((k, v) -> levels.put(k, new LightLook.LampLevel(false, v)));
      }
      return new LightLook(id, name, place, fade, day == null ? null : day.live(), levels);
    }
  }

  /** A viewpoint that is kept. */
  @JsonIgnoreProperties(ignoreUnknown = true)
  @JsonInclude(JsonInclude.Include.NON_NULL)
  record StoredView(
      String id,
      String name,
      Place eye,
      Place target,
      double lens,
      double ratio,
      boolean upright,
      List<String> lifted,
      List<String> hidden,
      String look,
      double place)
      implements StoredShown {
    static StoredView of(Viewpoint v) {
      return new StoredView(
          v.id(),
          v.name(),
          Place.of(v.eye()),
          Place.of(v.target()),
          v.lens(),
          v.frame().ratio(),
          v.upright(),
          v.lifted(),
          v.hidden(),
          v.look(),
          v.place());
    }

    @Override
    public Viewpoint live() {
      return new Viewpoint(
          id,
          name,
          Viewpoint.KEPT,
          eye.live(),
          target.live(),
          false,
          lens,
          PictureFrame.orFree(ratio),
          upright,
          lifted,
          hidden,
          look,
          place);
    }
  }

  /** A photometric file. */
  @JsonIgnoreProperties(ignoreUnknown = true)
  record StoredCurve(
      String id,
      String name,
      String own,
      double lumens,
      double watts,
      double[] planes,
      double[] angles,
      double[][] candela,
      String fold)
      implements StoredShown {
    static StoredCurve of(LampCurve c) {
      Photometry p = c.light();
      return new StoredCurve(
          c.id(),
          c.name(),
          p.name(),
          p.lumens(),
          p.watts(),
          p.planes(),
          p.angles(),
          p.candela(),
          p.fold().name());
    }

    @Override
    public LampCurve live() {
      PlaneFold how = PlaneFold.valueOf(fold);
      return new LampCurve(
          id, name, new Photometry(own, lumens, watts, planes, angles, candela, how));
    }
  }

  /** How a lamp is switched; what is as usual is left out. */
  @JsonIgnoreProperties(ignoreUnknown = true)
  @JsonInclude(JsonInclude.Include.NON_NULL)
  record StoredLamp(
      Boolean off,
      Double level,
      String circuit,
      String aimPiece,
      Place aimAt,
      String filter,
      String curve,
      Double pan,
      Double tilt,
      double[] shutters) {
    static StoredLamp of(Lamp l) {
      return l.equals(Lamp.PLAIN)
          ? null
          : new StoredLamp(
              l.on() ? null : true,
              l.level() == 1 ? null : l.level(),
              l.circuit(),
              l.aim() == null ? null : l.aim().piece(),
              l.aim() == null ? null : Place.of(l.aim().at()),
              l.filter(),
              l.curve(),
              l.head() == null ? null : l.head().pan(),
              l.head() == null ? null : l.head().tilt(),
              blades(l.shutters()));
    }

    Lamp live() {
      return new Lamp(
          off == null || !off,
          level == null ? 1 : level,
          circuit,
          aimAt == null ? null : new Aim(aimPiece, aimAt.live()),
          filter,
          curve,
          pan == null || tilt == null ? null : new Head(pan, tilt),
          shutters == null || shutters.length != 4
              ? null
              : new Shutters(shutters[0], shutters[1], shutters[2], shutters[3]));
    }

    private static double[] blades(Shutters s) {
      return s == null ? null : new double[] {s.left(), s.right(), s.top(), s.bottom()};
    }
  }
}
