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
import pied.core.edit.Amount;
import pied.core.edit.Declined;
import pied.core.edit.Edit;
import pied.core.edit.Offer;
import pied.core.piece.Piece;
import pied.core.space.Filing;
import pied.core.space.Layer;
import pied.core.space.Validity;
import pied.core.tool.group.MakeGroup;
import pied.core.tool.keep.Lock;
import pied.core.tool.keep.NameSelection;
import pied.core.tool.keep.Remark;
import pied.core.tool.keep.Remove;
import pied.core.tool.keep.Rename;
import pied.core.tool.layer.NewLayer;
import pied.core.tool.layer.ToLayer;
import pied.core.tool.shell.SetColumnBuilder;
import pied.core.tool.turn.Turn;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;
import pied.server.Given;
import pied.server.OneServer;
import pied.server.space.KeepingWire.SelectionName;
import pied.server.space.SpaceWire.By;
import pied.server.space.SpaceWire.Changed;
import pied.server.space.SpaceWire.Deed;
import pied.server.space.SpaceWire.EditRequest;
import pied.server.space.SpaceWire.GoRequest;
import pied.server.space.SpaceWire.HistoryView;
import pied.server.space.SpaceWire.StepRequest;
import pied.server.store.Missing;

@OneServer
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
  void howPiecesAreKeptInOrderIsKeptToldAndUndone() {
    edit(null, put("a", 1, 1), put("b", 2, 1), put("c", 3, 1));
    Filing before = store.space(room).filing();
    Changed c =
        edit(
            null,
            new ToLayer(List.of("a"), null, "Back"),
            new MakeGroup(List.of("a", "b"), "g", "Pair"),
            new NameSelection("Seats", List.of("c", "a")),
            new Lock(List.of("b"), true, null),
            new Remark(List.of("c"), "from the store"));
    assertThat(c.filing().layers()).extracting(Layer::name).containsExactly("Main", "Back");
    assertThat(c.filing().selections()).containsExactly(new SelectionName("Seats", 2));
    assertThat(edit(null, put("d", 4, 1)).filing()).isNull();
    Filing filed = store.space(room).filing();
    List<Piece> pieces = pieces();
    store.letGo(0);
    assertThat(store.space(room).filing()).isEqualTo(filed);
    assertThat(pieces()).isEqualTo(pieces);
    store.undo(room, null);
    assertThat(store.undo(room, null).filing().layers()).hasSize(1);
    store.letGo(0);
    assertThat(store.space(room).filing()).isEqualTo(before);
    store.redo(room, null);
    assertThat(store.space(room).filing()).isEqualTo(filed);
    assertThat(store.view(room).filing().groups())
        .containsExactly(new KeepingWire.GroupView("g", "Pair", null, List.of("g"), null));
  }

  @Test
  void partsOfTheShellAreKeptInOrderAsPiecesAre() {
    edit(null, put("a", 1, 1));
    edit(
        null,
        SetColumnBuilder.builder().at(new Edit.PlanPoint(Amount.of(3), Amount.of(2))).build());
    Changed c =
        edit(
            null,
            new Rename("column:column 1", "The pillar"),
            new ToLayer(List.of("column:column 1"), null, "Back"),
            new MakeGroup(List.of("a", "column:column 1"), "g", "Pair"),
            new Lock(List.of("column:column 1"), true, null));
    assertThat(c.shell()).as("it may be drawn otherwise").isTrue();
    assertThat(c.filing().parts())
        .singleElement()
        .satisfies(p -> assertThat(p.name()).isEqualTo("The pillar"))
        .satisfies(p -> assertThat(p.locked()).isTrue());
    Filing filed = store.space(room).filing();
    store.letGo(0);
    assertThat(store.space(room).filing()).isEqualTo(filed);
    store.undo(room, null);
    store.letGo(0);
    assertThat(store.space(room).filing().parts()).isEmpty();
    store.redo(room, null);
    store.letGo(0);
    assertThat(store.space(room).filing()).isEqualTo(filed);
  }

  private ProposalWire.Said say(String id, String text, String... pieces) {
    return store.say(
        room, new ProposalWire.SayRequest(id, null, null, null, text, List.of(pieces)));
  }

  @Test
  void whatIsSaidIsDoneOnceAndKeptWithItsRulesAndTwins() {
    ProposalWire.Said row = say("once", "3 stools in a row at 1, 1, 0.2 apart");
    assertThat(row.selected()).hasSize(3);
    assertThat(row.understood()).hasSize(1);
    assertThat(say("once", "3 stools in a row at 1, 1, 0.2 apart").changed().revision())
        .isEqualTo(row.changed().revision());
    say(null, "twin about 3 across", row.selected().toArray(String[]::new));
    assertThat(pieces()).hasSize(6);
    Filing filed = store.space(room).filing();
    List<Piece> pieces = pieces();
    store.letGo(0);
    assertThat(store.space(room).filing()).isEqualTo(filed);
    assertThat(pieces()).isEqualTo(pieces);
    assertThat(store.view(room).filing().groups())
        .extracting(KeepingWire.GroupView::rule)
        .containsExactly("row");
    store.undo(room, null);
    assertThat(pieces()).hasSize(3).allMatch(p -> p.keeping().twin() == null);
    store.letGo(0);
    store.undo(room, null);
    assertThat(pieces()).isEmpty();
    assertThat(store.space(room).filing()).isEqualTo(Filing.PLAIN);
    store.redo(room, null);
    store.redo(room, null);
    assertThat(pieces()).isEqualTo(pieces);
    assertThat(store.space(room).filing()).isEqualTo(filed);
  }

  @Test
  void aTextOfWhichALineCannotBeReadDoesNothing() {
    assertThatThrownBy(() -> say(null, "a stool at 1, 1\nfnord"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("Line 2: ");
    assertThat(pieces()).isEmpty();
  }

  @Test
  void whatComesInIsOnTheLayerThatIsCurrentInTheWindow() {
    edit(null, new NewLayer("l", "Lights", null));
    store.edit(
        room,
        new EditRequest(null, null, "m", "l", null, List.of(put("a", 1, 1)), null, null, null));
    edit(null, put("b", 2, 1));
    assertThat(pieces()).extracting(p -> p.keeping().layer()).containsExactly("l", "first");
  }

  // ---- several windows

  private static final By ANNE = new By("anne", "Anne");
  private static final By BERT = new By("bert", null);

  private Changed editBy(By by, Edit... edits) {
    return store.edit(room, new EditRequest(null, null, "m", by, List.of(edits)));
  }

  private Changed undo(By by, Offer.OfferStep how) {
    return store.undo(room, new StepRequest(null, by, how));
  }

  private Changed redo(By by) {
    return store.redo(room, new StepRequest(null, by, null));
  }

  private static Edit turn(String id, double by) {
    return new Turn(List.of(id), null, Amount.of(by));
  }

  @Test
  void eachWindowUndoesItsOwnWhileBothAreThere() {
    store.present((space, window) -> true);
    edit(null, put("a", 1, 1), put("b", 3, 1));
    editBy(ANNE, turn("a", 10));
    Changed bert = editBy(BERT, turn("b", 20));
    assertThat(bert.window()).isEqualTo("bert");
    editBy(ANNE, turn("a", 30));
    undo(BERT, null);
    assertThat(store.space(room).piece("b").turn()).isZero();
    assertThat(store.space(room).piece("a").turn()).isEqualTo(40);
    Changed back = undo(ANNE, null);
    assertThat(store.space(room).piece("a").turn()).isEqualTo(10);
    assertThat(back.canRedo()).isTrue();
    redo(BERT);
    assertThat(store.space(room).piece("b").turn()).isEqualTo(20);
    // what one does ends one's own redo, not that of the other
    editBy(BERT, turn("b", 1));
    redo(ANNE);
    assertThat(store.space(room).piece("a").turn()).isEqualTo(40);
    store.present((space, window) -> false);
  }

  @Test
  void whatIsOfAWindowThatIsGoneCanBeUndone() {
    store.present((space, window) -> false);
    editBy(ANNE, put("a", 1, 1));
    assertThat(store.view(room, BERT).canUndo()).isTrue();
    undo(BERT, null);
    assertThat(pieces()).isEmpty();
    store.present((space, window) -> true);
    assertThat(store.view(room, BERT).canRedo()).isFalse();
    store.present((space, window) -> false);
    assertThat(store.view(room, BERT).canRedo()).isTrue();
  }

  @Test
  void whatAnotherWindowChangedSinceIsSaidAndWhatIsPossibleOffered() {
    store.present((space, window) -> true);
    edit(null, put("a", 1, 1), put("b", 3, 1));
    editBy(ANNE, turn("a", 10), turn("b", 10));
    editBy(BERT, turn("a", 5));
    assertThatThrownBy(() -> undo(ANNE, null))
        .hasMessage(
            "“Turned 2 × Stool by 10°” cannot be undone as it is: somebody has changed Stool"
                + " since, in another window.")
        .isInstanceOfSatisfying(
            Declined.class,
            d ->
                assertThat(d.offers())
                    .extracting(Offer::step)
                    .containsExactly(Offer.OfferStep.undoPossible, Offer.OfferStep.undoTogether));
    undo(ANNE, Offer.OfferStep.undoPossible);
    assertThat(store.space(room).piece("a").turn()).isEqualTo(15);
    assertThat(store.space(room).piece("b").turn()).isZero();
    editBy(ANNE, turn("b", 90));
    editBy(BERT, turn("b", 1));
    undo(ANNE, Offer.OfferStep.undoTogether);
    assertThat(store.space(room).piece("b").turn()).isZero();
    // another aspect of it is no matter
    editBy(ANNE, turn("b", 30));
    editBy(BERT, new Lock(List.of("b"), true, null));
    undo(ANNE, null);
    assertThat(store.space(room).piece("b").turn()).isZero();
    assertThat(store.space(room).piece("b").keeping().locked()).isTrue();
    store.present((space, window) -> false);
  }

  @Test
  void whateverTwoWindowsDoAndUndoTheSpaceStaysSound() {
    store.present((space, window) -> true);
    Random r = new Random(11);
    edit(null, put("a", 1, 1), put("b", 3, 1), put("c", 5, 1));
    List<Piece> first = pieces();
    Filing filing = store.space(room).filing();
    for (int i = 0; i < 150; i++) {
      By by = r.nextBoolean() ? ANNE : BERT;
      List<String> ids = pieces().stream().map(Piece::id).toList();
      if (ids.size() < 3) {
        editBy(by, put("p" + i, 1 + 4 * r.nextDouble(), 1 + 2 * r.nextDouble()));
        continue;
      }
      try {
        switch (r.nextInt(8)) {
          case 0, 1 -> undo(by, r.nextInt(4) == 0 ? Offer.OfferStep.undoPossible : null);
          case 2 -> redo(by);
          case 3 -> editBy(by, put("n" + i, 0.5 + 5 * r.nextDouble(), 0.5 + 3 * r.nextDouble()));
          case 4 -> editBy(by, new Remove(List.of(ids.get(r.nextInt(ids.size())))));
          case 5 -> editBy(by, new ToLayer(ids.subList(0, 1), null, "L" + r.nextInt(3)));
          case 6 -> editBy(by, new MakeGroup(ids.subList(0, Math.min(3, ids.size())), null, null));
          default -> editBy(by, turn(ids.get(r.nextInt(ids.size())), 1 + r.nextInt(90)));
        }
      } catch (Refusal e) {
        continue;
      }
    }
    List<Piece> last = pieces();
    Filing lastFiling = store.space(room).filing();
    Validity.pieces(store.space(room), last);
    store.letGo(0);
    assertThat(pieces()).isEqualTo(last);
    assertThat(store.space(room).filing()).isEqualTo(lastFiling);
    store.present((space, window) -> false);
    assertThat(first).hasSize(3);
    assertThat(filing.layers()).hasSize(1);
  }

  // ---- the history

  @Test
  void theHistoryIsInWordsAndLeadsToAnyPoint() {
    store.present((space, window) -> true);
    editBy(ANNE, put("a", 1, 1));
    List<Piece> one = pieces();
    editBy(BERT, turn("a", 30));
    editBy(ANNE, new ToLayer(List.of("a"), null, "Seats"));
    Filing seats = store.space(room).filing();
    List<Piece> three = pieces();
    HistoryView h = store.history(room, 0, LengthUnit.M);
    assertThat(h.deeds())
        .extracting(Deed::words)
        .containsExactly("Put Stool on the layer Seats", "Turned Stool by 30°", "Put in Stool");
    assertThat(h.deeds()).extracting(Deed::who).containsExactly("Anne", "", "Anne");
    assertThat(h.deeds()).extracting(Deed::window).containsExactly("anne", "bert", "anne");
    long first = h.deeds().get(2).n();
    store.go(room, new GoRequest("g1", BERT, first, null));
    assertThat(pieces()).isEqualTo(one);
    assertThat(store.space(room).filing().layers()).hasSize(1);
    assertThat(store.history(room, 0, LengthUnit.M).deeds())
        .extracting(Deed::stands)
        .containsExactly(false, false, true);
    assertThatThrownBy(() -> store.go(room, new GoRequest(null, BERT, first, null)))
        .hasMessage("The space is as it was then.");
    store.letGo(0); // as after a restart
    store.go(room, new GoRequest(null, ANNE, h.deeds().get(0).n(), null));
    assertThat(pieces()).isEqualTo(three);
    assertThat(store.space(room).filing()).isEqualTo(seats);
    store.go(room, new GoRequest(null, ANNE, 0L, null));
    assertThat(pieces()).isEmpty();
    store.present((space, window) -> false);
  }

  @Test
  void oneStepIsTakenOutOfTheMiddleAndPutBackWhereNothingLaterHasToDoWithIt() {
    edit(null, put("a", 1, 1));
    edit(null, turn("a", 30));
    edit(null, put("b", 3, 1));
    edit(null, turn("b", 10));
    List<Piece> all = pieces();
    long turned = store.history(room, 0, LengthUnit.M).deeds().get(2).n();
    store.go(room, new GoRequest("alone", null, turned, true));
    assertThat(store.space(room).piece("a").turn()).isZero();
    assertThat(store.space(room).piece("b").turn()).isEqualTo(10);
    assertThat(store.history(room, 0, LengthUnit.M).deeds())
        .extracting(Deed::stands)
        .containsExactly(true, true, false, true);
    // asked for once more it was done already
    store.go(room, new GoRequest("alone", null, turned, true));
    assertThat(store.space(room).piece("a").turn()).isZero();
    store.letGo(0); // as after a restart
    store.go(room, new GoRequest(null, null, turned, true));
    assertThat(pieces()).isEqualTo(all);
    edit(null, turn("a", 5));
    assertThatThrownBy(() -> store.go(room, new GoRequest(null, null, turned, true)))
        .hasMessageContaining("Stool was changed since: “Turned Stool by 5°”");
    assertThatThrownBy(() -> store.go(room, new GoRequest(null, null, 77L, true)))
        .hasMessageContaining("no such step");
  }

  @Test
  void undoSentTwiceIsDoneOnce() {
    edit(null, put("a", 1, 1));
    edit(null, put("b", 2, 2));
    Changed once = store.undo(room, new StepRequest("u"));
    assertThat(store.undo(room, new StepRequest("u"))).isEqualTo(once);
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
    assertThat(threads.awaitTermination(180, java.util.concurrent.TimeUnit.SECONDS)).isTrue();
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
      assertThat(threads.awaitTermination(180, java.util.concurrent.TimeUnit.SECONDS)).isTrue();
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
  void namesAndUnknownSpacesAreRefused() {
    assertThatThrownBy(() -> projects.newProject(" ")).isInstanceOf(Refusal.class);
    assertThatThrownBy(() -> projects.newProject("x".repeat(500)))
        .hasMessageContaining("120 letters");
    assertThatThrownBy(() -> store.view("nowhere")).isInstanceOf(Missing.class);
  }
}
