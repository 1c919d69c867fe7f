package pied.core.tool.repeat;

import java.util.List;
import pied.core.Nullable;
import pied.core.piece.Form;
import pied.core.piece.On;
import pied.core.piece.Stance;
import pied.core.units.Message;

/**
 * The places of a repetition.
 *
 * @param said what is to be said of it
 */
public record LaidOut(List<LaidPlace> places, List<Message> said) {
  /**
   * One of them.
   *
   * @param number by which it is known as long as the rule goes on
   * @param sample which of the mix fills it
   * @param stance of that
   * @param on what carries it if that is known already; then it is at rest there
   * @param form of what fills it where it is another than that of the sample; or null
   */
  public record LaidPlace(
      long number, int sample, Stance stance, @Nullable On on, @Nullable Form form) {
    public LaidPlace(long number, int sample, Stance stance) {
      this(number, sample, stance, null, null);
    }
  }
}
