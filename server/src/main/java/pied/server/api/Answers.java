package pied.server.api;

import jakarta.annotation.Nullable;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import pied.core.catalog.Finish;
import pied.core.catalog.Mounting;
import pied.core.check.Snag;
import pied.core.drawing.ShellPlan;
import pied.core.edit.Edit;
import pied.core.piece.Piece;
import pied.core.size.Size;
import pied.core.solid.Vec;
import pied.core.space.Shell;

/** What goes over the wire. The web client's types are generated from these. */
public final class Answers {
  private Answers() {}

  /** An article on its card. */
  public record ArticleCard(
      String id,
      String name,
      String kind,
      String about,
      Mounting mounting,
      Collection<String> standsOn,
      Size size,
      String sizeText,
      Map<String, Finish> finishes) {}

  /** A kind and how many articles it has. */
  public record KindCount(String kind, int count) {}

  /** The catalog as asked for. */
  public record CatalogPage(List<ArticleCard> articles, List<KindCount> kinds) {}

  /** A project and its spaces. */
  public record ProjectView(String id, String name, List<SpaceName> spaces) {}

  /** A space by name. */
  public record SpaceName(String id, String name) {}

  /** What to make a project from. */
  public record NewProject(String name) {}

  /** What to make a rectangular room from; lengths in metres. */
  public record NewSpace(String name, double width, double depth, double height) {}

  /** A space with everything in it. */
  public record SpaceView(
      String id,
      String name,
      String project,
      long revision,
      Shell shell,
      ShellPlan plan,
      Map<String, String> colours,
      Collection<Piece> pieces,
      boolean canUndo,
      boolean canRedo) {}

  /**
   * Edits to make.
   *
   * @param id of the request; sent twice it is done once
   * @param revision the one the sender has seen; refused if it is no longer the newest. May be left
   *     out
   * @param unit what a bare number in a text means: m, cm, mm or ft-in; m if left out
   */
  public record EditRequest(
      @Nullable String id, @Nullable Long revision, @Nullable String unit, List<Edit> edits) {}

  /** An undo or redo; sent twice with one id it is done once. */
  public record StepRequest(@Nullable String id) {}

  /**
   * What became of a request, and what goes to everyone who looks.
   *
   * @param changed pieces as they are now
   * @param removed ids
   * @param said remarks, in sentences
   */
  public record Changed(
      long revision,
      Collection<Piece> changed,
      Collection<String> removed,
      List<String> said,
      boolean canUndo,
      boolean canRedo) {}

  /**
   * What an edit would lead to.
   *
   * @param reach free distances of the piece in hand, as it would be
   * @param caption the caption it would have
   */
  public record Trial(
      Collection<Piece> changed,
      Collection<String> removed,
      List<String> said,
      List<ReachView> reach,
      List<pied.core.caption.Phrase> caption) {}

  /** A free distance, with its text in the unit asked for. */
  public record ReachView(
      pied.core.measure.Side side,
      double distance,
      String text,
      String to,
      String toName,
      Vec fromPoint,
      Vec toPoint) {}

  /** All snags. */
  public record Snags(List<Snag> snags) {}

  /** The caption. */
  public record CaptionView(List<pied.core.caption.Phrase> phrases) {}

  /** A line of the schedule. */
  public record ScheduleRow(
      String id, String name, String article, String kind, String size, String on) {}

  /** All pieces of a space. */
  public record Schedule(long revision, List<ScheduleRow> rows) {}

  /** A line drawing of a shape. */
  public record Drawing(pied.core.drawing.LineDrawing lines) {}
}
