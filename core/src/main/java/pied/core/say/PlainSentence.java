package pied.core.say;

import java.util.List;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.keep.Copy;
import pied.core.edit.keep.HideBuilder;
import pied.core.edit.keep.LockBuilder;
import pied.core.edit.keep.Remove;
import pied.core.edit.place.Hang;
import pied.core.edit.place.Settle;
import pied.core.edit.place.TopAt;
import pied.core.edit.repeat.PartTwins;
import pied.core.phrase.Writer;

/** What is said in a word or two: "remove", "copy", "lock", "settle", "top at 1.10". */
final class PlainSentence implements Sentence<Remove> {
  @Override
  public Class<Remove> of() {
    return Remove.class;
  }

  @Override
  public List<Edit> read(Reading r, Nouns n) {
    List<String> ids = n.selected();
    Edit e = null;
    if (r.is("remove|take out")) {
      e = new Remove(ids);
    } else if (r.is("copy")) {
      e = new Copy(ids, null);
    } else if (r.is("lock")) {
      e = LockBuilder.builder().pieces(ids).locked(true).build();
    } else if (r.is("unlock")) {
      e = LockBuilder.builder().pieces(ids).locked(false).build();
    } else if (r.is("hide")) {
      e = HideBuilder.builder().pieces(ids).hidden(true).build();
    } else if (r.is("settle")) {
      e = new Settle(ids);
    } else if (r.is("part twins")) {
      e = new PartTwins(ids);
    } else if (r.is("tops at|top at")) {
      e = new TopAt(ids, length(r));
    } else if (r.is("hang")) {
      Amount below = length(r);
      if (!r.is("below")) {
        throw r.unread();
      }
      e = new Hang(ids, below);
    }
    return e == null ? null : List.of(Clause.all(r, n, e, List.of()));
  }

  private static Amount length(Reading r) {
    Amount by = r.length("a length");
    if (by == null) {
      throw r.unread();
    }
    return by;
  }

  @Override
  public void write(Writer w, Remove e) {
    w.text("Remove. ");
  }
}
