package pied.server.imports;

import java.util.List;
import pied.core.Nullable;
import pied.core.model.Arrival;
import pied.core.size.Size;

/**
 * What goes over the wire about models on their way in. The web client's types are generated from
 * it.
 */
public final class ImportWire {
  private ImportWire() {}

  /**
   * A model on its way in.
   *
   * @param taken what it seems to be; each part of it can be corrected
   * @param said what was worked out, in sentences
   * @param others units that are likely, too, the likeliest first
   * @param delivery with which more models came; null for none
   * @param more how many
   */
  public record ImportView(
      String id,
      String file,
      String format,
      int triangles,
      int materials,
      Arrival.Taken taken,
      Size size,
      String sizeText,
      List<String> said,
      List<OtherUnit> others,
      @Nullable String delivery,
      int more) {}

  /**
   * How it may be taken instead.
   *
   * @param unit metres a unit of the file
   * @param words such as "inches"
   * @param sizeText how large it would be
   */
  public record OtherUnit(double unit, String words, String sizeText) {}

  /**
   * How large it would be, taken so.
   *
   * @param unit metres a unit of the file
   */
  public record TakenSize(Size size, String sizeText, double unit) {}

  /**
   * Pieces to be kept as an article.
   *
   * @param pieces ids, the lead last: its front becomes that of the whole
   */
  public record KeepRequest(List<String> pieces, String name) {}
}
