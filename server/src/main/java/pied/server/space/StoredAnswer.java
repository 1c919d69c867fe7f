package pied.server.space;

import com.fasterxml.jackson.annotation.JsonIgnoreProperties;
import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.ArrayList;
import java.util.List;
import pied.core.edit.Offer;
import pied.core.register.Tools;
import pied.server.space.SpaceWire.Changed;
import pied.server.space.StoredChange.Furnishing;
import pied.server.store.Json;

/**
 * An answer as it is stored for one who asks again, in forms 1 to 3. The names here are those in
 * people's files and stay.
 *
 * @param offers in the form of the interface to the outside; one that can no longer be read is left
 *     out
 * @param made not in forms 1 and 2
 */
@JsonIgnoreProperties(ignoreUnknown = true)
@JsonInclude(JsonInclude.Include.NON_EMPTY)
record StoredAnswer(
    long revision,
    List<Furnishing> changed,
    List<String> removed,
    List<String> made,
    List<String> said,
    List<JsonNode> offers,
    boolean shell,
    boolean filed,
    String part,
    boolean canUndo,
    boolean canRedo) {
  /** Reads edits by their names. */
  private static final ObjectMapper EDITS = Tools.json();

  static StoredAnswer of(Changed c) {
    return new StoredAnswer(
        c.revision(),
        c.changed().stream().map(Furnishing::of).toList(),
        List.copyOf(c.removed()),
        c.made(),
        c.said(),
        StoredShell.each(c.offers(), Json.MAPPER::valueToTree),
        c.shell(),
        c.filing() != null || c.showing() != null,
        c.part(),
        c.canUndo(),
        c.canRedo());
  }

  Changed live() {
    List<Offer> still = new ArrayList<>();
    for (JsonNode o : some(offers)) {
      try {
        still.add(EDITS.treeToValue(o, Offer.class));
      } catch (JsonProcessingException e) {
        continue; // an offer is a convenience
      }
    }
    return new Changed(
        revision,
        some(changed).stream().map(Furnishing::live).toList(),
        some(removed),
        some(made),
        some(said),
        still,
        shell || filed, // the space is looked at anew
        null,
        null,
        part,
        null,
        canUndo,
        canRedo);
  }

  private static <T> List<T> some(List<T> list) {
    return list == null ? List.of() : list;
  }
}
