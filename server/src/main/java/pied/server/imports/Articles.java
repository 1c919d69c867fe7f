package pied.server.imports;

import com.fasterxml.jackson.core.type.TypeReference;
import java.util.LinkedHashMap;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;
import pied.core.catalog.Mounting;
import pied.core.model.Brought;
import pied.core.size.Size;
import pied.server.material.StoredFinish;
import pied.server.store.Json;

/** Reading articles that were brought in; what is written goes through the ledger. */
public interface Articles extends JpaRepository<ArticleRow, String> {
  /** Finishes by part, as they are in a column. */
  TypeReference<LinkedHashMap<String, StoredFinish.StoredFinishPart>> FINISHES =
      new TypeReference<>() {};

  @Query(
      "select a.id as id, a.project as project, a.name as name, a.kind as kind,"
          + " a.about as about, a.mounting as mounting, a.onTops as onTops, a.width as width,"
          + " a.depth as depth, a.height as height, a.finishes as finishes, a.weight as weight"
          + " from ArticleRow a order by a.madeAt desc")
  List<Known> known();

  @Query(
      "select a.id as id, a.ware as ware from ArticleRow a where a.project = :project"
          + " and a.ware is not null order by a.madeAt desc")
  List<Supplied> supplied(String project);

  @Query("select a.id from ArticleRow a where a.project = :project order by a.madeAt, a.id")
  List<String> ofProject(String project);

  /** What is known of an article besides its shape. */
  interface Known {
    String getId();

    String getProject();

    String getName();

    String getKind();

    String getAbout();

    Mounting getMounting();

    boolean getOnTops();

    double getWidth();

    double getDepth();

    double getHeight();

    String getFinishes();

    double getWeight();

    default Brought brought() {
      return new Brought(
          getId(),
          getProject(),
          getName(),
          getKind(),
          getAbout(),
          getMounting(),
          getOnTops(),
          new Size(getWidth(), getDepth(), getHeight()),
          StoredFinish.StoredFinishPart.live(Json.read(getFinishes(), FINISHES)),
          getWeight());
    }
  }

  /** Which article a ware has become. */
  interface Supplied {
    String getId();

    String getWare();
  }
}
