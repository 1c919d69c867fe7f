package pied.server.imports;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import java.time.Instant;
import pied.core.catalog.Mounting;
import pied.core.model.Brought;
import pied.core.model.Stretched;
import pied.core.size.Size;
import pied.server.material.StoredFinish;
import pied.server.store.Json;

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
  private String finishes;
  private String kind;
  private String about;
  private double weight;
  private double width;
  private double depth;
  private double height;
  private String ware;
  private Instant madeAt;

  @Lob private byte[] mesh;
  @Lob private byte[] pictures;
  @Lob private byte[] fullForm;

  protected ArticleRow() {}

  /**
   * @param fullForm of a heavy model, a GLB file; or null
   * @param ware how the supplier calls it; null if it is from none
   */
  ArticleRow(Brought b, Stretched shape, byte[] fullForm, String ware) {
    this.id = b.id();
    this.project = b.project();
    this.name = b.name();
    this.mounting = b.mounting();
    this.onTops = b.onTops();
    this.finishes = Json.text(StoredFinish.StoredFinishPart.of(b.finishes()));
    this.kind = b.kind();
    this.about = b.about();
    this.weight = b.weight();
    this.width = b.size().width();
    this.depth = b.size().depth();
    this.height = b.size().height();
    this.madeAt = Instant.now();
    this.mesh = MeshBytes.write(shape.mesh());
    this.pictures = MeshBytes.writePictures(shape.pictures());
    this.fullForm = fullForm;
    this.ware = ware;
  }

  Stretched shape() {
    return Stretched.of(MeshBytes.read(mesh), MeshBytes.readPictures(pictures));
  }

  byte[] fullForm() {
    return fullForm;
  }

  byte[] mesh() {
    return mesh;
  }

  byte[] pictures() {
    return pictures;
  }

  Brought brought(String as, String of) {
    return new Brought(
        as,
        of,
        name,
        kind,
        about,
        mounting,
        onTops,
        new Size(width, depth, height),
        StoredFinish.StoredFinishPart.live(Json.read(finishes, Articles.FINISHES)),
        weight);
  }

  String id() {
    return id;
  }

  String ware() {
    return ware;
  }
}
