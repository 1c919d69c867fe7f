package pied.server.store;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

/** Access to the tables. */
interface Rows {
  /** Projects. */
  interface Projects extends JpaRepository<ProjectRow, String> {
    List<ProjectRow> findAllByOrderByMadeAt();
  }

  /** Spaces. */
  interface Spaces extends JpaRepository<SpaceRow, String> {
    List<SpaceRow> findAllByOrderByMadeAt();
  }

  /** Pieces. */
  interface Pieces extends JpaRepository<PieceRow, PieceRow.Key> {
    @Query("select p from PieceRow p where p.key.space = :space order by p.place")
    List<PieceRow> ofSpace(String space);
  }

  /** Changes. */
  interface Changes extends JpaRepository<ChangeRow, ChangeRow.Key> {
    @Query(
        "select c from ChangeRow c where c.key.space = :space and c.state = DONE"
            + " order by c.key.revision desc limit 1")
    Optional<ChangeRow> lastDone(String space);

    @Query(
        "select c from ChangeRow c where c.key.space = :space and c.state = UNDONE"
            + " order by c.key.revision limit 1")
    Optional<ChangeRow> firstUndone(String space);

    @Modifying
    @Query(
        "update ChangeRow c set c.state = DROPPED where c.key.space = :space and c.state = UNDONE")
    void dropUndone(String space);

    @Modifying
    @Query("delete from ChangeRow c where c.key.space = :space")
    void deleteOfSpace(String space);
  }

  /** Articles brought in. */
  interface Articles extends JpaRepository<ArticleRow, String> {
    List<ArticleRow> findAllByOrderByMadeAtDesc();

    @Query(
        "select a.id as id, a.ware as ware from ArticleRow a where a.project = :project"
            + " and a.ware is not null order by a.madeAt desc")
    List<Supplied> supplied(String project);

    /** Which article a ware has become. */
    interface Supplied {
      String getId();

      String getWare();
    }
  }

  /** Requests. */
  interface Requests extends JpaRepository<RequestRow, RequestRow.Key> {}
}
