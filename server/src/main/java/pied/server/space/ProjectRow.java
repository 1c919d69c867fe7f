package pied.server.space;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;

/** A project as stored. */
@Entity
@Table(name = "project")
public class ProjectRow {
  @Id private String id;
  private String name;
  private Instant madeAt;
  private Instant removedAt;
  private String handedOver;

  protected ProjectRow() {}

  ProjectRow(String id, String name) {
    this.id = id;
    this.name = name;
    this.madeAt = Instant.now();
  }

  public String id() {
    return id;
  }

  public String name() {
    return name;
  }

  public Instant madeAt() {
    return madeAt;
  }

  /** How its files are handed over, as JSON; null if nothing was chosen. */
  public String handedOver() {
    return handedOver;
  }

  /** Nobody sees it. */
  void putAside() {
    removedAt = Instant.now();
  }
}
