package pied.server.space;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import java.io.Serializable;

/** What is in a space is known by that and by its id. */
@Embeddable
public record InSpace(@Column(name = "space_id") String space, @Column(name = "id") String id)
    implements Serializable {}
