package pied.server.store;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.time.Instant;

/** A change as stored, with whether it stands, is undone, or can no longer be redone. */
@Entity
@Table(name = "change")
public class ChangeRow {
  /** A change is known by its space and the revision it made. */
  @Embeddable
  public record Key(
      @Column(name = "space_id") String space, @Column(name = "revision") long revision)
      implements Serializable {}

  /** What has become of a change. */
  public enum State {
    DONE,
    UNDONE,
    DROPPED
  }

  @EmbeddedId private Key key;

  @Enumerated(EnumType.STRING)
  @Column(columnDefinition = "varchar(10)")
  private State state;

  @Lob private String pieces;
  private Instant madeAt;

  protected ChangeRow() {}

  public ChangeRow(String space, long revision, String pieces) {
    key = new Key(space, revision);
    state = State.DONE;
    this.pieces = pieces;
    madeAt = Instant.now();
  }

  public String pieces() {
    return pieces;
  }

  public void state(State state) {
    this.state = state;
  }

  public State state() {
    return state;
  }

  public Instant madeAt() {
    return madeAt;
  }
}
