package pied.server.still;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.DateTimeException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import javax.imageio.ImageIO;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import pied.core.Nullable;
import pied.core.still.StillWords;
import pied.core.units.Refusal;
import pied.core.units.Text;
import pied.server.space.ProjectStore.SpaceCopied;
import pied.server.space.SpaceStore;
import pied.server.store.Json;
import pied.server.store.Ledger;
import pied.server.store.NotKept;

/** Stills that are made, for those who hand a space over, copy it or put it into an archive. */
@Service
public class StillShelf {
  private static final Logger LOG = LoggerFactory.getLogger(StillShelf.class);

  /** What stands for the set view where a viewpoint is named. */
  public static final String SET_VIEW = "set view";

  private final StillStore stills;
  private final StillFiles files;
  private final SpaceStore spaces;
  private final Ledger ledger;

  StillShelf(StillStore stills, StillFiles files, SpaceStore spaces, Ledger ledger) {
    this.stills = stills;
    this.files = files;
    this.spaces = spaces;
    this.ledger = ledger;
  }

  /**
   * One that is made.
   *
   * @param viewpoint id of one that is kept, name of a ready one, or {@link #SET_VIEW}
   * @param look id of it; null for as it was lit
   * @param where from the door, in the look Evening
   * @param said what was asked for
   * @param light all its light; null where that did not come along from elsewhere
   */
  public record MadeStill(
      String id,
      String name,
      String viewpoint,
      @Nullable String look,
      String where,
      String said,
      Path png,
      @Nullable Path light) {}

  /** Those of a space, the latest first. */
  public List<MadeStill> made(String space) {
    List<MadeStill> all = new ArrayList<>();
    for (StillRow r : stills.ofSpace(space)) {
      Path png = files.file(r.id(), ".png");
      if (png != null) {
        all.add(made(r, png));
      }
    }
    return all;
  }

  private MadeStill made(StillRow r, Path png) {
    StoredStill t = told(r);
    return new MadeStill(
        r.id(),
        r.name(),
        t.viewpoint() == null ? SET_VIEW : t.viewpoint(),
        t.look(),
        StillWords.where(t.from(), t.lookName()),
        StillWords.said(t.wish(), t.from(), t.lookName()),
        png,
        files.file(r.id(), ".hdr"));
  }

  private static StoredStill told(StillRow r) {
    return Json.read(r.told(), StoredStill.class);
  }

  /** The latest from each viewpoint in each look, the latest first. */
  public List<MadeStill> latest(String space) {
    Set<List<String>> seen = new HashSet<>();
    return made(space).stream()
        .filter(m -> seen.add(List.of(m.viewpoint, Objects.requireNonNullElse(m.look, ""))))
        .toList();
  }

  /**
   * The latest from a viewpoint.
   *
   * @param viewpoint its id, or {@link #SET_VIEW}
   * @param look id of the look it shows; null for the latest as it was lit, or else the latest
   * @throws Refusal if there is none
   */
  public MadeStill latest(String space, String viewpoint, @Nullable String look) {
    List<MadeStill> from = made(space).stream().filter(m -> m.viewpoint.equals(viewpoint)).toList();
    return from.stream()
        .filter(m -> Objects.equals(m.look, look))
        .findFirst()
        .or(() -> look == null ? from.stream().findFirst() : Optional.empty())
        .orElseThrow(
            () -> new Refusal("No still from there is made yet; ask for one under Stills."));
  }

  /**
   * Writes one: png, jpg, or hdr with all its light.
   *
   * @throws Refusal if that did not come along with it
   */
  public void write(MadeStill m, String ending, OutputStream out) throws IOException {
    switch (ending) {
      case "png" -> Files.copy(m.png, out);
      case "jpg" -> out.write(StillFiles.jpeg(ImageIO.read(m.png.toFile())));
      default -> {
        if (m.light == null) {
          throw new Refusal(NO_LIGHT);
        }
        Files.copy(m.light, out);
      }
    }
  }

  static final String NO_LIGHT =
      "This picture has no light with it: it is of ink lines alone, or came without in an archive.";

  // ---- archives

  /** What an archive says of one. */
  public ObjectNode about(MadeStill m) {
    StillRow r = stills.row(m.id);
    ObjectNode about = Json.MAPPER.createObjectNode();
    about.put("name", r.name()).put("revision", r.revision()).put("seconds", r.seconds());
    about.put("madeAt", r.madeAt().toString());
    if (r.noise() != null) {
      about.put("noise", r.noise());
    }
    about.set("told", Json.MAPPER.valueToTree(told(r)));
    return about;
  }

  /**
   * Keeps one that comes from elsewhere; nothing in it is trusted.
   *
   * @param space it is of
   * @param about it, as an archive says it
   * @throws Refusal if it is not whole
   */
  public void takeIn(String space, JsonNode about, @Nullable Path png, @Nullable Path light) {
    StoredStill told;
    try {
      told = Json.value(about.path("told"), StoredStill.class);
      told.check();
    } catch (Refusal e) {
      throw e;
    } catch (RuntimeException e) { // whatever may be in it
      throw new Refusal("what was asked for cannot be read.");
    }
    if (png == null) {
      throw new Refusal("it is not in the archive.");
    }
    Instant at;
    try {
      at = Instant.parse(about.path("madeAt").asText());
    } catch (DateTimeException e) {
      at = Instant.now();
    }
    double seconds = Math.max(0, about.path("seconds").asDouble(0));
    StillRow row =
        StillRow.made(
            space,
            Text.name("It", about.path("name").asText("Still")),
            Json.text(told),
            about.path("revision").asLong(-1),
            Double.isFinite(seconds) ? seconds : 0,
            about.path("noise").isNumber() ? about.path("noise").asDouble() : null,
            at);
    try {
      files.takeIn(row.id(), png, light, told.width(), told.height());
      keep(row);
    } catch (IOException e) {
      LOG.warn("A picture of an archive cannot be kept", e);
      throw new Refusal("it could not be written; the disk may be full.");
    }
  }

  private void keep(StillRow row) {
    boolean kept = false;
    try {
      ledger.keep(t -> t.insert(row));
      kept = true;
    } finally {
      if (!kept) {
        files.forget(row.id());
      }
    }
  }

  // ---- copies

  /** A copy of a space has its stills, too. */
  @EventListener
  void copied(SpaceCopied e) {
    long then = spaces.seen(e.from()).revision();
    long now = spaces.seen(e.to()).revision();
    for (StillRow r : stills.ofSpace(e.from())) {
      if (files.file(r.id(), ".png") == null) {
        continue;
      }
      StillRow copy =
          StillRow.made(
              e.to(),
              r.name(),
              r.told(),
              r.revision() == then ? now : -1,
              r.seconds(),
              r.noise(),
              r.madeAt());
      try {
        files.copy(r.id(), copy.id());
        keep(copy);
      } catch (IOException | NotKept x) { // the copy of the space stands without it
        LOG.warn("A picture could not be copied with its space", x);
      }
    }
  }
}
