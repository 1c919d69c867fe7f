package pied.core.space;

import java.util.List;
import pied.core.Tolerance;
import pied.core.piece.Lean;
import pied.core.piece.Stance;
import pied.core.solid.Vec;
import pied.core.units.Refusal;

/**
 * A flight of steps, or a ramp.
 *
 * @param id its name, such as "steps 1"
 * @param at the middle of its upper edge on the plan
 * @param turn the direction in which it comes down, degrees; 0 toward the foot of the plan
 * @param width metres
 * @param count of treads; 1 for a ramp
 * @param riser height of one step, or of the whole ramp, metres
 * @param going depth of one tread, or the length of the ramp on the plan, metres
 * @param base the level it begins from, metres
 */
public record Flight(
    String id,
    FlightKind kind,
    Spot at,
    double turn,
    double width,
    int count,
    double riser,
    double going,
    double base)
    implements Part {
  /** Sorts of flights. */
  public enum FlightKind {
    steps,
    ramp
  }

  /** The steepest step one likes to climb: stairs on stages keep to about 0.20 m. */
  public static final double RISER = 0.2;

  /** Usual depth of a tread, metres. */
  public static final double GOING = 0.3;

  /** Length on the plan, metres. */
  public double run() {
    return count * going;
  }

  /** Height of its uppermost tread or edge, metres. */
  public double top() {
    return base + count * riser;
  }

  private double dx() {
    return turn % 180 == 0 ? 0 : Math.sin(Math.toRadians(turn));
  }

  private double dz() {
    return (turn - 90) % 180 == 0 ? 0 : Math.cos(Math.toRadians(turn));
  }

  /**
   * The point so far down from the upper edge and so far to the side, which is the left as one
   * comes down.
   */
  public Spot spot(double down, double aside) {
    return at.plus(dx() * down + dz() * aside, dz() * down - dx() * aside);
  }

  /** Its footprint: from the upper edge round. */
  public List<Spot> outline() {
    double h = width / 2;
    return List.of(spot(0, -h), spot(0, h), spot(run(), h), spot(run(), -h));
  }

  /** How far down from the upper edge a point of the plan lies, metres. */
  public double down(Spot p) {
    return (p.x() - at.x()) * dx() + (p.z() - at.z()) * dz();
  }

  /** Height of its surface so far down from the upper edge, metres. */
  public double heightAt(double down) {
    if (kind == FlightKind.ramp) {
      return base + riser * (1 - Math.max(0, Math.min(1, down / going)));
    }
    int tread = (int) Math.max(0, Math.min(count - 1, Math.floor(down / going + Tolerance.SAME)));
    return base + (count - tread) * riser;
  }

  @Override
  public Vec anchor() {
    return at.at(0);
  }

  @Override
  public Flight called(String other) {
    return new Flight(other, kind, at, turn, width, count, riser, going, base);
  }

  @Override
  public Flight moved(Vec by, Shell shell) {
    return new Flight(id, kind, Part.moved(this, at, by), turn, width, count, riser, going, base);
  }

  @Override
  public Flight image(Twin by, Shell shell, String other) {
    double there = by.image(new Stance(at.at(0), turn, Lean.NONE)).turn();
    double round = ((Part.tidy(there) % 360) + 360) % 360;
    return new Flight(other, kind, Part.image(by, at), round, width, count, riser, going, base);
  }

  @Override
  public PartName name() {
    return new PartName(PartName.PartKind.flight, id);
  }

  @Override
  public void check(ShellCheck c) {
    ShellCheck.measure("The " + id + " are to be", width, 0.1, ShellCheck.MOST, "wide");
    ShellCheck.measure("A going of " + id + " is to be", going, 0.05, ShellCheck.MOST, "deep");
    if (count < 1 || count > 200) {
      throw new Refusal("A flight has 1 to 200 treads, not {}.", count);
    }
    ShellCheck.measure("A riser of " + id + " is to be", riser, 0.01, ShellCheck.MOST, "high");
    ShellCheck.measure(
        "The top of " + id + " is to be", top(), 0.01, c.shell().height() - 0.1, "high");
    if (!c.shell().holds(outline())) {
      throw new Refusal("The {} would reach beyond {}; make it shorter or move it.", id, c.words());
    }
  }
}
