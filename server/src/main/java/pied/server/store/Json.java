package pied.server.store;

import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.zip.Deflater;
import java.util.zip.DeflaterOutputStream;
import java.util.zip.InflaterInputStream;

/** Values as JSON: short ones as text, long ones packed (RFC 1950). */
public final class Json {
  public static final ObjectMapper MAPPER = new ObjectMapper();

  private Json() {}

  public static byte[] packed(Object value) {
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

  /** What was packed. */
  public static JsonNode tree(byte[] packed) {
    try {
      return MAPPER.readTree(new InflaterInputStream(new ByteArrayInputStream(packed)));
    } catch (IOException e) {
      throw new UncheckedIOException("Something stored is not readable", e);
    }
  }

  public static <T> T value(JsonNode tree, Class<T> type) {
    try {
      return MAPPER.treeToValue(tree, type);
    } catch (IOException e) {
      throw new UncheckedIOException("A stored " + type.getSimpleName() + " is not readable", e);
    }
  }

  /** A short text for a column of its own. */
  public static String text(Object value) {
    try {
      return MAPPER.writeValueAsString(value);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  public static <T> T read(String text, Class<T> type) {
    try {
      return MAPPER.readValue(text, type);
    } catch (IOException e) {
      throw new UncheckedIOException("A stored " + type.getSimpleName() + " is not readable", e);
    }
  }

  /** Reads what {@link #text} wrote. */
  public static <T> T read(String text, TypeReference<T> type) {
    try {
      return MAPPER.readValue(text, type);
    } catch (IOException e) {
      throw new UncheckedIOException("Stored text is not readable", e);
    }
  }
}
