package pied.core.tool.light;

import java.util.Arrays;
import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.phrase.Writer;
import pied.core.say.Clause;
import pied.core.say.Nouns;
import pied.core.say.Reading;
import pied.core.say.Sentence;

/**
 * "Left shutter 30 %, top shutter 10 %" of what is selected; "the profile spots: shutters out" of
 * all of a sort.
 */
final class ShuttersSentence implements Sentence<SetShutters> {
  private static final Amount NONE = Amount.of(0);

  private static final List<String> SIDES = List.of("left", "right", "top", "bottom");

  @Override
  public Class<SetShutters> of() {
    return SetShutters.class;
  }

  @Override
  public @Nullable List<Edit> read(Reading r, Nouns n) {
    int before = r.at();
    LampsMeant which = LampNouns.read(r, n.space());
    r.quietly(":");
    SetShutters e =
        SetShuttersBuilder.builder()
            .pieces(which == null ? n.selected() : null)
            .which(which)
            .build();
    boolean lamp = which != null || n.selected().stream().anyMatch(id -> LampsMeant.isLamp(n, id));
    if (lamp && r.is("shutters out")) {
      return Clause.only(r, n, e.withLeft(NONE).withRight(NONE).withTop(NONE).withBottom(NONE));
    }
    SetShutters first = lamp ? one(r, n, e) : null;
    if (first == null) {
      r.back(before);
      return null;
    }
    return List.of(Clause.all(r, n, first, List.of(ShuttersSentence::one)));
  }

  /** One shutter more; null if none is said here. */
  private static @Nullable SetShutters one(Reading r, Nouns n, SetShutters e) {
    r.quietly("the");
    for (String side : SIDES) {
      if (r.is(side + " shutter")) {
        r.quietly("in");
        r.quietly("at|to|by");
        Amount in = r.angle("30 %");
        if (in == null) {
          throw r.unread();
        }
        r.quietly("%|per cent|percent");
        return in(e, side, Amount.of(in.number() / 100));
      }
    }
    return null;
  }

  private static SetShutters in(SetShutters e, String side, Amount share) {
    return switch (side) {
      case "left" -> e.withLeft(share);
      case "right" -> e.withRight(share);
      case "top" -> e.withTop(share);
      default -> e.withBottom(share);
    };
  }

  @Override
  public void write(Writer w, SetShutters e) {
    String of = "";
    if (e.pieces() == null) {
      String those = LampNouns.said(w.space, e.which());
      of = Character.toUpperCase(those.charAt(0)) + those.substring(1) + ": ";
    }
    List<Amount> all = Arrays.asList(e.left(), e.right(), e.top(), e.bottom());
    if (all.stream().allMatch(a -> a != null && Shares.of(a, "", "") == 0)) {
      w.text(of.isEmpty() ? "Shutters out. " : of + "shutters out. ");
      return;
    }
    String before = of;
    for (int i = 0; i < all.size(); i++) {
      if (all.get(i) != null) {
        String side = SIDES.get(i);
        String word =
            before.isEmpty() ? Character.toUpperCase(side.charAt(0)) + side.substring(1) : side;
        String percent = Math.round(100 * Shares.of(all.get(i), "", "")) + " %";
        w.text(before + word + " shutter ").field(percent, "How far it is in", side, e);
        before = ", ";
      }
    }
    w.text(". ");
  }
}
