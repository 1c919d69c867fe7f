package pied.server.still;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.zip.ZipOutputStream;
import javax.imageio.ImageIO;
import org.springframework.core.io.ByteArrayResource;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import pied.core.handover.Zip;
import pied.core.show.Viewpoint;
import pied.core.still.StillInk;
import pied.core.still.StillWords;
import pied.core.units.Refusal;
import pied.server.http.FileName;
import pied.server.space.OpenSpace;
import pied.server.space.SpaceStore;
import pied.server.still.StillQueue.Making;
import pied.server.still.StillRow.StillState;
import pied.server.still.StillWire.StillNaming;
import pied.server.still.StillWire.StillRequest;
import pied.server.still.StillWire.StillView;
import pied.server.store.Json;
import pied.server.store.Missing;

/** Finished pictures of a space. */
@RestController
@RequestMapping("/api")
class StillController {
  private final StillStore stills;
  private final StillQueue queue;
  private final StillFiles files;
  private final SpaceStore spaces;

  StillController(StillStore stills, StillQueue queue, StillFiles files, SpaceStore spaces) {
    this.stills = stills;
    this.queue = queue;
    this.files = files;
    this.spaces = spaces;
  }

  /** Those of a space, the latest first. */
  @GetMapping("/spaces/{space}/stills")
  List<StillView> all(@PathVariable String space) {
    OpenSpace.Seen now = spaces.seen(space);
    return stills.ofSpace(space).stream().map(r -> view(r, now.revision())).toList();
  }

  private StillView view(StillRow row, long revision) {
    StoredStill told = Json.read(row.told(), StoredStill.class);
    Making m = queue.making(row.id());
    boolean made = row.state() == StillState.made;
    double share = made ? 1 : m == null ? 0 : m.run.share();
    double seconds = m == null ? row.seconds() : m.run.seconds();
    String trouble =
        row.failed() == null && m != null && m.notKept
            ? "It cannot be kept meanwhile: the disk may be full."
            : row.failed();
    boolean outdated = made && row.revision() != revision;
    int before = row.state() == StillState.waiting ? stills.before(row) : 0;
    double noise = m == null ? Double.NaN : m.run.noise();
    return new StillView(
        row.id(),
        row.space(),
        row.name(),
        StillWords.said(told.wish(), told.from(), told.lookName()),
        told.width(),
        told.height(),
        row.state(),
        share,
        progress(row, share, seconds, outdated, before),
        seconds,
        m == null ? row.noise() : Double.isNaN(noise) ? null : Double.valueOf(noise),
        m == null ? 0 : m.version(),
        told.ink() == StillInk.alone,
        outdated,
        trouble,
        before,
        row.madeAt().toString());
  }

  private static String progress(
      StillRow row, double share, double seconds, boolean outdated, int before) {
    return switch (row.state()) {
      case waiting -> before > 0 ? "waits for " + before : "begins";
      case working -> StillWords.progress(share, seconds);
      case stopped -> "stopped";
      case failed -> "not made";
      case made ->
          outdated
              ? "out of date: the space was changed since"
              : "made in " + StillWords.time(seconds);
    };
  }

  private StillView view(StillRow row) {
    return view(row, spaces.seen(row.space()).revision());
  }

  /** Asks for one. */
  @PostMapping("/spaces/{space}/stills")
  @ResponseStatus(HttpStatus.CREATED)
  StillView ask(@PathVariable String space, @RequestBody StillRequest request) {
    OpenSpace.Seen now = spaces.seen(space);
    StillRow row = stills.ask(now, space, request);
    queue.take(row.id(), now.space());
    return view(row, now.revision());
  }

  /** Asks for one from each viewpoint that is kept, each in its own look if it has one. */
  @PostMapping("/spaces/{space}/stills/all")
  @ResponseStatus(HttpStatus.CREATED)
  List<StillView> askAll(@PathVariable String space, @RequestBody StillRequest r) {
    OpenSpace.Seen now = spaces.seen(space);
    List<Viewpoint> kept = now.space().showing().viewpoints();
    if (kept.isEmpty()) {
      throw new Refusal("No viewpoint is kept yet; keep one first.");
    }
    List<StillView> all = new ArrayList<>();
    for (Viewpoint v : kept) {
      String look = r.look() == null ? v.look() : r.look();
      StillRow row =
          stills.ask(
              now,
              space,
              new StillRequest(
                  v.id(),
                  null,
                  r.size(),
                  r.grade(),
                  r.limit(),
                  look,
                  r.card(),
                  r.around(),
                  r.ink()));
      queue.take(row.id(), now.space());
      all.add(view(row, now.revision()));
    }
    return all;
  }

  /** One, and how far it is. */
  @GetMapping("/stills/{id}")
  StillView one(@PathVariable String id) {
    return view(stills.row(id));
  }

  /** What there is of it to look at. */
  @GetMapping("/stills/{id}/seen.jpg")
  ResponseEntity<Resource> seen(@PathVariable String id) throws IOException {
    Making m = queue.making(id);
    Path small = files.file(stills.row(id).id(), ".jpg");
    if (m == null && small == null) {
      throw new Missing("Nothing of this picture can be seen yet.");
    }
    Resource body = m == null ? new FileSystemResource(small) : new ByteArrayResource(m.seen());
    return ResponseEntity.ok()
        .contentType(MediaType.IMAGE_JPEG)
        .cacheControl(CacheControl.noCache())
        .body(body);
  }

  /** Its file: png, jpg, or hdr with all its light. */
  @GetMapping("/stills/{id}/picture.{ending}")
  ResponseEntity<Resource> file(@PathVariable String id, @PathVariable String ending)
      throws IOException {
    StillRow row = stills.row(id);
    Path png = files.file(id, ".png");
    Path hdr = files.file(id, ".hdr");
    if (png == null) {
      throw new Missing("This picture is not made yet.");
    }
    if (hdr == null && ending.equals("hdr")) {
      throw new Missing(StillShelf.NO_LIGHT);
    }
    return switch (ending) {
      case "png" -> saved(row, new FileSystemResource(png), ending, MediaType.IMAGE_PNG);
      case "jpg" ->
          saved(
              row,
              new ByteArrayResource(StillFiles.jpeg(ImageIO.read(png.toFile()))),
              ending,
              MediaType.IMAGE_JPEG);
      case "hdr" ->
          saved(
              row,
              new FileSystemResource(hdr),
              ending,
              MediaType.parseMediaType("image/vnd.radiance"));
      default -> throw new Missing("A picture is had as png, jpg or hdr.");
    };
  }

  private static ResponseEntity<Resource> saved(
      StillRow row, Resource body, String ending, MediaType type) {
    ContentDisposition how =
        ContentDisposition.attachment()
            .filename(FileName.of(row.name(), "picture") + "." + ending, StandardCharsets.UTF_8)
            .build();
    return ResponseEntity.ok()
        .contentType(type)
        .header(HttpHeaders.CONTENT_DISPOSITION, how.toString())
        .cacheControl(CacheControl.noCache())
        .body(body);
  }

  /** All of a space that are made, in one file. */
  @GetMapping("/spaces/{space}/stills.zip")
  ResponseEntity<StreamingResponseBody> zip(@PathVariable String space) {
    OpenSpace.Seen now = spaces.seen(space);
    List<StillRow> made =
        stills.ofSpace(space).stream().filter(r -> files.file(r.id(), ".png") != null).toList();
    if (made.isEmpty()) {
      throw new Missing("No picture is made yet.");
    }
    ContentDisposition how =
        ContentDisposition.attachment()
            .filename(FileName.of(now.name(), "picture") + " pictures.zip", StandardCharsets.UTF_8)
            .build();
    StreamingResponseBody body =
        out -> {
          ZipOutputStream zip = Zip.open(out);
          int n = made.size();
          for (StillRow r : made) {
            Zip.begin(zip, "%02d %s.png".formatted(n--, FileName.of(r.name(), "picture")));
            Files.copy(files.file(r.id(), ".png"), zip);
            zip.closeEntry();
          }
          zip.finish();
        };
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType("application/zip"))
        .header(HttpHeaders.CONTENT_DISPOSITION, how.toString())
        .body(body);
  }

  /** It is not made any further now; what is done is kept. */
  @PostMapping("/stills/{id}/stop")
  StillView stop(@PathVariable String id) {
    StillRow row = stills.row(id);
    if (row.state() == StillState.waiting) {
      stills.put(id, StillState.stopped, null);
    }
    queue.stop(id);
    return view(stills.row(id));
  }

  /** Goes on with one that was stopped, or could not be written. */
  @PostMapping("/stills/{id}/go")
  StillView go(@PathVariable String id) {
    StillRow row = stills.row(id);
    if (row.state() == StillState.stopped) {
      stills.put(id, StillState.waiting, null);
      queue.ring();
    }
    return view(stills.row(id));
  }

  /** The same of the space as it is now; the old one stays, to be compared. */
  @PostMapping("/stills/{id}/anew")
  @ResponseStatus(HttpStatus.CREATED)
  StillView anew(@PathVariable String id) {
    StillRow old = stills.row(id);
    OpenSpace.Seen now = spaces.seen(old.space());
    StillRow row = stills.anew(old, now);
    queue.take(row.id(), now.space());
    return view(row, now.revision());
  }

  @PostMapping("/stills/{id}/name")
  StillView name(@PathVariable String id, @RequestBody StillNaming naming) {
    stills.row(id);
    stills.name(id, naming.name() == null ? "" : naming.name());
    return view(stills.row(id));
  }

  @DeleteMapping("/stills/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@PathVariable String id) {
    stills.row(id);
    queue.forget(id);
    stills.remove(id);
    files.forget(id);
  }
}
