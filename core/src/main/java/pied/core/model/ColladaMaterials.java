package pied.core.model;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;
import pied.core.Names;
import pied.core.Nullable;

/** The materials of a COLLADA file: their colours, and the pictures on them. */
final class ColladaMaterials {
  private static final double[] WHITE = {1, 1, 1};

  private final ColladaFile file;
  private final Files files;
  private final Collector out;
  private final Map<Element, String> names = new HashMap<>();
  private final Map<String, byte[]> pictures = new HashMap<>();

  ColladaMaterials(ColladaFile file, Files files, Collector out) {
    this.file = file;
    this.files = files;
    this.out = out;
  }

  /** The name of a material, each its own; it gets its colour and its picture when first asked. */
  String name(Element material) {
    String known = names.get(material);
    if (known != null) {
      return known;
    }
    String own =
        material.getAttribute("name").isBlank()
            ? material.getAttribute("id")
            : material.getAttribute("name");
    String name = Names.free(own.isBlank() ? "material" : own, new HashSet<>(names.values()));
    names.put(material, name);
    look(material, name);
    return name;
  }

  boolean isPictured(String material) {
    return pictures.containsKey(material);
  }

  private void look(Element material, String name) {
    Element instance = ColladaFile.first(material, "instance_effect");
    Element effect = instance == null ? null : file.named(instance, "url");
    NodeList diffuse = effect == null ? null : effect.getElementsByTagName("diffuse");
    if (diffuse == null || diffuse.getLength() == 0) {
      return;
    }
    Element shown = (Element) diffuse.item(0);
    Element colour = ColladaFile.first(shown, "color");
    if (colour != null && file.numbers(colour).length >= 3) {
      out.colour(name, ModelReader.colour(file.numbers(colour)));
    }
    Element texture = ColladaFile.first(shown, "texture");
    if (texture != null) {
      picture(name, effect, texture.getAttribute("texture"));
    }
  }

  private void picture(String name, Element effect, String texture) {
    Element image = image(effect, texture);
    Element from = ColladaFile.first(image == null ? effect : image, "init_from");
    Element ref = from == null ? null : ColladaFile.first(from, "ref");
    String path = from == null ? texture : (ref == null ? from : ref).getTextContent().strip();
    byte[] bytes = files.sibling(GltfNumbers.plain(path.replaceFirst("^file:/*", "")));
    if (bytes == null || !Pictures.readable(bytes)) {
      out.lost(path);
      return;
    }
    pictures.put(name, bytes);
    out.picture(name, bytes);
    out.colour(name, Pictures.colour(bytes, WHITE));
  }

  /** The image of a texture: by its own name, or that of a sampler of a surface of it. */
  private @Nullable Element image(Element effect, String texture) {
    Element sampler = parameter(effect, texture);
    Element source = ColladaFile.below(sampler, "sampler2D", "source");
    Element instance = ColladaFile.below(sampler, "sampler2D", "instance_image");
    if (instance != null) {
      return file.named(instance, "url");
    }
    Element surface = source == null ? null : parameter(effect, source.getTextContent().strip());
    Element from = ColladaFile.below(surface, "surface", "init_from");
    String id = from == null ? texture : from.getTextContent().strip();
    Element image = file.byId(id);
    return image != null && image.getTagName().equals("image") ? image : null;
  }

  private static @Nullable Element parameter(Element effect, String sid) {
    NodeList all = effect.getElementsByTagName("newparam");
    for (int i = 0; i < all.getLength(); i++) {
      if (((Element) all.item(i)).getAttribute("sid").equals(sid)) {
        return (Element) all.item(i);
      }
    }
    return null;
  }
}
