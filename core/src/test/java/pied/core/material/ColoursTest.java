package pied.core.material;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pied.core.material.pattern.Tint;

class ColoursTest {
  @Test
  void everyNameIsThatOfItsOwnColour() {
    Colours.named().forEach((name, colour) -> assertThat(Colours.name(colour)).isEqualTo(name));
  }

  @ParameterizedTest
  @CsvSource({
    "Moss Green, #6A7B4B",
    "dark gray, #4D4C4A",
    "b4674b, #B4674B",
    "'#FA0', #FFAA00",
    "no such colour,",
    "dark,"
  })
  void coloursAreReadByNameOrNumber(String text, String colour) {
    assertThat(Colours.read(text)).isEqualTo(colour);
  }

  @Test
  void aWordMakesAColourLighterOrDarkerAndKeepsItsHue() {
    double[] sage = Tint.seen(Colours.read("sage"));
    double[] dark = Tint.seen(Colours.read("dark sage"));
    double[] pale = Tint.seen(Colours.read("pale sage"));
    assertThat(dark[0]).isLessThan(sage[0] - 0.1);
    assertThat(pale[0]).isGreaterThan(sage[0] + 0.1);
    assertThat(Math.atan2(dark[2], dark[1])).isCloseTo(Math.atan2(sage[2], sage[1]), within(0.06));
  }

  @Test
  void materialsAreFoundByWordsAndWithAColour() {
    assertThat(MaterialSearch.of("oak herringbone").materials().get(0).id())
        .isEqualTo("oak-herringbone");
    MaterialSearch.MaterialsFound green = MaterialSearch.of("dark green velvet");
    assertThat(green.materials()).extracting(Material::id).containsExactly("velvet");
    assertThat(green.finish(green.materials().get(0)).colour()).isEqualTo("#223D2E");
    assertThat(MaterialSearch.of("floorboards").materials())
        .extracting(Material::id)
        .contains("oak-planks", "dark-planks");
    assertThat(MaterialSearch.of("xyzzy").materials()).isEmpty();
    assertThat(Materials.shipped()).hasSizeGreaterThanOrEqualTo(60);
  }
}
