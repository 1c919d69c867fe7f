package pied.server.space;

import com.fasterxml.jackson.core.type.TypeReference;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.Map;
import pied.core.piece.Form;
import pied.core.piece.Keeping;
import pied.core.piece.Lamp;
import pied.core.piece.Lean;
import pied.core.piece.On;
import pied.core.piece.Partner;
import pied.core.piece.Piece;
import pied.core.piece.Slot;
import pied.core.piece.Stance;
import pied.core.size.Size;
import pied.core.solid.Vec;
import pied.core.space.Ordered;
import pied.server.material.StoredFinish;
import pied.server.space.StoredShown.StoredLamp;
import pied.server.store.Json;

/** A piece as stored. */
@Entity
@Table(name = "piece")
public class PieceRow {
  private static final TypeReference<Map<String, StoredFinish>> FINISHES = new TypeReference<>() {};

  @EmbeddedId private InSpace key;
  private long place;
  private String article;
  private String name;
  private double width;
  private double depth;
  private double height;
  private double x;
  private double y;
  private double z;
  private double turn;
  private double leanToward;
  private double leanBy;
  private String onKind;
  private String onId;
  private String finishes;
  private boolean held;
  private boolean mirrored;
  private boolean stretched;
  private String layer;
  private String groupId;
  private boolean locked;
  private boolean hidden;
  private String remark;
  private Long slotPlace;
  private Integer slotPart;
  private Boolean slotOwn;
  private String twin;
  private String twinPiece;
  private Boolean twinFirst;
  private String lamp;

  protected PieceRow() {}

  PieceRow(String space, Ordered o) {
    Piece p = o.piece();
    key = new InSpace(space, p.id());
    place = o.place() == null ? 0 : o.place();
    article = p.article();
    name = p.name();
    width = p.size().width();
    depth = p.size().depth();
    height = p.size().height();
    x = p.at().x();
    y = p.at().y();
    z = p.at().z();
    turn = p.turn();
    leanToward = p.lean().toward();
    leanBy = p.lean().by();
    onKind = p.on().kind().name();
    onId = p.on().id();
    finishes = Json.text(StoredFinish.of(p.finishes()));
    held = p.attached();
    mirrored = p.form().mirrored();
    stretched = p.form().stretched();
    layer = p.keeping().layer();
    groupId = p.keeping().group();
    locked = p.keeping().locked();
    hidden = p.keeping().hidden();
    remark = p.keeping().remark().isEmpty() ? null : p.keeping().remark();
    Slot slot = p.keeping().slot();
    if (slot != null) {
      slotPlace = slot.place();
      slotPart = slot.part();
      slotOwn = slot.own();
    }
    Partner partner = p.keeping().twin();
    if (partner != null) {
      twin = partner.twin();
      twinPiece = partner.piece();
      twinFirst = partner.first();
    }
    lamp = p.lamp().equals(Lamp.PLAIN) ? null : Json.text(StoredLamp.of(p.lamp()));
  }

  /** The piece and its place in the order. */
  Ordered ordered() {
    return new Ordered(piece(), place);
  }

  private Piece piece() {
    return new Piece(
        key.id(),
        name,
        new Form(article, new Size(width, depth, height), mirrored, stretched),
        new Stance(new Vec(x, y, z), turn, new Lean(leanToward, leanBy)),
        new On(On.OnKind.valueOf(onKind), onId),
        held,
        StoredFinish.live(Json.read(finishes, FINISHES)),
        new Keeping(
            layer,
            groupId,
            locked,
            hidden,
            remark,
            slotPlace == null ? null : new Slot(slotPlace, slotPart, slotOwn),
            twin == null ? null : new Partner(twin, twinPiece, twinFirst)),
        lamp == null ? null : Json.read(lamp, StoredLamp.class).live());
  }
}
