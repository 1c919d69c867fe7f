package pied.core.catalog;

import pied.core.units.LengthUnit;
import pied.core.units.Message;

/**
 * Free room that an article needs to be used.
 *
 * @param side "front", "back", "left", "right", "around" or "above"
 * @param free metres
 * @param why the reason, such as "to open its doors"
 */
public record Clearance(String side, double free, String why) {
  /** Such as "0.60 m free in front to open its doors". */
  public String words(LengthUnit unit) {
    String where =
        switch (side) {
          case "front" -> "free in front";
          case "back" -> "free behind";
          case "left" -> "free on its left";
          case "right" -> "free on its right";
          case "around" -> "free around it";
          default -> "free " + side;
        };
    return Message.of("{} {} {}", Message.length(free), where, why).in(unit);
  }
}
