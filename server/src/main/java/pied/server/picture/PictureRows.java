package pied.server.picture;

import java.util.List;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Reading pictures; what is written goes through the ledger. */
interface PictureRows extends JpaRepository<PictureRow, String> {
  @Query(
      "select p.id as id, p.print as print, p.material as material, p.width as width,"
          + " p.listed as listed from PictureRow p where p.project = :project"
          + " order by p.madeAt desc, p.id")
  List<Known> ofProject(String project);

  /** Ids of those that show the same, in whatever project. */
  @Query("select p.id from PictureRow p where p.print = :print")
  List<String> showing(String print, Limit most);

  /** What is known of one besides its dots. */
  interface Known {
    String getId();

    String getPrint();

    String getMaterial();

    Double getWidth();

    boolean getListed();
  }
}
