package pied.core.paper;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;
import pied.core.units.Decimal;

/** A sheet as SVG, in true millimetres. */
public final class SvgSheet {
  private static final String NAMESPACE = "http://www.w3.org/2000/svg";

  /** Parts of a millimetre that are written. */
  private static final int FINE = 10_000;

  private final XMLStreamWriter xml;

  private SvgSheet(XMLStreamWriter xml) {
    this.xml = xml;
  }

  /** As a text. */
  public static String of(Sheet sheet) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try {
      write(sheet, out);
    } catch (IOException e) {
      throw new UncheckedIOException("Memory takes whatever is written", e);
    }
    return out.toString(StandardCharsets.UTF_8);
  }

  /**
   * Writes it in UTF-8, and closes nothing.
   *
   * @throws IOException if the stream does not take it
   */
  public static void write(Sheet sheet, OutputStream out) throws IOException {
    try {
      XMLStreamWriter xml =
          XMLOutputFactory.newDefaultFactory()
              .createXMLStreamWriter(out, StandardCharsets.UTF_8.name());
      new SvgSheet(xml).sheet(sheet);
      xml.flush();
    } catch (XMLStreamException e) {
      throw new IOException("The drawing could not be written", e);
    }
  }

  private void sheet(Sheet sheet) throws XMLStreamException {
    String w = number(sheet.paper().width());
    String h = number(sheet.paper().height());
    xml.writeStartDocument(StandardCharsets.UTF_8.name(), "1.0");
    line();
    xml.writeStartElement("svg");
    xml.writeDefaultNamespace(NAMESPACE);
    set("width", w + "mm");
    set("height", h + "mm");
    set("viewBox", "0 0 " + w + ' ' + h);
    set("font-family", "Figtree, Arial, sans-serif");
    line();
    xml.writeStartElement("title");
    xml.writeCharacters(legal(sheet.title()));
    xml.writeEndElement();
    line();
    xml.writeEmptyElement("rect");
    set("width", w);
    set("height", h);
    set("fill", "#FFFFFF");
    line();
    for (Mark m : sheet.marks()) {
      mark(m);
      line();
    }
    xml.writeEndElement();
    line();
    xml.writeEndDocument();
  }

  private void mark(Mark m) throws XMLStreamException {
    if (m instanceof Mark.MarkLine l) {
      xml.writeEmptyElement("path");
      StringBuilder path = new StringBuilder();
      path(path, l.xy(), false);
      set("d", path.toString());
      set("fill", "none");
      pen(l.pen());
    } else if (m instanceof Mark.MarkArea a) {
      xml.writeEmptyElement("path");
      StringBuilder path = new StringBuilder();
      a.rings().forEach(r -> path(path, r, true));
      set("d", path.toString());
      set("fill-rule", "evenodd");
      set("fill", a.fill() == null ? "none" : a.fill());
      if (a.pen() != null) {
        pen(a.pen());
      }
    } else if (m instanceof Mark.MarkText t) {
      text(t);
    }
  }

  private void text(Mark.MarkText t) throws XMLStreamException {
    String x = number(t.x());
    String y = number(t.y());
    xml.writeStartElement("text");
    set("x", x);
    set("y", y);
    set("font-size", number(t.size()));
    if (t.anchor() != Mark.Anchor.start) {
      set("text-anchor", t.anchor().name());
    }
    if (t.bold()) {
      set("font-weight", "600");
    }
    if (t.turn() != 0) {
      set("transform", "rotate(" + number(-t.turn()) + ' ' + x + ' ' + y + ')');
    }
    xml.writeCharacters(legal(t.text()));
    xml.writeEndElement();
  }

  private static void path(StringBuilder out, double[] xy, boolean closed) {
    for (int i = 0; i < xy.length; i += 2) {
      out.append(i == 0 ? 'M' : 'L');
      Decimal.append(out, xy[i], FINE);
      out.append(' ');
      Decimal.append(out, xy[i + 1], FINE);
    }
    out.append(closed ? "Z" : "");
  }

  private void pen(Pen pen) throws XMLStreamException {
    set("stroke", pen.colour());
    set("stroke-width", number(pen.width()));
    set("stroke-linecap", "round");
    set("stroke-linejoin", "round");
    double[] dash = pen.dash();
    if (dash.length > 0) {
      StringBuilder all = new StringBuilder();
      for (int i = 0; i < dash.length; i++) {
        all.append(i == 0 ? "" : " ").append(number(dash[i]));
      }
      set("stroke-dasharray", all.toString());
    }
  }

  private void set(String attribute, String value) throws XMLStreamException {
    xml.writeAttribute(attribute, value);
  }

  private void line() throws XMLStreamException {
    xml.writeCharacters("\n");
  }

  /** Letters that XML 1.0 may not have (section 2.2) are shown as missing. */
  private static String legal(String s) {
    StringBuilder out = new StringBuilder();
    s.codePoints()
        .forEach(
            c -> {
              boolean allowed =
                  c >= 0x20 && c != 0xFFFE && c != 0xFFFF && (c < 0xD800 || c > 0xDFFF);
              out.appendCodePoint(allowed ? c : '\uFFFD');
            });
    return out.toString();
  }

  static String number(double v) {
    StringBuilder s = new StringBuilder();
    Decimal.append(s, v, FINE);
    return s.toString();
  }
}
