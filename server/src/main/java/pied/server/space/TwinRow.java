package pied.server.space;

import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import pied.core.solid.Vec;
import pied.core.space.Twin;

/** What pairs are twins by, as stored. */
@Entity
@Table(name = "twin")
public class TwinRow {
  @EmbeddedId private InSpace key;
  private double x;
  private double z;
  private double wayAcross;
  private double wayDeep;
  private boolean turned;

  protected TwinRow() {}

  TwinRow(String space, Twin t) {
    key = new InSpace(space, t.id());
    x = t.at().x();
    z = t.at().z();
    wayAcross = t.way().x();
    wayDeep = t.way().z();
    turned = t.turned();
  }

  Twin live() {
    return new Twin(key.id(), new Vec(x, 0, z), new Vec(wayAcross, 0, wayDeep), turned);
  }
}
