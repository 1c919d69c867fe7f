package pied.core.register;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.List;
import org.junit.jupiter.api.Test;
import pied.core.edit.Blank;
import pied.core.edit.Edit;
import pied.core.tool.move.MoveToBuilder;
import pied.core.tool.shell.SetBarBuilder;

class BlankTest {
  private static final Edit BAR = SetBarBuilder.builder().part("bar 1").build();

  @Test
  void aSlotThatTheEditDoesNotHaveIsNone() {
    assertThat(new Blank(BAR, "trim").slot()).isEqualTo("trim");
    assertThatThrownBy(() -> new Blank(BAR, "height")).hasMessageContaining("no height in SetBar");
    Edit move = MoveToBuilder.builder().pieces(List.of("a")).build();
    assertThat(new Blank(move, "to.stageLeft").slot()).isEqualTo("to.stageLeft");
    assertThatThrownBy(() -> new Blank(move, "to.left")).hasMessageContaining("no to.left");
    assertThatThrownBy(() -> new Blank(move, "pieces.x")).hasMessageContaining("no pieces.x");
  }

  @Test
  void whatIsNotSaidIsNotWritten() throws Exception {
    assertThat(new ObjectMapper().writeValueAsString(BAR))
        .isEqualTo("{\"do\":\"bar\",\"part\":\"bar 1\"}");
  }
}
