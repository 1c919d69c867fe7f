package pied.server.handover;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Calendar;
import java.util.GregorianCalendar;
import java.util.List;
import java.util.Locale;
import java.util.TimeZone;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDDocumentInformation;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.apache.pdfbox.util.Matrix;
import pied.core.Nullable;
import pied.core.paper.Mark;
import pied.core.paper.Pen;
import pied.core.paper.Plate;
import pied.core.paper.Sheet;

/**
 * Sheets as PDF, at their true size, text as text in embedded type. The same sheets make the same
 * file.
 */
final class PdfSheets {
  /** Points in a millimetre: PDF counts in 72nds of an inch. */
  private static final double POINTS = 72 / 25.4;

  private final PDDocument doc = new PDDocument();
  private final PDType0Font regular = font("/fonts/Figtree-Regular.ttf");
  private final PDType0Font bold = font("/fonts/Figtree-SemiBold.ttf");

  /** For letters that the others have not. */
  private final PDType0Font other =
      font("/org/apache/pdfbox/resources/ttf/LiberationSans-Regular.ttf");

  private PDPageContentStream out;
  private double height;
  private @Nullable Pen pen;
  private @Nullable String filling;

  private PdfSheets() throws IOException {}

  /** Writes them, a page each. */
  static byte[] of(List<Sheet> sheets, Plate plate) throws IOException {
    PdfSheets pdf = new PdfSheets();
    try (PDDocument doc = pdf.doc) {
      for (Sheet s : sheets) {
        pdf.page(s);
      }
      PDDocumentInformation about = doc.getDocumentInformation();
      about.setTitle(plate.project() + ", " + plate.space() + ", " + sheets.get(0).title());
      about.setAuthor(plate.drawnBy());
      about.setCreator("Pied");
      about.setProducer("Pied");
      Calendar day = new GregorianCalendar(TimeZone.getTimeZone("UTC"), Locale.ROOT);
      day.setTimeInMillis(
          LocalDate.parse(plate.date()).atStartOfDay(ZoneOffset.UTC).toInstant().toEpochMilli());
      about.setCreationDate(day);
      about.setModificationDate(day);
      doc.setDocumentId(plate.revision()); // else it would be of the moment
      ByteArrayOutputStream bytes = new ByteArrayOutputStream();
      doc.save(bytes);
      return bytes.toByteArray();
    }
  }

  private PDType0Font font(String resource) throws IOException {
    try (InputStream in = PdfSheets.class.getResourceAsStream(resource)) {
      return PDType0Font.load(doc, in, true);
    }
  }

  private void page(Sheet s) throws IOException {
    height = s.paper().height();
    float w = (float) (s.paper().width() * POINTS);
    float h = (float) (height * POINTS);
    PDPage page = new PDPage(new PDRectangle(w, h));
    doc.addPage(page);
    pen = null;
    filling = null;
    try (PDPageContentStream stream = new PDPageContentStream(doc, page)) {
      out = stream;
      out.setLineCapStyle(1);
      out.setLineJoinStyle(1);
      for (Mark m : s.marks()) {
        mark(m);
      }
    }
  }

  private void mark(Mark m) throws IOException {
    if (m instanceof Mark.MarkLine l) {
      take(l.pen());
      path(l.xy(), false);
      out.stroke();
    } else if (m instanceof Mark.MarkArea a) {
      if (a.fill() != null) {
        fill(a.fill());
      }
      if (a.pen() != null) {
        take(a.pen());
      }
      for (double[] ring : a.rings()) {
        path(ring, true);
      }
      if (a.fill() == null) {
        out.stroke();
      } else if (a.pen() == null) {
        out.fillEvenOdd();
      } else {
        out.fillAndStrokeEvenOdd();
      }
    } else if (m instanceof Mark.MarkText t) {
      text(t);
    }
  }

  private void path(double[] xy, boolean closed) throws IOException {
    for (int i = 0; i < xy.length; i += 2) {
      float x = (float) (xy[i] * POINTS);
      float y = (float) ((height - xy[i + 1]) * POINTS);
      if (i == 0) {
        out.moveTo(x, y);
      } else {
        out.lineTo(x, y);
      }
    }
    if (closed) {
      out.closePath();
    }
  }

  private void take(Pen p) throws IOException {
    if (p == pen) {
      return;
    }
    pen = p;
    out.setLineWidth((float) (p.width() * POINTS));
    int rgb = Integer.parseInt(p.colour().substring(1), 16);
    out.setStrokingColor(part(rgb, 16), part(rgb, 8), part(rgb, 0));
    float[] dash = new float[p.dash().length];
    for (int i = 0; i < dash.length; i++) {
      dash[i] = (float) (p.dash()[i] * POINTS);
    }
    out.setLineDashPattern(dash, 0);
  }

  private void fill(String colour) throws IOException {
    if (!colour.equals(filling)) {
      filling = colour;
      int rgb = Integer.parseInt(colour.substring(1), 16);
      out.setNonStrokingColor(part(rgb, 16), part(rgb, 8), part(rgb, 0));
    }
  }

  private static float part(int rgb, int shift) {
    return (rgb >> shift & 255) / 255f;
  }

  private void text(Mark.MarkText t) throws IOException {
    if (t.text().isEmpty()) {
      return;
    }
    PDType0Font own = t.bold() ? bold : regular;
    // each run of letters in the type that has them
    List<String> runs = Runs.of(t.text(), c -> has(own, c), c -> has(other, c));
    double wide = 0;
    for (int i = 0; i < runs.size(); i++) {
      wide += (i % 2 == 0 ? own : other).getStringWidth(runs.get(i)) / 1000 * t.size();
    }
    double from =
        switch (t.anchor()) {
          case start -> 0;
          case middle -> -wide / 2;
          case end -> -wide;
        };
    double a = Math.toRadians(t.turn());
    double x = (t.x() + from * Math.cos(a)) * POINTS;
    double y = (height - t.y() + from * Math.sin(a)) * POINTS;
    fill("#000000");
    out.beginText();
    out.setTextMatrix(
        new Matrix(
            (float) Math.cos(a),
            (float) Math.sin(a),
            (float) -Math.sin(a),
            (float) Math.cos(a),
            (float) x,
            (float) y));
    for (int i = 0; i < runs.size(); i++) {
      if (!runs.get(i).isEmpty()) {
        out.setFont(i % 2 == 0 ? own : other, (float) (t.size() * POINTS));
        out.showText(runs.get(i));
      }
    }
    out.endText();
  }

  private static boolean has(PDType0Font font, int c) {
    try {
      font.encode(Character.toString(c));
      return true;
    } catch (IOException | IllegalArgumentException e) {
      return false;
    }
  }
}
