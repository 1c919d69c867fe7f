package pied.server.material;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import pied.core.material.Colours;
import pied.core.material.FinishCard;
import pied.core.material.Material;
import pied.core.material.MaterialSearch;
import pied.core.material.Tiles;
import pied.server.material.MaterialWire.MaterialCard;
import pied.server.material.MaterialWire.MaterialPage;
import pied.server.material.MaterialWire.NamedColour;
import pied.server.store.Missing;

/** Materials there are, colours by name, and the tiles of patterns. */
@RestController
@RequestMapping("/api")
class MaterialController {
  /** Materials and colours that fit a text: all for none. */
  @GetMapping("/materials")
  MaterialPage materials(@RequestParam(defaultValue = "") String text) {
    List<MaterialCard> cards = new ArrayList<>();
    MaterialSearch.MaterialsFound fit = MaterialSearch.of(text);
    for (Material m : fit.materials()) {
      FinishCard card = FinishCard.of(fit.finish(m).withEmission(null));
      cards.add(new MaterialCard(m.id(), m.name(), m.kind(), card));
    }
    return new MaterialPage(cards, colours(text));
  }

  private static List<NamedColour> colours(String text) {
    List<NamedColour> all = new ArrayList<>();
    String read = text.isBlank() ? null : Colours.read(text);
    if (read != null) {
      all.add(new NamedColour(text.strip().toLowerCase(Locale.ROOT), read));
    }
    for (String name : Colours.search(text)) {
      if (!name.equalsIgnoreCase(text.strip())) {
        all.add(new NamedColour(name, Colours.named().get(name)));
      }
    }
    return all;
  }

  /** A tile of a pattern; its address is in what is said of a part's appearance. */
  @GetMapping(
      value = "/tiles/{version}/{material}/{joint}/{what}.png",
      produces = MediaType.IMAGE_PNG_VALUE)
  ResponseEntity<byte[]> tile(
      @PathVariable String version,
      @PathVariable String material,
      @PathVariable String joint,
      @PathVariable String what) {
    byte[] file = Tiles.file(material + "/" + joint + "/" + what);
    if (file == null) {
      throw new Missing("There is no such tile.");
    }
    return ResponseEntity.ok().cacheControl(Lasting.FOR_EVER).body(file);
  }
}
