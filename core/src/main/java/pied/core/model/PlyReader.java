package pied.core.model;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import pied.core.Refusal;
import pied.core.solid.Vec;

/** Reads PLY, the text form and both binary ones. It says neither unit nor what is up. */
final class PlyReader {
  private record Property(String name, String type, String countType) {}

  private record Element(String name, int count, List<Property> properties) {}

  private final byte[] b;
  private final List<Element> elements = new ArrayList<>();
  private ByteBuffer in;
  private boolean text;
  private final int[] at = {0};

  private PlyReader(byte[] b) {
    this.b = b;
  }

  static boolean is(byte[] b) {
    return ModelReader.begins(b, "ply\n") || ModelReader.begins(b, "ply\r");
  }

  static Model read(byte[] b) {
    PlyReader r = new PlyReader(b);
    r.head();
    return r.body();
  }

  private void head() {
    int from = 0;
    while (true) {
      int end = from;
      while (end < b.length && b[end] != '\n') {
        end++;
      }
      if (end >= b.length || from > 1 << 20) {
        throw new Refusal("The head of the PLY file has no end; it may be cut off.");
      }
      String[] w =
          new String(b, from, end - from, StandardCharsets.ISO_8859_1).strip().split("\\s+");
      from = end + 1;
      switch (w[0]) {
        case "format" -> {
          text = w.length > 1 && w[1].equals("ascii");
          in =
              ByteBuffer.wrap(b)
                  .order(
                      w.length > 1 && w[1].contains("big")
                          ? ByteOrder.BIG_ENDIAN
                          : ByteOrder.LITTLE_ENDIAN);
        }
        case "element" -> {
          double n = ModelReader.number(w.length > 2 ? w[2] : null, "PLY");
          if (!(n >= 0 && n <= 100e6)) {
            throw new Refusal("The PLY file promises " + w[2] + " of something; that is too many.");
          }
          elements.add(new Element(w[1], (int) n, new ArrayList<>()));
        }
        case "property" -> {
          if (elements.isEmpty() || w.length < 3 || w[1].equals("list") && w.length < 5) {
            throw new Refusal("The head of the PLY file cannot be read.");
          }
          List<Property> to = elements.get(elements.size() - 1).properties;
          to.add(
              w[1].equals("list")
                  ? new Property(w[4], w[3], w[2])
                  : new Property(w[2], w[1], null));
        }
        case "end_header" -> {
          if (in == null) {
            throw new Refusal("The PLY file does not say how it is written.");
          }
          in.position(from);
          at[0] = from;
          return;
        }
        default -> {
          // comments and the like
        }
      }
    }
  }

  private Model body() {
    Collector out = new Collector();
    double[] xyz = new double[0];
    try {
      for (Element e : elements) {
        if (e.name.equals("vertex")) {
          xyz = vertices(e);
        } else {
          faces(e, xyz, out);
        }
      }
    } catch (java.nio.BufferUnderflowException x) {
      throw new Refusal("The PLY file ends in the middle; fetch it anew.");
    }
    return out.model(null, null);
  }

  private double[] vertices(Element e) {
    int[] slot = new int[e.properties.size()];
    for (int i = 0; i < slot.length; i++) {
      slot[i] = "xyz".indexOf(e.properties.get(i).name);
      if (e.properties.get(i).name.length() != 1) {
        slot[i] = -1;
      }
      if (e.properties.get(i).countType != null) {
        throw new Refusal("The corners of the PLY file are written in a way that is not known.");
      }
    }
    if ((long) e.count * Math.max(1, slot.length) > b.length) {
      throw new java.nio.BufferUnderflowException();
    }
    double[] xyz = new double[3 * e.count];
    for (int v = 0; v < e.count; v++) {
      for (int i = 0; i < slot.length; i++) {
        double value = number(e.properties.get(i).type);
        if (slot[i] >= 0) {
          xyz[3 * v + slot[i]] = value;
        }
      }
    }
    return xyz;
  }

  private void faces(Element e, double[] xyz, Collector out) {
    boolean isFace = e.name.equals("face");
    double[] p = new double[9];
    for (int f = 0; f < e.count; f++) {
      for (Property property : e.properties) {
        boolean corners = isFace && property.name.matches("vertex_ind(ex|ices)");
        if (property.countType == null) {
          number(property.type);
          continue;
        }
        int n = (int) number(property.countType);
        if (n < 0 || n > 1_000_000) {
          throw new Refusal("The PLY file has a face of " + n + " corners.");
        }
        if (!corners) {
          for (int i = 0; i < n; i++) {
            number(property.type);
          }
          continue;
        }
        if (n == 3) {
          for (int i = 0; i < 3; i++) {
            int v = corner(number(property.type), xyz);
            System.arraycopy(xyz, 3 * v, p, 3 * i, 3);
          }
          out.triangle(null, p);
          continue;
        }
        List<Vec> face = new ArrayList<>(n);
        for (int i = 0; i < n; i++) {
          int v = corner(number(property.type), xyz);
          face.add(new Vec(xyz[3 * v], xyz[3 * v + 1], xyz[3 * v + 2]));
        }
        out.face(null, face);
      }
    }
  }

  private static int corner(double v, double[] xyz) {
    if (!(v >= 0 && v < xyz.length / 3)) {
      throw new Refusal("The PLY file has a face whose corner is not there.");
    }
    return (int) v;
  }

  private double number(String type) {
    if (text) {
      double v = Numbers.read(b, at, b.length);
      if (at[0] < 0) {
        throw new java.nio.BufferUnderflowException();
      }
      return v;
    }
    return switch (type) {
      case "char", "int8" -> in.get();
      case "uchar", "uint8" -> in.get() & 0xFF;
      case "short", "int16" -> in.getShort();
      case "ushort", "uint16" -> in.getShort() & 0xFFFF;
      case "int", "int32" -> in.getInt();
      case "uint", "uint32" -> in.getInt() & 0xFFFFFFFFL;
      case "float", "float32" -> in.getFloat();
      case "double", "float64" -> in.getDouble();
      default ->
          throw new Refusal("The PLY file has numbers of a sort “" + type + "” that is not known.");
    };
  }
}
