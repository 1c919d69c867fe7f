package pied.server.imports;

import java.io.IOException;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import pied.core.catalog.Mounting;
import pied.core.edit.Amount;
import pied.core.format.Glb;
import pied.core.material.FinishPart;
import pied.core.model.Arrival;
import pied.core.model.Composed;
import pied.core.model.Files;
import pied.core.size.Size;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;
import pied.server.catalog.CatalogWire.ArticleCard;
import pied.server.imports.ImportWire.ImportView;
import pied.server.imports.ImportWire.OtherUnit;
import pied.server.imports.ImportWire.TakenSize;
import pied.server.space.SpaceStore;

/** Model files made elsewhere: sent in, looked at, corrected, accepted. */
@RestController
@RequestMapping("/api")
class ImportController {
  private final ImportStore store;
  private final SpaceStore spaces;

  ImportController(ImportStore store, SpaceStore spaces) {
    this.store = store;
    this.spaces = spaces;
  }

  /** Takes a file, several that belong together, or a zip, and says what it seems to be. */
  @PostMapping("/projects/{project}/imports")
  @ResponseStatus(HttpStatus.CREATED)
  ImportView arrive(
      @PathVariable String project,
      @RequestParam("file") List<MultipartFile> sent,
      @RequestParam(defaultValue = "m") String unit)
      throws IOException {
    Files files = new Files();
    for (MultipartFile f : sent) {
      files.add(f.getOriginalFilename() == null ? "model" : f.getOriginalFilename(), f.getBytes());
    }
    return view(store.arrive(project, files), unit);
  }

  /** The next of several models that came together. */
  @PostMapping("/imports/deliveries/{delivery}/next")
  ImportView next(@PathVariable String delivery, @RequestParam(defaultValue = "m") String unit) {
    return view(store.next(delivery), unit);
  }

  private static ImportView view(ImportStore.Arrived a, String unit) {
    Arrival arrival = a.arrival();
    Size size = Arrival.size(arrival.mesh(arrival.guess()));
    return new ImportView(
        a.id(),
        arrival.read().file(),
        arrival.read().format(),
        arrival.read().model().triangles(),
        arrival.read().model().parts().size(),
        arrival.guess(),
        size,
        size.text(LengthUnit.of(unit)),
        arrival.said().stream().map(s -> s.in(LengthUnit.of(unit))).toList(),
        others(arrival, size, LengthUnit.of(unit)),
        a.delivery(),
        a.more());
  }

  private static List<OtherUnit> others(Arrival arrival, Size size, LengthUnit u) {
    return arrival.others().stream()
        .map(
            metres -> {
              double by = metres / arrival.guess().unit();
              Size other = new Size(by * size.width(), by * size.depth(), by * size.height());
              return new OtherUnit(metres, Arrival.unitName(metres), other.text(u));
            })
        .toList();
  }

  private static Arrival.Taken checked(Arrival.Taken t) {
    if (t == null || t.name() == null || t.mounting() == null) {
      throw new Refusal("Say how the model is to be taken: unit, up, turn, name and mounting.");
    }
    return t;
  }

  /**
   * How large it is, taken so.
   *
   * @param height what is known of it, instead of the unit: the unit is made to agree; likewise
   *     width and depth
   */
  @PostMapping("/imports/{id}/size")
  TakenSize size(
      @PathVariable String id,
      @RequestBody Arrival.Taken taken,
      @RequestParam(defaultValue = "") String width,
      @RequestParam(defaultValue = "") String depth,
      @RequestParam(defaultValue = "") String height,
      @RequestParam(defaultValue = "m") String unit) {
    LengthUnit u = LengthUnit.of(unit);
    Arrival arrival = store.waiting(id);
    Arrival.Taken t = checked(taken);
    Size now = Arrival.size(arrival.mesh(t));
    double factor = 1;
    if (!width.isBlank()) {
      factor = known(width, u) / now.width();
    } else if (!depth.isBlank()) {
      factor = known(depth, u) / now.depth();
    } else if (!height.isBlank()) {
      factor = known(height, u) / now.height();
    }
    if (factor != 1) {
      t = t.withUnit(t.unit() * factor);
      now = Arrival.size(arrival.mesh(t));
    }
    return new TakenSize(now, now.text(u), t.unit());
  }

  private static double known(String typed, LengthUnit u) {
    double v = Amount.typed(typed).metres(u);
    if (!(v > 0)) {
      throw new Refusal("A measure is more than 0.");
    }
    return v;
  }

  /** How it looks, taken so. */
  @GetMapping(value = "/imports/{id}/mesh.glb", produces = "model/gltf-binary")
  byte[] mesh(
      @PathVariable String id,
      @RequestParam double unit,
      @RequestParam String up,
      @RequestParam int turn) {
    Arrival a = store.waiting(id);
    return Glb.write(
        "model",
        a.mesh(new Arrival.Taken(unit, up, turn, "", Mounting.STANDS, false)),
        FinishPart.finishes(a.finishes()),
        a.pictures());
  }

  /** Makes an article of it. */
  @PostMapping("/imports/{id}/accept")
  @ResponseStatus(HttpStatus.CREATED)
  ArticleCard accept(
      @PathVariable String id,
      @RequestBody Arrival.Taken taken,
      @RequestParam(defaultValue = "m") String unit) {
    return ArticleCard.of(store.accept(id, checked(taken)), LengthUnit.of(unit));
  }

  /** Keeps pieces of a space, as they stand to one another, as an article of its project. */
  @PostMapping("/spaces/{space}/articles")
  @ResponseStatus(HttpStatus.CREATED)
  ArticleCard keep(
      @PathVariable String space,
      @RequestBody ImportWire.KeepRequest request,
      @RequestParam(defaultValue = "m") String unit) {
    Composed all = Composed.of(spaces.space(space), request.pieces());
    return ArticleCard.of(
        store.keep(spaces.project(space), request.name(), all), LengthUnit.of(unit));
  }

  /** Gives it up. */
  @DeleteMapping("/imports/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void giveUp(@PathVariable String id) {
    store.giveUp(id);
  }

  /** The full form of an article that is drawn in a lighter one. */
  @GetMapping(value = "/shapes/{article}/full.glb", produces = "model/gltf-binary")
  byte[] full(@PathVariable String article) {
    return store.fullForm(article);
  }
}
