package pied.core.show;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;

/** Something of how a space is shown that is kept with it. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "is")
@JsonSubTypes({
  @JsonSubTypes.Type(value = Day.class, name = "day"),
  @JsonSubTypes.Type(value = LightLook.class, name = "look"),
  @JsonSubTypes.Type(value = Viewpoint.class, name = "viewpoint"),
  @JsonSubTypes.Type(value = LampCurve.class, name = "curve")
})
public sealed interface Shown permits Day, LightLook, Viewpoint, LampCurve {
  /** Its own among those of its sort. */
  String id();

  /** What it is and its id: of two with one key the later is meant. */
  String key();

  /** How it is called. */
  String name();

  /** In the words of the trade, what it is. */
  String sort();
}
