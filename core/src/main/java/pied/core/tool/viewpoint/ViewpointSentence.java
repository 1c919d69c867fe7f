package pied.core.tool.viewpoint;

import java.util.List;
import java.util.Locale;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.phrase.Writer;
import pied.core.say.Clause;
import pied.core.say.Nouns;
import pied.core.say.Reading;
import pied.core.say.Sentence;
import pied.core.space.Opening;
import pied.core.space.Space;
import pied.core.units.Decimal;

/** "Look from the door", "look from the sofa, through 35 mm". */
final class ViewpointSentence implements Sentence<KeepViewpoint> {
  @Override
  public Class<KeepViewpoint> of() {
    return KeepViewpoint.class;
  }

  @Override
  public @Nullable List<Edit> read(Reading r, Nouns n) {
    if (!r.is("look from")) {
      return null;
    }
    String from = opening(r, n.space());
    from = from == null ? n.piece() : from;
    if (from == null) {
      throw r.unread();
    }
    KeepViewpoint e = KeepViewpointBuilder.builder().from(from).build();
    return List.of(Clause.all(r, n, e, List.of(ViewpointSentence::lens, ViewpointSentence::high)));
  }

  private static @Nullable String opening(Reading r, Space space) {
    for (Opening o : space.shell().openings()) {
      String name = space.nameOf(o.name()).toLowerCase(Locale.ROOT);
      if (r.is(name.startsWith("the ") ? name + "|" + name.substring(4) : name)) {
        return o.name().text();
      }
    }
    return null;
  }

  private static @Nullable KeepViewpoint lens(Reading r, Nouns n, KeepViewpoint e) {
    if (!r.is("through|with")) {
      return null;
    }
    Amount mm = r.angle("35 mm");
    if (mm == null) {
      return null;
    }
    r.quietly("mm");
    return KeepViewpointBuilder.builder(e).lens(mm).build();
  }

  private static @Nullable KeepViewpoint high(Reading r, Nouns n, KeepViewpoint e) {
    if (!r.is("the eye at|eyes at|at eye height")) {
      return null;
    }
    Amount height = r.length("1.20");
    return height == null ? null : KeepViewpointBuilder.builder(e).height(height).build();
  }

  @Override
  public void write(Writer w, KeepViewpoint e) {
    if (e.from() == null) {
      w.text("Keep a viewpoint. ");
      return;
    }
    w.text("Look from " + Viewpoints.nameOf(w.space, e.from()));
    if (e.lens() != null) {
      w.text(", through ");
      w.field(Decimal.text(Viewpoints.lens(e.lens()), 10) + " mm", "Lens", "lens", e);
    }
    if (e.height() != null) {
      w.text(", the eye at ").length(e.height().metres(w.unit), "Height of the eye", "height", e);
    }
    w.text(". ");
  }
}
