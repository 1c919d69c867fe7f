package pied.server.catalog;

import java.time.Duration;
import java.util.List;
import org.springframework.http.CacheControl;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import pied.core.Nullable;
import pied.core.catalog.Article;
import pied.core.catalog.Finder;
import pied.core.catalog.Mounting;
import pied.core.drawing.Eye;
import pied.core.drawing.LineDrawing;
import pied.core.edit.Amount;
import pied.core.format.Glb;
import pied.core.piece.Form;
import pied.core.piece.Lean;
import pied.core.piece.Shapes;
import pied.core.piece.Stance;
import pied.core.recipe.Head;
import pied.core.size.Size;
import pied.core.solid.Body;
import pied.core.solid.Pose;
import pied.core.solid.Vec;
import pied.core.space.Validity;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;
import pied.server.catalog.CatalogWire.ArticleCard;
import pied.server.catalog.CatalogWire.CatalogPage;
import pied.server.catalog.CatalogWire.KindCount;

/** The catalog, and the shapes of its articles at any size. */
@RestController
@RequestMapping("/api")
class CatalogController {
  /** Most cards in one answer. */
  private static final int MOST = 300;

  private static final Vec FRONT = new Vec(0, 0, 1);

  private final Shapes shapes;
  private final Drawings drawings;

  CatalogController(Shapes shapes, Drawings drawings) {
    this.shapes = shapes;
    this.drawings = drawings;
  }

  /**
   * The catalog.
   *
   * @param project with what this project brought in
   * @param width only what is no wider than this, and so on; lengths as a person types them
   */
  @GetMapping("/catalog")
  CatalogPage catalog(
      @RequestParam(defaultValue = "") String text,
      @RequestParam(defaultValue = "") String kind,
      @RequestParam(required = false) Mounting mounting,
      @RequestParam(defaultValue = "") String width,
      @RequestParam(defaultValue = "") String depth,
      @RequestParam(defaultValue = "") String height,
      @RequestParam(defaultValue = "") String project,
      @RequestParam(defaultValue = "m") String unit) {
    LengthUnit u = LengthUnit.of(unit);
    double[] fits = {limit(width, u), limit(depth, u), limit(height, u)};
    List<Article> all =
        shapes.catalog().find(new Finder.FinderWish(text, "", mounting, fits)).stream()
            .filter(a -> a.project() == null || a.project().equals(project))
            .toList();
    List<Article> own =
        all.stream()
            .filter(a -> kind.isEmpty() || (a.kind() + "/").startsWith(kind + "/"))
            .toList();
    return new CatalogPage(
        own.stream().limit(MOST).map(a -> ArticleCard.of(a, u)).toList(),
        Finder.kinds(all).entrySet().stream()
            .map(e -> KindCount.of(e.getKey(), e.getValue()))
            .toList(),
        own.size());
  }

  /** One article. */
  @GetMapping("/catalog/{article}")
  ArticleCard article(@PathVariable String article, @RequestParam(defaultValue = "m") String unit) {
    return ArticleCard.of(shapes.catalog().article(article), LengthUnit.of(unit));
  }

  private static double limit(String typed, LengthUnit u) {
    return typed.isBlank() ? Double.NaN : Amount.typed(typed).metres(u);
  }

  /**
   * The mesh of an article at a size, its materials named like its finish parts.
   *
   * @param pan of the head of a lantern, degrees about the vertical
   * @param tilt of it, degrees down from the level; both left out for straight ahead
   * @param light whether with fewer triangles where it is round, to be drawn quickly
   */
  @GetMapping(value = "/shapes/{article}/mesh.glb", produces = "model/gltf-binary")
  ResponseEntity<byte[]> mesh(
      @PathVariable String article,
      @RequestParam double width,
      @RequestParam double depth,
      @RequestParam double height,
      @RequestParam(defaultValue = "false") boolean mirrored,
      @RequestParam(defaultValue = "false") boolean stretched,
      @RequestParam(required = false) @Nullable Double pan,
      @RequestParam(required = false) @Nullable Double tilt,
      @RequestParam(defaultValue = "false") boolean light) {
    Form form = form(article, width, depth, height, mirrored, stretched).withHead(head(pan, tilt));
    return kept(
        Glb.shape(
            List.of(new Body(article, light ? shapes.lighter(form) : shapes.mesh(form), Pose.HERE)),
            shapes.catalog().article(article).recipe().pictures()));
  }

  /**
   * The lines one sees of an article at a size.
   *
   * @param stretched beyond what it comes in
   * @param from where one looks from: "plan" for above, or the level direction to the eye in the
   *     space, degrees as a turn
   * @param turn and lean of the article, degrees; of the plan the turn does not count
   */
  @GetMapping("/shapes/{article}/lines")
  ResponseEntity<LineDrawing> lines(
      @PathVariable String article,
      @RequestParam double width,
      @RequestParam double depth,
      @RequestParam double height,
      @RequestParam(defaultValue = "false") boolean mirrored,
      @RequestParam(defaultValue = "false") boolean stretched,
      @RequestParam(required = false) @Nullable Double pan,
      @RequestParam(required = false) @Nullable Double tilt,
      @RequestParam(defaultValue = "plan") String from,
      @RequestParam(defaultValue = "0") double turn,
      @RequestParam(defaultValue = "0") double toward,
      @RequestParam(defaultValue = "0") double by) {
    Form form = form(article, width, depth, height, mirrored, stretched).withHead(head(pan, tilt));
    boolean plan = from.equals("plan");
    Eye eye = plan ? Eye.PLAN : Eye.level(Pose.of(Vec.ZERO, angle(from)).direct(FRONT));
    Pose pose = Stance.pose(Vec.ZERO, plan ? 0 : turn, new Lean(toward, by));
    return kept(drawings.lines(form, eye.within(pose)));
  }

  private static double angle(String from) {
    try {
      return Double.parseDouble(from);
    } catch (NumberFormatException e) {
      throw new Refusal("Lines are drawn from “plan” or from an angle in degrees, not “{}”.", from);
    }
  }

  private static @Nullable Head head(@Nullable Double pan, @Nullable Double tilt) {
    if (pan == null || tilt == null) {
      return null;
    }
    if (!(Math.abs(pan) <= 180 && tilt >= -Head.HIGHEST && tilt <= 90)) {
      throw new Refusal("A head is turned by up to 180° and tilted from 45° up to straight down.");
    }
    return new Head(pan, tilt);
  }

  private Form form(
      String article,
      double width,
      double depth,
      double height,
      boolean mirrored,
      boolean stretched) {
    Size size = new Size(width, depth, height);
    Article a = shapes.catalog().article(article);
    if (stretched) {
      Validity.size(a.name(), size);
    } else {
      a.check(a.name(), size);
    }
    return new Form(article, size, mirrored, stretched);
  }

  /** A shape of a size never changes while the program runs. */
  private static <T> ResponseEntity<T> kept(T body) {
    return ResponseEntity.ok()
        .cacheControl(CacheControl.maxAge(Duration.ofMinutes(10)).cachePrivate())
        .body(body);
  }
}
