package pied.core.tool.place;

import java.util.ArrayList;
import java.util.List;
import pied.core.Nullable;
import pied.core.catalog.Article;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.Edit.Measures;
import pied.core.edit.Edit.PlanPoint;
import pied.core.edit.Walls;
import pied.core.phrase.Writer;
import pied.core.piece.Piece;
import pied.core.say.Clause;
import pied.core.say.Nouns;
import pied.core.say.Points;
import pied.core.say.Reading;
import pied.core.say.Sentence;
import pied.core.space.Spot;
import pied.core.space.Wall;
import pied.core.tool.lineup.LineUp;
import pied.core.tool.lineup.LineUpBuilder;
import pied.core.tool.move.MoveTo;
import pied.core.tool.move.TopAt;
import pied.core.tool.onto.SettleOnto;
import pied.core.tool.size.SizeSentence;

/**
 * Such as "a round table at 2.10, 1.40, turned 45°, 0.90 wide, called Bar table", "a sideboard
 * against wall A, 0.40 from wall B", "a teapot on the counter".
 */
final class PlaceSentence implements Sentence<Place> {
  /** Where it goes while more is read of it. */
  private record Placed(
      Place edit, List<LineUp> walls, @Nullable String onto, @Nullable Edit high) {
    Placed(Place edit, List<LineUp> walls, @Nullable String onto) {
      this(edit, walls, onto, null);
    }

    Placed with(Place e) {
      return new Placed(e, walls, onto, high);
    }

    Placed with(List<LineUp> w) {
      return new Placed(edit, w, onto, high);
    }

    /** Its underside, or its top, is so high. */
    Placed high(Amount y, boolean top) {
      List<String> own = List.of(edit.piece());
      Edit e = top ? new TopAt(own, y) : new MoveTo(own, new Edit.Place3(null, y, null));
      return new Placed(edit, walls, onto, e);
    }
  }

  @Override
  public Class<Place> of() {
    return Place.class;
  }

  @Override
  public List<Edit> read(Reading r, Nouns n) {
    r.quietly("place");
    r.is("a|an|one|the");
    Article a = n.article();
    if (a == null) {
      return null;
    }
    Place e = PlaceBuilder.builder().article(a.id()).piece(n.newId()).build();
    Placed at = where(r, n, new Placed(e, List.of(), null), a);
    if (at == null) {
      throw r.unread();
    }
    at =
        Clause.all(
            r,
            n,
            at,
            List.of(
                PlaceSentence::size,
                PlaceSentence::turned,
                PlaceSentence::called,
                PlaceSentence::high,
                (s, m, p) -> more(s, m, p, a)));
    List<Edit> all = new ArrayList<>();
    all.add(at.edit);
    all.addAll(at.walls);
    if (at.onto != null) {
      all.add(new SettleOnto(List.of(at.edit.piece()), at.onto));
    }
    if (at.high != null) {
      all.add(at.high);
    }
    return all;
  }

  private static @Nullable Placed where(Reading r, Nouns n, Placed p, Article a) {
    if (r.is("at")) {
      Placed there = p.with(with(p.edit).at(Points.two(r)).build());
      Amount y = Points.high(r);
      return y == null ? there : there.high(y, false);
    }
    if (r.is("on|onto")) {
      String piece = n.piece();
      if (piece == null) {
        return null;
      }
      Piece on = n.space().piece(piece);
      Place e = with(p.edit).at(point(on.at().x(), on.at().z())).build();
      return new Placed(e, p.walls, piece);
    }
    if (!r.is("against")) {
      return null;
    }
    String name = n.wall();
    if (name == null) {
      return null;
    }
    Wall w = Walls.named(n.space().shell(), name);
    Spot s = w.spot(w.length() / 2, Math.max(a.size().depth(), a.size().width()) / 2 + 0.01);
    Place e = with(p.edit).at(point(s.x(), s.z())).turn(Amount.of(w.turn())).build();
    return new Placed(e, List.of(against(e, name, null)), p.onto);
  }

  private static LineUp against(Place e, String wall, @Nullable Amount off) {
    return LineUpBuilder.builder()
        .pieces(List.of(e.piece()))
        .to(LineUp.LineUpTo.wall)
        .what("wall:" + wall)
        .nearness(LineUp.LineUpPart.near)
        .off(off)
        .build();
  }

  private static PlanPoint point(double x, double z) {
    return new PlanPoint(Amount.of(x), Amount.of(z));
  }

  private static PlaceBuilder with(Place e) {
    return PlaceBuilder.builder(e);
  }

  private static @Nullable Placed size(Reading r, Nouns n, Placed p) {
    int before = r.at();
    Measures m = SizeSentence.three(r);
    if (m == null) {
      r.back(before);
      m = SizeSentence.measure(r, p.edit.size());
    }
    return m == null ? null : p.with(with(p.edit).size(m).build());
  }

  private static @Nullable Placed turned(Reading r, Nouns n, Placed p) {
    if (!r.is("turned")) {
      return null;
    }
    Amount by = r.angle("an angle");
    return by == null ? null : p.with(with(p.edit).turn(by).build());
  }

  private static @Nullable Placed high(Reading r, Nouns n, Placed p) {
    boolean under = r.is("underside at");
    if (!under && !r.is("top at")) {
      return null;
    }
    Amount y = r.length("a length");
    return y == null ? null : p.high(y, !under);
  }

  private static @Nullable Placed called(Reading r, Nouns n, Placed p) {
    if (!r.is("called")) {
      return null;
    }
    String quoted = r.quoted();
    if (quoted == null) {
      List<Reading.Span> spans = r.spans(20);
      if (spans.isEmpty()) {
        throw r.unread();
      }
      quoted = spans.get(0).text();
      r.take(spans.get(0));
    }
    return p.with(with(p.edit).name(quoted).build());
  }

  /** More of where it is, such as how far from another wall. */
  private static @Nullable Placed more(Reading r, Nouns n, Placed p, Article a) {
    int before = r.at();
    Amount off = r.length("a length");
    if (off != null && r.is("from")) {
      String wall = n.wall();
      if (wall != null) {
        List<LineUp> walls = new ArrayList<>(p.walls);
        walls.add(against(p.edit, wall, off));
        return p.with(walls);
      }
    }
    r.back(before);
    if (r.is("against") && !p.walls.isEmpty()) {
      String wall = n.wall();
      if (wall != null) {
        List<LineUp> walls = new ArrayList<>(p.walls);
        walls.add(against(p.edit, wall, null));
        return p.with(walls);
      }
    }
    r.back(before);
    return null;
  }

  @Override
  public void write(Writer w, Place e) {
    w.text(w.space.shapes().catalog().article(e.article()).name());
    if (e.at() != null) {
      w.text(" at ").text(Points.two(w, e.at()));
    }
    if (e.size() != null) {
      List<String> all = new ArrayList<>();
      SizeSentence.add(w, all, e.size().width(), " wide");
      SizeSentence.add(w, all, e.size().depth(), " deep");
      SizeSentence.add(w, all, e.size().height(), " high");
      w.text(", " + String.join(", ", all));
    }
    if (e.turn() != null) {
      w.text(", turned " + Points.angle(e.turn()));
    }
    if (e.name() != null) {
      w.text(", called “" + e.name() + "”");
    }
    w.text(". ");
  }
}
