package pied.e2e;

import com.fasterxml.jackson.databind.JsonNode;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.extension.ExtendWith;
import pied.e2e.Sheet.Studio;

/**
 * What tests on one sheet share: the server, the space that is open, and ways to point and to look.
 */
@ExtendWith(Seen.class)
abstract class OnTheSheet {
  final PiedProcess pied = Studio.PIED;
  Sheet sheet;
  String room;

  @AfterEach
  void close() {
    if (sheet != null) {
      sheet.close();
    }
  }

  /** A piece of the room by its id, or null. */
  final JsonNode piece(String id) {
    for (JsonNode p : pied.space(room).get("pieces")) {
      if (p.get("id").asText().equals(id)) {
        return p;
      }
    }
    return null;
  }

  final void click(double x, double z) {
    double[] p = sheet.onPlan(x, z);
    sheet.page.mouse().move(p[0], p[1]);
    sheet.page.mouse().click(p[0], p[1]);
  }
}
