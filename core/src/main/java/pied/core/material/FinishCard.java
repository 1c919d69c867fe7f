package pied.core.material;

import pied.core.Nullable;

/**
 * A finish as one chooses it.
 *
 * @param finish what is given
 * @param words how it is said
 * @param appearance how it looks on a part
 * @param sample where a picture of it is had; null where its colour says it all
 */
public record FinishCard(
    Finish finish, String words, Appearance appearance, @Nullable String sample) {
  /** That of a finish that may say nothing of what glows. */
  public static FinishCard of(Finish f) {
    Finish whole = f.emission() == null ? f.withEmission(0.0) : f;
    Appearance shown = Appearance.of(whole);
    return new FinishCard(f, shown.words(), shown, Appearance.sample(whole));
  }
}
