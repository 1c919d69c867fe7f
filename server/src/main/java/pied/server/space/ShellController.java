package pied.server.space;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import pied.core.drawing.Elevation;
import pied.core.drawing.Elevations;
import pied.core.drawing.ShellPlan;
import pied.core.drawing.SpaceCard;
import pied.core.edit.Amount;
import pied.core.format.Glb;
import pied.core.measure.FreePlace;
import pied.core.solid.Body;
import pied.core.space.Shell;
import pied.core.space.ShellBodies;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.tool.shell.Drafting;
import pied.core.tool.shell.ShellList;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;
import pied.server.space.MeasuringWire.FloorHeight;
import pied.server.space.MeasuringWire.FreePlaceView;
import pied.server.space.SpaceWire.CardView;
import pied.server.space.SpaceWire.DraftAnswer;
import pied.server.space.SpaceWire.DraftRequest;
import pied.server.space.SpaceWire.ElevationView;
import pied.server.space.SpaceWire.PlanView;
import pied.server.space.SpaceWire.ShellSheet;

/** What a space is made of, and drawings of it. */
@RestController
@RequestMapping("/api")
class ShellController {
  private final SpaceStore store;
  private final Elevations elevations = new Elevations();

  ShellController(SpaceStore store) {
    this.store = store;
  }

  /** The plan of the bare room. */
  @GetMapping("/spaces/{id}/plan")
  PlanView plan(@PathVariable String id, @RequestParam(defaultValue = "m") String unit) {
    OpenSpace.Seen now = store.seen(id);
    return new PlanView(now.revision(), ShellPlan.of(now.space(), now.name(), LengthUnit.of(unit)));
  }

  /** The space small, as on a card. */
  @GetMapping("/spaces/{id}/card")
  CardView card(@PathVariable String id) {
    OpenSpace.Seen now = store.seen(id);
    return new CardView(now.revision(), SpaceCard.of(now.space()));
  }

  /** What one sees looking at a wall, or into the space where it is cut. */
  @GetMapping("/spaces/{id}/elevation")
  ElevationView elevation(
      @PathVariable String id,
      @RequestParam Elevation.LookWay way,
      @RequestParam(required = false) String wall,
      @RequestParam(required = false) String at,
      @RequestParam(defaultValue = "m") String unit) {
    LengthUnit u = LengthUnit.of(unit);
    Double where = at == null || at.isBlank() ? null : Amount.typed(at).metres(u);
    OpenSpace.Seen now = store.seen(id);
    return new ElevationView(
        now.revision(),
        elevations.draw(now.space(), new Elevation.ElevationLook(way, wall, where), u));
  }

  /** Everything the shell is made of. */
  @GetMapping("/spaces/{id}/shell")
  ShellSheet shellSheet(@PathVariable String id, @RequestParam(defaultValue = "m") String unit) {
    OpenSpace.Seen now = store.seen(id);
    return new ShellSheet(now.revision(), ShellList.of(now.space(), LengthUnit.of(unit)));
  }

  /** Where the next corner goes of a figure that is being drawn; nothing is stored. */
  @PostMapping("/spaces/{id}/draft")
  DraftAnswer draft(@PathVariable String id, @RequestBody DraftRequest r) {
    LengthUnit unit = LengthUnit.orMetres(r.unit());
    if (r.question() == null) {
      throw new Refusal("The request has no question.");
    }
    OpenSpace.Seen now = store.seen(id);
    Shell into = Boolean.TRUE.equals(r.outline()) ? null : now.space().shell();
    return new DraftAnswer(now.revision(), Drafting.next(into, r.question(), unit));
  }

  /** How large something may be that is to take the place of a piece, or go into an opening. */
  @GetMapping("/spaces/{id}/free")
  FreePlaceView free(
      @PathVariable String id,
      @RequestParam(defaultValue = "") String piece,
      @RequestParam(defaultValue = "") String part) {
    OpenSpace.Seen now = store.seen(id);
    Space space = now.space();
    FreePlace f =
        piece.isEmpty() ? FreePlace.of(space, part) : FreePlace.of(space, space.piece(piece));
    return new FreePlaceView(
        now.revision(), known(f.width()), known(f.depth()), known(f.height()), f.words());
  }

  private static Double known(double v) {
    return Double.isNaN(v) ? null : v;
  }

  /** Height of the floor at a point of the plan, for walking over it. */
  @GetMapping("/spaces/{id}/floor")
  FloorHeight floor(@PathVariable String id, @RequestParam double x, @RequestParam double z) {
    OpenSpace.Seen now = store.seen(id);
    double y = now.space().shell().floorAt(new Spot(x, z));
    return new FloorHeight(now.revision(), Double.isNaN(y) ? null : y);
  }

  /** The bare room as a model: a node for the floor, the ceiling, every wall, door and window. */
  @GetMapping(value = "/spaces/{id}/shell.glb", produces = "model/gltf-binary")
  byte[] shell(@PathVariable String id) {
    Space space = store.space(id);
    List<Body> all = new ArrayList<>(space.shellBodies().stream().filter(space::seen).toList());
    all.addAll(ShellBodies.cuts(space.shell()));
    return Glb.shape(all, Map.of());
  }
}
