package pied.server.still;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import pied.core.Nullable;

/** A picture that was asked for, as stored. */
@Entity
@Table(name = "still")
public class StillRow {
  /** How far one is. */
  public enum StillState {
    waiting,
    working,
    /** Stopped by somebody; what is done of it is kept. */
    stopped,
    made,
    /** It cannot be made. */
    failed
  }

  @Id private String id;

  @Column(name = "space_id")
  private String space;

  private String name;
  private String told;
  private long revision;

  @Enumerated(EnumType.STRING)
  private StillState state;

  private double seconds;
  private Double noise;
  private String failed;
  private Instant madeAt;

  protected StillRow() {}

  /**
   * @param told what was asked for
   * @param revision of the space as it was then
   */
  StillRow(String space, String name, String told, long revision) {
    this.id = UUID.randomUUID().toString();
    this.space = space;
    this.name = name;
    this.told = told;
    this.revision = revision;
    this.state = StillState.waiting;
    this.madeAt = Instant.now();
  }

  /** One that was made elsewhere, or of another space. */
  static StillRow made(
      String space,
      String name,
      String told,
      long revision,
      double seconds,
      @Nullable Double noise,
      Instant at) {
    StillRow row = new StillRow(space, name, told, revision);
    row.state = StillState.made;
    row.seconds = seconds;
    row.noise = noise;
    row.madeAt = at;
    return row;
  }

  String id() {
    return id;
  }

  String space() {
    return space;
  }

  String name() {
    return name;
  }

  String told() {
    return told;
  }

  long revision() {
    return revision;
  }

  StillState state() {
    return state;
  }

  double seconds() {
    return seconds;
  }

  @Nullable
  Double noise() {
    return noise;
  }

  @Nullable
  String failed() {
    return failed;
  }

  Instant madeAt() {
    return madeAt;
  }
}
