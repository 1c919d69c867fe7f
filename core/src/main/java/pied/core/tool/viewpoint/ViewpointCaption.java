package pied.core.tool.viewpoint;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import pied.core.Tolerance;
import pied.core.edit.Amount;
import pied.core.phrase.Phrase;
import pied.core.phrase.Writer;
import pied.core.show.LightLook;
import pied.core.show.Viewpoint;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.units.Angle;
import pied.core.units.Decimal;
import pied.core.units.LengthUnit;

/** The caption of a viewpoint that is kept. */
public final class ViewpointCaption {
  /** Frames of pictures by how they are called. */
  private static final Map<String, Double> FRAMES = frames();

  /** Heights of eyes by whose they are. */
  private static final Map<String, Double> EYES = eyes();

  private final Writer w;
  private final Viewpoint v;
  private final SetViewpoint e;

  private ViewpointCaption(Writer w, Viewpoint v) {
    this.w = w;
    this.v = v;
    this.e = SetViewpointBuilder.builder().viewpoint(v.id()).build();
  }

  private static Map<String, Double> frames() {
    Map<String, Double> all = new LinkedHashMap<>();
    all.put("as large as where it is drawn", 0.0);
    all.put("3:2", 1.5);
    all.put("16:9", 16.0 / 9);
    all.put("4:3", 4.0 / 3);
    all.put("square", 1.0);
    all.put("A paper, lying", Math.sqrt(2));
    all.put("A paper, standing", Math.sqrt(0.5));
    all.put("2:3, standing", 1 / 1.5);
    return all;
  }

  private static Map<String, Double> eyes() {
    Map<String, Double> all = new LinkedHashMap<>();
    all.put("standing", Viewpoint.STANDING);
    all.put("seated", Viewpoint.SEATED);
    all.put("a child", Viewpoint.CHILD);
    all.put("in a wheelchair", Viewpoint.WHEELCHAIR);
    return all;
  }

  /**
   * Of the one of an id; empty where none that is kept has it.
   *
   * @param unit of lengths
   */
  public static List<Phrase> of(Space space, String id, LengthUnit unit) {
    Writer w = new Writer(space, unit);
    for (Viewpoint v : space.showing().viewpoints()) {
      if (v.id().equals(id)) {
        new ViewpointCaption(w, v).write();
      }
    }
    return w.out;
  }

  private void write() {
    w.field(v.name(), "Name of the viewpoint", "name", e).text(" — the eye ");
    height();
    w.text(", lens ")
        .field(
            Decimal.text(v.lens(), 10) + " mm", "Lens: 24 mm, or an angle such as 60°", "lens", e)
        .text(" (" + Angle.text(Math.rint(10 * v.angle()) / 10) + "), picture ");
    frame();
    w.text(", verticals ")
        .choice(
            v.upright() ? "upright" : "as one looks",
            "Verticals of the picture",
            new Phrase.Option(
                v.upright() ? "as one looks" : "upright",
                SetViewpointBuilder.builder(e).upright(!v.upright()).build()));
    look();
    hidden();
    w.text(". ");
  }

  private void height() {
    double floor = w.shell.floorAt(new Spot(v.eye().x(), v.eye().z()));
    if (Double.isNaN(floor)) {
      w.text("outside of the space");
      return;
    }
    double now = v.eye().y() - floor;
    w.length(now, "Height of the eye above the floor", "height", e).text(" above the floor");
    List<Phrase.Option> others = new ArrayList<>();
    EYES.forEach(
        (who, high) -> {
          if (Math.abs(high - now) > Tolerance.NEAR) {
            others.add(
                new Phrase.Option(
                    who + " " + w.unit.fine(high),
                    SetViewpointBuilder.builder(e).height(Amount.of(high)).build()));
          }
        });
    w.text(" ").more("▾", "Whose eyes", others);
  }

  private void frame() {
    double now = v.frame().ratio();
    String called =
        FRAMES.entrySet().stream()
            .filter(f -> Math.abs(f.getValue() - now) < Tolerance.NEAR)
            .map(Map.Entry::getKey)
            .findFirst()
            .orElse(Decimal.text(now, 1000) + ":1");
    List<Phrase.Option> others = new ArrayList<>();
    FRAMES.forEach(
        (name, ratio) -> {
          if (!name.equals(called)) {
            others.add(
                new Phrase.Option(name, SetViewpointBuilder.builder(e).ratio(ratio).build()));
          }
        });
    w.choice(called, "Frame of the picture", others.toArray(new Phrase.Option[0]));
  }

  private void hidden() {
    List<String> left = v.hidden().stream().filter(w.space::has).toList();
    List<String> now = Viewpoints.hidden(w.space);
    if (left.isEmpty() && now.isEmpty()) {
      return;
    }
    List<Phrase.Option> others = new ArrayList<>();
    if (!left.isEmpty()) {
      others.add(
          new Phrase.Option(
              "everything shown", SetViewpointBuilder.builder(e).hidden(false).build()));
    }
    if (!left.equals(now) && !now.isEmpty()) {
      others.add(
          new Phrase.Option(
              "what is hidden now left out", SetViewpointBuilder.builder(e).hidden(true).build()));
    }
    String said =
        left.isEmpty()
            ? "everything shown"
            : left.size() == 1
                ? w.space.piece(left.get(0)).name() + " left out"
                : left.size() + " pieces left out";
    w.text(", ").choice(said, "What is left out of it", others.toArray(new Phrase.Option[0]));
  }

  private void look() {
    List<LightLook> looks = w.space.showing().looks();
    if (looks.isEmpty()) {
      return;
    }
    String now = "any";
    List<Phrase.Option> others = new ArrayList<>();
    if (v.look() != null) {
      others.add(new Phrase.Option("any", SetViewpointBuilder.builder(e).look("").build()));
    }
    for (LightLook l : looks) {
      if (l.id().equals(v.look())) {
        now = l.name();
      } else {
        others.add(
            new Phrase.Option(l.name(), SetViewpointBuilder.builder(e).look(l.id()).build()));
      }
    }
    w.text(", in the look ").choice(now, "Look", others.toArray(new Phrase.Option[0]));
  }
}
