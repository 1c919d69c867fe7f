package pied.core.paper;

import pied.core.units.Decimal;

/** A sheet as SVG, in true millimetres. */
public final class SvgSheet {
  private final StringBuilder out = new StringBuilder();

  private SvgSheet() {}

  public static String of(Sheet sheet) {
    SvgSheet svg = new SvgSheet();
    svg.write(sheet);
    return svg.out.toString();
  }

  private void write(Sheet sheet) {
    String w = number(sheet.paper().width());
    String h = number(sheet.paper().height());
    out.append("<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n");
    out.append("<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"").append(w);
    out.append("mm\" height=\"").append(h).append("mm\" viewBox=\"0 0 ").append(w).append(' ');
    out.append(h).append("\" font-family=\"Figtree, Arial, sans-serif\">\n<title>");
    escaped(sheet.title());
    out.append("</title>\n<rect width=\"").append(w).append("\" height=\"").append(h);
    out.append("\" fill=\"#FFFFFF\"/>\n");
    for (Mark m : sheet.marks()) {
      mark(m);
    }
    out.append("</svg>\n");
  }

  private void mark(Mark m) {
    if (m instanceof Mark.MarkLine l) {
      out.append("<path d=\"");
      path(l.xy(), false);
      out.append("\" fill=\"none\"");
      pen(l.pen());
      out.append("/>\n");
    } else if (m instanceof Mark.MarkArea a) {
      out.append("<path d=\"");
      a.rings().forEach(r -> path(r, true));
      out.append("\" fill-rule=\"evenodd\" fill=\"").append(a.fill() == null ? "none" : a.fill());
      out.append('"');
      if (a.pen() != null) {
        pen(a.pen());
      }
      out.append("/>\n");
    } else if (m instanceof Mark.MarkText t) {
      text(t);
    }
  }

  private void text(Mark.MarkText t) {
    String x = number(t.x());
    String y = number(t.y());
    out.append("<text x=\"").append(x).append("\" y=\"").append(y).append("\" font-size=\"");
    out.append(number(t.size())).append('"');
    if (t.anchor() != Mark.Anchor.start) {
      out.append(" text-anchor=\"").append(t.anchor()).append('"');
    }
    if (t.bold()) {
      out.append(" font-weight=\"600\"");
    }
    if (t.turn() != 0) {
      out.append(" transform=\"rotate(").append(number(-t.turn())).append(' ').append(x);
      out.append(' ').append(y).append(")\"");
    }
    out.append('>');
    escaped(t.text());
    out.append("</text>\n");
  }

  private void path(double[] xy, boolean closed) {
    for (int i = 0; i < xy.length; i += 2) {
      out.append(i == 0 ? 'M' : 'L').append(number(xy[i])).append(' ').append(number(xy[i + 1]));
    }
    out.append(closed ? "Z" : "");
  }

  private void pen(Pen pen) {
    out.append(" stroke=\"").append(pen.colour()).append("\" stroke-width=\"");
    out.append(number(pen.width())).append("\" stroke-linecap=\"round\" stroke-linejoin=\"round\"");
    double[] dash = pen.dash();
    if (dash.length > 0) {
      out.append(" stroke-dasharray=\"");
      for (int i = 0; i < dash.length; i++) {
        out.append(i == 0 ? "" : " ").append(number(dash[i]));
      }
      out.append('"');
    }
  }

  private void escaped(String s) {
    s.codePoints()
        .forEach(
            c -> {
              switch (c) {
                case '<' -> out.append("&lt;");
                case '>' -> out.append("&gt;");
                case '&' -> out.append("&amp;");
                case '"' -> out.append("&quot;");
                default -> {
                  boolean allowed =
                      c >= 0x20 && c != 0xFFFE && c != 0xFFFF && (c < 0xD800 || c > 0xDFFF);
                  out.appendCodePoint(allowed ? c : '\uFFFD');
                }
              }
            });
  }

  /** To a ten-thousandth of a millimetre. */
  static String number(double v) {
    StringBuilder s = new StringBuilder();
    Decimal.append(s, v, 10_000);
    return s.toString();
  }
}
