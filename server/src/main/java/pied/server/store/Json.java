package pied.server.store;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.Map;
import pied.core.catalog.Finish;

/** Values as they are kept in text columns. */
final class Json {
  private static final ObjectMapper MAPPER = new ObjectMapper();

  private Json() {}

  static String write(Object value) {
    try {
      return MAPPER.writeValueAsString(value);
    } catch (JsonProcessingException e) {
      throw new IllegalStateException(e);
    }
  }

  static <T> T read(String text, Class<T> type) {
    try {
      return MAPPER.readValue(text, type);
    } catch (JsonProcessingException e) {
      throw new IllegalStateException("A stored " + type.getSimpleName() + " is not readable", e);
    }
  }

  static Map<String, Finish> readFinishes(String text) {
    try {
      return MAPPER.readValue(
          text, new TypeReference<java.util.LinkedHashMap<String, Finish>>() {});
    } catch (JsonProcessingException e) {
      throw new IllegalStateException("Stored finishes are not readable", e);
    }
  }

  static Map<String, String> readMap(String text) {
    try {
      return MAPPER.readValue(text, new TypeReference<>() {});
    } catch (JsonProcessingException e) {
      throw new IllegalStateException("Stored finishes are not readable", e);
    }
  }
}
