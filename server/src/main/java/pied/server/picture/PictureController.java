package pied.server.picture;

import java.io.IOException;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import pied.core.edit.Amount;
import pied.core.material.OwnPicture;
import pied.core.material.Tiles;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;
import pied.server.material.Lasting;
import pied.server.material.MaterialWire.PictureCard;
import pied.server.store.Missing;

/** Pictures that people bring to be printed on parts. */
@RestController
@RequestMapping("/api")
class PictureController {
  /** Most bytes of a file that is brought. */
  private static final int LARGEST = 64 << 20;

  private final PictureStore store;

  PictureController(PictureStore store) {
    this.store = store;
  }

  /** Those one can choose from, the latest first. */
  @GetMapping("/projects/{project}/pictures")
  List<PictureCard> pictures(
      @PathVariable String project, @RequestParam(defaultValue = "m") String unit) {
    return store.ofProject(project, LengthUnit.of(unit));
  }

  /** Keeps a picture: PNG or JPEG. */
  @PostMapping("/projects/{project}/pictures")
  @ResponseStatus(HttpStatus.CREATED)
  PictureCard bring(
      @PathVariable String project,
      @RequestParam("file") MultipartFile file,
      @RequestParam(defaultValue = "m") String unit)
      throws IOException {
    String name = file.getOriginalFilename();
    if (file.getSize() > LARGEST) {
      throw new Refusal("It is larger than 64 MB; make it smaller first.");
    }
    return store.bring(project, file.getBytes(), name == null ? "" : name, LengthUnit.of(unit));
  }

  /**
   * Says how wide one truly is.
   *
   * @param width as typed; empty for so wide that it fills the part it is given to
   */
  @PostMapping("/projects/{project}/pictures/{print}/width")
  List<PictureCard> wide(
      @PathVariable String project,
      @PathVariable String print,
      @RequestParam(defaultValue = "") String width,
      @RequestParam(defaultValue = "m") String unit) {
    LengthUnit u = LengthUnit.of(unit);
    Double metres = width.isBlank() ? null : Double.valueOf(Amount.typed(width).metres(u));
    store.wide(project, print, metres);
    return store.ofProject(project, u);
  }

  /** Takes one off the list; parts that have it keep it. */
  @DeleteMapping("/projects/{project}/pictures/{print}")
  List<PictureCard> unlist(
      @PathVariable String project,
      @PathVariable String print,
      @RequestParam(defaultValue = "m") String unit) {
    store.unlist(project, print);
    return store.ofProject(project, LengthUnit.of(unit));
  }

  /** The file of a picture; its address is in what is said of a part's appearance. */
  @GetMapping(value = "/pictures/{id}", produces = MediaType.IMAGE_JPEG_VALUE)
  ResponseEntity<byte[]> file(@PathVariable String id) {
    byte[] file = Tiles.picture(OwnPicture.named(id), store);
    if (file == null) {
      throw new Missing("There is no such picture.");
    }
    return ResponseEntity.ok().cacheControl(Lasting.FOR_EVER).body(file);
  }
}
