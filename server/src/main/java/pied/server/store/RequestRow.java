package pied.server.store;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import java.io.Serializable;

/** A request that was carried out, and the answer given. */
@Entity
@Table(name = "request")
public class RequestRow {
  /** A request is known by its space and its id. */
  @Embeddable
  public record Key(@Column(name = "space_id") String space, @Column(name = "id") String id)
      implements Serializable {}

  @EmbeddedId private Key key;
  @Lob private String answer;

  protected RequestRow() {}

  public RequestRow(String space, String id, String answer) {
    key = new Key(space, id);
    this.answer = answer;
  }

  public String answer() {
    return answer;
  }
}
