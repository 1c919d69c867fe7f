package pied.server.space;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.BiConsumer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import pied.core.Refusal;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.keep.Remove;
import pied.core.edit.turn.Turn;
import pied.core.piece.Piece;
import pied.server.Given;
import pied.server.space.SpaceWire.Changed;
import pied.server.space.SpaceWire.EditRequest;
import pied.server.store.Missing;

@SpringBootTest(
    webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT,
    properties = "spring.datasource.url=jdbc:h2:mem:live")
class SpaceStoreTest {
  @Autowired private SpaceStore store;
  @Autowired private ProjectStore projects;
  private String room;

  @BeforeEach
  void newRoom() {
    room = Given.room(projects);
  }

  private Changed edit(String request, Edit... edits) {
    return store.edit(room, new EditRequest(request, null, "m", List.of(edits)));
  }

  private static Edit put(String id, double x, double z) {
    return Given.put(id, "stool", x, z);
  }

  private List<Piece> pieces() {
    return List.copyOf(store.space(room).pieces());
  }

  @Test
  @SuppressWarnings("unchecked")
  void listenersHearOfWhatWasDoneOnceAndNotOfWhatWasRefused() {
    BiConsumer<String, Changed> listener = mock(BiConsumer.class);
    store.listen(listener);
    Changed first = edit("a", put("s", 2, 2));
    verify(listener).accept(room, first);
    assertThat(edit("a", put("s", 2, 2))).isEqualTo(first);
    assertThatThrownBy(() -> edit("b", put("s", 3, 3))).isInstanceOf(Refusal.class);
    verify(listener, times(1)).accept(eq(room), any());
    verify(listener, never()).accept(eq("another"), any());
  }

  @Test
  void undoAndRedoWalkThroughEverythingToTheLastBit() {
    Random r = new Random(3);
    List<List<Piece>> states = new ArrayList<>();
    states.add(pieces());
    for (int i = 0; i < 6; i++) {
      edit(null, put("s" + i, 0.5 + 5 * r.nextDouble(), 0.5 + 3 * r.nextDouble()));
      states.add(pieces());
      edit(null, new Turn(List.of("s" + i), Amount.of(360 * r.nextDouble()), null));
      states.add(pieces());
    }
    for (int i = states.size() - 2; i >= 0; i--) {
      Changed c = store.undo(room, null);
      assertThat(pieces()).isEqualTo(states.get(i));
      assertThat(c.canRedo()).isTrue();
      assertThat(c.canUndo()).isEqualTo(i > 0);
    }
    assertThatThrownBy(() -> store.undo(room, null)).hasMessageContaining("nothing to undo");
    for (int i = 1; i < states.size(); i++) {
      store.redo(room, null);
      assertThat(pieces()).isEqualTo(states.get(i));
    }
    assertThatThrownBy(() -> store.redo(room, null)).hasMessageContaining("nothing to redo");
  }

  @Test
  void somethingElseDoneAfterUndoEndsRedo() {
    edit(null, put("a", 1, 1));
    store.undo(room, null);
    Changed c = edit(null, put("b", 2, 2));
    assertThat(c.canRedo()).isFalse();
    assertThatThrownBy(() -> store.redo(room, null)).isInstanceOf(Refusal.class);
    store.undo(room, null);
    assertThat(pieces()).isEmpty();
  }

  @Test
  void undoSentTwiceIsDoneOnce() {
    edit(null, put("a", 1, 1));
    edit(null, put("b", 2, 2));
    Changed once = store.undo(room, "u");
    assertThat(store.undo(room, "u")).isEqualTo(once);
    assertThat(pieces()).hasSize(1);
  }

  @Test
  void whatWasRemovedComesBackAtItsPlaceInTheOrder() {
    for (int i = 0; i < 6; i++) {
      edit(null, put("s" + i, 0.6 + 0.8 * i, 1));
    }
    List<Piece> before = pieces();
    edit(null, new Remove(List.of("s1", "s4")));
    edit(null, put("late", 3, 3));
    store.undo(room, null);
    store.undo(room, null);
    assertThat(pieces()).isEqualTo(before);
    store.redo(room, null);
    store.redo(room, null);
    assertThat(pieces()).extracting(Piece::id).containsExactly("s0", "s2", "s3", "s5", "late");
  }

  @Test
  void whatChangesNothingIsNoStepAndLeavesRedoAsItIs() {
    edit(null, put("a", 1, 1));
    edit(null, new Turn(List.of("a"), Amount.of(30), null));
    Changed undone = store.undo(room, null);
    Changed same = edit("same", new Turn(List.of("a"), Amount.of(0), null));
    assertThat(same.revision()).isEqualTo(undone.revision());
    assertThat(same.changed()).isEmpty();
    assertThat(same.canRedo()).isTrue();
    // asked again after all, it is still what was answered, and does nothing
    store.redo(room, null);
    assertThat(edit("same", new Turn(List.of("a"), Amount.of(0), null))).isEqualTo(same);
    assertThat(store.space(room).piece("a").turn()).isEqualTo(30);
  }

  @Test
  void thoseWhoWriteAtOnceComeOneAfterTheOther() throws Exception {
    edit(null, put("a", 3, 2));
    List<Changed> heard = java.util.Collections.synchronizedList(new ArrayList<>());
    store.listen(
        (space, changed) -> {
          if (space.equals(room)) {
            heard.add(changed);
          }
        });
    var threads = java.util.concurrent.Executors.newFixedThreadPool(8);
    for (int i = 0; i < 80; i++) {
      threads.execute(() -> edit(null, new Turn(List.of("a"), null, Amount.of(3))));
    }
    threads.shutdown();
    assertThat(threads.awaitTermination(60, java.util.concurrent.TimeUnit.SECONDS)).isTrue();
    assertThat(heard).extracting(Changed::revision).isSorted().doesNotHaveDuplicates().hasSize(80);
    assertThat(store.space(room).piece("a").turn())
        .isCloseTo(240, org.assertj.core.api.Assertions.within(1e-9));
  }

  @Test
  void whileSomethingLongIsDoneOthersReadAndAreNotHeldUpForEver() throws Exception {
    edit(null, put("a", 3, 2));
    java.util.concurrent.CountDownLatch begun = new java.util.concurrent.CountDownLatch(1);
    java.util.concurrent.CountDownLatch through = new java.util.concurrent.CountDownLatch(1);
    List<Edit> slow =
        new java.util.AbstractList<>() {
          @Override
          public Edit get(int i) {
            begun.countDown();
            try {
              through.await();
            } catch (InterruptedException e) {
              throw new IllegalStateException(e);
            }
            return put("slow", 1, 1);
          }

          @Override
          public int size() {
            return 1;
          }
        };
    var threads = java.util.concurrent.Executors.newCachedThreadPool();
    try {
      var done = threads.submit(() -> store.edit(room, new EditRequest(null, null, "m", slow)));
      begun.await();
      assertThat(store.view(room).pieces()).hasSize(1);
      assertThat(
              store
                  .trial(
                      store.space(room), new EditRequest(null, null, "m", List.of(put("t", 1, 3))))
                  .space()
                  .pieces())
          .hasSize(2);
      List<java.util.concurrent.Future<Changed>> waiting = new ArrayList<>();
      for (int i = 0; i < 20; i++) {
        waiting.add(threads.submit(() -> edit(null, new Turn(List.of("a"), null, Amount.of(1)))));
      }
      int busy = 0;
      for (var w : waiting) { // some wait, those beyond are told at once
        try {
          w.get(100, java.util.concurrent.TimeUnit.MILLISECONDS);
        } catch (java.util.concurrent.ExecutionException e) {
          assertThat(e.getCause()).isInstanceOf(SpaceStore.Busy.class);
          busy++;
        } catch (java.util.concurrent.TimeoutException e) {
          // it waits
        }
      }
      assertThat(busy).isBetween(8, 16);
      through.countDown();
      assertThat(done.get().revision()).isEqualTo(2);
    } finally {
      through.countDown();
      threads.shutdown();
      assertThat(threads.awaitTermination(30, java.util.concurrent.TimeUnit.SECONDS)).isTrue();
    }
  }

  @Test
  void anOldRevisionIsRefused() {
    long seen = store.view(room).revision();
    edit(null, put("a", 1, 1));
    assertThatThrownBy(
            () -> store.edit(room, new EditRequest(null, seen, null, List.of(put("b", 2, 2)))))
        .isInstanceOf(SpaceStore.Stale.class)
        .hasMessageContaining("has changed since you looked");
    assertThat(pieces()).hasSize(1);
  }

  @Test
  void aTrialChangesNothing() {
    long before = store.view(room).revision();
    assertThat(
            store
                .trial(
                    store.space(room), new EditRequest(null, null, null, List.of(put("a", 1, 1))))
                .change()
                .made())
        .hasSize(1);
    assertThat(store.view(room).revision()).isEqualTo(before);
    assertThat(pieces()).isEmpty();
  }

  @Test
  void namesAndUnknownSpacesAreRefused() {
    assertThatThrownBy(() -> projects.newProject(" ")).isInstanceOf(Refusal.class);
    assertThatThrownBy(() -> projects.newProject("x".repeat(500)))
        .hasMessageContaining("120 letters");
    assertThatThrownBy(() -> store.view("nowhere")).isInstanceOf(Missing.class);
  }
}
