package pied.server.store;

import org.springframework.boot.actuate.health.Health;
import org.springframework.boot.actuate.health.HealthIndicator;
import org.springframework.stereotype.Component;

/** Pied is ready only while what is done can be kept. */
@Component("storeHealthIndicator")
class LedgerHealth implements HealthIndicator {
  private final Ledger ledger;

  LedgerHealth(Ledger ledger) {
    this.ledger = ledger;
  }

  @Override
  public Health health() {
    NotKept trouble = ledger.trouble();
    return trouble == null
        ? Health.up().build()
        : Health.outOfService().withDetail("said", trouble.getMessage()).build();
  }
}
