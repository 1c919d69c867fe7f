package pied.core.edit;

import java.util.List;
import pied.core.space.Flight;
import pied.core.space.Opening;

/**
 * Something done to the shell of a space. A part without an id is a new one; what is missing stays,
 * or is as usual. Points and heights are those of the space, not read from the datum.
 */
public interface ShellEdit extends Edit {
  /** Another outline; openings stay where they still fit. */
  record Outline(List<PlanPoint> corners) implements ShellEdit {}

  /**
   * Moves a corner.
   *
   * @param corner its number, from 0
   * @param place where to, read from the datum, instead of {@code to}
   * @param square whether the walls at it keep their directions; true if missing
   */
  record MoveCorner(int corner, PlanPoint to, Place3 place, Boolean square) implements ShellEdit {}

  /** Puts a corner into a wall, so far from its first corner; null for its middle. */
  record AddCorner(String wall, Amount at) implements ShellEdit {}

  /** Takes a corner away; its two walls become one. */
  record RemoveCorner(int corner) implements ShellEdit {}

  /** Moves a wall out, or with a minus in; its neighbours grow or shrink. */
  record MoveWall(String wall, Amount by) implements ShellEdit {}

  /** Which end of a wall moves. */
  enum End {
    start,
    end
  }

  /** Gives a wall a length; the wall beyond the moving end moves along. */
  record WallLength(String wall, Amount length, End moves) implements ShellEdit {}

  /** Gives one wall its own thickness; 0 takes the wall away and leaves the edge open. */
  record WallThickness(String wall, Amount thickness) implements ShellEdit {}

  /**
   * Measures of the whole.
   *
   * @param skirtingHeight 0 for no skirting
   * @param rake of a stage: "5 %", "1:20" or rise in metres a metre
   * @param level of the stage floor above the auditorium
   */
  record Build(
      Amount height,
      Amount thickness,
      Amount skirtingHeight,
      Amount skirtingDepth,
      Amount north,
      Amount level,
      String rake,
      Amount apronWidth,
      Amount apronDepth,
      Amount apronCurve)
      implements ShellEdit {}

  /** Rows of seats; none takes them away. */
  record Rows(Amount first, Amount pitch, Amount rise, Amount rows, Amount width, Boolean none)
      implements ShellEdit {}

  /**
   * An opening.
   *
   * @param at a point near the wall it goes to, instead of wall and from
   * @param from from the wall's first corner to its near side
   * @param toEnd from its far side to the wall's second corner
   * @param gap from the far side of the opening before it to its near side
   */
  record SetOpening(
      String part,
      Opening.Kind kind,
      PlanPoint at,
      String wall,
      Amount from,
      Amount toEnd,
      Amount gap,
      Amount width,
      Amount sill,
      Amount height,
      Opening.Hand hinge,
      Opening.Way opens,
      Amount depth)
      implements ShellEdit {}

  /**
   * A free-standing wall between two points of its middle line.
   *
   * @param start the first point, read from the datum, instead of {@code from}
   * @param end the second one, likewise
   */
  record SetPartition(
      String part,
      PlanPoint from,
      PlanPoint to,
      Place3 start,
      Place3 end,
      Amount length,
      Amount thickness,
      Amount height)
      implements ShellEdit {}

  /**
   * A column.
   *
   * @param at its middle
   * @param to its middle read from the datum, instead
   */
  record SetColumn(String part, PlanPoint at, Place3 to, Amount width, Amount depth, Boolean round)
      implements ShellEdit {}

  /**
   * A platform.
   *
   * @param at its middle
   * @param to its middle read from the datum, instead
   * @param outline of any form, instead of a rectangle
   */
  record SetPlatform(
      String part,
      PlanPoint at,
      Place3 to,
      List<PlanPoint> outline,
      Amount width,
      Amount depth,
      Amount height)
      implements ShellEdit {}

  /**
   * Steps or a ramp. Near the edge of a platform they go to it and lead up to it.
   *
   * @param at the middle of the upper edge, or a point near an edge
   * @param to the middle of the upper edge read from the datum; then they stay free of edges
   * @param platform the platform whose front edge they go to, instead of a point
   */
  record SetFlight(
      String part,
      Flight.Kind kind,
      PlanPoint at,
      Place3 to,
      String platform,
      Amount turn,
      Amount width,
      Amount count,
      Amount riser,
      Amount going)
      implements ShellEdit {}

  /**
   * A bar to hang things from.
   *
   * @param at its middle
   * @param to its middle read from the datum, instead; its height is the trim
   */
  record SetBar(String part, PlanPoint at, Place3 to, Amount trim, Amount length)
      implements ShellEdit {}

  /**
   * Moves a part as far as a hand moves it; what comes out goes by whole centimetres.
   *
   * @param part id of its body ("wall:A", "opening:door 1"…), or of a corner ("corner:0")
   * @param up how far up, for an opening
   * @param free lets the walls at a corner turn
   */
  record ShiftPart(String part, PlanPoint by, Amount up, Boolean free) implements ShellEdit {}

  /** Takes parts of the shell away, by their ids as bodies ("opening:door 1", "platform:…"). */
  record RemoveParts(List<String> parts) implements ShellEdit {}

  /**
   * Puts the datum somewhere.
   *
   * @param to in the directions of the space
   * @param mark true: on the nearest mark of the shell or of a piece within {@code within} metres
   */
  record SetDatum(Place3 to, Boolean mark, Double within) implements ShellEdit {}

  /** Gives a part of the shell a colour, or with null its usual one again. */
  record Paint(String part, String colour) implements ShellEdit {}
}
