package pied.server.store;

import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.zip.Deflater;
import java.util.zip.DeflaterOutputStream;
import java.util.zip.InflaterInputStream;
import pied.core.catalog.Finish;
import pied.core.edit.Change;
import pied.core.space.Shell;
import pied.server.api.Answers.Changed;

/**
 * Values as they are kept: JSON, packed (RFC 1950). Each has the number of its form; what was
 * written in an older one is brought to the present form before it is read. Shells, changes and
 * answers have records of their own, so that renaming something in the core breaks no old data;
 * {@code StoredTest} holds the present form.
 */
final class Stored {
  /**
   * The present form. 1: pieces taken out and put in have no place in the order. 2: they have. 3: a
   * change is a list of differences, of any kind of thing.
   */
  static final int FORM = 3;

  private static final ObjectMapper MAPPER = new ObjectMapper();

  private Stored() {}

  static byte[] write(Change change) {
    return write((Object) StoredChange.of(change));
  }

  static byte[] write(Shell shell) {
    return write((Object) StoredShell.of(shell));
  }

  static byte[] write(Changed answer) {
    return write((Object) StoredAnswer.of(answer, MAPPER));
  }

  static byte[] write(Object value) {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    Deflater deflater = new Deflater();
    try (DeflaterOutputStream out = new DeflaterOutputStream(bytes, deflater)) {
      MAPPER.writeValue(out, value);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } finally {
      deflater.end();
    }
    return bytes.toByteArray();
  }

  static Change change(int form, byte[] packed) {
    ObjectNode tree = (ObjectNode) tree(packed);
    if (form < 2) {
      StoredChange.second(tree);
    }
    if (form < 3) {
      tree = StoredChange.third(tree);
    }
    return value(tree, StoredChange.class).live();
  }

  static Shell shell(int form, byte[] packed) {
    return value(tree(packed), StoredShell.class).live();
  }

  static Changed answer(int form, byte[] packed) {
    return value(tree(packed), StoredAnswer.class).live(MAPPER);
  }

  private static JsonNode tree(byte[] packed) {
    try {
      return MAPPER.readTree(new InflaterInputStream(new ByteArrayInputStream(packed)));
    } catch (IOException e) {
      throw new UncheckedIOException("Something stored is not readable", e);
    }
  }

  private static <T> T value(JsonNode tree, Class<T> type) {
    try {
      return MAPPER.treeToValue(tree, type);
    } catch (IOException e) {
      throw new UncheckedIOException("A stored " + type.getSimpleName() + " is not readable", e);
    }
  }

  // ---- short texts in columns of their own

  static String text(Object value) {
    try {
      return MAPPER.writeValueAsString(value);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  static Map<String, Finish> finishes(String text) {
    return read(text, new TypeReference<LinkedHashMap<String, Finish>>() {});
  }

  static Map<String, String> colours(String text) {
    return read(text, new TypeReference<>() {});
  }

  private static <T> T read(String text, TypeReference<T> type) {
    try {
      return MAPPER.readValue(text, type);
    } catch (IOException e) {
      throw new UncheckedIOException("Stored finishes are not readable", e);
    }
  }
}
