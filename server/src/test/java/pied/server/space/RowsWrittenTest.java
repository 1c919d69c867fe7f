package pied.server.space;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.persistence.EntityManagerFactory;
import java.util.ArrayList;
import java.util.List;
import org.hibernate.SessionFactory;
import org.hibernate.stat.Statistics;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.tool.keep.Copy;
import pied.core.tool.keep.Remove;
import pied.core.tool.turn.Turn;
import pied.server.Given;
import pied.server.space.SpaceWire.EditRequest;

/** An edit writes rows for what it touches, and one for the step, however much is in the space. */
@SpringBootTest(
    properties = {
      "spring.datasource.url=jdbc:h2:mem:rows",
      "spring.jpa.properties.hibernate.generate_statistics=true"
    })
class RowsWrittenTest {
  @Autowired private SpaceStore store;
  @Autowired private ProjectStore projects;
  @Autowired private EntityManagerFactory entities;
  private Statistics written;
  private String room;

  @BeforeEach
  void count() {
    written = entities.unwrap(SessionFactory.class).getStatistics();
  }

  private record Rows(long put, long altered, long taken, long statements) {}

  private Rows rows(Runnable what) {
    written.clear();
    what.run();
    return new Rows(
        written.getEntityInsertCount(),
        written.getEntityUpdateCount(),
        written.getEntityDeleteCount(),
        written.getPrepareStatementCount());
  }

  private Rows edit(Edit edit) {
    return rows(() -> store.edit(room, new EditRequest(null, null, "m", List.of(edit))));
  }

  @ParameterizedTest
  @ValueSource(ints = {4, 120})
  void asManyAsItTouches(int stools) {
    room = Given.room(projects);
    List<Edit> all = new ArrayList<>();
    for (int i = 0; i < stools; i++) {
      all.add(Given.put("s" + i, "stool", 0.4 + i % 12 * 0.45, 0.4 + i / 12 * 0.36));
    }
    store.edit(room, new EditRequest(null, null, "m", all));
    List<String> two = List.of("s0", "s3");
    assertThat(edit(new Turn(two, null, Amount.of(10)))).isEqualTo(new Rows(1, 2, 0, 2));
    assertThat(edit(new Copy(two, null))).isEqualTo(new Rows(3, 0, 0, 2));
    assertThat(edit(new Remove(two))).isEqualTo(new Rows(1, 0, 2, 2));
    // the step it goes over is read and turned
    Rows undone = rows(() -> store.undo(room, null));
    assertThat(undone.put() + undone.altered() + undone.taken()).isEqualTo(3);
    assertThat(undone.statements()).isLessThanOrEqualTo(4);
  }
}
