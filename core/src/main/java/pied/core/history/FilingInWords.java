package pied.core.history;

import java.util.List;
import java.util.Objects;
import pied.core.edit.Change;
import pied.core.piece.Keeping;
import pied.core.show.Day;
import pied.core.space.Difference;
import pied.core.space.Layer;
import pied.core.space.Space;

/** Says what a change did to layers, groups, named selections and how parts are kept. */
final class FilingInWords {
  private FilingInWords() {}

  /** What became of it, such as "Made the group Table". */
  static String of(Change change, Space after) {
    for (Difference d : change.all()) {
      if (d instanceof Difference.OfLayers l) {
        return layers(l.before(), l.after());
      }
      if (d instanceof Difference.OfGroup g) {
        if (g.before() == null) {
          return "Made the group " + g.after().name();
        }
        if (g.after() != null && !Objects.equals(g.before().repeats(), g.after().repeats())) {
          return (g.after().repeats() == null ? "Dissolved " : "Adjusted ") + g.before().name();
        }
        return g.after() == null
            ? "Dissolved the group " + g.before().name()
            : "Named the group " + g.before().name() + " " + g.after().name();
      }
      if (d instanceof Difference.OfTwin t) {
        return t.after() == null ? "Parted twins" : "Moved the line of twins";
      }
      if (d instanceof Difference.OfKeptPart k) {
        return kept(k, after);
      }
      if (d instanceof Difference.OfShown s) {
        return shown(s);
      }
      if (d instanceof Difference.OfSelection s) {
        return s.after() == null
            ? "Forgot the selection " + s.before().name()
            : "Named the selection " + s.after().name();
      }
    }
    return "Changed nothing";
  }

  private static String shown(Difference.OfShown d) {
    if (d.before() != null && d.after() != null) {
      return d.before().name().equals(d.after().name())
          ? "Altered " + d.name()
          : d.after() instanceof Day
              ? "Set the day to " + d.after().name()
              : "Named the " + d.after().sort() + " " + d.before().name() + " " + d.after().name();
    }
    return (d.after() == null ? "Removed " : d.after() instanceof Day ? "Set " : "Kept ")
        + d.name();
  }

  private static String kept(Difference.OfKeptPart d, Space after) {
    Keeping was = d.before().keeping();
    Keeping is = d.after().keeping();
    String what = after.nameOf(d.after().part());
    if (was.locked() != is.locked()) {
      return (is.locked() ? "Locked " : "Unlocked ") + what;
    }
    if (was.hidden() != is.hidden()) {
      return (is.hidden() ? "Hid " : "Showed ") + what;
    }
    if (!Objects.equals(d.before().name(), d.after().name())) {
      return "Named " + after.shell().nameOf(d.after().part()) + " " + what;
    }
    if (!was.remark().equals(is.remark())) {
      return "Remarked upon " + what;
    }
    return was.layer().equals(is.layer())
        ? "Put " + what + " in another group"
        : "Put " + what + " on the layer " + after.layer(is).name();
  }

  private static String layers(List<Layer> before, List<Layer> now) {
    for (Layer l : now) {
      Layer old = layer(before, l.id());
      if (old == null) {
        return "Made the layer " + l.name();
      }
      if (!old.name().equals(l.name())) {
        return "Named the layer " + old.name() + " " + l.name();
      }
      if (old.hidden() != l.hidden()) {
        return (l.hidden() ? "Hid" : "Showed") + " the layer " + l.name();
      }
      if (old.locked() != l.locked()) {
        return (l.locked() ? "Locked" : "Unlocked") + " the layer " + l.name();
      }
      if (!Objects.equals(old.colour(), l.colour())) {
        return "Coloured the layer " + l.name();
      }
    }
    for (Layer l : before) {
      if (layer(now, l.id()) == null) {
        return "Removed the layer " + l.name();
      }
    }
    return "Put the layers in another order";
  }

  private static Layer layer(List<Layer> all, String id) {
    return all.stream().filter(l -> l.id().equals(id)).findFirst().orElse(null);
  }
}
