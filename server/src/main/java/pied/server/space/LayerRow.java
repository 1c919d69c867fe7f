package pied.server.space;

import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import pied.core.space.Layer;

/** A layer as stored. */
@Entity
@Table(name = "layer")
public class LayerRow {
  @EmbeddedId private InSpace key;
  private int place;
  private String name;
  private String colour;
  private boolean hidden;
  private boolean locked;

  protected LayerRow() {}

  LayerRow(String space, int place, Layer l) {
    key = new InSpace(space, l.id());
    this.place = place;
    name = l.name();
    colour = l.colour();
    hidden = l.hidden();
    locked = l.locked();
  }

  Layer live() {
    return new Layer(key.id(), name, colour, hidden, locked);
  }
}
