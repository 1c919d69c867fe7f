package pied.server.still;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import pied.core.Names;
import pied.core.Nullable;
import pied.core.edit.Edits;
import pied.core.show.LightLook;
import pied.core.show.Viewpoint;
import pied.core.space.Space;
import pied.core.still.StillRun;
import pied.core.still.StillViews;
import pied.core.still.StillWish;
import pied.core.still.StillWords;
import pied.core.tool.light.RecallLook;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;
import pied.core.units.Text;
import pied.server.space.OpenSpace;
import pied.server.still.StillRow.StillState;
import pied.server.still.StillWire.StillEye;
import pied.server.still.StillWire.StillRequest;
import pied.server.store.Json;
import pied.server.store.Ledger;
import pied.server.store.Missing;

/** Stills that were asked for and made. */
@Service
class StillStore {
  /** Most of a space. */
  private static final int MOST = 500;

  /** Of all memory a picture may take so much. */
  private static final double SHARE = 0.45;

  private final StillRows rows;
  private final Ledger ledger;

  StillStore(StillRows rows, Ledger ledger) {
    this.rows = rows;
    this.ledger = ledger;
  }

  List<StillRow> ofSpace(String space) {
    return rows.ofSpace(space);
  }

  StillRow row(String id) {
    return rows.findById(id).orElseThrow(() -> new Missing("There is no such picture."));
  }

  /** How far one is; null if it is gone. */
  @Nullable
  StillState stateOf(String id) {
    return rows.findById(id).map(StillRow::state).orElse(null);
  }

  /** The one that is to be made next; null for none. */
  @Nullable
  StillRow next() {
    List<StillRow> all = rows.of(List.of(StillState.working, StillState.waiting));
    return all.isEmpty() ? null : all.get(0);
  }

  /** How many are made before one. */
  int before(StillRow row) {
    int n = 0;
    for (StillRow r : rows.of(List.of(StillState.working, StillState.waiting))) {
      if (r.id().equals(row.id())) {
        return n;
      }
      n++;
    }
    return n;
  }

  /**
   * Keeps what is asked for.
   *
   * @throws Refusal if it makes no picture, or is too large for the memory there is
   */
  StillRow ask(OpenSpace.Seen now, String space, StillRequest r) {
    int[] size = StillWords.size(r.size() == null ? "" : r.size());
    StillWish wish =
        StillWords.limited(
            new StillWish(
                view(now.space(), r, size),
                size[0],
                size[1],
                r.grade(),
                null,
                null,
                r.card(),
                r.around(),
                r.ink()),
            r.limit());
    fits(wish);
    LightLook look = look(now.space(), r.look());
    String from = r.viewpoint() == null ? null : name(now.space(), r.viewpoint());
    StoredStill told =
        StoredStill.of(
            wish,
            r.viewpoint(),
            from,
            look == null ? null : look.id(),
            look == null ? null : look.name());
    String name = from == null ? "Set view" : from;
    return insert(space, look == null ? name : name + ", " + look.name(), told, now.revision());
  }

  private static String name(Space space, String viewpoint) {
    return space.showing().viewpoints().stream()
        .filter(v -> v.id().equals(viewpoint))
        .map(Viewpoint::name)
        .findFirst()
        .orElse(viewpoint);
  }

  private StillRow insert(String space, String name, StoredStill told, long revision) {
    List<StillRow> all = rows.ofSpace(space);
    if (all.size() >= MOST) {
      throw new Refusal("A space keeps up to {} pictures; remove one first.", MOST);
    }
    Set<String> taken = all.stream().map(StillRow::name).collect(Collectors.toSet());
    StillRow row = new StillRow(space, Names.free(name, taken), Json.text(told), revision);
    ledger.keep(t -> t.insert(row));
    return row;
  }

  private static Viewpoint view(Space space, StillRequest r, int[] size) {
    double ratio = r.around() ? 1 : (double) size[0] / size[1];
    if (r.viewpoint() != null) {
      return StillViews.named(space, r.viewpoint(), ratio);
    }
    StillEye e = r.eye();
    if (e == null) {
      throw new Refusal("A picture is from a viewpoint or from an eye.");
    }
    List<String> lifted = e.lifted() == null ? List.of() : e.lifted();
    return StillViews.seen(
        space, e.eye(), e.target(), e.high(), ratio, e.upright(), lifted, e.orbit());
  }

  private static void fits(StillWish wish) {
    long room = (long) (SHARE * Runtime.getRuntime().maxMemory());
    if (StillRun.bytes(wish) > room) {
      throw new Refusal(
          "A picture of this size takes {} MB of memory, and Pied may use {} for it; make it"
              + " smaller.",
          StillRun.bytes(wish) >> 20,
          room >> 20);
    }
  }

  private static @Nullable LightLook look(Space space, @Nullable String look) {
    if (look == null || look.isBlank()) {
      return null;
    }
    return space.showing().looks().stream()
        .filter(l -> l.id().equals(look) || l.name().equalsIgnoreCase(look))
        .findFirst()
        .orElseThrow(
            () ->
                new Refusal(
                    "There is no look “{}” in this space.",
                    look.substring(0, Math.min(40, look.length()))));
  }

  /** A space in a look. */
  Space lit(Space space, @Nullable String look) {
    return look == null || look(space, look) == null
        ? space
        : Edits.apply(space, List.of(new RecallLook(look)), LengthUnit.M, () -> "").space();
  }

  /** The same once more, from the space as it is now. */
  StillRow anew(StillRow row, OpenSpace.Seen now) {
    StoredStill told = Json.read(row.told(), StoredStill.class);
    StillWish w = told.wish();
    Viewpoint v = w.view();
    if (told.viewpoint() != null) {
      v = StillViews.named(now.space(), told.viewpoint(), (double) w.width() / w.height());
    }
    if (told.look() != null) {
      look(now.space(), told.look());
    }
    StoredStill again =
        StoredStill.of(w.withView(v), told.viewpoint(), told.from(), told.look(), told.lookName());
    return insert(row.space(), Names.bare(row.name()), again, now.revision());
  }

  void put(String id, StillState state, @Nullable String failed) {
    Map<String, Object> values = new HashMap<>(Map.of("id", id, "state", state));
    values.put("failed", failed);
    ledger.keep(
        t ->
            t.alter("update StillRow set state = :state, failed = :failed where id = :id", values));
  }

  void made(String id, double seconds, @Nullable Double noise) {
    Map<String, Object> values = new HashMap<>(Map.of("id", id, "seconds", seconds));
    values.put("noise", noise);
    values.put("state", StillState.made);
    ledger.keep(
        t ->
            t.alter(
                "update StillRow set state = :state, failed = null, seconds = :seconds,"
                    + " noise = :noise where id = :id",
                values));
  }

  void name(String id, String name) {
    String n = name.strip();
    if (n.isEmpty() || n.length() > Text.LONGEST_NAME) {
      throw new Refusal("A name has 1 to {} letters.", Text.LONGEST_NAME);
    }
    ledger.keep(
        t ->
            t.alter(
                "update StillRow set name = :name where id = :id", Map.of("id", id, "name", n)));
  }

  void remove(String id) {
    ledger.keep(t -> t.alter("delete from StillRow where id = :id", Map.of("id", id)));
  }
}
