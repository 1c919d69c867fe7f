package pied.server.space;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Component;
import pied.server.store.Housekeeping;
import pied.server.store.Ledger;

/** Lets go of steps that can no longer be undone, and of answers nobody asks for any more. */
@Component
class PastSteps implements Housekeeping.Past {
  /** Rows let go of in one go. */
  private static final int AT_ONCE = 500;

  private final Ledger ledger;
  private final Rows.Steps steps;

  PastSteps(Ledger ledger, Rows.Steps steps) {
    this.ledger = ledger;
    this.steps = steps;
  }

  @Override
  public void forget(Instant before) {
    Set<Long> last = Set.copyOf(steps.last());
    List<Long> past = steps.past(before).stream().filter(id -> !last.contains(id)).toList();
    inParts(past, "delete from StepRow where id in :ids");
    inParts(
        steps.answered(before),
        "update StepRow set request = null, answer = null, longAnswer = null where id in :ids");
  }

  private void inParts(List<Long> ids, String how) {
    for (int i = 0; i < ids.size(); i += AT_ONCE) {
      List<Long> some = ids.subList(i, Math.min(ids.size(), i + AT_ONCE));
      ledger.keep(t -> t.alter(how, Map.of("ids", some)));
    }
  }
}
