package pied.core.tool.finish;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import pied.core.Nullable;
import pied.core.catalog.Article;
import pied.core.edit.Amount;
import pied.core.material.Colours;
import pied.core.material.Finish;
import pied.core.material.FinishPart;
import pied.core.material.Laying;
import pied.core.material.Material;
import pied.core.material.MaterialSearch;
import pied.core.material.Materials;
import pied.core.say.Clause;
import pied.core.say.Nouns;
import pied.core.say.Points;
import pied.core.say.Reading;
import pied.core.space.PartName;
import pied.core.space.Space;
import pied.core.units.LengthUnit;

/** What is named of finishes in sentences: finishes, and what is given them. */
final class FinishNouns {
  static final String VERBS = "paint|finish|cover|dress";

  /** A finish has so many words at most: an old rose herringbone cloth. */
  private static final int LONGEST = 6;

  /** Parts of the shell that are named by one word, and how else. */
  private static final Map<String, String> SHELL =
      Map.of(
          "floor", "floor",
          "ceiling", "ceiling",
          "wall", "walls|all walls|all the walls",
          "platform", "platforms",
          "column", "columns",
          "joinery", "frames|window frames|door frames",
          "leaf", "doors|leaves");

  private static final List<String> IN_TURN =
      List.of("wall", "floor", "ceiling", "platform", "column", "joinery", "leaf");

  private FinishNouns() {}

  /** A part of the shell; null if none is named here. */
  static @Nullable String shell(Reading r, Nouns n) {
    int before = r.at();
    String wall = n.wall();
    if (wall != null) {
      return PartName.wall(wall).text();
    }
    r.back(before);
    r.quietly("the");
    for (String part : IN_TURN) {
      if (r.is(SHELL.get(part))) {
        return part;
      }
    }
    r.back(before);
    return null;
  }

  /** How a part of the shell is said. */
  static String said(String part) {
    PartName name = part.indexOf(':') < 0 ? null : PartName.read(part);
    return name != null ? "wall " + name.id() : "the " + SHELL.get(part).split("\\|")[0];
  }

  /** The key of a finish part of what is selected; null if none is named here. */
  static @Nullable String part(Reading r, Nouns n) {
    String lead = n.lead();
    if (lead == null) {
      return null;
    }
    int before = r.at();
    r.quietly("the|its|their");
    for (Map.Entry<String, FinishPart> p : parts(n.space(), lead).entrySet()) {
      String name = p.getValue().name().toLowerCase(Locale.ROOT);
      if (r.is(name + "|" + name + "s")) {
        return p.getKey();
      }
    }
    r.back(before);
    return null;
  }

  static Map<String, FinishPart> parts(Space space, String piece) {
    Article article = space.article(space.piece(piece));
    return article.finishes();
  }

  /** A colour, a material, or one in a colour; null if none is named here. */
  static @Nullable Finish finish(Reading r) {
    r.quietly("in|with");
    r.quietly("a|an");
    for (Reading.Span s : r.spans(LONGEST)) {
      Finish f = named(s.text());
      if (f != null) {
        r.take(s);
        return f;
      }
    }
    r.expect(Reading.ReadingSort.value, "a colour or a material");
    return null;
  }

  private static @Nullable Finish named(String text) {
    String colour = Colours.read(text);
    if (colour != null) {
      return Finish.of(colour);
    }
    if (text.replaceAll("[^\\p{L}]", "").length() < 3) {
      return null;
    }
    MaterialSearch.MaterialsFound found = MaterialSearch.of(text);
    Material first = found.materials().isEmpty() ? null : found.materials().get(0);
    for (Material m : found.materials()) {
      if (m.name().equalsIgnoreCase(text)
          || text.toLowerCase(Locale.ROOT).endsWith(" " + m.said())) {
        first = m;
        break;
      }
    }
    return first == null || first.plain()
        ? null
        : Finish.of(found.colour()).withMaterial(first.id());
  }

  /** A finish so that it is read as the same again. */
  static String said(Finish f, LengthUnit unit) {
    StringBuilder all = new StringBuilder();
    Material m = f.material() == null ? null : Materials.of(f.material());
    if (f.colour() != null && (m == null || !f.colour().equals(m.finish().colour()))) {
      String name = Colours.name(f.colour());
      all.append(f.colour().equals(Colours.read(name)) ? name : f.colour());
    }
    if (m != null) {
      all.append(all.isEmpty() ? "" : " ").append(m.said());
    }
    Laying l = f.laying();
    if (l.turn() != null) {
      all.append(", turned by ").append(Points.angle(Amount.of(l.turn())));
    }
    if (l.width() != null) {
      all.append(", one ").append(unit.exact(l.width())).append(" wide");
    }
    return all.toString();
  }

  /** How its pattern lies. */
  static @Nullable Finish laid(Reading r, LengthUnit unit, Finish f) {
    if (r.is("turned by|turned")) {
      Amount by = r.angle("an angle");
      return by == null ? null : f.withLaid(f.laying().withTurn(by.angle(0)));
    }
    r.quietly("one is|one");
    Amount wide = r.length("a width");
    boolean said = wide != null && r.is("wide");
    return said ? f.withLaid(f.laying().withWidth(wide.metres(unit))) : null;
  }

  /** The clause of that in an edit. */
  interface Laid<E> {
    E with(E edit, Finish f);
  }

  static <E> Clause<E> laid(java.util.function.Function<E, Finish> of, Laid<E> next) {
    return (r, n, e) -> {
      Finish f = of.apply(e).material() == null ? null : laid(r, r.unit(), of.apply(e));
      return f == null ? null : next.with(e, f);
    };
  }
}
