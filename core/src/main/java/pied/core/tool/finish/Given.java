package pied.core.tool.finish;

import pied.core.Nullable;
import pied.core.material.Finish;
import pied.core.material.Materials;
import pied.core.material.OwnPicture;
import pied.core.piece.Shapes;
import pied.core.units.Refusal;

/** What a part keeps of a finish that it is given. */
final class Given {
  private Given() {}

  /**
   * What of it is another than in the natural one.
   *
   * @param finish of a material: as that comes, but for what it says; else over what is shown; null
   *     for the natural one
   * @param natural complete
   * @param shown what it has now; complete
   * @return null if it is the natural one
   * @throws Refusal if it is no finish
   */
  static @Nullable Finish own(
      @Nullable Finish finish, Finish natural, Finish shown, Shapes shapes) {
    if (finish == null) {
      return null;
    }
    Finish wanted = finish.checked();
    OwnPicture picture = OwnPicture.named(wanted.material());
    if (picture != null && shapes.pictures().file(picture.print()) == null) {
      throw new Refusal("That picture is not there any longer; bring it in again.");
    }
    // a colour has no say in a picture, and takes its place
    boolean printed = OwnPicture.named(shown.material()) != null && wanted.colour() != null;
    Finish whole =
        wanted.material() == null
            ? wanted.over(printed ? natural : shown)
            : wanted.over(Materials.of(wanted.material()).finish());
    // what shines goes on shining whatever it is made of
    Finish kept = wanted.emission() == null ? whole.withEmission(natural.emission()) : whole;
    Finish own = kept.but(natural);
    return own.none() ? null : own;
  }
}
