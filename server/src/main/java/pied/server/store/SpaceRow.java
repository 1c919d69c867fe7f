package pied.server.store;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import java.time.Instant;

/** A space as stored; its shell as JSON, its pieces in rows of their own. */
@Entity
@Table(name = "space")
public class SpaceRow {
  @Id private String id;

  @Column(name = "project_id")
  private String project;

  private String name;
  @Lob private String shell;
  private long revision;
  private Instant madeAt;

  protected SpaceRow() {}

  public SpaceRow(String id, String project, String name, String shell) {
    this.id = id;
    this.project = project;
    this.name = name;
    this.shell = shell;
    this.madeAt = Instant.now();
  }

  public String id() {
    return id;
  }

  public String project() {
    return project;
  }

  public String name() {
    return name;
  }

  public String shell() {
    return shell;
  }

  public void shell(String shell) {
    this.shell = shell;
  }

  public long revision() {
    return revision;
  }

  public void revision(long revision) {
    this.revision = revision;
  }

  public Instant madeAt() {
    return madeAt;
  }
}
