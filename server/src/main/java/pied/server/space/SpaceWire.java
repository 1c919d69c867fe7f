package pied.server.space;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import pied.core.Nullable;
import pied.core.catalog.Article;
import pied.core.check.Snag;
import pied.core.drawing.Elevation;
import pied.core.drawing.ShellPlan;
import pied.core.drawing.SpaceCard;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.Offer;
import pied.core.material.Appearance;
import pied.core.material.Finish;
import pied.core.material.Finishes;
import pied.core.material.PartLook;
import pied.core.phrase.Phrase;
import pied.core.piece.Keeping;
import pied.core.piece.Lamp;
import pied.core.piece.Lean;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.piece.Shapes;
import pied.core.piece.Stance;
import pied.core.schedule.Schedule;
import pied.core.select.Meant;
import pied.core.size.Size;
import pied.core.solid.Rotation;
import pied.core.solid.Vec;
import pied.core.space.Back;
import pied.core.space.PartName;
import pied.core.space.Shell;
import pied.core.space.Wall;
import pied.core.tool.shell.Drafting;
import pied.core.tool.shell.NewShell;
import pied.core.tool.shell.ShellList;
import pied.core.tool.size.Handling;
import pied.server.space.KeepingWire.FilingView;
import pied.server.space.ShowingWire.ShowingView;

/** What goes over the wire about spaces. The web client's types are generated from it. */
public final class SpaceWire {
  private SpaceWire() {}

  /**
   * A piece, wherever one is named: what one may say of it, and how its mesh and its plan are
   * turned.
   *
   * @param rotation of its mesh
   * @param onSheet of its plan, drawn with turn 0: degrees clockwise
   * @param looks all that is to be said of the parts with a finish of their own, and of what glows
   *     less than it does by nature; null for none
   * @param lamp how it is switched; null for what is no lamp
   */
  public record PieceView(
      String id,
      String article,
      String name,
      Size size,
      boolean mirrored,
      boolean stretched,
      Vec at,
      double turn,
      Lean lean,
      Rotation rotation,
      double onSheet,
      On on,
      boolean attached,
      Finishes finishes,
      @Nullable Map<String, Appearance> looks,
      String layer,
      @Nullable String group,
      boolean locked,
      boolean hidden,
      @Nullable String twin,
      @Nullable String twinLine,
      @Nullable Lamp lamp) {
    public static PieceView of(Piece p, Shapes shapes) {
      Stance s = p.stance();
      Keeping k = p.keeping();
      return new PieceView(
          p.id(),
          p.article(),
          p.name(),
          p.size(),
          p.form().mirrored(),
          p.form().stretched(),
          s.at(),
          s.turn(),
          s.lean(),
          s.pose().rotation(),
          s.onSheet(),
          p.on(),
          p.attached(),
          p.finishes(),
          looks(p, shapes),
          k.layer(),
          k.group(),
          k.locked(),
          k.hidden(),
          k.twin() == null ? null : k.twin().piece(),
          k.twin() == null ? null : k.twin().twin(),
          shapes.article(p).light() == null ? null : p.lamp());
    }

    private static @Nullable Map<String, Appearance> looks(Piece p, Shapes shapes) {
      Article article = shapes.article(p);
      double burning = article.light() == null ? 1 : p.lamp().burning();
      Map<String, Appearance> all = new TreeMap<>();
      if (burning < 1) {
        for (String part : article.finishes().keySet()) {
          Finish f = article.look(part, p.finishes()).finish();
          if (f.emission() > 0) {
            all.put(part, Appearance.of(f.withEmission(f.emission() * burning)));
          }
        }
      }
      for (String part : p.finishes().parts().keySet()) {
        if (!all.containsKey(part)) {
          all.put(part, Appearance.of(article.look(part, p.finishes()).finish()));
        }
      }
      return all.isEmpty() ? null : all;
    }
  }

  /** The finish parts of all articles in a space, by article. */
  public record ArticleFinishes(long revision, Map<String, Map<String, PartLook>> finishes) {}

  /** A project and its spaces. */
  public record ProjectView(String id, String name, List<SpaceName> spaces) {}

  /**
   * A space by name.
   *
   * @param pieces how many there are in it
   * @param workedOn when it was last worked on, ISO 8601
   */
  public record SpaceName(String id, String name, long pieces, String workedOn) {}

  /** Another name for something. */
  public record NewName(String name) {}

  /** A space as it is drawn on its card. */
  public record CardView(long revision, SpaceCard card) {}

  /** What to make a project from. */
  public record NewProject(String name) {}

  /**
   * What to make a space from: a room, or with {@code stage} a stage.
   *
   * @param unit what a bare number in a text means: m, cm, mm or ft-in; m if left out
   */
  public record NewSpace(
      String name,
      @Nullable String unit,
      @Nullable NewShell.OutlineForm form,
      Amount width,
      Amount depth,
      Amount height,
      @Nullable Amount cutWidth,
      @Nullable Amount cutDepth,
      @Nullable Amount thickness,
      @Nullable Amount skirtingHeight,
      @Nullable NewShell.OfStage stage) {

    /** The measures alone. */
    public NewShell shell() {
      return new NewShell(
          form, width, depth, height, cutWidth, cutDepth, thickness, skirtingHeight, stage);
    }
  }

  /**
   * A space with everything in it.
   *
   * @param shellAt the revision at which the shell was last altered, as far as is known
   * @param faces walls and faces of partitions as one sees them from inside
   * @param parts of the shell that can be picked, by their names
   * @param backs what is left out of a picture when one looks from behind
   * @param looks elevations and sections that can be drawn
   */
  public record SpaceView(
      String id,
      @Nullable Aside aside,
      String name,
      String project,
      long revision,
      long shellAt,
      Shell shell,
      List<Wall> faces,
      List<PartName> parts,
      List<Back> backs,
      List<Elevation.ElevationLook> looks,
      Map<String, Appearance> finishes,
      FilingView filing,
      ShowingView showing,
      Collection<Piece> pieces,
      boolean canUndo,
      boolean canRedo) {}

  /**
   * A space that was removed while it is looked at; it is there, but nothing is done in it until it
   * is brought back.
   *
   * @param what "projects" or "spaces", whichever was removed
   * @param id of that
   * @param words what happened, in a sentence
   */
  public record Aside(String what, String id, String words) {}

  /**
   * Edits to make.
   *
   * @param id of the request; sent twice it is done once
   * @param revision the one the sender has seen; refused if it is no longer the newest. May be left
   *     out
   * @param unit what a bare number in a text means: m, cm, mm or ft-in; m if left out
   * @param layer id of the layer on which new pieces come; the first if left out
   * @param by who asks; if left out, it is anybody's
   * @param ids of what the edits make, in the order in which they make it, as a proposal gave them;
   *     made anew if left out
   * @param shown what of a proposal was shown; refused (409) if the edits would lead to something
   *     else by now. May be left out
   * @param cut what is taken out of another space in the same act
   */
  public record EditRequest(
      @Nullable String id,
      @Nullable Long revision,
      @Nullable String unit,
      @Nullable String layer,
      @Nullable By by,
      List<Edit> edits,
      @Nullable List<String> ids,
      @Nullable String shown,
      @Nullable CutElsewhere cut) {
    public EditRequest(String id, Long revision, String unit, List<Edit> edits) {
      this(id, revision, unit, null, edits);
    }

    public EditRequest(String id, Long revision, String unit, @Nullable By by, List<Edit> edits) {
      this(id, revision, unit, null, by, edits, null, null, null);
    }
  }

  /**
   * Pieces that were cut in another space: those of them that are still there go from there where
   * they are pasted, both in one act.
   */
  public record CutElsewhere(String space, List<String> pieces) {}

  /**
   * Who does something.
   *
   * @param window id of the window in which it is done
   * @param who a name; may be empty
   */
  public record By(String window, @Nullable String who) {}

  /**
   * An undo or redo; sent twice with one id it is done once. It goes over what was done in the same
   * window, or in one that is no longer there.
   *
   * @param by who asks; if left out, what was done last is meant, whoever did it
   * @param how where others changed the same since; if left out, that is refused, with offers
   */
  public record StepRequest(@Nullable String id, @Nullable By by, @Nullable Offer.OfferStep how) {
    public StepRequest(String id) {
      this(id, null, null);
    }
  }

  /**
   * A way to another point of the history.
   *
   * @param to number of the last thing that shall stand; 0 for none
   * @param alone true: only that one thing is taken out, or done again, and all others stay
   */
  public record GoRequest(
      @Nullable String id, @Nullable By by, @Nullable Long to, @Nullable Boolean alone) {}

  /**
   * Something that was done.
   *
   * @param n number
   * @param words what
   * @param who a name; empty if none was given
   * @param window id of the window in which it was done; empty if that is not known
   * @param at when, ISO 8601
   * @param stands whether it is not undone
   */
  public record Deed(long n, String words, String who, String window, String at, boolean stands) {}

  /**
   * What was done in a space, the latest first.
   *
   * @param more whether there is more before the last of them
   */
  public record HistoryView(long revision, List<Deed> deeds, boolean more) {}

  /**
   * What became of a request, and what goes to everyone who looks.
   *
   * @param changed pieces as they are now
   * @param removed ids
   * @param made ids of those that were not there before, without what came along on them
   * @param said remarks, in sentences
   * @param offers what one may want to do next
   * @param shell whether the shell is another one now
   * @param filing layers, groups and named selections as they are now; null if they are as before
   * @param showing day, looks and viewpoints as they are now; null if they are as before
   * @param part id of the part of the shell that was built or altered
   * @param window id of the window in which it was done; null if that is not known
   * @param canUndo whether there is something to undo for the one who did this
   */
  public record Changed(
      long revision,
      Collection<Piece> changed,
      Collection<String> removed,
      List<String> made,
      List<String> said,
      List<Offer> offers,
      boolean shell,
      @Nullable FilingView filing,
      @Nullable ShowingView showing,
      @Nullable String part,
      @Nullable String window,
      boolean canUndo,
      boolean canRedo) {}

  /** Which pieces are asked for. */
  public record SelectRequest(Meant meant) {}

  /** Pieces that were asked for, by their ids. */
  public record Found(long revision, List<String> pieces) {}

  /** All snags. */
  public record Snags(long revision, List<Snag> snags, int all) {}

  /** The plan of the bare space. */
  public record PlanView(long revision, ShellPlan plan) {}

  /** Everything a shell is made of. */
  public record ShellSheet(long revision, List<ShellList.ShellGroup> groups) {}

  /**
   * Where the next corner of a figure goes that is being drawn.
   *
   * @param outline whether it is to be the outline of the space itself
   */
  public record DraftRequest(
      Drafting.DraftQuestion question, @Nullable Boolean outline, @Nullable String unit) {}

  /** What one is told of that. */
  public record DraftAnswer(long revision, Drafting.Draft answer) {}

  /** An elevation or a section. */
  public record ElevationView(long revision, Elevation elevation) {}

  /**
   * What is asked for a caption.
   *
   * @param pieces selected, the lead last; none for the space itself
   * @param part of the shell that is selected instead
   * @param viewpoint id of the viewpoint that it is about instead; empty for none
   * @param handling how one goes about with them; null for nothing in particular
   */
  public record CaptionRequest(
      @Nullable List<String> pieces,
      @Nullable String part,
      @Nullable String viewpoint,
      @Nullable String unit,
      @Nullable Handling handling) {}

  /** The caption. */
  public record CaptionView(long revision, List<Phrase> phrases) {}

  /** All pieces of a space. */
  public record ScheduleView(long revision, List<Schedule.ScheduleRow> rows) {}
}
