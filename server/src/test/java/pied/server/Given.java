package pied.server;

import java.nio.charset.StandardCharsets;
import java.util.List;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.material.Finishes;
import pied.core.space.Shell;
import pied.core.space.Spot;
import pied.core.tool.place.Place;
import pied.server.space.ProjectStore;

/** What the server's tests begin with. */
public final class Given {
  private Given() {}

  /** A new empty room of 6 × 4 m in a project of its own; its id. */
  public static String room(ProjectStore store) {
    return store.newSpace(store.newProject("Project").id(), "Room", shell()).id();
  }

  /** That of a bare room of 6 × 4 m. */
  public static Shell shell() {
    return new Shell(
        List.of(new Spot(0, 0), new Spot(6, 0), new Spot(6, 4), new Spot(0, 4)),
        2.8,
        0.2,
        List.of(),
        Finishes.NONE);
  }

  public static Edit put(String id, String article, double x, double z) {
    return new Place(
        id, article, null, new Edit.PlanPoint(Amount.of(x), Amount.of(z)), null, null, null, null);
  }

  /**
   * What asks for a live channel, as it goes over the line.
   *
   * @param more header lines, each with its end
   */
  public static byte[] handshake(int port, String space, String more) {
    String text =
        "GET /api/live/%s HTTP/1.1\r\nHost: 127.0.0.1:%d\r\n%sUpgrade: websocket\r\nConnection: Upgrade\r\n"
            + "Sec-WebSocket-Version: 13\r\nSec-WebSocket-Key: AAAAAAAAAAAAAAAAAAAAAA==\r\n\r\n";
    return text.formatted(space, port, more).getBytes(StandardCharsets.US_ASCII);
  }
}
