package pied.server.supply;

import java.util.List;
import pied.core.Nullable;
import pied.core.size.Size;

/** What goes over the wire about suppliers. The web client's types are generated from it. */
public final class SupplyWire {
  private SupplyWire() {}

  /**
   * An outside supplier.
   *
   * @param user who is signed in; empty for nobody
   * @param demoUser who may sign in to try it; empty if it does not say
   * @param said why it does not answer
   */
  public record SupplierView(
      String name,
      boolean answers,
      String user,
      String demoUser,
      String demoPassword,
      String said) {}

  /** Who signs in. */
  public record SignIn(String user, String password) {}

  /**
   * One thing a supplier has.
   *
   * @param bytes length of its model file
   * @param article the article it has become in this project; null if it was not fetched
   */
  public record WareCard(
      String id,
      String name,
      String kind,
      Size size,
      String sizeText,
      String mounting,
      double weight,
      int price,
      long bytes,
      @Nullable String article) {}

  /** A page of them. */
  public record WarePage(int found, int page, int pages, List<WareCard> wares) {}

  /**
   * A model on its way from a supplier.
   *
   * @param state waiting, fetching, checking, done, failed or stopped
   * @param received bytes of total
   * @param said what went wrong
   * @param article once it is done
   */
  public record FetchView(
      String ware,
      String name,
      String state,
      long received,
      long total,
      String said,
      @Nullable String article) {}
}
