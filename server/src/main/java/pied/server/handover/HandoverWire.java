package pied.server.handover;

import java.util.List;
import java.util.Map;
import pied.core.Nullable;
import pied.server.space.SpaceWire.ProjectView;

/** What is said about handing over. */
public final class HandoverWire {
  private HandoverWire() {}

  /**
   * What is to be made.
   *
   * @param file such as "plan.pdf"
   * @param said the same as in its address
   */
  public record HandoverRequest(
      String file, @Nullable Map<String, String> said, @Nullable String by) {}

  /**
   * How it comes on.
   *
   * @param share of it that is done, 0 to 1
   * @param ready whether it can be fetched
   * @param failed why it cannot be made
   */
  public record HandoverView(
      String id, String name, double share, boolean ready, @Nullable String failed) {}

  /**
   * What of a space can be handed over.
   *
   * @param layers in their order
   * @param scales of drawings, the largest first
   * @param papers sizes of paper
   * @param leftOut pieces that are hidden, and left out unless asked for
   * @param notClosed names of pieces that are not in an STL file
   * @param looks elevations and sections that are offered
   * @param stills from where there are some that are made, the latest first
   */
  public record HandoverSheet(
      long revision,
      int pieces,
      List<LayerChoice> layers,
      List<Integer> scales,
      List<String> papers,
      int leftOut,
      List<String> notClosed,
      List<LookChoice> looks,
      List<StillChoice> stills) {}

  /** A layer of it. */
  public record LayerChoice(String id, String name, int pieces, boolean hidden) {}

  /**
   * An elevation or a section.
   *
   * @param file and what is said with it
   */
  public record LookChoice(String words, String file, Map<String, String> said) {}

  /**
   * The latest still from a viewpoint, in a look.
   *
   * @param said what says in its address which it is
   */
  public record StillChoice(String words, Map<String, String> said) {}

  /**
   * What is to be made, before it is.
   *
   * @param sheets of a drawing: how many there are
   * @param svg of a drawing: the one that was asked for
   * @param rows of a list: its first lines, with the header
   * @param still of one: its id
   * @param words how much it is, or what was asked for
   */
  public record Preview(
      long revision,
      int sheets,
      @Nullable String svg,
      @Nullable List<List<String>> rows,
      @Nullable String still,
      String words) {}

  /**
   * A project that was taken in.
   *
   * @param said what of it could not be, in sentences
   */
  public record TakenIn(ProjectView project, List<String> said) {}
}
