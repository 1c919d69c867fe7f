package pied.bench;

import java.util.List;
import java.util.UUID;
import java.util.function.IntFunction;
import pied.core.catalog.Catalog;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.Edits;
import pied.core.edit.Outcome;
import pied.core.edit.RepeatedArticle;
import pied.core.material.Finishes;
import pied.core.piece.Piece;
import pied.core.piece.Shapes;
import pied.core.propose.Say;
import pied.core.say.Ask;
import pied.core.space.Group;
import pied.core.space.Outlines;
import pied.core.space.Shell;
import pied.core.space.Space;
import pied.core.tool.group.Dissolve;
import pied.core.tool.lineup.LineUp;
import pied.core.tool.lineup.LineUpBuilder;
import pied.core.tool.ring.RingBuilder;
import pied.core.tool.row.RowBuilder;
import pied.core.tool.scatter.ScatterBuilder;
import pied.core.tool.spaceout.SpaceOut;
import pied.core.tool.spaceout.SpaceOutBuilder;
import pied.core.tool.trail.TrailBuilder;
import pied.core.tool.twin.MakeTwins;
import pied.core.tool.twin.TwinLine;
import pied.core.units.LengthUnit;

/**
 * Takes the figures of what arranges many and makes many, in core: {@code ManyFigures N...}, each
 * with so many stools in a room large enough for them; and of a sentence, which is understood with
 * so many pieces about it.
 */
public final class ManyFigures {
  /** As many as one row of a room has room for; more stand in rows. */
  private static final int ROW = 250;

  private static final List<RepeatedArticle> STOOL = List.of(new RepeatedArticle("stool", null));

  private final Space bare;
  private final int n;
  private final double side;

  private ManyFigures(Shapes shapes, int n) {
    this.n = n;
    side = Math.max(6, 2 + 1.1 * Math.sqrt(n));
    double wide = Math.max(side, 2 + 0.5 * Math.min(n, ROW));
    Shell shell = new Shell(Outlines.rectangle(wide, side), 3, 0.2, List.of(), Finishes.NONE);
    bare = new Space(shell, List.of(), shapes);
  }

  public static void main(String[] args) {
    Shapes shapes = new Shapes(Catalog.shipped());
    new ManyFigures(shapes, 50).measure(false);
    for (String n : args) {
      new ManyFigures(shapes, Integer.parseInt(n)).measure(true);
    }
  }

  private static Outcome make(Space space, Edit... edits) {
    return Edits.apply(space, List.of(edits), LengthUnit.M, () -> UUID.randomUUID().toString());
  }

  private void measure(boolean tell) {
    Space many = make(bare, strewn(n, 1)).space();
    // as pieces by themselves
    Space strewn = make(many, new Dissolve(many.filing().groups().get(0).id())).space();
    List<String> ids = strewn.pieces().stream().map(Piece::id).toList();
    tell(tell, "scatter on a floor", times(i -> make(bare, strewn(n, i))));
    tell(tell, "line up", times(i -> make(strewn, lineUp(ids, i))));
    tell(tell, "line up in height", times(i -> make(strewn, level(ids))));
    tell(tell, "space out", times(i -> make(strewn, spaceOut(ids, 0.05 + 0.01 * i))));
    tell(tell, "row", times(i -> make(bare, row(n, 0.05 + 0.001 * i))));
    Space row = make(bare, row(n, 0.05)).space();
    Group group = row.filing().groups().get(0);
    Edit wider = RowBuilder.builder().group(group.id()).gap(Amount.of(0.08)).build();
    tell(tell, "row adjusted", times(i -> make(row, wider)));
    tell(tell, "trail along a wall", times(i -> make(bare, trail(Math.min(n, ROW)))));
    tell(tell, "ring around a point", times(i -> make(bare, ring(Math.min(n, 300)))));
    Edit twins =
        new MakeTwins(
            ids,
            new TwinLine(
                TwinLine.TwinBy.deep, null, new Edit.PlanPoint(null, Amount.of(side / 2)), null));
    tell(tell, "twins of all", times(i -> make(strewn, twins)));
    Space crowded = strewn;
    tell(tell, "a sentence understood", times(i -> understood(crowded, ids, i)));
    tell(tell, "a sentence that names a piece", times(i -> named(crowded, ids, i)));
  }

  private static Edit strewn(int n, int seed) {
    return ScatterBuilder.builder()
        .of(STOOL)
        .count(Amount.of(n))
        .seed(Amount.of(seed + 1))
        .least(Amount.of(0.02))
        .build();
  }

  private static Edit lineUp(List<String> ids, int i) {
    LineUp.LineUpPart part = i % 2 == 0 ? LineUp.LineUpPart.back : LineUp.LineUpPart.front;
    return LineUpBuilder.builder().pieces(ids).deep(new LineUp.LineUpMeeting(part, null)).build();
  }

  private static Edit level(List<String> ids) {
    return LineUpBuilder.builder()
        .pieces(ids)
        .high(new LineUp.LineUpMeeting(LineUp.LineUpPart.top, null))
        .build();
  }

  private static Edit spaceOut(List<String> ids, double gap) {
    return SpaceOutBuilder.builder()
        .pieces(ids)
        .how(SpaceOut.SpaceOutHow.gap)
        .by(Amount.of(gap))
        .build();
  }

  private static Edit row(int n, double gap) {
    return RowBuilder.builder()
        .of(STOOL)
        .at(new Edit.PlanPoint(Amount.of(0.5), Amount.of(2)))
        .count(Amount.of(Math.min(n, ROW)))
        .rows(Amount.of((n + ROW - 1) / ROW))
        .gap(Amount.of(gap))
        .build();
  }

  private static Edit trail(int n) {
    return TrailBuilder.builder().of(STOOL).along(List.of("wall:A")).count(Amount.of(n)).build();
  }

  private Edit ring(int n) {
    return RingBuilder.builder()
        .of(STOOL)
        .at(new Edit.PlanPoint(Amount.of(side / 2), Amount.of(side / 2)))
        .radius(Amount.of(0.3 + n * 0.1))
        .count(Amount.of(n))
        .build();
  }

  private static Object understood(Space space, List<String> ids, int i) {
    String text = (i % 9 + 1) + " in a row, 0.2 apart, along wall A";
    return Say.understand(new Ask(space, ids.subList(0, 1), LengthUnit.M, () -> "x"), text);
  }

  private static Object named(Space space, List<String> ids, int i) {
    String text = "40 books and cups on Stool " + (i % 5 + 2) + ", seed " + i;
    return Say.understand(new Ask(space, ids.subList(0, 1), LengthUnit.M, () -> "x"), text);
  }

  private static double[] times(IntFunction<Object> deed) {
    deed.apply(0);
    deed.apply(1);
    double[] ms = new double[9];
    for (int i = 0; i < ms.length; i++) {
      long t = System.nanoTime();
      deed.apply(i + 2);
      ms[i] = (System.nanoTime() - t) / 1e6;
    }
    return ms;
  }

  private void tell(boolean said, String what, double[] ms) {
    if (said) {
      Figures.percentiles("many-" + n + ": " + what, ms);
    }
  }
}
