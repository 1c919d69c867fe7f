package pied.server.space;

import com.fasterxml.jackson.core.type.TypeReference;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import pied.core.space.Group;
import pied.server.store.Json;

/** A group as stored. */
@Entity
@Table(name = "piece_group")
public class GroupRow {
  private static final TypeReference<StoredRule> RULE = new TypeReference<>() {};

  @EmbeddedId private InSpace key;
  private String name;
  private String inId;
  private String repeats;

  protected GroupRow() {}

  GroupRow(String space, Group g) {
    key = new InSpace(space, g.id());
    name = g.name();
    inId = g.in();
    repeats = g.repeats() == null ? null : Json.text(StoredRule.of(g.repeats()));
  }

  Group live() {
    StoredRule rule = repeats == null ? null : Json.read(repeats, RULE);
    return new Group(key.id(), name, inId, rule == null ? null : rule.live());
  }
}
