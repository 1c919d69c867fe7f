package pied.server.space;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import pied.core.Nullable;
import pied.core.caption.Caption;
import pied.core.check.Checks;
import pied.core.check.Snag;
import pied.core.material.PartLook;
import pied.core.phrase.Phrase;
import pied.core.piece.Piece;
import pied.core.schedule.PartSchedule;
import pied.core.schedule.Schedule;
import pied.core.select.Selecting;
import pied.core.space.PartName;
import pied.core.space.Space;
import pied.core.tool.keep.Clip;
import pied.core.tool.size.Handling;
import pied.core.tool.viewpoint.ViewpointCaption;
import pied.core.units.Deadline;
import pied.core.units.LengthUnit;
import pied.server.space.KeepingWire.ClipRequest;
import pied.server.space.KeepingWire.ClipView;
import pied.server.space.MeasuringWire.ReachAnswer;
import pied.server.space.MeasuringWire.ReachView;
import pied.server.space.SpaceWire.ArticleFinishes;
import pied.server.space.SpaceWire.By;
import pied.server.space.SpaceWire.CaptionRequest;
import pied.server.space.SpaceWire.CaptionView;
import pied.server.space.SpaceWire.Changed;
import pied.server.space.SpaceWire.EditRequest;
import pied.server.space.SpaceWire.Found;
import pied.server.space.SpaceWire.GoRequest;
import pied.server.space.SpaceWire.HistoryView;
import pied.server.space.SpaceWire.ScheduleView;
import pied.server.space.SpaceWire.SelectRequest;
import pied.server.space.SpaceWire.Snags;
import pied.server.space.SpaceWire.SpaceView;
import pied.server.space.SpaceWire.StepRequest;

/** Projects and spaces over HTTP. */
@RestController
@RequestMapping("/api")
class SpaceController {
  /** So many snags are told; of all others their number is. */
  private static final int MOST_SNAGS = 2_000;

  /** Longest time a look at the whole space may take, seconds. */
  private static final int LONGEST = 20;

  private static final String SO_MANY =
      "Very many pieces are in one place: move some of them, or take them away.";

  private final SpaceStore store;

  SpaceController(SpaceStore store) {
    this.store = store;
  }

  @GetMapping("/spaces/{id}")
  SpaceView space(@PathVariable String id, @RequestParam(required = false) String window) {
    return store.view(id, window == null ? null : new By(window, null));
  }

  @PostMapping("/spaces/{id}/edits")
  Changed edit(@PathVariable String id, @RequestBody EditRequest request) {
    return store.edit(id, request);
  }

  @PostMapping("/spaces/{id}/undo")
  Changed undo(@PathVariable String id, @RequestBody(required = false) StepRequest request) {
    return store.undo(id, request);
  }

  @PostMapping("/spaces/{id}/redo")
  Changed redo(@PathVariable String id, @RequestBody(required = false) StepRequest request) {
    return store.redo(id, request);
  }

  /** What was done, in words, the latest first. */
  @GetMapping("/spaces/{id}/history")
  HistoryView history(
      @PathVariable String id,
      @RequestParam(defaultValue = "0") long before,
      @RequestParam(defaultValue = "m") String unit) {
    return store.history(id, before, LengthUnit.of(unit));
  }

  /** To another point of the history. */
  @PostMapping("/spaces/{id}/history/go")
  Changed go(@PathVariable String id, @RequestBody GoRequest request) {
    return store.go(id, request);
  }

  @GetMapping("/spaces/{id}/pieces/{piece}/reach")
  ReachAnswer reach(
      @PathVariable String id,
      @PathVariable String piece,
      @RequestParam(defaultValue = "m") String unit) {
    OpenSpace.Seen now = store.seen(id);
    Space space = now.space();
    return new ReachAnswer(
        now.revision(), ReachView.all(space, space.piece(piece), LengthUnit.of(unit)));
  }

  /** The list of all pieces, always that of the moment. */
  @GetMapping("/spaces/{id}/schedule")
  ScheduleView schedule(@PathVariable String id, @RequestParam(defaultValue = "m") String unit) {
    OpenSpace.Seen now = store.seen(id);
    List<Schedule.ScheduleRow> rows =
        new ArrayList<>(Schedule.of(now.space(), LengthUnit.of(unit)));
    rows.addAll(PartSchedule.of(now.space(), LengthUnit.of(unit)));
    return new ScheduleView(now.revision(), rows);
  }

  /** How the finish parts of everything in a space look unless changed. */
  @GetMapping("/spaces/{id}/finishes")
  ArticleFinishes finishes(@PathVariable String id) {
    OpenSpace.Seen now = store.seen(id);
    Map<String, Map<String, PartLook>> all = new TreeMap<>();
    for (Piece p : now.space().pieces()) {
      all.computeIfAbsent(p.article(), a -> PartLook.of(now.space().article(p).finishes()));
    }
    return new ArticleFinishes(now.revision(), all);
  }

  @GetMapping("/spaces/{id}/snags")
  Snags snags(@PathVariable String id) {
    OpenSpace.Seen now = store.seen(id);
    List<Snag> all = Checks.of(now.space(), Deadline.looking(LONGEST, "all snags", SO_MANY));
    return new Snags(now.revision(), all.subList(0, Math.min(MOST_SNAGS, all.size())), all.size());
  }

  /** The pieces that are meant by a click, a figure drawn, or what they have in common. */
  @PostMapping("/spaces/{id}/select")
  Found select(@PathVariable String id, @RequestBody SelectRequest request) {
    OpenSpace.Seen now = store.seen(id);
    return new Found(now.revision(), Selecting.of(now.space(), request.meant()));
  }

  /** Pieces as they are held ready to be pasted, with all that stands on them. */
  @PostMapping("/spaces/{id}/clip")
  ClipView clip(@PathVariable String id, @RequestBody ClipRequest request) {
    OpenSpace.Seen now = store.seen(id);
    Clip clip = Clip.of(now.space(), request.pieces());
    return new ClipView(now.revision(), clip.pieces(), clip.groups());
  }

  /** The caption of a few pieces, of a part of the shell, or of the space. */
  @GetMapping("/spaces/{id}/caption")
  CaptionView caption(
      @PathVariable String id,
      @RequestParam(defaultValue = "") List<String> pieces,
      @RequestParam(defaultValue = "") String part,
      @RequestParam(defaultValue = "m") String unit) {
    return caption(id, new CaptionRequest(pieces, part, null, unit, null));
  }

  /** The same for any number of pieces, which an address has no room for. */
  @PostMapping("/spaces/{id}/caption")
  CaptionView caption(@PathVariable String id, @RequestBody CaptionRequest r) {
    LengthUnit u = LengthUnit.orMetres(r.unit());
    OpenSpace.Seen now = store.seen(id);
    List<String> pieces = r.pieces() == null ? List.of() : r.pieces();
    boolean ofPart = r.part() != null && !r.part().isEmpty();
    boolean ofView = r.viewpoint() != null && !r.viewpoint().isEmpty();
    List<Phrase> view = ofView ? ViewpointCaption.of(now.space(), r.viewpoint(), u) : List.of();
    return new CaptionView(
        now.revision(),
        !view.isEmpty()
            ? view
            : ofPart
                ? Caption.of(now.space(), PartName.read(r.part()), u)
                : Caption.of(now.space(), now.name(), pieces, u, handling(r.handling())));
  }

  private static Handling handling(@Nullable Handling h) {
    return h == null ? Handling.NONE : h;
  }

  @GetMapping(value = "/status", produces = MediaType.APPLICATION_JSON_VALUE)
  Map<String, String> status() {
    return Map.of("name", "Pied", "status", "ready");
  }
}
