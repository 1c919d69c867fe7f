package pied.core.piece;

/**
 * The place that a piece fills in a repetition.
 *
 * @param place its number
 * @param part which part of what is repeated it is, from 0
 * @param own whether it was moved or altered by itself, so that the rule leaves it as it is
 */
public record Slot(long place, int part, boolean own) {
  public Slot asOwn() {
    return new Slot(place, part, true);
  }
}
