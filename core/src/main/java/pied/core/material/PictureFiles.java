package pied.core.material;

import pied.core.Nullable;

/** The files of pictures that people brought. */
@FunctionalInterface
public interface PictureFiles {
  /** Where there are none. */
  PictureFiles NONE = print -> null;

  /**
   * The JPEG file of one, as it was kept.
   *
   * @param print as {@link OwnPicture#print()} says it
   * @return null if it is not there
   */
  @Nullable
  byte[] file(String print);
}
