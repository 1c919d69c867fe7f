package pied.core.carry;

import java.util.List;
import pied.core.carry.CarryAsk.CarryKeep;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.place.Hung;
import pied.core.place.Resting;
import pied.core.solid.Vec;
import pied.core.space.Space;
import pied.core.space.Validity;
import pied.core.units.LengthUnit;
import pied.core.units.Message;
import pied.core.units.Refusal;

/**
 * Answers where what is carried goes: to the surface that is pointed at, held by what is near,
 * stopped by what is in the way. Nothing is changed by asking.
 */
public final class Carrying {
  /** Slots of measures that are no distances: an angle, and the place from the datum. */
  static final String TURN = "turn", ACROSS = "across", DEEP = "deep";

  private final CarryCourse c;
  private final Holding holding;
  private final Landing landing;
  private int levels = 1;
  private String exact = "";

  private Carrying(Space space, CarryAsk q, LengthUnit unit) {
    c = new CarryCourse(space, q, unit);
    holding = new Holding(space, q, c.load, unit, c.distances, c.ways, c::placed);
    landing = new Landing(c, holding);
  }

  /**
   * Where what is carried goes.
   *
   * @param unit of what is typed and said
   * @throws Refusal if the question cannot be answered at all
   */
  public static CarryResult answer(Space space, CarryAsk q, LengthUnit unit) {
    try {
      return new Carrying(space, held(space, q, unit), unit).run();
    } catch (Refusal e) {
      throw e.in(unit);
    }
  }

  /**
   * Picked up by a key it is held where the pointer was then, be that on it or beside it, so that
   * it stays until the pointer moves.
   */
  private static CarryAsk held(Space space, CarryAsk q, LengthUnit unit) {
    if (q.since() == null || q.picked() != null || q.article() != null) {
      return q;
    }
    try {
      Carrying then = new Carrying(space, q.begun(), unit);
      return q.withPicked(then.c.aiming.pointed(then.c.now));
    } catch (Refusal e) {
      return q.withPicked(null); // it pointed at nothing
    }
  }

  /** A copy that is carried, as what it is a copy of, where the copy is. */
  public static Piece original(Piece copy) {
    return CarriedPieces.original(copy);
  }

  // ---- the way to an answer

  private CarryResult run() {
    try {
      steps();
    } catch (Refusal e) {
      c.refused = e.in(c.unit).getMessage();
    }
    if (!Validity.near(c.now.at())) { // a number was typed that leads out of all measure
      c.now = c.now.at(c.load.lead().at());
      String far = Message.length(Validity.FARTHEST).in(c.unit);
      c.refused = "That is more than " + far + " away, which is too far.";
    }
    if (c.load.hangs() && c.q.against() == null) {
      Hung hung = c.resting.hung(c.now.pose());
      c.now = c.now.on(hung.from());
      c.place = hung.words(c.space, c.unit);
    }
    List<Piece> pieces = c.placed(c.now.at());
    landing.lookOnceMore(pieces);
    return answer(pieces);
  }

  private void steps() {
    if (c.q.against() != null) {
      FaceDown.FacedDown r = new FaceDown(c.space, c.load.lead(), c.q, c.by, c.load.own()).place();
      c.now = r.stance();
      c.place = r.words();
      return;
    }
    aim();
    if (c.turning) {
      aboutItsMark();
    }
    if (!toMark()) {
      keep();
      new TypedNumber(c).typed();
      landing.stop();
    }
  }

  private CarryResult answer(List<Piece> pieces) {
    Piece lead = pieces.get(pieces.size() - 1);
    c.distances.at(pieces);
    double facing = c.q.against() != null ? c.by : lead.turn();
    double turned = c.load.turns(c.q) ? facing : Double.NaN;
    Vec way = c.ways.way(c.now);
    LiveDistances told = LiveDistances.of(c.load, lead, c.distances, way, turned, c.unit);
    CarryResult answer =
        new CarryResult(
            pieces,
            lead.id(),
            lead.size().text(c.unit),
            c.now.on(),
            told.over().isEmpty() ? c.place : c.place + ", overlapping " + told.over(),
            levels,
            lead.pose().apply(c.load.mark()),
            c.load.fresh() ? null : c.load.lead().pose().apply(c.load.mark()),
            way,
            c.by,
            told.measures(),
            holding.said(told.reaches(), exact),
            c.stopped,
            c.refused,
            List.of(),
            c.asks);
    return answer.withSaid(CarrySentence.of(answer, c.q, c.load, c.ways.keptInWords()));
  }

  /** Turned by a typed angle, its mark stays where it is without that. */
  private void aboutItsMark() {
    Footing before = c.now.turned(c.load.lead().turn() + c.q.by());
    Vec grip = before.seen(c.load.grip()).minus(c.now.seen(c.load.grip()));
    Vec mark = before.seen(c.load.mark()).minus(c.now.seen(c.load.mark()));
    c.now = c.now.moved(CarryCourse.level(mark.minus(grip)));
  }

  private void aim() {
    Aiming.Aimed aimed = c.aiming.aim(c.now);
    c.now = aimed.stance();
    c.carrier = aimed.carrier();
    c.place = aimed.place();
    levels = aimed.levels();
  }

  /** Its mark goes exactly to what is pointed at; whether there is anything. */
  private boolean toMark() {
    if (c.q.meet() == null) {
      return false;
    }
    boolean level = c.load.stands() && (c.q.at() != null || c.load.mark().y() == 0 && !c.q.level());
    MarkToMark.MarkMeeting m =
        new MarkToMark(c.space, c.load, c.q).find(c.now, level, c.load.turns(c.q));
    if (m == null) {
      return false;
    }
    c.now = m.stance();
    exact = m.words();
    if (level) {
      c.onto();
      landing.rest(true);
    } else {
      c.now = c.now.on(Resting.of(c.space, c.load.lead(c.now)).carrier(c.now.pose()));
    }
    return true;
  }

  // ---- keeping to a direction

  private void keep() {
    Vec way = c.ways.kept();
    if (way == null) {
      return;
    }
    Vec start = c.load.lead().at();
    if (c.q.keep() == CarryKeep.height) {
      double y =
          c.q.level() ? c.aiming.planePoint().y() - c.aiming.offset(c.now).y() : c.now.at().y();
      c.now = c.now.at(start.x(), Math.max(0, y), start.z());
      c.now = c.now.on(c.load.onWall() ? c.load.lead().on() : On.NOTHING);
      c.carrier = null;
      return;
    }
    Vec line = start.along(way, c.now.at().minus(start).dot(way));
    c.now = c.now.at(line.x(), c.load.onWall() ? start.y() : c.now.at().y(), line.z());
    if (c.load.stands() && c.onto(start.y())) {
      c.place = "on " + c.space.nameOf(c.now.on());
    }
  }
}
