package pied.core.paper;

import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import pied.core.drawing.Elevation;
import pied.core.drawing.Ink;
import pied.core.drawing.Label;
import pied.core.paper.Mark.Anchor;
import pied.core.space.Space;

/** An elevation or a section to scale. */
final class ElevationBoard {
  private static final String SOLID = "#8F8A83";
  private static final String PALE = "#C9C4BC";

  private final Space space;
  private final Elevation drawing;
  private final SheetNumbers numbers;
  private final boolean numbered;
  private final Board board;
  private final Legend legend = new Legend();

  ElevationBoard(
      Space space, Elevation drawing, int scale, SheetNumbers numbers, boolean numbered) {
    this.space = space;
    this.drawing = drawing;
    this.numbers = numbers;
    this.numbered = numbered;
    this.board = new Board(scale);
  }

  Board draw() {
    for (Ink i : drawing.inks()) {
      if (i.style() == Ink.InkStyle.cut) {
        board.cut(i.rings(), SOLID);
      }
    }
    board.drawCut();
    for (Ink i : drawing.inks()) {
      if (i.style() == Ink.InkStyle.cutPiece) {
        board.area(i.rings(), PALE, Pen.OUTLINE);
      }
      Pen pen = pen(i.style());
      i.lines().forEach(l -> board.line(l, pen));
    }
    drawing.labels().forEach(this::label);
    new SheetMeasures(board).add(drawing.dimensions());
    for (int n = drawing.figures().size() - 1; numbered && n >= 0; n--) {
      number(drawing.figures().get(n));
    }
    return board;
  }

  private static Pen pen(Ink.InkStyle style) {
    return switch (style) {
      case piece -> Pen.PIECE;
      case hatch -> Pen.HATCH;
      default -> Pen.EDGE;
    };
  }

  Legend legend() {
    return legend;
  }

  private void label(Label l) {
    double under = l.kind().equals("under") ? Board.SMALL : -0.8;
    board.text(
        l.text(),
        l.x() * board.k(),
        l.y() * board.k() + under,
        Board.SMALL,
        Anchor.valueOf(l.anchor()),
        false);
  }

  private void number(Ink figure) {
    if (figure.part() == null || !space.has(figure.part()) || figure.rings().isEmpty()) {
      return;
    }
    SheetNumbers.LegendEntry e = numbers.of(space.piece(figure.part()));
    legend.add(e);
    Envelope box = new Envelope();
    for (double[] ring : figure.rings()) {
      for (int i = 0; i < ring.length; i += 2) {
        box.expandToInclude(ring[i] * board.k(), ring[i + 1] * board.k());
      }
    }
    String text = String.valueOf(e.number());
    Coordinate middle = box.centre();
    double room = Math.min(box.getWidth(), box.getHeight());
    if (!board.about(text, middle.x, middle.y, Board.SMALL, room)) {
      legend.leftOut();
    }
  }
}
