package pied.server.store;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;
import pied.core.catalog.Mounting;
import pied.core.model.Brought;
import pied.core.size.Size;

/**
 * Reading from the tables; what is written goes through the {@link Ledger}. What is large (meshes,
 * shells, changes) is read by its key alone and never in a sorted result, of which H2 would keep a
 * copy.
 */
interface Rows {
  /** Projects. */
  interface Projects extends JpaRepository<ProjectRow, String> {
    List<ProjectRow> findAllByOrderByMadeAt();
  }

  /** Spaces. */
  interface Spaces extends JpaRepository<SpaceRow, String> {
    @Query(
        "select s.id as id, s.project as project, s.name as name from SpaceRow s order by s.madeAt")
    List<Named> named();

    @Query("select s.name from SpaceRow s where s.id = :id")
    Optional<String> nameOf(String id);

    /** A space without what is in it. */
    interface Named {
      String getId();

      String getProject();

      String getName();
    }
  }

  /** Pieces. */
  interface Pieces extends JpaRepository<PieceRow, PieceRow.Key> {
    @Query("select p from PieceRow p where p.key.space = :space")
    List<PieceRow> ofSpace(String space);
  }

  /** Steps. */
  interface Steps extends JpaRepository<StepRow, Long> {
    /** The steps of a space in order, without what they changed. */
    @Query(
        "select s.id as id, s.revision as revision, s.kind as kind, s.request as request"
            + " from StepRow s where s.id >= :first and s.id < :behind order by s.id")
    List<Short> ofSpace(long first, long behind);

    /** Keys of what is past and too old to be asked for. */
    @Query("select s.id from StepRow s where s.madeAt < :before and s.kind = PAST")
    List<Long> past(Instant before);

    /** Keys of the last step of every space. */
    @Query("select max(s.id) from StepRow s group by s.id / 4294967296L")
    List<Long> last();

    /** Keys of changes whose answers are too old to be asked for. */
    @Query("select s.id from StepRow s where s.madeAt < :before and s.request is not null")
    List<Long> answered(Instant before);

    /** A step without what it changed. */
    interface Short {
      long getId();

      long getRevision();

      StepRow.Kind getKind();

      String getRequest();
    }
  }

  /** Articles brought in. */
  interface Articles extends JpaRepository<ArticleRow, String> {
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
            Stored.finishes(getFinishes()),
            getWeight());
      }
    }

    /** Which article a ware has become. */
    interface Supplied {
      String getId();

      String getWare();
    }
  }
}
