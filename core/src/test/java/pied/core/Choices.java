package pied.core;

import java.util.Arrays;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.RandomDistribution;
import net.jqwik.api.providers.ArbitraryProvider;
import net.jqwik.api.providers.TypeUsage;

/**
 * Chance for a property: whatever is drawn from it is drawn from a list of numbers that jqwik made
 * up, so that it can make a case that fails smaller: fewer numbers, and nearer to 0. After the last
 * of them it goes on in a way that is always the same.
 */
public final class Choices extends Random {
  private static final long serialVersionUID = 1;
  private static final int MOST = 1000;

  private final int[] numbers;
  private int at;

  private Choices(int[] numbers) {
    super(17);
    this.numbers = numbers;
  }

  @Override
  protected int next(int bits) {
    return numbers == null || at >= numbers.length ? super.next(bits) : numbers[at++] >>> 32 - bits;
  }

  @Override
  public String toString() {
    return "Choices" + Arrays.toString(numbers);
  }

  /** Gives jqwik choices wherever a property asks for them. */
  public static final class ChoicesProvider implements ArbitraryProvider {
    @Override
    public boolean canProvideFor(TypeUsage type) {
      return type.isOfType(Choices.class);
    }

    @Override
    public Set<Arbitrary<?>> provideFor(TypeUsage type, SubtypeProvider subtypes) {
      return Set.of(
          Arbitraries.integers()
              .withDistribution(RandomDistribution.uniform())
              .withoutEdgeCases()
              .array(int[].class)
              .ofMinSize(0)
              .ofMaxSize(MOST)
              .withSizeDistribution(RandomDistribution.uniform())
              .withoutEdgeCases()
              .map(Choices::new));
    }
  }
}
