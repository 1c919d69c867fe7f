package pied.core.show;

import pied.core.light.Photometry;

/** How a sort of lamp spreads its light, from its photometric file; lamps name it by its id. */
public record LampCurve(String id, String name, Photometry light) implements Shown {
  /** Most of a space. */
  public static final int MOST = 50;

  /** The key of one of an id. */
  public static String key(String id) {
    return "curve:" + id;
  }

  @Override
  public String key() {
    return key(id);
  }

  @Override
  public String sort() {
    return "curve";
  }
}
