package pied.core.catalog;

import com.fasterxml.jackson.annotation.JsonProperty;

/** How a piece is carried. */
public enum Mounting {
  /** On a floor or a top. */
  @JsonProperty("stands")
  STANDS,
  /** With its back flat against a wall. */
  @JsonProperty("wall")
  WALL,
  /** From a ceiling. */
  @JsonProperty("hangs")
  HANGS,
  /** In an opening of a wall, filling it. */
  @JsonProperty("opening")
  OPENING
}
