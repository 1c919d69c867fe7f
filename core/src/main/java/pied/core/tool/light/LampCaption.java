package pied.core.tool.light;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.function.ToDoubleFunction;
import pied.core.catalog.Light.LightWay;
import pied.core.light.Shutters;
import pied.core.material.Colours;
import pied.core.phrase.Phrase;
import pied.core.phrase.Writer;
import pied.core.piece.Aim;
import pied.core.piece.Lamp;
import pied.core.piece.Piece;
import pied.core.show.LampCurve;

/** What a caption says of lamps: how far they are dimmed, and with what they are switched. */
public final class LampCaption {
  private LampCaption() {}

  /** Of what is selected; nothing where none of it is a lamp. */
  public static void of(Writer w, List<Piece> pieces) {
    List<Piece> lamps = pieces.stream().filter(p -> LampsMeant.isLamp(w.space, p)).toList();
    if (lamps.isEmpty()) {
      return;
    }
    List<String> ids = lamps.stream().map(Piece::id).toList();
    SetLamps e = SetLampsBuilder.builder().pieces(ids).build();
    Lamp first = lamps.get(0).lamp();
    boolean burning = lamps.stream().allMatch(p -> p.lamp().burning() == first.burning());
    boolean on = first.on();
    w.text(lamps.size() == 1 ? ", " : ", the lamps ");
    if (lamps.stream().allMatch(p -> p.lamp().on() == on)) {
      w.choice(on ? "on" : "off", "Switched", new Phrase.Option(on ? "off" : "on", e.withOn(!on)));
    } else {
      w.choice(
          "some on",
          "Switched",
          new Phrase.Option("on", e.withOn(true)),
          new Phrase.Option("off", e.withOn(false)));
    }
    w.text(" at ")
        .field(
            burning || lamps.size() == 1 ? Math.round(100 * first.level()) + " %" : "various",
            "Level of its light",
            "level",
            e);
    circuit(w, lamps, e);
    filter(w, lamps, e);
    curve(w, lamps, e);
  }

  private static void curve(Writer w, List<Piece> lamps, SetLamps e) {
    List<LampCurve> all = w.space.showing().curves();
    if (all.isEmpty()) {
      return;
    }
    String id = lamps.get(0).lamp().curve();
    boolean same = lamps.stream().allMatch(p -> Objects.equals(p.lamp().curve(), id));
    String now = same ? "as it comes" : "various";
    List<Phrase.Option> others = new ArrayList<>();
    if (id != null || !same) {
      others.add(new Phrase.Option("as it comes", e.withCurve("")));
    }
    for (LampCurve c : all) {
      if (same && c.id().equals(id)) {
        now = c.name();
      } else {
        others.add(new Phrase.Option(c.name(), e.withCurve(c.id())));
      }
    }
    w.text(", its light ").choice(now, "Photometric file", others.toArray(new Phrase.Option[0]));
  }

  private static void filter(Writer w, List<Piece> lamps, SetLamps e) {
    boolean stage =
        lamps.stream().anyMatch(p -> w.space.article(p).light().way() == LightWay.front);
    String now = lamps.get(0).lamp().filter();
    if (!stage && now == null) {
      return;
    }
    boolean same = lamps.stream().allMatch(p -> Objects.equals(p.lamp().filter(), now));
    w.text(", filter ")
        .field(
            !same ? "various" : now == null ? "none" : Colours.name(now),
            "Colour of the filter: amber, pale blue, #RRGGBB",
            "filter",
            e);
    shutters(w, lamps);
    Piece first = lamps.get(0);
    Aim aim = first.lamp().aim();
    w.text(
        aim == null
            ? ", straight ahead"
            : aim.piece() != null && w.space.has(aim.piece())
                ? ", aimed at " + w.space.piece(aim.piece()).name()
                : ", aimed at a point");
  }

  private static void shutters(Writer w, List<Piece> lamps) {
    List<Piece> able = lamps.stream().filter(p -> w.space.article(p).light().shutters()).toList();
    if (able.isEmpty()) {
      return;
    }
    SetShutters e =
        SetShuttersBuilder.builder().pieces(able.stream().map(Piece::id).toList()).build();
    w.text(", shutters ");
    blade(w, able, e, "left", Shutters::left);
    w.text(" left, ");
    blade(w, able, e, "right", Shutters::right);
    w.text(" right, ");
    blade(w, able, e, "top", Shutters::top);
    w.text(" top, ");
    blade(w, able, e, "bottom", Shutters::bottom);
    w.text(" bottom");
  }

  private static void blade(
      Writer w, List<Piece> able, SetShutters e, String side, ToDoubleFunction<Shutters> of) {
    double[] all = able.stream().map(p -> p.lamp().blades()).mapToDouble(of).distinct().toArray();
    w.field(
        all.length == 1 ? Math.round(100 * all[0]) + " %" : "various",
        "How far the " + side + " shutter is pushed in, seen along the light",
        side,
        e);
  }

  private static void circuit(Writer w, List<Piece> lamps, SetLamps e) {
    String now = lamps.get(0).lamp().circuit();
    boolean same = lamps.stream().allMatch(p -> Objects.equals(p.lamp().circuit(), now));
    List<Phrase.Option> others = new ArrayList<>();
    for (String c : LampsMeant.circuits(w.space)) {
      if (!same || !c.equals(now)) {
        others.add(new Phrase.Option(c, e.withCircuit(c)));
      }
    }
    if (now != null || !same) {
      others.add(new Phrase.Option("no circuit", e.withCircuit("")));
    }
    w.text(" on circuit ")
        .field(!same ? "various" : now == null ? "none" : now, "Name of the circuit", "circuit", e);
    if (!others.isEmpty()) {
      w.text(" ").more("▾", "Circuits there are", others);
    }
  }
}
