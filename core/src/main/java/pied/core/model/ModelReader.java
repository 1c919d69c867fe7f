package pied.core.model;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import pied.core.units.Refusal;

/** Reads model files, whatever their names end in: GLB and glTF, OBJ, STL, PLY and COLLADA. */
public final class ModelReader {
  private ModelReader() {}

  /**
   * A model that was read.
   *
   * @param file name of the file it was in
   */
  public record Read(String file, String format, Model model) {}

  /** Names of those files among some that seem to be models, in their order. */
  public static List<String> models(Files files) {
    return files.all().entrySet().stream()
        .filter(e -> format(e.getKey(), e.getValue()) != null)
        .map(Map.Entry::getKey)
        .toList();
  }

  /**
   * Reads the model among some files; the first that can be read.
   *
   * @throws Refusal if there is none, or it cannot be read, with the reason
   */
  public static Read read(Files files) {
    Refusal first = null;
    for (String name : models(files)) {
      try {
        return read(files, name);
      } catch (Refusal r) {
        first = first == null ? r : first;
      }
    }
    if (first != null) {
      throw first;
    }
    if (files.all().values().stream().allMatch(b -> b.length == 0)) {
      throw new Refusal("The file is empty.");
    }
    throw new Refusal(
        "There is no model in it that Pied can read; it reads GLB, glTF, OBJ, STL, PLY and COLLADA"
            + " (.dae), alone or in a zip.");
  }

  /**
   * Reads one of {@link #models}.
   *
   * @throws Refusal if it cannot be read, with the reason
   */
  public static Read read(Files files, String name) {
    byte[] bytes = files.all().get(name);
    String format = bytes == null ? null : format(name, bytes);
    if (format == null) {
      throw new Refusal("There is no model “{}” in it.", name);
    }
    try {
      return new Read(name, format, read(format, bytes, files));
    } catch (IndexOutOfBoundsException
        | java.nio.BufferUnderflowException
        | NegativeArraySizeException x) {
      throw new Refusal("The {} file is damaged or ends in the middle; fetch it anew.", format);
    }
  }

  /** By what is in it, and only then by its name. */
  private static String format(String name, byte[] b) {
    String n = name.toLowerCase(Locale.ROOT);
    if (n.endsWith(".mtl") || n.matches(".*\\.(png|jpe?g|bin|txt|webp|tga)")) {
      return null;
    }
    if (begins(b, "glTF")) {
      return "GLB";
    }
    if (PlyReader.is(b)) {
      return "PLY";
    }
    String head = new String(b, 0, Math.min(b.length, 4096), StandardCharsets.UTF_8);
    if (head.contains("<COLLADA")) {
      return "COLLADA";
    }
    if (head.stripLeading().startsWith("{")) {
      return "glTF";
    }
    if (StlReader.is(b)) {
      return "STL";
    }
    if (ObjReader.is(b)) {
      return "OBJ";
    }
    // its name says so, but what is in it does not: the reader will say what is wrong
    for (String[] f :
        new String[][] {
          {".glb", "GLB"},
          {".gltf", "glTF"},
          {".stl", "STL"},
          {".ply", "PLY"},
          {".obj", "OBJ"},
          {".dae", "COLLADA"}
        }) {
      if (n.endsWith(f[0])) {
        return f[1];
      }
    }
    return null;
  }

  private static Model read(String format, byte[] b, Files files) {
    if (b.length == 0) {
      throw new Refusal("The file is empty.");
    }
    return switch (format) {
      case "GLB", "glTF" -> GltfReader.read(b, files);
      case "STL" -> StlReader.read(b);
      case "PLY" -> PlyReader.read(b);
      case "OBJ" -> ObjReader.read(b, files);
      default -> ColladaReader.read(b, files);
    };
  }

  static boolean begins(byte[] b, String text) {
    if (b.length < text.length()) {
      return false;
    }
    for (int i = 0; i < text.length(); i++) {
      if (b[i] != text.charAt(i)) {
        return false;
      }
    }
    return true;
  }

  static double number(String word, String what) {
    if (word == null) {
      throw new Refusal("The {} file ends in the middle; fetch it anew.", what);
    }
    try {
      return Double.parseDouble(word);
    } catch (NumberFormatException e) {
      if (word.toLowerCase(Locale.ROOT).matches("[-+]?(nan|inf).*")) {
        return Double.NaN;
      }
      throw new Refusal(
          "The {} file has “{}” where a number should stand.",
          what,
          word.length() > 20 ? word.substring(0, 20) + "…" : word);
    }
  }

  /** A colour from red, green and blue between 0 and 1. */
  static String colour(double[] c) {
    int[] v = new int[3];
    for (int k = 0; k < 3; k++) {
      v[k] = (int) Math.round(255 * Math.max(0, Math.min(1, Double.isFinite(c[k]) ? c[k] : 0.8)));
    }
    return String.format(Locale.ROOT, "#%02X%02X%02X", v[0], v[1], v[2]);
  }
}
