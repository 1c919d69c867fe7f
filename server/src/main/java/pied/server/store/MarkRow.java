package pied.server.store;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** Something the store remembers of itself. */
@Entity
@Table(name = "mark")
public class MarkRow {
  @Id private String name;
  private String said;

  protected MarkRow() {}

  public MarkRow(String name, String said) {
    this.name = name;
    this.said = said;
  }

  /** What is remembered. */
  public String said() {
    return said;
  }
}
