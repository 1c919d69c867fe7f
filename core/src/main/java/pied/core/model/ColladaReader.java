package pied.core.model;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.joml.Matrix4d;
import org.joml.Vector3d;
import org.w3c.dom.Element;
import org.w3c.dom.Node;
import org.w3c.dom.NodeList;
import pied.core.Nullable;
import pied.core.units.Refusal;

/** Reads COLLADA 1.4 and 1.5 (ISO/PAS 17506): it says its unit and what is up. */
final class ColladaReader {
  private static final int DEEPEST = 100;

  /** So often nodes are looked at: one that stands below several is looked at for each. */
  private static final int MOST_VISITS = 100_000;

  private static final long MOST_PLACES = 20_000_000;

  private final Collector out = new Collector();
  private final ColladaFile file;
  private final ColladaMaterials materials;
  private final Set<Element> above = new HashSet<>();

  /** Where nodes stand: what bones take along stands there. */
  private final Map<Element, Matrix4d> standing = new LinkedHashMap<>();

  /** What is made once it is known where all nodes stand. */
  private final List<Runnable> later = new ArrayList<>();

  private int visits;
  private long places;

  private ColladaReader(ColladaFile file, Files files) {
    this.file = file;
    materials = new ColladaMaterials(file, files, out);
  }

  static Model read(byte[] b, Files files) {
    return new ColladaReader(ColladaFile.of(b), files).model();
  }

  private Model model() {
    Element root = file.root();
    Element asset = ColladaFile.first(root, "asset");
    Double unit = null;
    Character up = 'y';
    if (asset != null) {
      Element u = ColladaFile.first(asset, "unit");
      if (u != null && u.hasAttribute("meter")) {
        double m = ModelReader.number(u.getAttribute("meter"), "COLLADA");
        unit = m > 0 && Double.isFinite(m) ? m : null;
      }
      Element axis = ColladaFile.first(asset, "up_axis");
      if (axis != null) {
        up =
            axis.getTextContent().strip().startsWith("Z")
                ? 'z'
                : axis.getTextContent().strip().startsWith("X") ? 'x' : 'y';
      }
    }
    Element scenes = ColladaFile.first(root, "library_visual_scenes");
    if (scenes != null) {
      for (Element scene : ColladaFile.children(scenes, "visual_scene")) {
        for (Element n : ColladaFile.children(scene, "node")) {
          node(n, new Matrix4d(), 0);
        }
      }
    }
    later.forEach(Runnable::run);
    return out.model(unit, up);
  }

  private void node(Element n, Matrix4d parent, int depth) {
    if (depth > DEEPEST || !above.add(n)) {
      throw new Refusal("The nodes of the COLLADA file hang in a circle.");
    }
    if (++visits > MOST_VISITS) {
      throw new Refusal(
          "The COLLADA file has more nodes, or copies of them, than a model can have.");
    }
    Matrix4d own = new Matrix4d(parent);
    for (Node c = n.getFirstChild(); c != null; c = c.getNextSibling()) {
      if (c instanceof Element e) {
        switch (e.getTagName()) {
          case "matrix" -> {
            double[] m = file.numbers(e);
            if (m.length == 16) {
              own.mul(ColladaSkin.matrix(m, 0));
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
            double[] v = file.numbers(e);
            if (v.length == 4 && Math.hypot(Math.hypot(v[0], v[1]), v[2]) > 0) {
              own.rotate(Math.toRadians(v[3]), new Vector3d(v[0], v[1], v[2]).normalize());
            }
          }
          case "instance_geometry" -> geometry(e, new Matrix4d(own));
          case "instance_controller" -> {
            Matrix4d at = new Matrix4d(own);
            later.add(() -> controller(e, at));
          }
          case "instance_node" -> {
            Element other = file.named(e, "url");
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
    standing.putIfAbsent(n, own);
    above.remove(n);
  }

  private double[] three(Element e) {
    double[] v = file.numbers(e);
    if (v.length != 3) {
      throw new Refusal("The COLLADA file has a “{}” that is no three numbers.", e.getTagName());
    }
    return v;
  }

  private void geometry(Element instance, Matrix4d at) {
    Element geometry = file.named(instance, "url");
    if (geometry != null) {
      mesh(instance, geometry, at, null);
    }
  }

  /** A mesh with a skin over bones, or with other forms it can take: it is as it stands now. */
  private void controller(Element instance, Matrix4d at) {
    Element controller = file.named(instance, "url");
    Element skin = ColladaFile.below(controller, "skin");
    Element morph = ColladaFile.below(controller, "morph");
    Element below = skin == null ? morph : skin;
    Element source = below == null ? null : file.named(below, "source");
    if (source == null) {
      return;
    }
    if (source.getTagName().equals("controller")) { // a skin over other forms
      Element inner = ColladaFile.below(source, "morph");
      source = inner == null ? null : file.named(inner, "source");
    }
    if (source != null) {
      mesh(instance, source, at, skin);
    }
  }

  private void mesh(Element instance, Element geometry, Matrix4d at, @Nullable Element skin) {
    Element mesh = ColladaFile.first(geometry, "mesh");
    if (mesh == null) {
      return;
    }
    Map<String, String> bound = new HashMap<>();
    NodeList binds = instance.getElementsByTagName("instance_material");
    for (int i = 0; i < binds.getLength(); i++) {
      Element b = (Element) binds.item(i);
      Element material = file.named(b, "target");
      if (material != null) {
        bound.put(b.getAttribute("symbol"), materials.name(material));
      }
    }
    for (String tag : ColladaFaces.TAGS) {
      for (Element list : ColladaFile.children(mesh, tag)) {
        String symbol = list.getAttribute("material");
        Element own = file.byId(symbol);
        boolean named = own != null && own.getTagName().equals("material");
        String material = bound.getOrDefault(symbol, named ? materials.name(own) : symbol);
        double[] xyz = positions(list, at, skin);
        if (xyz != null) {
          boolean mirrored = skin == null && at.determinant3x3() < 0;
          boolean pictured = materials.isPictured(material);
          new ColladaFaces(file, out, list, material, xyz, mirrored, pictured).read();
        }
      }
    }
  }

  private @Nullable double[] positions(Element list, Matrix4d at, @Nullable Element skin) {
    Element source = null;
    for (Element input : ColladaFile.children(list, "input")) {
      if (input.getAttribute("semantic").equals("VERTEX")) {
        source = file.named(input, "source");
      }
    }
    if (source != null && source.getTagName().equals("vertices")) {
      for (Element input : ColladaFile.children(source, "input")) {
        if (input.getAttribute("semantic").equals("POSITION")) {
          source = file.named(input, "source");
        }
      }
    }
    double[] v = file.source(source);
    if (v == null) {
      return null;
    }
    places += v.length / 3;
    if (places > MOST_PLACES) {
      throw new Refusal(
          "The COLLADA file has more than {} million points, copies too; that is too heavy.",
          MOST_PLACES / 1_000_000);
    }
    if (skin != null) {
      return new ColladaSkin(file, skin, standing).moved(v);
    }
    double[] moved = v.clone();
    ModelNumbers.move(moved, at);
    return moved;
  }
}
