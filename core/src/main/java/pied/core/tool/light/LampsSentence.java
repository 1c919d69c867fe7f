package pied.core.tool.light;

import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.phrase.Phrase;
import pied.core.phrase.Writer;
import pied.core.say.Clause;
import pied.core.say.Nouns;
import pied.core.say.Reading;
import pied.core.say.Sentence;

/** "Lamps at 40 %", "the pendants off", "switch on the circuit Bar"; of what is selected: "off". */
final class LampsSentence implements Sentence<SetLamps> {
  @Override
  public Class<SetLamps> of() {
    return SetLamps.class;
  }

  @Override
  public @Nullable List<Edit> read(Reading r, Nouns n) {
    int before = r.at();
    boolean verb = r.is("dim|set");
    Boolean on = verb ? null : switched(r);
    LampsMeant which = LampNouns.read(r, n.space());
    boolean selected =
        which == null && n.selected().stream().anyMatch(id -> LampsMeant.isLamp(n, id));
    if (which == null && (!selected || !verb && on == null)) {
      r.back(before);
      return null;
    }
    SetLamps e =
        SetLampsBuilder.builder()
            .pieces(which == null ? n.selected() : null)
            .which(which)
            .on(on)
            .build();
    if (on == null) {
      e = said(r, e);
      if (e == null) {
        if (!verb && which != null && !which.equals(LampsMeant.ALL)) {
          r.back(before); // a piece of that name may be meant
          return null;
        }
        throw r.unread();
      }
    }
    return Clause.only(r, n, e);
  }

  private static @Nullable Boolean switched(Reading r) {
    if (r.is("switch off|turn off")) {
      return false;
    }
    return r.is("switch on|turn on") ? true : null;
  }

  /** Off, on, or at a level; null if none is said. */
  private static @Nullable SetLamps said(Reading r, SetLamps e) {
    r.quietly("are|is");
    if (r.is("off|out")) {
      return e.withOn(false);
    }
    if (r.is("on")) {
      return e.withOn(true);
    }
    if (r.is("at full|full")) {
      return e.withLevel(Amount.of(1));
    }
    r.is("at|to");
    Amount level = r.angle("40 %");
    if (level == null) {
      return null;
    }
    r.quietly("%|per cent|percent");
    return e.withLevel(Amount.of(level.number() / 100));
  }

  @Override
  public void write(Writer w, SetLamps e) {
    if (e.pieces() == null) {
      String those = LampNouns.said(w.space, e.which());
      w.text(Character.toUpperCase(those.charAt(0)) + those.substring(1) + " ");
    } else {
      w.text("Dim ");
    }
    if (e.level() != null) {
      String percent = Math.round(100 * SetLamps.share(e.level())) + " %";
      w.text(e.pieces() == null ? "at " : "to ").field(percent, "Level", "level", e);
    } else {
      boolean on = Boolean.TRUE.equals(e.on());
      Phrase.Option other = new Phrase.Option(on ? "off" : "on", e.withOn(!on));
      w.choice(on ? "on" : "off", "Switched", other);
    }
    w.text(". ");
  }
}
