package pied.server.space;

import com.fasterxml.jackson.annotation.JsonIgnoreProperties;
import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Map;
import pied.core.edit.Change;
import pied.core.piece.Form;
import pied.core.piece.Keeping;
import pied.core.piece.Lean;
import pied.core.piece.On;
import pied.core.piece.Partner;
import pied.core.piece.Piece;
import pied.core.piece.Slot;
import pied.core.piece.Stance;
import pied.core.size.Size;
import pied.core.space.Difference;
import pied.core.space.Group;
import pied.core.space.KeptPart;
import pied.core.space.Layer;
import pied.core.space.NamedSelection;
import pied.core.space.Ordered;
import pied.core.space.PartName;
import pied.core.space.Twin;
import pied.server.material.StoredFinish;
import pied.server.space.StoredShell.Place;
import pied.server.space.StoredShown.StoredLamp;

/**
 * A change as it is stored in forms 3 and 4: a kind for each kind of thing. The names here are
 * those in people's files and stay, whatever becomes of a change at work.
 */
record StoredChange(List<Thing> things) {
  @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "of")
  @JsonSubTypes({
    @JsonSubTypes.Type(value = OfPiece.class, name = "piece"),
    @JsonSubTypes.Type(value = OfShell.class, name = "shell"),
    @JsonSubTypes.Type(value = OfFrame.class, name = "frame"),
    @JsonSubTypes.Type(value = OfPart.class, name = "part"),
    @JsonSubTypes.Type(value = OfLayers.class, name = "layers"),
    @JsonSubTypes.Type(value = OfGroup.class, name = "group"),
    @JsonSubTypes.Type(value = OfSelection.class, name = "selection"),
    @JsonSubTypes.Type(value = OfTwin.class, name = "twin"),
    @JsonSubTypes.Type(value = OfKeptPart.class, name = "keptPart"),
    @JsonSubTypes.Type(value = OfShown.class, name = "shown")
  })
  sealed interface Thing {
    static Thing of(Difference d) {
      if (d instanceof Difference.OfPiece p) {
        return new OfPiece(Placed.of(p.before()), Placed.of(p.after()));
      }
      if (d instanceof Difference.OfLayers l) {
        return new OfLayers(
            StoredShell.each(l.before(), Sheet::of), StoredShell.each(l.after(), Sheet::of));
      }
      if (d instanceof Difference.OfGroup g) {
        return new OfGroup(Bundle.of(g.before()), Bundle.of(g.after()));
      }
      if (d instanceof Difference.OfSelection n) {
        return new OfSelection(Picked.of(n.before()), Picked.of(n.after()));
      }
      if (d instanceof Difference.OfTwin t) {
        return new OfTwin(Mirror.of(t.before()), Mirror.of(t.after()));
      }
      if (d instanceof Difference.OfKeptPart k) {
        return new OfKeptPart(StoredKeeping.of(k.before()), StoredKeeping.of(k.after()));
      }
      if (d instanceof Difference.OfShown s) {
        return new OfShown(StoredShown.of(s.before()), StoredShown.of(s.after()));
      }
      if (d instanceof Difference.OfFrame f) {
        return new OfFrame(StoredShell.of(f.before()), StoredShell.of(f.after()));
      }
      if (d instanceof Difference.OfPart p) {
        return new OfPart(StoredPart.of(p.before()), StoredPart.of(p.after()));
      }
      Difference.OfShell s = (Difference.OfShell) d;
      return new OfShell(StoredShell.of(s.before()), StoredShell.of(s.after()));
    }

    Difference live();
  }

  @JsonInclude(JsonInclude.Include.NON_NULL)
  record OfPiece(Placed before, Placed after) implements Thing {
    @Override
    public Difference live() {
      return new Difference.OfPiece(
          before == null ? null : before.live(), after == null ? null : after.live());
    }
  }

  record OfShell(StoredShell before, StoredShell after) implements Thing {
    @Override
    public Difference live() {
      return new Difference.OfShell(before.live(), after.live());
    }
  }

  record OfFrame(StoredShell before, StoredShell after) implements Thing {
    @Override
    public Difference live() {
      return new Difference.OfFrame(before.live(), after.live());
    }
  }

  @JsonInclude(JsonInclude.Include.NON_NULL)
  record OfPart(StoredPart before, StoredPart after) implements Thing {
    @Override
    public Difference live() {
      return new Difference.OfPart(
          before == null ? null : before.live(), after == null ? null : after.live());
    }
  }

  record OfLayers(List<Sheet> before, List<Sheet> after) implements Thing {
    @Override
    public Difference live() {
      return new Difference.OfLayers(
          StoredShell.each(before, Sheet::live), StoredShell.each(after, Sheet::live));
    }
  }

  @JsonInclude(JsonInclude.Include.NON_NULL)
  record OfGroup(Bundle before, Bundle after) implements Thing {
    @Override
    public Difference live() {
      return new Difference.OfGroup(
          before == null ? null : before.live(), after == null ? null : after.live());
    }
  }

  @JsonInclude(JsonInclude.Include.NON_NULL)
  record OfSelection(Picked before, Picked after) implements Thing {
    @Override
    public Difference live() {
      return new Difference.OfSelection(
          before == null ? null : before.live(), after == null ? null : after.live());
    }
  }

  @JsonInclude(JsonInclude.Include.NON_NULL)
  record OfTwin(Mirror before, Mirror after) implements Thing {
    @Override
    public Difference live() {
      return new Difference.OfTwin(
          before == null ? null : before.live(), after == null ? null : after.live());
    }
  }

  record OfKeptPart(StoredKeeping before, StoredKeeping after) implements Thing {
    @Override
    public Difference live() {
      return new Difference.OfKeptPart(before.live(), after.live());
    }
  }

  @JsonInclude(JsonInclude.Include.NON_NULL)
  record OfShown(StoredShown before, StoredShown after) implements Thing {
    @Override
    public Difference live() {
      return new Difference.OfShown(
          before == null ? null : before.live(), after == null ? null : after.live());
    }
  }

  /** How a part of the shell is kept; what is false or not there is left out. */
  @JsonIgnoreProperties(ignoreUnknown = true)
  @JsonInclude(JsonInclude.Include.NON_DEFAULT)
  record StoredKeeping(
      @JsonInclude String part,
      String name,
      String layer,
      String group,
      boolean locked,
      boolean hidden,
      String remark,
      Pair twin) {
    static StoredKeeping of(KeptPart p) {
      Keeping k = p.keeping();
      return new StoredKeeping(
          p.part().text(),
          p.name(),
          k.layer().equals(Keeping.FIRST) ? null : k.layer(),
          k.group(),
          k.locked(),
          k.hidden(),
          k.remark().isEmpty() ? null : k.remark(),
          Pair.of(k.twin()));
    }

    KeptPart live() {
      return new KeptPart(
          PartName.read(part),
          name,
          new Keeping(
              layer, group, locked, hidden, remark, null, twin == null ? null : twin.live()));
    }
  }

  /** What pairs are twins by. */
  record Mirror(String id, Place at, Place way, boolean turned) {
    static Mirror of(Twin t) {
      return t == null ? null : new Mirror(t.id(), Place.of(t.at()), Place.of(t.way()), t.turned());
    }

    Twin live() {
      return new Twin(id, at.live(), way.live(), turned);
    }
  }

  /** A layer. */
  @JsonInclude(JsonInclude.Include.NON_NULL)
  record Sheet(String id, String name, String colour, boolean hidden, boolean locked) {
    static Sheet of(Layer l) {
      return new Sheet(l.id(), l.name(), l.colour(), l.hidden(), l.locked());
    }

    Layer live() {
      return new Layer(id, name, colour, hidden, locked);
    }
  }

  /** A group. */
  @JsonInclude(JsonInclude.Include.NON_NULL)
  record Bundle(String id, String name, String in, StoredRule repeats) {
    static Bundle of(Group g) {
      return g == null ? null : new Bundle(g.id(), g.name(), g.in(), StoredRule.of(g.repeats()));
    }

    Group live() {
      return new Group(id, name, in, repeats == null ? null : repeats.live());
    }
  }

  /** A named selection. */
  record Picked(String name, List<String> pieces) {
    static Picked of(NamedSelection s) {
      return s == null ? null : new Picked(s.name(), s.pieces());
    }

    NamedSelection live() {
      return new NamedSelection(name, pieces);
    }
  }

  record Placed(Furnishing piece, Long place) {
    static Placed of(Ordered o) {
      return o == null ? null : new Placed(Furnishing.of(o.piece()), o.place());
    }

    Ordered live() {
      return new Ordered(piece.live(), place);
    }
  }

  record Measures(double width, double depth, double height) {}

  record Out(double toward, double by) {}

  record Carrier(String kind, String id) {}

  /** The place of a piece in a repetition. */
  record Seat(long place, int part, boolean own) {}

  /** The other one of a pair of twins. */
  record Pair(String twin, String piece, boolean first) {
    static Pair of(Partner p) {
      return p == null ? null : new Pair(p.twin(), p.piece(), p.first());
    }

    Partner live() {
      return new Partner(twin, piece, first);
    }
  }

  /** A piece; what is false or not there is left out. */
  @JsonIgnoreProperties(ignoreUnknown = true)
  @JsonInclude(JsonInclude.Include.NON_DEFAULT)
  record Furnishing(
      @JsonInclude String id,
      @JsonInclude String article,
      @JsonInclude String name,
      @JsonInclude Measures size,
      @JsonInclude Place at,
      @JsonInclude double turn,
      Out lean,
      @JsonInclude Carrier on,
      Map<String, StoredFinish> finishes,
      boolean held,
      boolean mirrored,
      boolean stretched,
      String layer,
      String group,
      boolean locked,
      boolean hidden,
      String remark,
      Seat slot,
      Pair twin,
      StoredLamp lamp) {
    static Furnishing of(Piece p) {
      Keeping k = p.keeping();
      Lean lean = p.lean();
      return new Furnishing(
          p.id(),
          p.article(),
          p.name(),
          new Measures(p.size().width(), p.size().depth(), p.size().height()),
          Place.of(p.at()),
          p.turn(),
          lean.equals(Lean.NONE) ? null : new Out(lean.toward(), lean.by()),
          new Carrier(p.on().kind().name(), p.on().id()),
          p.finishes().isEmpty() ? null : StoredFinish.of(p.finishes()),
          p.attached(),
          p.form().mirrored(),
          p.form().stretched(),
          k.layer().equals(Keeping.FIRST) ? null : k.layer(),
          k.group(),
          k.locked(),
          k.hidden(),
          k.remark().isEmpty() ? null : k.remark(),
          k.slot() == null ? null : new Seat(k.slot().place(), k.slot().part(), k.slot().own()),
          Pair.of(k.twin()),
          StoredLamp.of(p.lamp()));
    }

    Piece live() {
      return new Piece(
          id,
          name,
          new Form(article, new Size(size.width, size.depth, size.height), mirrored, stretched),
          new Stance(at.live(), turn, lean == null ? null : new Lean(lean.toward, lean.by)),
          new On(On.OnKind.valueOf(on.kind), on.id),
          held,
          StoredFinish.live(finishes),
          new Keeping(
              layer,
              group,
              locked,
              hidden,
              remark,
              slot == null ? null : new Slot(slot.place, slot.part, slot.own),
              twin == null ? null : twin.live()),
          lamp == null ? null : lamp.live());
    }
  }

  static StoredChange of(Change c) {
    return new StoredChange(StoredShell.each(c.all(), Thing::of));
  }

  Change live() {
    return new Change(StoredShell.each(things, Thing::live));
  }

  // ---- older forms

  /** From form 1 to 2: a piece alone that was put in or taken out becomes one without a place. */
  static void second(ObjectNode first) {
    for (String which : new String[] {"added", "removed"}) {
      ArrayNode pieces = (ArrayNode) first.get(which);
      for (int i = 0; i < pieces.size(); i++) {
        pieces.set(i, placed(pieces.get(i)));
      }
    }
  }

  /** From form 2 to 3: lists of what was added, altered and removed become one of differences. */
  static ObjectNode third(ObjectNode second) {
    ObjectNode third = second.objectNode();
    ArrayNode things = third.putArray("things");
    JsonNode shell = second.get("shell");
    if (shell != null && !shell.isNull()) {
      things.addObject().put("of", "shell").setAll((ObjectNode) shell);
    }
    for (JsonNode p : second.get("removed")) {
      things.addObject().put("of", "piece").set("before", p);
    }
    for (JsonNode p : second.get("altered")) {
      ObjectNode one = things.addObject().put("of", "piece");
      one.set("before", placed(p.get("before")));
      one.set("after", placed(p.get("after")));
    }
    for (JsonNode p : second.get("added")) {
      things.addObject().put("of", "piece").set("after", p);
    }
    return third;
  }

  private static ObjectNode placed(JsonNode piece) {
    ObjectNode ordered = com.fasterxml.jackson.databind.node.JsonNodeFactory.instance.objectNode();
    ordered.set("piece", piece);
    return ordered;
  }
}
