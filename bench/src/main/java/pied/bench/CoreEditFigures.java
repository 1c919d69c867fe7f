package pied.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import pied.core.catalog.Catalog;
import pied.core.check.Checks;
import pied.core.drawing.ShellPlan;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.Edits;
import pied.core.edit.Outcome;
import pied.core.history.InWords;
import pied.core.history.Rebase;
import pied.core.material.Finishes;
import pied.core.measure.Side;
import pied.core.piece.Shapes;
import pied.core.schedule.Schedule;
import pied.core.select.Meant;
import pied.core.select.Meant.MeantBy;
import pied.core.select.Selecting;
import pied.core.size.Measure;
import pied.core.solid.Vec;
import pied.core.space.Layer;
import pied.core.space.Outlines;
import pied.core.space.Shell;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.tool.group.MakeGroup;
import pied.core.tool.keep.Copy;
import pied.core.tool.keep.Hide;
import pied.core.tool.keep.Lock;
import pied.core.tool.keep.Remove;
import pied.core.tool.keep.Rename;
import pied.core.tool.keep.WhichPieces;
import pied.core.tool.layer.SetLayerBuilder;
import pied.core.tool.layer.ToLayer;
import pied.core.tool.move.MoveBy;
import pied.core.tool.place.Place;
import pied.core.tool.shell.MoveWall;
import pied.core.tool.size.FillBuilder;
import pied.core.tool.size.OutOfRange;
import pied.core.tool.size.PullSideBuilder;
import pied.core.tool.size.Resize;
import pied.core.tool.turn.Turn;
import pied.core.tool.turn.TurnBuilder;
import pied.core.units.LengthUnit;

/**
 * Takes the figures of edits in core, without server or store: {@code CoreEditFigures N...}. The
 * room is that of {@link EditFigures}: round tables with three cups each and four stools about
 * them.
 */
public final class CoreEditFigures {
  private static final int WARM = 300;

  private Space space;
  private final int pieces;

  private CoreEditFigures(int pieces) {
    this.pieces = pieces;
  }

  public static void main(String[] args) {
    Shapes shapes = new Shapes(Catalog.shipped());
    for (String n : args) {
      new CoreEditFigures(Integer.parseInt(n)).measure(shapes);
    }
  }

  private Outcome make(Edit... edits) {
    return Edits.apply(space, List.of(edits), LengthUnit.M, () -> UUID.randomUUID().toString());
  }

  private void measure(Shapes shapes) {
    furnish(shapes);
    edits();
    order();
  }

  private void furnish(Shapes shapes) {
    double w = EditFigures.side(pieces) * EditFigures.PITCH + 1;
    Shell shell =
        new Shell(Outlines.rectangle(w, w + EditFigures.FREE), 3, 0.2, List.of(), Finishes.NONE);
    space = new Space(shell, List.of(), shapes);
    int most = Math.min(pieces, Edits.MOST);
    for (int from = 0; from < pieces; from += most) {
      Edit[] all =
          IntStream.range(from, Math.min(pieces, from + most))
              .mapToObj(this::place)
              .toArray(Edit[]::new);
      long t = System.nanoTime();
      space = make(all).space();
      tell("place " + all.length, new double[] {(System.nanoTime() - t) / 1e6});
    }
  }

  private void edits() {
    List<String> stool = List.of("p" + (4 + EditFigures.GROUP * (pieces / EditFigures.GROUP / 2)));
    tell("first snags", times(1, i -> Checks.of(space)));
    times(WARM, i -> step(move(stool, i)));
    tell("move", times(300, i -> step(move(stool, i))));
    tell("turn", times(100, i -> step(new Turn(List.of("p1"), null, Amount.of(i % 2 * 2 - 1)))));
    tell(
        "size",
        times(
            100,
            i ->
                step(
                    new Resize(
                        List.of("p0"),
                        new Edit.Measures(Amount.of(0.6 + 0.1 * (i % 2)), null, null),
                        null))));
    String lead = stool.get(0);
    Vec at = space.piece(lead).at();
    tell("turn about a corner", times(100, i -> make(about(stool, 7.3 * (i + 1)))));
    tell("fill", times(100, i -> make(fill(lead))));
    tell("a side pulled", times(100, i -> make(pull(lead, at.plus(new Vec(0.2, 0, 0.001 * i))))));
    List<String> chosen = stools(Math.min(300, pieces / EditFigures.GROUP));
    tell("size of " + chosen.size(), times(5, i -> make(size(chosen, 0.4 + 0.01 * i))));
    tell("turn of " + chosen.size() + " together", times(5, i -> make(together(chosen, i + 1))));
    Outcome moved = make(move(stool, 0));
    tell("undo", times(100, i -> moved.change().reversed().apply(moved.space())));
    tell("snags after a move", after(stool, () -> Checks.of(space)));
    tell("plan after a move", after(stool, () -> ShellPlan.of(space, "Room", LengthUnit.M)));
    tell("schedule after a move", after(stool, () -> Schedule.of(space, LengthUnit.M)));
    tell("a wall dragged", times(40, i -> make(new MoveWall("B", Amount.of(-0.01 * i)))));
    List<String> all = ids(pieces);
    List<String> some = ids(Math.min(400, pieces / 4) / EditFigures.GROUP * EditFigures.GROUP);
    Edit.Place3 foot =
        new Edit.Place3(null, null, Amount.of(EditFigures.side(pieces) * EditFigures.PITCH));
    tell("copy " + some.size(), times(5, i -> make(new Copy(some, foot))));
    tell("remove " + some.size(), times(5, i -> make(new Remove(some))));
    tell("move all", times(5, i -> make(move(all, i))));
    Outcome whole = make(move(all, 0));
    tell("undo of that", times(5, i -> whole.change().reversed().apply(whole.space())));
  }

  /** Keeping order: all pieces, or some 300, at once. */
  private void order() {
    List<String> all = ids(pieces);
    List<String> some = stools(Math.min(300, pieces / EditFigures.GROUP));
    tell("lock all", times(10, i -> make(new Lock(all, true, null))));
    tell("hide all but " + some.size(), times(10, i -> make(hide(some))));
    tell("all to a new layer", times(10, i -> make(new ToLayer(all, null, "Layer"))));
    tell("hide a layer", times(100, i -> make(layer(i % 2 == 0))));
    tell("group " + some.size(), times(10, i -> make(new MakeGroup(some, null, null))));
    step(new MakeGroup(some, "group", "Group"));
    tell("turn that group", times(5, i -> make(new Turn(List.of("group"), null, Amount.of(1)))));
    Edit.Place3 foot =
        new Edit.Place3(null, null, Amount.of(EditFigures.side(pieces) * EditFigures.PITCH));
    tell("copy that group", times(5, i -> make(new Copy(List.of("group"), foot))));
    Space locked = make(new Lock(all, true, null)).space();
    tell("what follows a lock: schedule", times(10, i -> Schedule.of(locked, LengthUnit.M)));
    tell("schedule, all of it", times(5, i -> Schedule.of(anew(i), LengthUnit.M)));
    tell("select all of a kind", times(20, i -> find(MeantBy.kind, null)));
    double half = EditFigures.side(pieces) * EditFigures.PITCH / 2 + 0.35;
    List<Spot> box = List.of(new Spot(0, 0), new Spot(half, half));
    tell("a rectangle round a quarter", times(20, i -> find(MeantBy.figure, box)));
    List<Spot> round =
        IntStream.range(0, 120)
            .mapToObj(i -> 2 * Math.PI * i / 120)
            .map(a -> new Spot(half * (1 + Math.cos(a)), half * (1 + Math.sin(a))))
            .toList();
    tell("a line drawn round most", times(20, i -> find(MeantBy.figure, round)));
    Outcome moved = make(move(some, 0));
    tell("words of a move of " + some.size(), times(20, i -> words(moved)));
    tell("undo of that where others went on", times(20, i -> undone(moved)));
  }

  private static Edit hide(List<String> but) {
    return new Hide(but, true, WhichPieces.others, null);
  }

  private static Edit layer(boolean hidden) {
    return SetLayerBuilder.builder().layer(Layer.FIRST.id()).hidden(hidden).build();
  }

  /** The same pieces, of which nothing is known yet. */
  private Space anew(int i) {
    return space.with(
        new Shell(space.shell().outline(), 3 + 0.001 * i, 0.2, List.of(), Finishes.NONE));
  }

  private List<String> find(MeantBy by, List<Spot> figure) {
    return Selecting.of(space, new Meant(by, List.of("p0"), null, null, figure, null, false));
  }

  private static String words(Outcome o) {
    return InWords.of(o.change(), o.space(), null).toString();
  }

  private Rebase undone(Outcome moved) {
    Space now =
        Edits.apply(moved.space(), List.of(new Rename("p0", "Other")), LengthUnit.M, () -> "x")
            .space();
    return Rebase.of(now, moved.change().reversed());
  }

  private Edit place(int i) {
    return new Place(
        "p" + i,
        EditFigures.article(i),
        null,
        new Edit.PlanPoint(
            Amount.of(EditFigures.x(i, pieces)), Amount.of(EditFigures.z(i, pieces))),
        null,
        null,
        null,
        null);
  }

  private static Edit move(List<String> ids, int i) {
    return new MoveBy(ids, new Edit.Place3(Amount.of(0.01 * (1 - 2 * (i % 2))), null, null));
  }

  private List<String> stools(int n) {
    return IntStream.range(0, n).mapToObj(i -> "p" + (4 + EditFigures.GROUP * i)).toList();
  }

  private static Edit about(List<String> ids, double by) {
    return TurnBuilder.builder().pieces(ids).by(Amount.of(by)).about("left front under").build();
  }

  private static Edit together(List<String> ids, double by) {
    return TurnBuilder.builder().pieces(ids).by(Amount.of(by)).together(true).build();
  }

  private static Edit size(List<String> ids, double width) {
    return new Resize(ids, new Edit.Measures(Amount.of(width), null, null), null);
  }

  private static Edit fill(String id) {
    return FillBuilder.builder()
        .piece(id)
        .measures(List.of(Measure.width))
        .beyond(OutOfRange.stretch)
        .build();
  }

  private static Edit pull(String id, Vec to) {
    return PullSideBuilder.builder()
        .piece(id)
        .side(Side.right)
        .ray(new Edit.Sight(new Vec(to.x(), 9, to.z()), Vec.DOWN))
        .near(0.05)
        .build();
  }

  private static List<String> ids(int n) {
    return IntStream.range(0, n).mapToObj(i -> "p" + i).toList();
  }

  private Object step(Edit edit) {
    space = make(edit).space();
    return space;
  }

  private double[] after(List<String> moved, Runnable asked) {
    List<Double> ms = new ArrayList<>();
    for (int i = 0; i < 40; i++) {
      step(move(moved, i));
      long t = System.nanoTime();
      asked.run();
      ms.add((System.nanoTime() - t) / 1e6);
    }
    return ms.stream().mapToDouble(d -> d).toArray();
  }

  private static double[] times(int n, IntFunction<Object> deed) {
    double[] ms = new double[n];
    for (int i = 0; i < n; i++) {
      long t = System.nanoTime();
      deed.apply(i);
      ms[i] = (System.nanoTime() - t) / 1e6;
    }
    return ms;
  }

  private void tell(String what, double[] ms) {
    Figures.percentiles("core-edits-" + pieces + ": " + what, ms);
  }
}
