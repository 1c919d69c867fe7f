package pied.server.space;

import java.util.List;
import java.util.Set;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import pied.core.Nullable;
import pied.core.material.Appearance;
import pied.core.material.Finish;
import pied.core.material.FinishCard;
import pied.core.space.Space;
import pied.core.tool.finish.FinishCaption;
import pied.core.tool.finish.FinishSight;
import pied.core.tool.finish.FinishTarget;
import pied.core.tool.finish.Palette;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;
import pied.server.material.MaterialWire.FinishAt;
import pied.server.material.MaterialWire.FinishRequest;
import pied.server.material.MaterialWire.FinishView;
import pied.server.material.MaterialWire.PaletteView;
import pied.server.material.MaterialWire.SightRequest;

/** What parts of a space are made of. */
@RestController
@RequestMapping("/api")
class FinishController {
  /** So many spaces of a project are looked at. */
  private static final int MOST = 40;

  private final SpaceStore store;
  private final ProjectStore projects;

  FinishController(SpaceStore store, ProjectStore projects) {
    this.store = store;
    this.projects = projects;
  }

  /** The part one points at, and how it looks. */
  @PostMapping("/spaces/{id}/finishes/at")
  FinishAt at(@PathVariable String id, @RequestBody SightRequest r) {
    OpenSpace.Seen now = store.seen(id);
    if (r.from() == null || r.along() == null) {
      throw new Refusal("A line of sight has a point and a direction.");
    }
    Set<String> without = r.without() == null ? Set.of() : Set.copyOf(r.without());
    FinishTarget target = FinishSight.at(now.space(), r.from(), r.along(), without);
    if (target == null) {
      return new FinishAt(now.revision(), null, "", null, null, null);
    }
    return new FinishAt(
        now.revision(),
        target,
        target.title(now.space()),
        own(now.space(), target),
        FinishCard.of(target.shown(now.space()).withEmission(null)),
        trial(now.space(), target, r.given()));
  }

  private static @Nullable Appearance trial(Space space, FinishTarget t, @Nullable Finish given) {
    try {
      return given == null ? null : Appearance.of(t.with(given, space));
    } catch (Refusal e) {
      return null; // it is said when one lets go
    }
  }

  private static @Nullable Finish own(Space space, FinishTarget t) {
    List<String> pieces = t.pieces();
    return pieces == null
        ? space.shell().finishes().of(t.part())
        : space.piece(pieces.get(0)).finishes().of(t.part());
  }

  /** What a part is made of, in a sentence with blanks. */
  @PostMapping("/spaces/{id}/finishes/caption")
  FinishView caption(@PathVariable String id, @RequestBody FinishRequest r) {
    OpenSpace.Seen now = store.seen(id);
    if (r.target() == null || r.target().part() == null) {
      throw new Refusal("Say which part is meant.");
    }
    FinishTarget t = r.target();
    return new FinishView(
        now.revision(),
        FinishCard.of(t.shown(now.space()).withEmission(null)),
        FinishCaption.of(now.space(), t, r.before(), LengthUnit.orMetres(r.unit())));
  }

  /** The finishes chosen in it. */
  @GetMapping("/spaces/{id}/finishes/palette")
  PaletteView palette(@PathVariable String id) {
    OpenSpace.Seen now = store.seen(id);
    return new PaletteView(now.revision(), Palette.of(List.of(now.space())));
  }

  /** The finishes chosen in the spaces of a project. */
  @GetMapping("/projects/{id}/palette")
  List<FinishCard> ofProject(@PathVariable String id) {
    return Palette.of(
        projects.project(id).spaces().stream().limit(MOST).map(s -> store.space(s.id())).toList());
  }
}
