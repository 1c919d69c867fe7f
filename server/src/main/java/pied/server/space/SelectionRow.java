package pied.server.space;

import com.fasterxml.jackson.core.type.TypeReference;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.List;
import pied.core.space.NamedSelection;
import pied.server.store.Json;

/** A named selection as stored; its id is its name. */
@Entity
@Table(name = "named_selection")
public class SelectionRow {
  private static final TypeReference<List<String>> IDS = new TypeReference<>() {};

  @EmbeddedId private InSpace key;
  private String pieces;

  protected SelectionRow() {}

  SelectionRow(String space, NamedSelection s) {
    key = new InSpace(space, s.name());
    pieces = Json.text(s.pieces());
  }

  NamedSelection live() {
    return new NamedSelection(key.id(), Json.read(pieces, IDS));
  }
}
