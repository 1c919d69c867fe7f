package pied.core.tool.light;

import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.phrase.Writer;
import pied.core.say.Clause;
import pied.core.say.Nouns;
import pied.core.say.Reading;
import pied.core.say.Sentence;

/** "Left shutter 30 %" of what is selected; "the profile spots: top shutter at 20 %". */
final class ShuttersSentence implements Sentence<SetShutters> {
  @Override
  public Class<SetShutters> of() {
    return SetShutters.class;
  }

  @Override
  public @Nullable List<Edit> read(Reading r, Nouns n) {
    int before = r.at();
    LampsMeant which = LampNouns.read(r, n.space());
    r.quietly(":");
    r.quietly("the");
    SetShutters e =
        SetShuttersBuilder.builder()
            .pieces(which == null ? n.selected() : null)
            .which(which)
            .build();
    if (r.is("shutters out|shutters off|no shutters")) {
      Amount none = Amount.of(0);
      return Clause.only(r, n, e.withLeft(none).withRight(none).withTop(none).withBottom(none));
    }
    String side =
        r.is("left shutter")
            ? "left"
            : r.is("right shutter")
                ? "right"
                : r.is("top shutter") ? "top" : r.is("bottom shutter") ? "bottom" : null;
    if (side == null || which == null && n.selected().isEmpty()) {
      r.back(before);
      return null;
    }
    r.quietly("in");
    r.is("at|to|by");
    Amount in = r.angle("30 %");
    if (in == null) {
      throw r.unread();
    }
    r.quietly("%|per cent|percent");
    Amount share = Amount.of(in.number() / 100);
    return Clause.only(
        r,
        n,
        switch (side) {
          case "left" -> e.withLeft(share);
          case "right" -> e.withRight(share);
          case "top" -> e.withTop(share);
          default -> e.withBottom(share);
        });
  }

  @Override
  public void write(Writer w, SetShutters e) {
    w.text(
        e.pieces() == null
            ? "Of " + LampNouns.said(w.space, e.which()) + " the shutters in by "
            : "The shutters in by ");
    String between = "";
    between = side(w, e, "left", e.left(), between);
    between = side(w, e, "right", e.right(), between);
    between = side(w, e, "top", e.top(), between);
    side(w, e, "bottom", e.bottom(), between);
    w.text(". ");
  }

  private static String side(
      Writer w, SetShutters e, String side, @Nullable Amount in, String between) {
    if (in == null) {
      return between;
    }
    double share = Shares.of(in, "", "");
    w.text(between)
        .field(Math.round(100 * share) + " %", "How far the " + side + " shutter is in", side, e)
        .text(" from the " + side);
    return ", ";
  }
}
