package pied.core.tool.shell;

import java.util.List;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.Followers;
import pied.core.edit.Offer;
import pied.core.piece.Piece;
import pied.core.tool.move.MoveBy;
import pied.core.tool.place.BringIn;

/**
 * Something done to the shell of a space. A part without an id is a new one; what is missing stays,
 * or is as usual. Points and heights are those of the space, not read from the datum.
 */
public interface ShellEdit extends Edit {
  /**
   * The shell after.
   *
   * @throws pied.core.units.Refusal if it cannot be done
   */
  ShellWork.ShellResult rebuild(ShellWork work);

  @Override
  default void make(EditSession session) {
    ShellWork.ShellResult done = rebuild(new ShellWork(session.space(), session.unit()));
    done.said().forEach(session::say);
    Followers.Followed followed = session.build(done.shell(), done.renamed(), done.part());
    offer(session, followed);
  }

  /** Offers to bring in what is outside now, and to move along what stood against a wall. */
  private static void offer(EditSession session, Followers.Followed followed) {
    int outside = followed.outside().size();
    if (outside > 0) {
      session.offer(
          new Offer(
              outside == 1 ? "Bring it in" : "Bring them in",
              List.of(new BringIn(followed.outside()))));
    }
    for (Followers.StoodAgainst s : followed.against()) {
      List<Piece> along = s.pieces();
      String what =
          along.size() == 1
              ? along.get(0).name()
              : "the " + along.size() + " pieces that stood against it";
      Place3 by = new Place3(Amount.of(s.by().x()), Amount.of(s.by().y()), Amount.of(s.by().z()));
      session.offer(
          new Offer(
              "Move " + what + " along with wall " + s.wall(),
              List.of(new MoveBy(along.stream().map(Piece::id).toList(), by))));
    }
  }
}
