package pied.server.picture;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import pied.core.Nullable;
import pied.core.material.PictureFile;

/** A picture that a project brought in, as stored. */
@Entity
@Table(name = "picture")
public class PictureRow {
  @Id private String id;

  @Column(name = "project_id")
  private String project;

  private String print;
  private String material;
  private Double width;
  private boolean listed;
  private Instant madeAt;

  @Lob private byte[] file;

  protected PictureRow() {}

  /**
   * @param width how wide it truly is, metres; null if nobody said
   */
  PictureRow(String project, PictureFile p, @Nullable Double width, boolean listed) {
    this.id = UUID.randomUUID().toString();
    this.project = project;
    this.print = p.picture().print();
    this.material = p.picture().id();
    this.width = width;
    this.listed = listed;
    this.madeAt = Instant.now();
    this.file = p.file();
  }

  byte[] file() {
    return file;
  }
}
