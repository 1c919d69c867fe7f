package pied.core.model;

import java.io.ByteArrayInputStream;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.StringTokenizer;
import javax.xml.XMLConstants;
import javax.xml.parsers.DocumentBuilderFactory;
import org.joml.Matrix4d;
import org.joml.Vector3d;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.Node;
import org.w3c.dom.NodeList;
import pied.core.Nullable;
import pied.core.solid.Vec;
import pied.core.units.Refusal;

/** Reads COLLADA 1.4 and 1.5 (ISO/PAS 17506): it says its unit and what is up. */
final class ColladaReader {
  private static final int DEEPEST = 100;

  private final Collector out = new Collector();
  private final Map<String, Element> byId = new HashMap<>();
  private final Set<Element> above = new HashSet<>();

  private ColladaReader() {}

  static Model read(byte[] b) {
    Document doc;
    try {
      DocumentBuilderFactory f = DocumentBuilderFactory.newInstance();
      f.setFeature("http://apache.org/xml/features/disallow-doctype-decl", true);
      f.setFeature(XMLConstants.FEATURE_SECURE_PROCESSING, true);
      f.setExpandEntityReferences(false);
      var builder = f.newDocumentBuilder();
      builder.setErrorHandler(null);
      doc = builder.parse(new ByteArrayInputStream(b));
    } catch (Exception e) {
      throw new Refusal("The COLLADA file is not well-formed; it may be cut off.");
    }
    return new ColladaReader().model(doc.getDocumentElement());
  }

  private Model model(Element root) {
    NodeList all = root.getElementsByTagName("*");
    for (int i = 0; i < all.getLength(); i++) {
      Element e = (Element) all.item(i);
      if (e.hasAttribute("id")) {
        byId.put(e.getAttribute("id"), e);
      }
    }
    Element asset = first(root, "asset");
    Double unit = null;
    Character up = 'y';
    if (asset != null) {
      Element u = first(asset, "unit");
      if (u != null && u.hasAttribute("meter")) {
        double m = ModelReader.number(u.getAttribute("meter"), "COLLADA");
        unit = m > 0 && Double.isFinite(m) ? m : null;
      }
      Element axis = first(asset, "up_axis");
      if (axis != null) {
        up =
            axis.getTextContent().strip().startsWith("Z")
                ? 'z'
                : axis.getTextContent().strip().startsWith("X") ? 'x' : 'y';
      }
    }
    colours(root);
    Element scenes = first(root, "library_visual_scenes");
    if (scenes != null) {
      for (Element scene : children(scenes, "visual_scene")) {
        for (Element n : children(scene, "node")) {
          node(n, new Matrix4d(), 0);
        }
      }
    }
    return out.model(unit, up);
  }

  private void colours(Element root) {
    Element materials = first(root, "library_materials");
    if (materials == null) {
      return;
    }
    for (Element m : children(materials, "material")) {
      Element instance = first(m, "instance_effect");
      Element effect = instance == null ? null : byId.get(reference(instance, "url"));
      NodeList diffuse = effect == null ? null : effect.getElementsByTagName("diffuse");
      if (diffuse != null && diffuse.getLength() > 0) {
        Element c = first((Element) diffuse.item(0), "color");
        if (c != null) {
          double[] v = numbers(c.getTextContent());
          if (v.length >= 3) {
            out.colour(name(m), ModelReader.colour(v));
          }
        }
      }
    }
  }

  private static String name(Element material) {
    return material.getAttribute("name").isBlank()
        ? material.getAttribute("id")
        : material.getAttribute("name");
  }

  private void node(Element n, Matrix4d parent, int depth) {
    if (depth > DEEPEST || !above.add(n)) {
      throw new Refusal("The nodes of the COLLADA file hang in a circle.");
    }
    Matrix4d own = new Matrix4d(parent);
    for (Node c = n.getFirstChild(); c != null; c = c.getNextSibling()) {
      if (c instanceof Element e) {
        switch (e.getTagName()) {
          case "matrix" -> {
            double[] m = numbers(e.getTextContent());
            if (m.length == 16) {
              own.mul(new Matrix4d().set(m).transpose());
            }
          }
          case "translate" -> {
            double[] v = three(e);
            own.translate(v[0], v[1], v[2]);
          }
          case "scale" -> {
            double[] v = three(e);
            own.scale(v[0], v[1], v[2]);
          }
          case "rotate" -> {
            double[] v = numbers(e.getTextContent());
            if (v.length == 4 && Math.hypot(Math.hypot(v[0], v[1]), v[2]) > 0) {
              own.rotate(Math.toRadians(v[3]), new Vector3d(v[0], v[1], v[2]).normalize());
            }
          }
          case "instance_geometry" -> geometry(e, own);
          case "instance_node" -> {
            Element other = byId.get(reference(e, "url"));
            if (other != null) {
              node(other, own, depth + 1);
            }
          }
          case "node" -> node(e, own, depth + 1);
          default -> {
            // cameras, lights and the like
          }
        }
      }
    }
    above.remove(n);
  }

  private double[] three(Element e) {
    double[] v = numbers(e.getTextContent());
    if (v.length != 3) {
      throw new Refusal("The COLLADA file has a “{}” that is no three numbers.", e.getTagName());
    }
    return v;
  }

  private void geometry(Element instance, Matrix4d at) {
    Element geometry = byId.get(reference(instance, "url"));
    Element mesh = geometry == null ? null : first(geometry, "mesh");
    if (mesh == null) {
      return;
    }
    Map<String, String> bound = new HashMap<>();
    NodeList binds = instance.getElementsByTagName("instance_material");
    for (int i = 0; i < binds.getLength(); i++) {
      Element b = (Element) binds.item(i);
      Element material = byId.get(reference(b, "target"));
      if (material != null) {
        bound.put(b.getAttribute("symbol"), name(material));
      }
    }
    for (String tag : new String[] {"triangles", "polylist", "polygons"}) {
      for (Element p : children(mesh, tag)) {
        faces(
            p, tag, at, bound.getOrDefault(p.getAttribute("material"), p.getAttribute("material")));
      }
    }
  }

  private void faces(Element p, String tag, Matrix4d at, String material) {
    int stride = 0;
    int offset = 0;
    double[] xyz = null;
    for (Element input : children(p, "input")) {
      int o =
          (int)
              ModelReader.number(
                  input.getAttribute("offset").isEmpty() ? "0" : input.getAttribute("offset"),
                  "COLLADA");
      stride = Math.max(stride, o + 1);
      if (input.getAttribute("semantic").equals("VERTEX")) {
        offset = o;
        xyz = positions(byId.get(reference(input, "source")), at);
      }
    }
    if (xyz == null || stride > 64 || stride < 1) {
      return;
    }
    boolean mirrored = at.determinant3x3() < 0;
    Element counts = first(p, "vcount");
    double[] vcount = counts == null ? null : numbers(counts.getTextContent());
    for (Element list : children(p, "p")) {
      double[] v = numbers(list.getTextContent());
      int corners = v.length / stride;
      int from = 0;
      for (int f = 0; from < corners; f++) {
        int n = size(tag, vcount, f, corners);
        if (n < 1 || from + n > corners) {
          throw new Refusal("The COLLADA file has a face whose corners are not all there.");
        }
        List<Vec> face = new ArrayList<>(n);
        for (int i = 0; i < n; i++) {
          int k = (int) v[(from + (mirrored ? n - 1 - i : i)) * stride + offset];
          if (k < 0 || 3 * k + 2 >= xyz.length) {
            throw new Refusal("The COLLADA file has a face whose corner is not there.");
          }
          face.add(new Vec(xyz[3 * k], xyz[3 * k + 1], xyz[3 * k + 2]));
        }
        out.face(material, face);
        from += n;
      }
    }
  }

  /** How many corners a face has. */
  private static int size(String tag, @Nullable double[] vcount, int face, int corners) {
    if (tag.equals("triangles")) {
      return 3;
    }
    boolean counted = !tag.equals("polygons") && vcount != null && face < vcount.length;
    return counted ? (int) vcount[face] : corners;
  }

  private double[] positions(Element vertices, Matrix4d at) {
    Element source = vertices;
    if (vertices != null && vertices.getTagName().equals("vertices")) {
      for (Element input : children(vertices, "input")) {
        if (input.getAttribute("semantic").equals("POSITION")) {
          source = byId.get(reference(input, "source"));
        }
      }
    }
    Element floats = source == null ? null : first(source, "float_array");
    if (floats == null) {
      return null;
    }
    double[] v = numbers(floats.getTextContent());
    ModelNumbers.move(v, at);
    return v;
  }

  private static double[] numbers(String text) {
    StringTokenizer t = new StringTokenizer(text);
    double[] v = new double[t.countTokens()];
    for (int i = 0; i < v.length; i++) {
      v[i] = ModelReader.number(t.nextToken(), "COLLADA");
    }
    return v;
  }

  private static String reference(Element e, String attribute) {
    return e.getAttribute(attribute).replaceFirst("^#", "");
  }

  private static Element first(Element e, String tag) {
    List<Element> all = children(e, tag);
    return all.isEmpty() ? null : all.get(0);
  }

  private static List<Element> children(Element e, String tag) {
    List<Element> all = new ArrayList<>();
    for (Node c = e.getFirstChild(); c != null; c = c.getNextSibling()) {
      if (c instanceof Element x && x.getTagName().equals(tag)) {
        all.add(x);
      }
    }
    return all;
  }
}
