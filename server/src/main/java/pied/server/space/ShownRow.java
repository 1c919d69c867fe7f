package pied.server.space;

import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import pied.core.show.Shown;
import pied.server.store.Json;

/** Something of how a space is shown, as stored; its id is its key. */
@Entity
@Table(name = "shown")
public class ShownRow {
  @EmbeddedId private InSpace key;
  private String told;

  protected ShownRow() {}

  ShownRow(String space, Shown s) {
    key = new InSpace(space, s.key());
    told = Json.text(StoredShown.of(s));
  }

  Shown live() {
    return Json.read(told, StoredShown.class).live();
  }
}
