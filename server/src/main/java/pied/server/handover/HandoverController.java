package pied.server.handover;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import pied.core.Nullable;
import pied.core.drawing.Elevation;
import pied.core.handover.Extent;
import pied.core.handover.SceneStl;
import pied.core.paper.Paper;
import pied.core.space.Space;
import pied.core.units.Deadline;
import pied.core.units.Refusal;
import pied.server.handover.HandoverWire.HandoverRequest;
import pied.server.handover.HandoverWire.HandoverSheet;
import pied.server.handover.HandoverWire.HandoverView;
import pied.server.handover.HandoverWire.LayerChoice;
import pied.server.handover.HandoverWire.LookChoice;
import pied.server.handover.HandoverWire.Preview;
import pied.server.handover.HandoverWire.TakenIn;
import pied.server.space.OpenSpace;
import pied.server.space.ProjectStore;
import pied.server.space.SpaceStore;
import pied.server.store.Missing;

/** Lists, drawings and models of a space. */
@RestController
@RequestMapping("/api")
class HandoverController {
  private final Handover handover;
  private final ProjectHandover ofProject;
  private final ProjectStore projects;
  private final HandoverJobs jobs;
  private final Archives archives;
  private final SpaceStore store;

  HandoverController(
      Handover handover,
      ProjectHandover ofProject,
      ProjectStore projects,
      HandoverJobs jobs,
      Archives archives,
      SpaceStore store) {
    this.ofProject = ofProject;
    this.projects = projects;
    this.archives = archives;
    this.handover = handover;
    this.jobs = jobs;
    this.store = store;
  }

  /** What can be handed over of a space. */
  @GetMapping("/spaces/{id}/handover")
  HandoverSheet sheet(@PathVariable String id) {
    OpenSpace.Seen now = store.seen(id);
    Space space = now.space();
    List<LayerChoice> layers =
        space.filing().layers().stream()
            .map(
                l ->
                    new LayerChoice(
                        l.id(),
                        l.name(),
                        (int) space.pieces().stream().filter(p -> space.layer(p) == l).count(),
                        l.hidden()))
            .toList();
    return new HandoverSheet(
        now.revision(),
        space.pieces().size(),
        layers,
        Paper.SCALES,
        Paper.ALL.stream().map(Paper::name).toList(),
        Extent.SHOWN.leftOut(space),
        SceneStl.open(Extent.SHOWN.of(space)),
        looks(space),
        handover.stillsOf(id));
  }

  private static List<LookChoice> looks(Space space) {
    List<LookChoice> all = new ArrayList<>();
    for (Elevation.ElevationLook look : Elevation.ElevationLook.offered(space.shell())) {
      if (look.way() == Elevation.LookWay.wall) {
        String words = "Elevation of " + space.shell().wallName(look.wall());
        all.add(new LookChoice(words, "elevation", Map.of("wall", look.wall())));
      }
    }
    boolean stage = space.shell().stage() != null;
    for (Elevation.LookWay way : Elevation.LookWay.values()) {
      if (way != Elevation.LookWay.wall) {
        String words = "Section, looking " + way.words(stage);
        all.add(new LookChoice(words, "section", Map.of("way", way.name())));
      }
    }
    return all;
  }

  /**
   * A file of a space, at an address that stays; with the tag of a revision one is told whether it
   * is another by now.
   */
  @GetMapping("/spaces/{id}/handover/{file}")
  CompletableFuture<ResponseEntity<Resource>> file(
      @PathVariable String id,
      @PathVariable String file,
      @RequestParam Map<String, String> said,
      @RequestHeader(value = HttpHeaders.IF_NONE_MATCH, required = false) @Nullable String had) {
    Handover.Job job = handover.job(id, new Wanted(file, said));
    return shared(id, job, had, (out, deadline) -> handover.write(job, out, deadline));
  }

  /** A file of all spaces of a project: its lists, its plans, a pack of all of it. */
  @GetMapping("/projects/{id}/handover/{file}")
  CompletableFuture<ResponseEntity<Resource>> ofProject(
      @PathVariable String id,
      @PathVariable String file,
      @RequestParam Map<String, String> said,
      @RequestHeader(value = HttpHeaders.IF_NONE_MATCH, required = false) @Nullable String had) {
    ProjectHandover.ProjectJob job = ofProject.job(id, Wanted.ofProject(file, said));
    return shared(id, job, had, (out, deadline) -> ofProject.write(job, out, deadline));
  }

  /** What such a file would be, to look at. */
  @GetMapping("/projects/{id}/handover/{file}/preview")
  Preview previewOfProject(
      @PathVariable String id, @PathVariable String file, @RequestParam Map<String, String> said) {
    return ofProject.preview(ofProject.job(id, Wanted.ofProject(file, said)), Deadline.seconds(30));
  }

  /** How files of a project were handed over last: unit, scale, paper and the like. */
  @GetMapping("/projects/{id}/handover")
  Map<String, String> choices(@PathVariable String id) {
    return projects.handover(id);
  }

  /** Keeps that with the project. */
  @PutMapping("/projects/{id}/handover")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void choose(@PathVariable String id, @RequestBody Map<String, String> chosen) {
    projects.keepHandover(id, chosen);
  }

  /** Begins to make a file of all spaces of a project. */
  @PostMapping("/projects/{id}/handover")
  HandoverView beginOfProject(@PathVariable String id, @RequestBody HandoverRequest r) {
    Map<String, String> said = r.said() == null ? Map.of() : r.said();
    Wanted wanted = Wanted.ofProject(r.file() == null ? "" : r.file(), said);
    ProjectHandover.ProjectJob job = ofProject.job(id, wanted);
    return begun(r, job, (out, deadline) -> ofProject.write(job, out, deadline));
  }

  /** A project as one file. */
  @GetMapping("/projects/{id}/archive.zip")
  CompletableFuture<ResponseEntity<Resource>> archive(
      @PathVariable String id,
      @RequestHeader(value = HttpHeaders.IF_NONE_MATCH, required = false) @Nullable String had) {
    return shared(
        id + "/archive",
        archives.tag(id),
        had,
        archives.name(id),
        "application/zip",
        (out, deadline) -> archives.write(id, out));
  }

  /** A file that is the same for all who ask for it, unless somebody has it already. */
  private CompletableFuture<ResponseEntity<Resource>> shared(
      String id, HandedOver job, @Nullable String had, HandoverJobs.Work work) {
    String what = id + "/" + job.wanted().file();
    return shared(what, job.tag(), had, job.name(), Handover.type(job.wanted()), work);
  }

  private CompletableFuture<ResponseEntity<Resource>> shared(
      String what,
      String tag,
      @Nullable String had,
      String name,
      String type,
      HandoverJobs.Work work) {
    String quoted = '"' + tag + '"';
    HttpHeaders headers = new HttpHeaders();
    headers.setETag(quoted);
    headers.setCacheControl("private, no-cache");
    if (had != null && (had.equals("*") || had.contains(quoted))) {
      return CompletableFuture.completedFuture(
          ResponseEntity.status(HttpStatus.NOT_MODIFIED).headers(headers).build());
    }
    headers.setContentType(MediaType.parseMediaType(type));
    headers.setContentDisposition(disposition(name));
    return jobs.shared(what + " " + tag, work)
        .thenApply(made -> ResponseEntity.ok().headers(headers).body(new FileSystemResource(made)));
  }

  /** Takes in a project that was one file. */
  @PostMapping("/archives")
  @ResponseStatus(HttpStatus.CREATED)
  TakenIn takeIn(@RequestParam("file") MultipartFile file) throws IOException {
    try (InputStream in = file.getInputStream()) {
      return archives.takeIn(in);
    }
  }

  /** What a file would be, to look at. */
  @GetMapping("/spaces/{id}/handover/{file}/preview")
  Preview preview(
      @PathVariable String id, @PathVariable String file, @RequestParam Map<String, String> said) {
    Handover.Job job = handover.job(id, new Wanted(file, said));
    return handover.preview(job, Deadline.seconds(30));
  }

  /** Begins to make a file. */
  @PostMapping("/spaces/{id}/handover")
  HandoverView begin(@PathVariable String id, @RequestBody HandoverRequest r) {
    if (r.file() == null || r.file().isBlank()) {
      throw new Refusal("Say which file is to be made, such as plan.pdf.");
    }
    Wanted wanted = new Wanted(r.file(), r.said() == null ? Map.of() : r.said());
    Handover.Job job = handover.job(id, wanted);
    return begun(r, job, (out, deadline) -> handover.write(job, out, deadline));
  }

  private HandoverView begun(HandoverRequest r, HandedOver job, HandoverJobs.Work work) {
    String by = r.by() == null ? "" : r.by();
    return view(jobs.begin(by, job.name(), Handover.type(job.wanted()), job.steps(), work));
  }

  /** How it comes on. */
  @GetMapping("/handovers/{job}")
  HandoverView view(@PathVariable String job) {
    HandoverJobs.Running r = running(job);
    return new HandoverView(job, r.name(), r.share(), r.file() != null, r.failed());
  }

  /** What was made. */
  @GetMapping("/handovers/{job}/file")
  void made(@PathVariable String job, HttpServletResponse response) throws IOException {
    HandoverJobs.Running r = running(job);
    Path file = r.file();
    if (file == null) {
      throw new Missing("It is not made yet.");
    }
    send(file, r.name(), r.type(), response);
  }

  /** It is stopped, or not needed any more. */
  @DeleteMapping("/handovers/{job}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void stop(@PathVariable String job) {
    jobs.stop(job);
  }

  private HandoverJobs.Running running(String job) {
    HandoverJobs.Running r = jobs.running(job);
    if (r == null) {
      throw new Missing("Nothing of that name is being made.");
    }
    return r;
  }

  /** What a browser can show it shows; all else it saves. */
  private static ContentDisposition disposition(String name) {
    boolean shown = name.endsWith(".svg") || name.endsWith(".pdf");
    ContentDisposition.Builder how =
        shown ? ContentDisposition.inline() : ContentDisposition.attachment();
    boolean plain = StandardCharsets.US_ASCII.newEncoder().canEncode(name);
    return plain ? how.filename(name).build() : how.filename(name, StandardCharsets.UTF_8).build();
  }

  private static void send(Path file, String name, String type, HttpServletResponse response)
      throws IOException {
    response.setContentType(type);
    response.setContentLengthLong(Files.size(file));
    response.setHeader(HttpHeaders.CONTENT_DISPOSITION, disposition(name).toString());
    Files.copy(file, response.getOutputStream());
  }
}
