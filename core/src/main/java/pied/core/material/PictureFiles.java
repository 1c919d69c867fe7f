package pied.core.material;

import pied.core.Nullable;

/** The files of pictures that people brought. */
@FunctionalInterface
public interface PictureFiles {
  /** Where there are none. */
  PictureFiles NONE = id -> null;

  /**
   * The PNG or JPEG file of one.
   *
   * @param id as {@link OwnPicture#id()} says it
   * @return null if it is not there
   */
  @Nullable
  byte[] file(String id);
}
