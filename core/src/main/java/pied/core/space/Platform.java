package pied.core.space;

import java.util.List;

/**
 * A raised area of floor.
 *
 * @param id its name, such as "platform 1"
 * @param outline corners on the plan
 * @param height of its top above the zero level of the floor, metres
 */
public record Platform(String id, List<Spot> outline, double height) {
  public Platform {
    outline = List.copyOf(outline);
  }

  public Platform withOutline(List<Spot> v) {
    return new Platform(id, v, height);
  }
}
