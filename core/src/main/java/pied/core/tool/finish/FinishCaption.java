package pied.core.tool.finish;

import java.util.List;
import java.util.Objects;
import pied.core.Nullable;
import pied.core.edit.Edit;
import pied.core.material.Colours;
import pied.core.material.Finish;
import pied.core.material.FinishWords;
import pied.core.material.Laying;
import pied.core.material.Material;
import pied.core.material.Materials;
import pied.core.material.OwnPicture;
import pied.core.phrase.Phrase;
import pied.core.phrase.Writer;
import pied.core.piece.Piece;
import pied.core.space.PartName;
import pied.core.space.Shell;
import pied.core.space.ShellBodies;
import pied.core.space.Space;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;

/** What a part is made of, in a sentence with blanks; and who else could have it. */
public final class FinishCaption {
  private final Space space;
  private final FinishTarget of;
  private final Writer w;

  private FinishCaption(Space space, FinishTarget of, LengthUnit unit) {
    this.space = space;
    this.of = of;
    w = new Writer(space, unit);
  }

  /**
   * The sentence.
   *
   * @param before what the part of the first piece had of its own before it was given this; null
   *     for nothing, or where that does not matter
   * @throws Refusal if there is no such part
   */
  public static List<Phrase> of(
      Space space, FinishTarget of, @Nullable Finish before, LengthUnit unit) {
    FinishCaption c = new FinishCaption(space, of, unit);
    c.write(before);
    return c.w.out;
  }

  private void write(@Nullable Finish before) {
    Finish f = of.shown(space);
    Material m = Materials.of(f.material());
    w.text(of.title(space) + ": ");
    w.text(FinishWords.material(f));
    OwnPicture picture = OwnPicture.named(m.id());
    if (picture == null) {
      Edit colour =
          of.pieces() == null
              ? PaintBuilder.builder().part(of.part()).build()
              : RecolourBuilder.builder().pieces(of.pieces()).part(of.part()).build();
      w.text(m.plain() ? " " : ", in ");
      w.field(Colours.name(f.colour()), "Colour: a plain name or #RRGGBB", "colour", colour);
    }
    laying(f, m);
    w.text(". ");
    if (picture != null) {
      w.action(
          picture.seamless() ? "As it was taken" : "Make it seamless",
          give(f.withMaterial(picture.seamless(!picture.seamless()).id())));
    }
    others(f, before);
  }

  private Edit give(Finish f) {
    return of.pieces() == null
        ? DecorateBuilder.builder().part(of.part()).finish(f).build()
        : GiveFinishBuilder.builder().pieces(of.pieces()).part(of.part()).finish(f).build();
  }

  private void laying(Finish f, Material m) {
    if (!m.patterned()) {
      return;
    }
    Laying l = f.laying();
    Edit lay = LayBuilder.builder().pieces(of.pieces()).part(of.part()).build();
    if (m.jointed()) {
      String second = m.second(l);
      w.text(" and ");
      w.field(Colours.name(second), "The other colour: joints, stripes, chips", "second", lay);
    }
    w.text(", turned by ").angle(l.turn() == null ? 0 : l.turn(), "Turned by", "turn", lay);
    w.text(", one is ");
    w.length(l.width() == null ? m.unit() : l.width(), "Width of one", "width", lay);
    w.text(" wide");
    if (m.joint() > 0) {
      w.text(", joints ");
      w.length(l.joint() == null ? m.joint() : l.joint(), "Width of the joints", "joint", lay);
    }
    w.text(", begins ");
    w.length(l.across() == null ? 0 : l.across(), "Begins to the right", "across", lay);
    w.text(" to the right and ");
    w.length(l.up() == null ? 0 : l.up(), "Begins higher", "up", lay);
    w.text(" higher");
  }

  private void others(Finish f, @Nullable Finish before) {
    if (of.pieces() == null) {
      shellOthers(f);
      return;
    }
    Piece first = space.piece(of.pieces().get(0));
    Finish own = first.finishes().of(of.part());
    long all = count(GiveFinish.Alike.article, first, own, before);
    long like = count(GiveFinish.Alike.like, first, own, before);
    GiveFinishBuilder give =
        GiveFinishBuilder.builder().pieces(of.pieces()).part(of.part()).finish(own).before(before);
    if (like > 0 && like < all) {
      w.action("The " + like + " just like it too", give.alike(GiveFinish.Alike.like).build());
    }
    if (all > 0) {
      w.action("All of these too: " + all, give.alike(GiveFinish.Alike.article).build());
    }
    if (own != null) {
      w.action(
          "As it comes", GiveFinishBuilder.builder().pieces(of.pieces()).part(of.part()).build());
    }
  }

  /** How many others there are that would look otherwise with it. */
  private long count(
      GiveFinish.Alike alike, Piece first, @Nullable Finish own, @Nullable Finish before) {
    return GiveFinish.others(space, first, of.part(), alike, before).stream()
        .filter(p -> !of.pieces().contains(p.id()))
        .filter(p -> !Objects.equals(p.finishes().of(of.part()), own))
        .count();
  }

  private void shellOthers(Finish f) {
    Shell shell = space.shell();
    Finish own = shell.finishes().of(of.part());
    if (of.part().startsWith(PartName.wall("").text())) {
      Finish all = ShellBodies.looks(shell).get("wall");
      if (!f.equals(all)) {
        w.action("All walls too", DecorateBuilder.builder().part("wall").finish(f).build());
      }
    }
    if (own != null) {
      w.action("As it was at first", DecorateBuilder.builder().part(of.part()).build());
    }
  }
}
