package pied.core.propose;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import pied.core.Rooms;
import pied.core.check.Checks;
import pied.core.piece.On;
import pied.core.piece.Piece;

/** The text that furnishes the tea room, as it stands in the documents. */
class TeaRoomTest {
  private static final Path TEXT = Path.of("..", "docs", "tea-room.txt");

  @Test
  void theTeaRoomIsFurnishedByAShortText() throws Exception {
    String text = Files.readString(TEXT);
    assertThat(text.lines().count()).isLessThan(80);
    Rooms room = Rooms.teaRoom();
    assertThat(room.space.pieces()).hasSizeGreaterThan(70);
    assertThat(Checks.of(room.space)).as("nothing hovers, overlaps, tips or pokes out").isEmpty();
    Map<String, Long> on =
        room.space.pieces().stream()
            .filter(p -> p.on().kind() == On.OnKind.piece)
            .collect(
                Collectors.groupingBy(p -> room.piece(p.on().id()).name(), Collectors.counting()));
    assertThat(on)
        .containsEntry("Counter", 8L)
        .containsEntry("Long table", 6L)
        .containsEntry("Bookcase", 12L);
    assertThat(room.space.pieces()).extracting(Piece::on).doesNotContain(On.NOTHING);
  }
}
