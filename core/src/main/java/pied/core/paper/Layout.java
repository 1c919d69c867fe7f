package pied.core.paper;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.locationtech.jts.geom.Envelope;
import pied.core.paper.Drawings.DrawnSheet;
import pied.core.paper.Drawings.SheetWish;
import pied.core.paper.Mark.Anchor;
import pied.core.space.Shell;
import pied.core.space.Space;
import pied.core.units.Refusal;

/**
 * Lays a drawing on sheets: the frame, the drawing in as many parts as it takes, the legend beside
 * it, and the title block below.
 */
final class Layout {
  private static final double MARGIN = 10;
  private static final double STRIP = 20;
  private static final double LEGEND = 62;
  private static final double AROUND = 4;
  private static final double ROW = 4;

  /** What is on two sheets, so that they can be put together, millimetres. */
  private static final double OVERLAP = 15;

  private static final int MOST = 60;

  private final Space space;
  private final SheetWish wish;
  private final int scale;
  private final Plate plate;
  private final DrawnSheet drawn;
  private final Envelope extent;
  private final List<String[]> legend = new ArrayList<>();

  Layout(Space space, SheetWish wish, int scale, Plate plate, DrawnSheet drawn) {
    this.space = space;
    this.wish = wish;
    this.scale = scale;
    this.plate = plate;
    this.drawn = drawn;
    this.extent = new Envelope(drawn.board().extent());
    for (Map.Entry<SheetNumbers.LegendEntry, Integer> e : drawn.legend().all().entrySet()) {
      SheetNumbers.LegendEntry n = e.getKey();
      legend.add(
          new String[] {String.valueOf(n.number()), e.getValue() + " ×", n.name(), n.size()});
    }
    legend.addAll(drawn.legend().marks());
    int without = drawn.legend().withoutRoom();
    if (without > 0) {
      String what = without == 1 ? " number has no room here" : " numbers have no room here";
      legend.add(new String[] {"", "", String.format(Locale.ROOT, "%,d", without) + what, ""});
    }
  }

  /** Whether the bare floor alone has room at a scale: if not, all of it has none either. */
  static boolean mayFit(Space space, SheetWish wish, int scale) {
    Envelope e = Shell.envelope(space.shell().outline());
    double k = 1000.0 / scale;
    double w = wish.paper().width() - 2 * MARGIN;
    double h = wish.paper().height() - 2 * MARGIN - STRIP;
    double high =
        wish.kind() == Drawings.SheetKind.elevation ? space.shell().height() : e.getHeight();
    double wide =
        wish.kind() == Drawings.SheetKind.elevation
            ? Math.min(e.getWidth(), e.getHeight())
            : e.getWidth();
    return wide * k <= w && high * k <= h;
  }

  /** How wide a drawing without a legend may be on one sheet, millimetres. */
  static double room(SheetWish wish) {
    return wish.paper().width() - 2 * MARGIN - 2 * AROUND;
  }

  private double width() {
    return wish.paper().width() - 2 * MARGIN - (legend.isEmpty() ? 0 : LEGEND);
  }

  private double height() {
    return wish.paper().height() - 2 * MARGIN - STRIP;
  }

  private int across() {
    return parts(extent.getWidth() + 2 * AROUND, width());
  }

  private int down() {
    return parts(extent.getHeight() + 2 * AROUND, height());
  }

  private static int parts(double length, double room) {
    return length <= room ? 1 : (int) Math.ceil((length - OVERLAP) / (room - OVERLAP));
  }

  private int rows() {
    return (int) Math.floor((height() - 10) / ROW);
  }

  /** Whether all of it, with its legend, is on one sheet. */
  boolean onOne() {
    return across() == 1 && down() == 1 && legend.size() <= rows();
  }

  List<Sheet> sheets() {
    int across = across();
    int down = down();
    if (across * down > MOST) {
      throw new Refusal(
          "At 1:{} on {} this takes {} sheets; choose a smaller scale or larger paper.",
          scale,
          wish.paper().name(),
          across * down);
    }
    // a legend that has no room beside the drawing goes on sheets of its own
    boolean beside = legend.size() <= rows();
    int columns = (int) Math.floor((wish.paper().width() - 2 * MARGIN) / (LEGEND + 30));
    int lists = beside ? 0 : (int) Math.ceil(legend.size() / (double) (columns * rows()));
    int all = across * down + lists;
    List<Sheet> sheets = new ArrayList<>();
    for (int r = 0; r < down; r++) {
      for (int c = 0; c < across; c++) {
        List<Mark> marks = new ArrayList<>();
        part(marks, c, r, across, down);
        frame(marks, sheets.size() + 1, all, part(c, r, across, down));
        if (!legend.isEmpty()) {
          legend(marks, beside, all);
        }
        sheets.add(new Sheet(wish.paper(), drawn.title(), marks));
      }
    }
    for (int i = 0; i < lists; i++) {
      List<Mark> marks = new ArrayList<>();
      frame(marks, sheets.size() + 1, all, "legend");
      for (int c = 0; c < columns; c++) {
        int from = Math.min(legend.size(), (i * columns + c) * rows());
        int to = Math.min(legend.size(), from + rows());
        rows(marks, legend.subList(from, to), MARGIN + 4 + c * (LEGEND + 30), LEGEND + 24);
      }
      sheets.add(new Sheet(wish.paper(), drawn.title() + ", legend", marks));
    }
    return sheets;
  }

  private static String part(int c, int r, int across, int down) {
    return across * down == 1
        ? ""
        : "part " + (char) ('A' + r) + (c + 1) + " of " + (char) ('A' + down - 1) + across;
  }

  // ---- the drawing

  private void part(List<Mark> marks, int c, int r, int across, int down) {
    double w = width();
    double h = height();
    double x0 = across == 1 ? extent.centre().x - w / 2 : left(c, across, w);
    double y0 = down == 1 ? extent.centre().y - h / 2 : top(r, down, h);
    Cut cut = new Cut(new Envelope(x0, x0 + w, y0, y0 + h), MARGIN - x0, MARGIN - y0);
    drawn.board().marks().forEach(m -> cut.add(m, marks));
  }

  private double left(int c, int across, double w) {
    double all = across * (w - OVERLAP) + OVERLAP;
    return extent.centre().x - all / 2 + c * (w - OVERLAP);
  }

  private double top(int r, int down, double h) {
    double all = down * (h - OVERLAP) + OVERLAP;
    return extent.centre().y - all / 2 + r * (h - OVERLAP);
  }

  // ---- what is around it

  private void frame(List<Mark> marks, int sheet, int of, String part) {
    double right = wish.paper().width() - MARGIN;
    double bottom = wish.paper().height() - MARGIN;
    double y = bottom - STRIP;
    marks.add(box(MARGIN, MARGIN, right, bottom, Pen.FRAME));
    marks.add(line(MARGIN, y, right, y, Pen.OUTLINE));
    double narrow = wish.paper().width() < 400 ? 0.72 : 1;
    double[] widths = {30 * narrow, 24 * narrow, 34 * narrow, 24 * narrow, 16 * narrow};
    String[] heads = {"Drawn by", "Date", "Scale", "Revision", "Sheet"};
    String[] texts = {
      plate.drawnBy(),
      plate.date(),
      "1:" + scale + " on " + wish.paper().name(),
      String.valueOf(plate.revision()),
      sheet + " of " + of
    };
    double x = right;
    for (int i = widths.length - 1; i >= 0; i--) {
      x -= widths[i];
      cell(marks, x, y, widths[i], heads[i], texts[i]);
    }
    double title = 74 * narrow;
    x -= title;
    cell(marks, x, y, title, "Drawing", drawn.title() + (part.isEmpty() ? "" : ", " + part));
    double who = 66 * narrow;
    x -= who;
    cell(marks, x, y, who, plate.project(), plate.space());
    scaleBar(marks, MARGIN + 6, y + 12, x - MARGIN - 26);
    direction(marks, x - 11, y + STRIP / 2);
  }

  private static void cell(List<Mark> marks, double x, double y, double w, String head, String t) {
    marks.add(line(x, y, x, y + STRIP, Pen.EDGE));
    marks.add(
        new Mark.MarkText(
            Type.fitting(head, 2.2, w - 4), x + 2, y + 6, 2.2, Anchor.start, 0, false));
    double size = Type.width(t, 3.5) <= w - 4 ? 3.5 : 2.5;
    marks.add(
        new Mark.MarkText(
            Type.fitting(t, size, w - 4), x + 2, y + 13.5, size, Anchor.start, 0, true));
  }

  /** Five parts of a length that is read easily, as long as there is room for. */
  private void scaleBar(List<Mark> marks, double x, double y, double room) {
    double unit = wish.unit() == pied.core.units.LengthUnit.FT ? 0.3048 : 1;
    String name = unit == 1 ? " m" : " ft";
    double each = 0.1 * unit;
    for (double step : new double[] {0.2, 0.5, 1, 2, 5, 10}) {
      if (5 * step * unit * 1000 / scale <= room - 12) {
        each = step * unit;
      }
    }
    double w = each * 1000 / scale;
    for (int i = 0; i < 5; i++) {
      double[] ring = {
        x + i * w, y, x + (i + 1) * w, y, x + (i + 1) * w, y - 1.6, x + i * w, y - 1.6
      };
      marks.add(new Mark.MarkArea(List.of(ring), i % 2 == 0 ? "#000000" : "#FFFFFF", Pen.EDGE));
    }
    for (int i = 0; i <= 5; i += 5) {
      String text = plain(i * each / unit) + (i == 5 ? name : "");
      marks.add(new Mark.MarkText(text, x + i * w, y + 3.4, 2.2, Anchor.middle, 0, false));
    }
  }

  private static String plain(double v) {
    String s = String.format(java.util.Locale.ROOT, "%.1f", v);
    return s.endsWith(".0") ? s.substring(0, s.length() - 2) : s;
  }

  /** Where north is, or the audience. */
  private void direction(List<Mark> marks, double x, double y) {
    if (wish.kind() == Drawings.SheetKind.elevation) {
      return;
    }
    boolean stage = space.shell().stage() != null;
    double turn = stage ? 180 : space.shell().north();
    double a = Math.toRadians(turn);
    double ux = -Math.sin(a);
    double uy = -Math.cos(a);
    double tip = 6;
    marks.add(line(x - tip * ux, y - tip * uy, x + tip * ux, y + tip * uy, Pen.OUTLINE));
    double[] head = {
      x + tip * ux,
      y + tip * uy,
      x + 2.5 * ux - 1.6 * uy,
      y + 2.5 * uy + 1.6 * ux,
      x + 2.5 * ux + 1.6 * uy,
      y + 2.5 * uy - 1.6 * ux
    };
    marks.add(new Mark.MarkArea(List.of(head), "#000000", null));
    marks.add(
        stage
            ? new Mark.MarkText("audience", x - 3, y + 0.8, 2.2, Anchor.end, 0, false)
            : new Mark.MarkText("N", x - 4, y + 1, 2.8, Anchor.end, 0, true));
  }

  private void legend(List<Mark> marks, boolean beside, int sheets) {
    double x = wish.paper().width() - MARGIN - LEGEND;
    marks.add(line(x, MARGIN, x, wish.paper().height() - MARGIN - STRIP, Pen.EDGE));
    if (beside) {
      rows(marks, legend, x + 2, LEGEND - 4);
    } else {
      String text = "The legend is on sheet " + sheets + ".";
      marks.add(new Mark.MarkText(text, x + 3, MARGIN + 6, 2.5, Anchor.start, 0, false));
    }
  }

  private static void rows(List<Mark> marks, List<String[]> rows, double x, double w) {
    double y = MARGIN + 6;
    for (String[] r : rows) {
      double size = Type.width(r[3], 2.2);
      marks.add(new Mark.MarkText(r[0], x + 5, y, 2.2, Anchor.end, 0, true));
      marks.add(new Mark.MarkText(r[1], x + 12, y, 2.2, Anchor.end, 0, false));
      String name = Type.fitting(r[2], 2.2, w - 14 - size - 1);
      marks.add(new Mark.MarkText(name, x + 13.5, y, 2.2, Anchor.start, 0, false));
      marks.add(new Mark.MarkText(r[3], x + w, y, 2.2, Anchor.end, 0, false));
      y += ROW;
    }
  }

  private static Mark line(double x1, double y1, double x2, double y2, Pen pen) {
    return new Mark.MarkLine(new double[] {x1, y1, x2, y2}, pen);
  }

  private static Mark box(double x1, double y1, double x2, double y2, Pen pen) {
    return new Mark.MarkLine(new double[] {x1, y1, x2, y1, x2, y2, x1, y2, x1, y1}, pen);
  }
}
