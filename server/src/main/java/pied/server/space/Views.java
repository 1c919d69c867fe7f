package pied.server.space;

import com.fasterxml.jackson.databind.module.SimpleModule;
import com.fasterxml.jackson.databind.ser.std.StdDelegatingSerializer;
import com.fasterxml.jackson.databind.util.StdConverter;
import org.springframework.stereotype.Component;
import pied.core.piece.Piece;
import pied.core.piece.Shapes;
import pied.server.space.SpaceWire.PieceView;

/** How values of the core look to the outside, where that differs from how they are made. */
@Component
class Views extends SimpleModule {
  private static final long serialVersionUID = 1;

  Views(Shapes shapes) {
    addSerializer(
        new StdDelegatingSerializer(
            Piece.class,
            new StdConverter<Piece, PieceView>() {
              @Override
              public PieceView convert(Piece p) {
                return PieceView.of(p, shapes);
              }
            }));
  }
}
