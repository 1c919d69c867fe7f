package pied.core.material;

import java.util.Arrays;
import java.util.Objects;
import pied.core.Nullable;

/**
 * What a part looks like: all there is to be said of it.
 *
 * @param name what people call the part
 * @param finish complete
 * @param picture a PNG or JPEG file on it, in place of the colour; null for none
 */
public record Look(String name, Finish finish, @Nullable byte[] picture) {
  public Look {
    finish = finish.over(Finish.CARD);
  }

  /** The same of a part, where its own finish is over the natural one. */
  public Look with(@Nullable Finish own) {
    if (own == null) {
      return this;
    }
    // a colour or a material of its own takes the place of a picture
    boolean covered = own.colour() != null || own.material() != null;
    return new Look(name, own.over(finish), covered ? null : picture);
  }

  @Override
  public boolean equals(Object o) {
    return o instanceof Look l
        && name.equals(l.name)
        && finish.equals(l.finish)
        && Arrays.equals(picture, l.picture);
  }

  @Override
  public int hashCode() {
    return Objects.hash(name, finish, picture == null ? 0 : picture.length);
  }

  @Override
  public String toString() {
    return name + " " + finish.colour() + (picture == null ? "" : " with a picture");
  }
}
