package pied.core.light;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Locale;
import java.util.function.DoubleBinaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import pied.core.units.Refusal;

/**
 * Photometric files, made here to their standards, of lamps whose light can be reckoned by hand.
 */
class PhotometryTest {
  /** A lamp by LM-63: candela of a plane and an angle. */
  private static String ies(double last, double step, double lumens, DoubleBinaryOperator cd) {
    StringBuilder out = new StringBuilder("IESNA:LM-63-2002\n[TEST] made here\n");
    out.append("[LUMINAIRE] Marsh lamp\nTILT=NONE\n");
    int round = last == 0 ? 1 : (int) Math.round(last / step) + 1;
    out.append("1 " + lumens + " 1 37 " + round + " 1 2 0 0 0\n1 1 40\n");
    for (int g = 0; g <= 180; g += 5) {
      out.append(g).append(g % 60 == 0 ? "\n" : " ");
    }
    out.append('\n');
    for (int i = 0; i < round; i++) {
      out.append(i * step).append(' ');
    }
    for (int i = 0; i < round; i++) {
      out.append('\n');
      for (int g = 0; g <= 180; g += 5) {
        out.append(String.format(Locale.ROOT, "%.6f ", cd.applyAsDouble(i * step, g)));
      }
    }
    return out.toString();
  }

  /** The same as EULUMDAT: for a thousand lumens, of what the symmetry needs. */
  private static String ldt(int symmetry, double lumens, DoubleBinaryOperator cd) {
    StringBuilder out = new StringBuilder("Saltmarsh\n1\n" + symmetry + "\n24\n15\n37\n5\n");
    out.append("1\nMarsh lamp\n2\nmarsh.ldt\ntoday\n");
    out.append("0\n".repeat(9)).append("100\n100\n1\n0\n1\n");
    out.append("1\nLED\n" + lumens + "\n2700\n80\n40\n").append("0\n".repeat(10));
    for (int c = 0; c < 360; c += 15) {
      out.append(c).append('\n');
    }
    for (int g = 0; g <= 180; g += 5) {
      out.append(g).append('\n');
    }
    int first = symmetry == 3 ? 270 : 0;
    int planes = new int[] {24, 1, 13, 13, 7}[symmetry];
    for (int i = 0; i < planes; i++) {
      for (int g = 0; g <= 180; g += 5) {
        double v = cd.applyAsDouble((first + 15 * i) % 360, g) * 1000 / lumens;
        out.append(String.format(Locale.ROOT, "%.6f%n", v));
      }
    }
    return out.toString();
  }

  private static double below(double g) {
    return Math.max(0, Math.cos(Math.toRadians(g)));
  }

  /** The same all round: 4π lumens a candela. */
  @Test
  void oneThatIsTheSameAllRound() {
    for (String text : new String[] {ies(0, 1, 1257, (c, g) -> 100), ldt(1, 1257, (c, g) -> 100)}) {
      Photometry p = Photometry.read(text);
      assertThat(p.summed()).isCloseTo(400 * Math.PI, within(0.5));
      assertThat(p.candela(123, 77)).isCloseTo(100, within(1e-3));
      assertThat(p.name()).isEqualTo("Marsh lamp");
      assertThat(p.watts()).isEqualTo(40);
      assertThat(p.lumens()).isEqualTo(1257);
    }
  }

  /** One that shines as a white disc does downward: π lumens a candela. */
  @Test
  void oneThatShinesAsADiscDoes() {
    for (String text :
        new String[] {
          ies(0, 1, 3142, (c, g) -> 1000 * below(g)), ldt(1, 3142, (c, g) -> 1000 * below(g))
        }) {
      Photometry p = Photometry.read(text);
      // between its angles it is drawn straight: a thousandth less than round
      assertThat(p.summed()).isCloseTo(1000 * Math.PI, within(4.0));
      assertThat(p.candela(0, 60)).isCloseTo(500, within(0.01));
      assertThat(p.candela(200, 120)).isZero();
    }
  }

  /** Of each symmetry: what is not there is found where it is the same. */
  @ParameterizedTest
  @CsvSource({"360, 0", "180, 2", "90, 4"})
  void halfPlanesThatAreNotThereAreFound(double last, int symmetry) {
    DoubleBinaryOperator cd =
        (c, g) -> {
          double a = Math.toRadians(c);
          double lobe =
              symmetry == 4
                  ? Math.pow(Math.cos(a), 2)
                  : symmetry == 2 ? 1 + 0.5 * Math.cos(a) : 1 + 0.5 * Math.sin(a);
          return 800 * below(g) * lobe;
        };
    for (String text : new String[] {ies(last, 15, 2500, cd), ldt(symmetry, 2500, cd)}) {
      Photometry p = Photometry.read(text);
      for (int c = -45; c <= 405; c += 15) {
        for (int g = 0; g <= 180; g += 15) {
          assertThat(p.candela(c, g)).isCloseTo(cd.applyAsDouble(c, g), within(0.01));
        }
      }
    }
  }

  @Test
  void oneWhoseEndsAreAlikeBeginsAt270() {
    DoubleBinaryOperator cd = (c, g) -> 500 * below(g) * (1 + 0.6 * Math.sin(Math.toRadians(c)));
    Photometry p = Photometry.read(ldt(3, 1500, cd));
    for (int c = 0; c < 360; c += 15) {
      assertThat(p.candela(c, 30)).isCloseTo(cd.applyAsDouble(c, 30), within(0.01));
    }
  }

  @Test
  void oneThatWasMeasuredAsItIsHasTheLumensItSumsUpTo() {
    Photometry p = Photometry.read(ies(0, 1, -1, (c, g) -> 1000 * below(g)));
    assertThat(p.lumens()).isCloseTo(p.summed(), within(1e-9));
    // a tilt that comes along is read over, and candela are multiplied
    String text =
        ies(0, 1, 1000, (c, g) -> 50)
            .replace("TILT=NONE\n", "TILT=INCLUDE\n1\n3\n0 45 90\n1 0.9 0.8\n")
            .replace("1 1000.0 1 37", "1 1000.0 2 37");
    assertThat(Photometry.read(text).candela(0, 20)).isCloseTo(100, within(1e-6));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "hello",
        "IESNA:LM-63-2002\nTILT=NONE\n1 1000",
        "IESNA:LM-63-2002\nTILT=other.dat\n1",
        "IESNA:LM-63-2002\nTILT=NONE\none lamp",
        "IESNA:LM-63-2002\nTILT=NONE\n1 1000 1 900000 1 1 2 0 0 0 1 1 40",
        "IESNA:LM-63-2002\nTILT=NONE\n1 1000 1 2 1 2 2 0 0 0 1 1 40 0 90 0 5 5",
        "IESNA:LM-63-2002\nTILT=NONE\n1 1000 1 2 1 1 2 0 0 0 1 1 40 90 0 0 5 5",
        "IESNA:LM-63-2002\nTILT=NONE\n1 1000 1 2 1 1 2 0 0 0 1 1 40 0 90 0 5 -5",
        "Saltmarsh\n1\n7\n24",
        "Saltmarsh\n1\n1\n24\n15\nmany"
      })
  void oddOnesAreRefusedInWords(String text) {
    assertThatThrownBy(() -> Photometry.read(text))
        .isInstanceOf(Refusal.class)
        .hasMessageMatching(".*[a-z]{2,}.*\\.");
  }

  @Test
  void oneThatIsCutShortIsRefusedWhereverThatIs() {
    for (String text : new String[] {ies(90, 15, 900, (c, g) -> 70), ldt(4, 900, (c, g) -> 70)}) {
      String whole = text.strip();
      for (int cut = 0; cut < whole.length() - 12; cut += 37) {
        String part = whole.substring(0, cut);
        assertThatThrownBy(() -> Photometry.read(part)).isInstanceOf(Refusal.class);
      }
    }
  }
}
