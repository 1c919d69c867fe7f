package pied.core.model;

import java.io.ByteArrayInputStream;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.StringTokenizer;
import javax.xml.XMLConstants;
import javax.xml.parsers.DocumentBuilderFactory;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.Node;
import pied.core.Nullable;
import pied.core.units.Refusal;

/** The elements of a COLLADA file, by their ids and below each other; numbers are read once. */
final class ColladaFile {
  /** No model is nested deeper. */
  private static final String DEEPEST = "400";

  private final Element root;
  private final Map<String, Element> byId = new HashMap<>();
  private final Map<Element, double[]> numbers = new IdentityHashMap<>();

  private ColladaFile(Element root) {
    this.root = root;
    for (Node n = root; n != null; n = next(n)) {
      if (n instanceof Element e && e.hasAttribute("id")) {
        byId.putIfAbsent(e.getAttribute("id"), e);
      }
    }
  }

  /** The one after it in the order of the file. */
  private Node next(Node n) {
    if (n.getFirstChild() != null) {
      return n.getFirstChild();
    }
    Node up = n;
    while (up != null && up != root && up.getNextSibling() == null) {
      up = up.getParentNode();
    }
    return up == null || up == root ? null : up.getNextSibling();
  }

  static ColladaFile of(byte[] b) {
    Document doc;
    try {
      DocumentBuilderFactory f = DocumentBuilderFactory.newInstance();
      f.setFeature("http://apache.org/xml/features/disallow-doctype-decl", true);
      f.setFeature(XMLConstants.FEATURE_SECURE_PROCESSING, true);
      f.setAttribute("jdk.xml.maxElementDepth", DEEPEST);
      f.setExpandEntityReferences(false);
      var builder = f.newDocumentBuilder();
      builder.setErrorHandler(null);
      doc = builder.parse(new ByteArrayInputStream(b));
    } catch (Exception e) {
      String why = String.valueOf(e.getMessage());
      throw new Refusal(
          why.contains("maxElementDepth")
              ? "The COLLADA file is nested deeper than a model can be."
              : "The COLLADA file is not well-formed; it may be cut off.");
    }
    return new ColladaFile(doc.getDocumentElement());
  }

  Element root() {
    return root;
  }

  /** The element that an attribute of another one names; null for none. */
  @Nullable
  Element named(Element e, String attribute) {
    return byId.get(e.getAttribute(attribute).replaceFirst("^#", ""));
  }

  @Nullable
  Element byId(String id) {
    return byId.get(id);
  }

  /** The numbers in an element; not to be altered. */
  double[] numbers(Element e) {
    return numbers.computeIfAbsent(e, x -> read(x.getTextContent()));
  }

  private static double[] read(String text) {
    StringTokenizer t = new StringTokenizer(text);
    double[] v = new double[t.countTokens()];
    for (int i = 0; i < v.length; i++) {
      v[i] = ModelReader.number(t.nextToken(), "COLLADA");
    }
    return v;
  }

  /** The numbers of a source; null for none. */
  @Nullable
  double[] source(@Nullable Element source) {
    Element floats = source == null ? null : first(source, "float_array");
    return floats == null ? null : numbers(floats);
  }

  static @Nullable Element first(Element e, String tag) {
    for (Node c = e.getFirstChild(); c != null; c = c.getNextSibling()) {
      if (c instanceof Element x && x.getTagName().equals(tag)) {
        return x;
      }
    }
    return null;
  }

  /** The first below it, by one tag after the other; null for none. */
  static @Nullable Element below(@Nullable Element e, String... tags) {
    Element at = e;
    for (String tag : tags) {
      at = at == null ? null : first(at, tag);
    }
    return at;
  }

  static List<Element> children(Element e, String tag) {
    List<Element> all = new ArrayList<>();
    for (Node c = e.getFirstChild(); c != null; c = c.getNextSibling()) {
      if (c instanceof Element x && x.getTagName().equals(tag)) {
        all.add(x);
      }
    }
    return all;
  }
}
