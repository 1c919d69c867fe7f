package pied.core.material;

import java.util.List;
import pied.core.Nullable;
import pied.core.material.pattern.Pattern;

/**
 * What a part can be made of.
 *
 * @param kind under which it is found
 * @param words other words people look for it by
 * @param finish as it comes; complete
 * @param second the second colour of its pattern: of joints, stripes, chips; as #RRGGBB
 * @param pattern what repeats on it; null for nothing
 * @param along whether it grows along the length of a part, as wood does; else it lies as one looks
 */
public record Material(
    String id,
    String name,
    String kind,
    List<String> words,
    Finish finish,
    String second,
    @Nullable Pattern pattern,
    boolean along) {

  /** How it is said in a sentence: of the wall, oak veneer. */
  public String said() {
    return Character.toLowerCase(name.charAt(0)) + name.substring(1);
  }

  /** Whether it is nothing but a colour. */
  public boolean plain() {
    return id.equals(Finish.PLAIN);
  }

  /** Whether something repeats on it. */
  public boolean patterned() {
    return pattern != null || OwnPicture.named(id) != null;
  }

  /** How wide what one counts in its pattern is as it comes, metres; 0 without a pattern. */
  public double unit() {
    return pattern != null ? pattern.unit() : patterned() ? OwnPicture.WIDE : 0;
  }

  /** How wide its joints are as it comes, metres. */
  public double joint() {
    return pattern == null ? 0 : pattern.joint();
  }

  /** Whether it shows a second colour. */
  public boolean jointed() {
    return !second.equals(finish.colour());
  }

  /** The second colour where its pattern lies so. */
  public String second(Laying laying) {
    return laying.second() == null ? second : laying.second();
  }
}
