package pied.server.space;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/**
 * Reading from the tables; what is written goes through the {@link Ledger}. What is large (meshes,
 * shells, changes) is read by its key alone and never in a sorted result, of which H2 would keep a
 * copy.
 */
public interface Rows {
  /** Projects. */
  interface Projects extends JpaRepository<ProjectRow, String> {
    List<ProjectRow> findAllByRemovedAtIsNullOrderByMadeAt();
  }

  /** Spaces. */
  interface Spaces extends JpaRepository<SpaceRow, String> {
    @Query(
        "select s.id as id, s.no as no, s.project as project, s.name as name, s.madeAt as madeAt"
            + " from SpaceRow s where s.removedAt is null order by s.madeAt")
    List<Named> named();

    /** The name of a project that was put aside; none for one that is there. */
    @Query("select p.name from ProjectRow p where p.id = :project and p.removedAt is not null")
    Optional<String> removedProject(String project);

    @Query("select s.id from SpaceRow s where s.project = :project")
    List<String> idsOf(String project);

    /** The id of the space with a number; none for one that is there no more. */
    @Query("select s.id from SpaceRow s where s.no = :no")
    Optional<String> idOf(long no);

    @Query("select s.name from SpaceRow s where s.id = :id")
    Optional<String> nameOf(String id);

    /** A space without what is in it. */
    interface Named {
      String getId();

      long getNo();

      String getProject();

      String getName();

      Instant getMadeAt();
    }
  }

  /** Pieces. */
  interface Pieces extends JpaRepository<PieceRow, InSpace> {
    @Query("select p from PieceRow p where p.key.space = :space")
    List<PieceRow> ofSpace(String space);

    /** How many pieces each space has that has any. */
    @Query("select p.key.space as space, count(*) as pieces from PieceRow p group by p.key.space")
    List<Count> counts();

    /** How many pieces a space has. */
    interface Count {
      String getSpace();

      long getPieces();
    }
  }

  /** Layers. */
  interface Layers extends JpaRepository<LayerRow, InSpace> {
    @Query("select l from LayerRow l where l.key.space = :space order by l.place")
    List<LayerRow> ofSpace(String space);
  }

  /** Groups. */
  interface Groups extends JpaRepository<GroupRow, InSpace> {
    @Query("select g from GroupRow g where g.key.space = :space")
    List<GroupRow> ofSpace(String space);
  }

  /** Named selections. */
  interface Selections extends JpaRepository<SelectionRow, InSpace> {
    @Query("select s from SelectionRow s where s.key.space = :space")
    List<SelectionRow> ofSpace(String space);
  }

  /** Lines of twins. */
  interface Twins extends JpaRepository<TwinRow, InSpace> {
    @Query("select t from TwinRow t where t.key.space = :space")
    List<TwinRow> ofSpace(String space);
  }

  /** How parts of the shell are kept. */
  interface KeptParts extends JpaRepository<KeptPartRow, InSpace> {
    @Query("select k from KeptPartRow k where k.key.space = :space")
    List<KeptPartRow> ofSpace(String space);
  }

  /** What is kept of how spaces are shown. */
  interface Showings extends JpaRepository<ShownRow, InSpace> {
    @Query("select s from ShownRow s where s.key.space = :space")
    List<ShownRow> ofSpace(String space);
  }

  /** Steps. */
  interface Steps extends JpaRepository<StepRow, Long> {
    /** The steps of a space in order, without what they changed. */
    @Query(
        "select s.id as id, s.revision as revision, s.kind as kind, s.request as request,"
            + " s.doneIn as doneIn, s.partner as partner"
            + " from StepRow s where s.id >= :first and s.id < :behind order by s.id")
    List<Short> ofSpace(long first, long behind);

    /** Keys of what is past and too old to be asked for. */
    @Query("select s.id from StepRow s where s.madeAt < :before and s.kind = PAST")
    List<Long> past(Instant before);

    /** Keys of the last step of every space. */
    @Query("select max(s.id) from StepRow s group by s.id / 4294967296L")
    List<Long> last();

    /** The last step of every space that has any. */
    @Query(
        "select s.id as id, s.madeAt as madeAt from StepRow s"
            + " where s.id in (select max(t.id) from StepRow t group by t.id / 4294967296L)")
    List<Last> lately();

    /** Keys of the latest changes of a space. */
    @Query(
        "select s.id from StepRow s where s.id >= :first and s.id < :behind and s.kind <> PAST"
            + " order by s.id desc")
    List<Long> changes(long first, long behind, Limit most);

    /** All of the steps of a space from one on, in order. */
    @Query("select s from StepRow s where s.id >= :from and s.id < :behind order by s.id")
    List<StepRow> whole(long from, long behind);

    /** The latest steps of a space. */
    @Query(
        "select s.id as id, s.madeAt as madeAt from StepRow s"
            + " where s.id >= :first and s.id < :behind order by s.id desc")
    List<Last> latest(long first, long behind, Limit most);

    /** When a step was made. */
    interface Last {
      long getId();

      Instant getMadeAt();
    }

    /** Keys of changes whose answers are too old to be asked for. */
    @Query("select s.id from StepRow s where s.madeAt < :before and s.request is not null")
    List<Long> answered(Instant before);

    /** A step without what it changed. */
    interface Short {
      long getId();

      long getRevision();

      StepRow.StepKind getKind();

      String getRequest();

      String getDoneIn();

      Long getPartner();
    }

    /** What was done in a space, the latest first: changes that stand or are undone. */
    @Query(
        "select s.id as id, s.kind as kind, s.doneIn as doneIn, s.who as who, s.words as words,"
            + " s.madeAt as madeAt from StepRow s"
            + " where s.id >= :first and s.id < :behind and s.kind <> PAST order by s.id desc")
    List<DoneStep> done(long first, long behind, Limit most);

    /** Something that was done, without what it changed. */
    interface DoneStep {
      long getId();

      StepRow.StepKind getKind();

      String getDoneIn();

      String getWho();

      String getWords();

      Instant getMadeAt();
    }
  }
}
