package pied.core.model;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import pied.core.solid.Vec;
import pied.core.units.Refusal;

/** Reads PLY, the text form and both binary ones. It says neither unit nor what is up. */
final class PlyReader {
  /** Sorts of numbers. */
  private enum PlySort {
    INT8,
    UINT8,
    INT16,
    UINT16,
    INT32,
    UINT32,
    FLOAT32,
    FLOAT64;

    static PlySort of(String name) {
      return switch (name) {
        case "char", "int8" -> INT8;
        case "uchar", "uint8" -> UINT8;
        case "short", "int16" -> INT16;
        case "ushort", "uint16" -> UINT16;
        case "int", "int32" -> INT32;
        case "uint", "uint32" -> UINT32;
        case "float", "float32" -> FLOAT32;
        case "double", "float64" -> FLOAT64;
        default ->
            throw new Refusal("The PLY file has numbers of a sort “{}” that is not known.", name);
      };
    }
  }

  private record Property(String name, PlySort type, PlySort countType) {
    boolean corners() {
      return name.equals("vertex_index") || name.equals("vertex_indices");
    }
  }

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

  private void format(String[] w) {
    text = w.length > 1 && w[1].equals("ascii");
    boolean big = w.length > 1 && w[1].contains("big");
    in = ByteBuffer.wrap(b).order(big ? ByteOrder.BIG_ENDIAN : ByteOrder.LITTLE_ENDIAN);
  }

  private void element(String[] w) {
    double n = ModelReader.number(w.length > 2 ? w[2] : null, "PLY");
    if (!(n >= 0 && n <= 100e6)) {
      throw new Refusal("The PLY file promises {} of something; that is too many.", w[2]);
    }
    elements.add(new Element(w[1], (int) n, new ArrayList<>()));
  }

  private void property(String[] w) {
    if (elements.isEmpty() || w.length < 3 || w[1].equals("list") && w.length < 5) {
      throw new Refusal("The head of the PLY file cannot be read.");
    }
    List<Property> to = elements.get(elements.size() - 1).properties;
    to.add(
        w[1].equals("list")
            ? new Property(w[4], PlySort.of(w[3]), PlySort.of(w[2]))
            : new Property(w[2], PlySort.of(w[1]), null));
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
        case "format" -> format(w);
        case "element" -> element(w);
        case "property" -> property(w);
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
    Property[] properties = e.properties.toArray(new Property[0]);
    int first = isFace ? out.points(null, xyz) : 0;
    for (int f = 0; f < e.count; f++) {
      for (Property property : properties) {
        if (property.countType == null) {
          number(property.type);
          continue;
        }
        int n = (int) number(property.countType);
        if (n < 0 || n > 1_000_000) {
          throw new Refusal("The PLY file has a face of {} corners.", n);
        }
        if (!isFace || !property.corners()) {
          for (int i = 0; i < n; i++) {
            number(property.type);
          }
        } else if (n == 3) {
          int a = corner(number(property.type), xyz);
          int c = corner(number(property.type), xyz);
          int d = corner(number(property.type), xyz);
          out.triangle(null, first + a, first + c, first + d, null);
        } else {
          face(n, property.type, xyz, out);
        }
      }
    }
  }

  private void face(int n, PlySort type, double[] xyz, Collector out) {
    List<Vec> face = new ArrayList<>(n);
    for (int i = 0; i < n; i++) {
      int v = corner(number(type), xyz);
      face.add(new Vec(xyz[3 * v], xyz[3 * v + 1], xyz[3 * v + 2]));
    }
    out.face(null, face);
  }

  private static int corner(double v, double[] xyz) {
    if (!(v >= 0 && v < xyz.length / 3)) {
      throw new Refusal("The PLY file has a face whose corner is not there.");
    }
    return (int) v;
  }

  private double number(PlySort type) {
    if (text) {
      double v = ModelNumbers.read(b, at, b.length);
      if (at[0] < 0) {
        throw new java.nio.BufferUnderflowException();
      }
      return v;
    }
    return switch (type) {
      case FLOAT32 -> in.getFloat();
      case INT32 -> in.getInt();
      case UINT8 -> in.get() & 0xFF;
      case UINT32 -> in.getInt() & 0xFFFFFFFFL;
      case FLOAT64 -> in.getDouble();
      case INT8 -> in.get();
      case INT16 -> in.getShort();
      case UINT16 -> in.getShort() & 0xFFFF;
    };
  }
}
