package pied.server.space;

import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import pied.core.piece.Keeping;
import pied.core.piece.Partner;
import pied.core.space.KeptPart;
import pied.core.space.PartName;

/** How a part of the shell is kept in order, as stored. */
@Entity
@Table(name = "kept_part")
public class KeptPartRow {
  @EmbeddedId private InSpace key;
  private String name;
  private String layer;
  private String groupId;
  private boolean locked;
  private boolean hidden;
  private String remark;
  private String twin;
  private String twinPart;
  private Boolean twinFirst;

  protected KeptPartRow() {}

  KeptPartRow(String space, KeptPart p) {
    Keeping k = p.keeping();
    key = new InSpace(space, p.part().text());
    name = p.name();
    layer = k.layer();
    groupId = k.group();
    locked = k.locked();
    hidden = k.hidden();
    remark = k.remark().isEmpty() ? null : k.remark();
    if (k.twin() != null) {
      twin = k.twin().twin();
      twinPart = k.twin().piece();
      twinFirst = k.twin().first();
    }
  }

  KeptPart live() {
    Partner partner = twin == null ? null : new Partner(twin, twinPart, twinFirst);
    return new KeptPart(
        PartName.read(key.id()),
        name,
        new Keeping(layer, groupId, locked, hidden, remark, null, partner));
  }
}
