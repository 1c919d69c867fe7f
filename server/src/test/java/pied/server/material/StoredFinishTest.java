package pied.server.material;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.core.type.TypeReference;
import java.util.Map;
import org.junit.jupiter.api.Test;
import pied.core.material.Finish;
import pied.core.material.FinishPart;
import pied.core.units.Refusal;
import pied.server.material.StoredFinish.StoredFinishPart;
import pied.server.store.Json;

class StoredFinishTest {
  private static final TypeReference<Map<String, StoredFinishPart>> PARTS =
      new TypeReference<>() {};

  private static Map<String, FinishPart> read(String text) {
    return StoredFinishPart.live(Json.read(text, PARTS));
  }

  @Test
  void thePartsOfAnArticleAreReadInBothForms() {
    FinishPart seat = new FinishPart("Seat", Finish.of("#A1B2C3", 0.3, 0.5));
    assertThat(
            read(
                "{\"seat\":{\"name\":\"Seat\",\"colour\":\"#a1b2c3\",\"rough\":0.3,\"glow\":0.5}}"))
        .containsEntry("seat", seat);
    String now = Json.text(StoredFinishPart.of(Map.of("seat", seat)));
    assertThat(read(now)).containsEntry("seat", seat);
  }

  @Test
  void aPartOfAnArticleWithoutAColourIsRefused() {
    assertThatThrownBy(() -> read("{\"seat\":{\"name\":\"Seat\",\"rough\":0.3}}"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("#RRGGBB");
    assertThatThrownBy(() -> read("{\"seat\":{\"name\":\"Seat\",\"finish\":{\"metal\":1}}}"))
        .isInstanceOf(Refusal.class);
  }
}
