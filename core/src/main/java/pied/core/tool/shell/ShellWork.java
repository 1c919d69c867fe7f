package pied.core.tool.shell;

import static pied.core.edit.EditSession.need;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.Places;
import pied.core.solid.Vec;
import pied.core.space.Part;
import pied.core.space.PartName;
import pied.core.space.Shell;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.space.Stage;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;

/** A shell at work on, with what its edits have in common. */
public final class ShellWork {
  private final Space space;
  private final LengthUnit unit;

  ShellWork(Space space, LengthUnit unit) {
    this.space = space;
    this.unit = unit;
  }

  /**
   * What comes of an edit. Whether it can be built is checked afterwards.
   *
   * @param renamed walls that have other names, by those they had
   * @param said remarks, in sentences
   * @param part that was made or altered, or null if none in particular
   */
  public record ShellResult(
      Shell shell, Map<String, String> renamed, List<String> said, @Nullable PartName part) {
    ShellResult of(PartName altered) {
      return new ShellResult(shell, renamed, said, altered);
    }
  }

  ShellResult done(Shell after, @Nullable PartName part) {
    return new ShellResult(after, Map.of(), List.of(), part);
  }

  Space space() {
    return space;
  }

  Shell shell() {
    return space.shell();
  }

  OutlineWork outline() {
    return new OutlineWork(shell());
  }

  /**
   * What is particular to a stage.
   *
   * @throws Refusal if it is a room
   */
  Stage stage() {
    if (shell().stage() == null) {
      throw new Refusal("This is a room; rake, apron and seats belong to a stage.");
    }
    return shell().stage();
  }

  /**
   * A place as it is said: read from the datum, or a point of the plan, or where it is.
   *
   * @param now null for something new, which must have a place
   */
  Spot place(Edit.Place3 read, Edit.PlanPoint at, Spot now, String name) {
    if (read != null) {
      Vec v = Places.read(read, (now == null ? new Spot(0, 0) : now).at(0), shell(), unit);
      return new Spot(v.x(), v.z());
    }
    return at == null && now != null ? now : spot(need(at, name), now);
  }

  Spot spot(Edit.PlanPoint p, Spot now) {
    if (p == null) {
      throw new Refusal("A point of the plan is missing.");
    }
    double x =
        p.x() == null && now != null
            ? now.x()
            : need(p.x(), "x").length(unit, now == null ? 0 : now.x());
    double z =
        p.z() == null && now != null
            ? now.z()
            : need(p.z(), "z").length(unit, now == null ? 0 : now.z());
    return new Spot(x, z);
  }

  double length(@Nullable Amount a, double now) {
    return a == null ? now : a.length(unit, now);
  }

  /** What is set by hand goes by whole centimetres. */
  static double byHand(double v) {
    return Math.rint(v * 100) / 100;
  }

  /** Without the dust of the arithmetic. */
  static double tidy(double v) {
    return Math.rint(v * 1e9) / 1e9 + 0.0;
  }

  static Spot tidy(Spot p) {
    return new Spot(tidy(p.x()), tidy(p.z()));
  }

  /**
   * The part of this id.
   *
   * @throws Refusal if there is none
   */
  static <P extends Part> P find(List<P> all, String wanted) {
    PartName named = PartName.read(wanted);
    return Part.find(all, named.kind() == PartName.PartKind.other ? wanted : named.id());
  }

  /** The list with one part replaced or, if it is new, added. */
  static <P extends Part> List<P> put(List<P> all, P next) {
    List<P> out = new ArrayList<>();
    boolean there = false;
    for (P p : all) {
      boolean same = p.id().equals(next.id());
      there |= same;
      out.add(same ? next : p);
    }
    if (!there) {
      out.add(next);
    }
    return out;
  }

  /**
   * The list without one part.
   *
   * @throws Refusal if it is not there
   */
  static <P extends Part> List<P> drop(List<P> all, String gone) {
    find(all, gone);
    return all.stream().filter(p -> !p.id().equals(gone)).toList();
  }
}
