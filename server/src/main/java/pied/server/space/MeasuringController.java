package pied.server.space;

import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import pied.core.Nullable;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.measure.Handles;
import pied.core.measure.PointOn;
import pied.core.measure.Yardstick;
import pied.core.size.Measure;
import pied.core.tool.size.KnownLength;
import pied.core.units.LengthUnit;
import pied.server.space.MeasuringWire.HandlesView;
import pied.server.space.MeasuringWire.PointAnswer;
import pied.server.space.MeasuringWire.PointRequest;
import pied.server.space.MeasuringWire.YardstickView;

/** What one measures with in a space: points, and yardsticks. */
@RestController
@RequestMapping("/api")
class MeasuringController {
  private final SpaceStore store;

  MeasuringController(SpaceStore store) {
    this.store = store;
  }

  /** A point that is pointed at, and how far it is from the one before. */
  @PostMapping("/spaces/{id}/point")
  PointAnswer point(@PathVariable String id, @RequestBody PointRequest r) {
    OpenSpace.Seen now = store.seen(id);
    List<String> pieces = r.pieces() == null ? List.of() : r.pieces();
    Edit.Sight ray = EditSession.need(r.ray(), "ray");
    PointOn p = PointOn.of(now.space(), pieces, ray.from(), ray.along(), r.near());
    if (r.from() == null) {
      return new PointAnswer(now.revision(), p.at(), p.words(), null, "", null);
    }
    LengthUnit unit = LengthUnit.orMetres(r.unit());
    double length = p.at().distance(r.from());
    Measure along =
        pieces.isEmpty()
            ? null
            : KnownLength.along(now.space().piece(pieces.get(pieces.size() - 1)), r.from(), p.at());
    return new PointAnswer(now.revision(), p.at(), p.words(), length, unit.fine(length), along);
  }

  /** Where a piece can be taken hold of. */
  @GetMapping("/spaces/{id}/pieces/{piece}/handles")
  HandlesView handles(
      @PathVariable String id,
      @PathVariable String piece,
      @RequestParam(required = false) @Nullable String about,
      @RequestParam(defaultValue = "m") String unit) {
    OpenSpace.Seen now = store.seen(id);
    return new HandlesView(
        now.revision(), Handles.of(now.space().piece(piece), about, LengthUnit.of(unit)));
  }

  /** A yardstick beside a piece, to judge its size by eye. */
  @GetMapping("/spaces/{id}/yardstick")
  YardstickView yardstick(
      @PathVariable String id,
      @RequestParam String piece,
      @RequestParam Yardstick.YardstickWhat what,
      @RequestParam(defaultValue = "") String size,
      @RequestParam(defaultValue = "m") String unit) {
    OpenSpace.Seen now = store.seen(id);
    return new YardstickView(
        now.revision(), Yardstick.beside(now.space(), piece, what, size, LengthUnit.of(unit)));
  }
}
