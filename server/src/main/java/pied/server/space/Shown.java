package pied.server.space;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import pied.core.edit.Change;
import pied.core.space.Difference;

/**
 * What somebody was shown, in a few letters: all that edits would put in, alter and take out, as it
 * would be afterwards. It is the same whenever the same edits lead to the same, in whatever order
 * the pieces of the space are, and whatever else in it has changed meanwhile.
 */
final class Shown {
  private static final ObjectMapper SORTED =
      new ObjectMapper().enable(SerializationFeature.ORDER_MAP_ENTRIES_BY_KEYS);

  /** Bytes of the digest that are kept: no two changes meet by chance. */
  private static final int BYTES = 16;

  private Shown() {}

  /** 32 hexadecimal digits: the first half of the SHA-256 of it. */
  static String of(Change change) {
    ArrayNode all = SORTED.createArrayNode();
    for (Difference d : change.all()) {
      ObjectNode thing = SORTED.valueToTree(StoredChange.Thing.of(d));
      if (thing.hasNonNull("after")) {
        thing.remove("before");
        if (thing.get("after") instanceof ObjectNode after) {
          after.remove("place"); // its place among all others is nothing one sees
        }
      }
      all.add(thing);
    }
    try {
      byte[] whole = MessageDigest.getInstance("SHA-256").digest(SORTED.writeValueAsBytes(all));
      return HexFormat.of().formatHex(whole, 0, BYTES);
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
