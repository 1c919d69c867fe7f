package pied.server.store;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.util.Map;
import pied.core.piece.Lean;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.size.Size;
import pied.core.solid.Vec;
import pied.core.space.Ordered;

/** A piece as stored. */
@Entity
@Table(name = "piece")
public class PieceRow {
  /** A piece is known by its space and its id. */
  @Embeddable
  public record Key(@Column(name = "space_id") String space, @Column(name = "id") String id)
      implements Serializable {}

  @EmbeddedId private Key key;
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

  protected PieceRow() {}

  PieceRow(String space, long place, Piece p) {
    key = new Key(space, p.id());
    this.place = place;
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
    finishes = Stored.text(p.finishes());
    held = p.held();
  }

  /** The piece and its place in the order. */
  Ordered ordered() {
    return new Ordered(piece(), place);
  }

  private Piece piece() {
    Map<String, String> colours = Stored.colours(finishes);
    return new Piece(
        key.id(),
        article,
        name,
        new Size(width, depth, height),
        new Vec(x, y, z),
        turn,
        new Lean(leanToward, leanBy),
        new On(On.Kind.valueOf(onKind), onId),
        colours,
        held);
  }
}
