package pied.server.material;

import java.util.List;
import pied.core.Nullable;
import pied.core.material.Appearance;
import pied.core.material.Finish;
import pied.core.material.FinishCard;
import pied.core.phrase.Phrase;
import pied.core.solid.Vec;
import pied.core.tool.finish.FinishTarget;

/** What goes over the wire about materials and finishes. */
public final class MaterialWire {
  private MaterialWire() {}

  /**
   * A material to choose.
   *
   * @param kind under which it is found
   */
  public record MaterialCard(String id, String name, String kind, FinishCard card) {}

  /**
   * A picture somebody brought.
   *
   * @param id of it in its project
   * @param wide how wide it truly is, as text in the unit asked for; null if it fills the part it
   *     is given to
   */
  public record PictureCard(String id, String name, @Nullable String wide, FinishCard card) {}

  /** A colour by its plain name. */
  public record NamedColour(String name, String colour) {}

  /**
   * What there is to choose from.
   *
   * @param colours whose names fit, or what was written if it is a colour
   */
  public record MaterialPage(List<MaterialCard> materials, List<NamedColour> colours) {}

  /**
   * Which part one points at.
   *
   * @param without names of parts of the shell that are not drawn
   * @param given what is held over it; null for nothing
   */
  public record SightRequest(
      Vec from, Vec along, @Nullable List<String> without, @Nullable Finish given) {}

  /**
   * A part and how it looks.
   *
   * @param target null if nothing is there
   * @param title what it is called; empty if nothing is there
   * @param own what a part of a piece has of its own; null for nothing
   * @param card of how it looks
   * @param trial how it would look with what is held over it; null if it cannot have it
   */
  public record FinishAt(
      long revision,
      @Nullable FinishTarget target,
      String title,
      @Nullable Finish own,
      @Nullable FinishCard card,
      @Nullable Appearance trial) {}

  /**
   * A part of which the sentence is wanted.
   *
   * @param before what the part of the first piece had of its own before; null for nothing
   */
  public record FinishRequest(
      FinishTarget target, @Nullable Finish before, @Nullable String unit) {}

  /** What a part is made of, in a sentence. */
  public record FinishView(long revision, FinishCard card, List<Phrase> phrases) {}

  /** The finishes chosen in a space. */
  public record PaletteView(long revision, List<FinishCard> cards) {}
}
