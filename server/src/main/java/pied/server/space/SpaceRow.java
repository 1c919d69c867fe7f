package pied.server.space;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import pied.core.space.Shell;

/**
 * A space as stored: its shell packed, its pieces in rows of their own, its revision that of its
 * last step.
 */
@Entity
@Table(name = "space")
public class SpaceRow {
  @Id private String id;

  @Column(name = "no", insertable = false, updatable = false)
  private long no;

  @Column(name = "project_id", updatable = false)
  private String project;

  private String name;
  private int form;
  private byte[] shellForm;
  private long revision;

  @Column(updatable = false)
  private Instant madeAt;

  private Instant removedAt;

  protected SpaceRow() {}

  /**
   * @param revision it begins with
   */
  SpaceRow(String id, String project, String name, Shell shell, long revision) {
    this.id = id;
    this.project = project;
    this.name = name;
    this.revision = revision;
    form = Stored.FORM;
    shellForm = Stored.write(shell);
    madeAt = Instant.now();
  }

  public String id() {
    return id;
  }

  long no() {
    return no;
  }

  public String project() {
    return project;
  }

  public String name() {
    return name;
  }

  Shell shell() {
    return Stored.shell(form, shellForm);
  }

  /** Of a space without steps. */
  long revision() {
    return revision;
  }

  /** Whether it was put aside. */
  boolean isRemoved() {
    return removedAt != null;
  }

  Instant madeAt() {
    return madeAt;
  }
}
