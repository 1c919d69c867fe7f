package pied.server.store;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import java.time.Instant;
import pied.core.catalog.Mounting;

/** An article that a project brought in, as stored. */
@Entity
@Table(name = "article")
public class ArticleRow {
  @Id private String id;

  @Column(name = "project_id")
  private String project;

  private String name;

  @Enumerated(EnumType.STRING)
  @Column(columnDefinition = "varchar(10)")
  private Mounting mounting;

  private boolean onTops;
  @Lob private String finishes;
  @Lob private byte[] mesh;
  private Instant madeAt;

  protected ArticleRow() {}

  public ArticleRow(
      String id,
      String project,
      String name,
      Mounting mounting,
      boolean onTops,
      String finishes,
      byte[] mesh) {
    this.id = id;
    this.project = project;
    this.name = name;
    this.mounting = mounting;
    this.onTops = onTops;
    this.finishes = finishes;
    this.mesh = mesh;
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

  public Mounting mounting() {
    return mounting;
  }

  public boolean onTops() {
    return onTops;
  }

  public String finishes() {
    return finishes;
  }

  public byte[] mesh() {
    return mesh;
  }
}
