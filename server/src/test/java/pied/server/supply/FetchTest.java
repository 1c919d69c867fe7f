package pied.server.supply;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.io.ByteArrayInputStream;
import java.security.MessageDigest;
import java.util.HexFormat;
import java.util.concurrent.atomic.AtomicReference;
import org.junit.jupiter.api.Test;
import pied.core.size.Size;

class FetchTest {
  private static final byte[] MODEL = new byte[50_000];

  private Fetch fetch(String sha, AtomicReference<byte[]> taken) {
    SupplierClient client = mock(SupplierClient.class);
    when(client.model(any(), any(), anyLong(), any()))
        .thenAnswer(i -> new SupplierClient.Flow(new ByteArrayInputStream(MODEL), false, "t"));
    SupplierClient.Ware ware =
        new SupplierClient.Ware(
            "w", "Ware", "k", new Size(1, 1, 1), "stands", 1, 1, MODEL.length, sha);
    return new Fetch(
        "p",
        ware,
        client,
        "token",
        1,
        bytes -> {
          taken.set(bytes);
          return "article";
        });
  }

  @Test
  void whatWasFetchedIsNotHeldInMemoryAfterwards() throws Exception {
    String sha = HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(MODEL));
    AtomicReference<byte[]> taken = new AtomicReference<>();
    Fetch good = fetch(sha, taken);
    good.run();
    assertThat(good.state()).isEqualTo(Fetch.State.done);
    assertThat(taken.get()).isEqualTo(MODEL);
    assertThat(good.received()).isEqualTo(MODEL.length);
    assertThat(good.held()).isZero();
    Fetch bad = fetch("another", new AtomicReference<>());
    bad.run();
    assertThat(bad.state()).isEqualTo(Fetch.State.failed);
    assertThat(bad.held()).isZero();
  }
}
