package pied.server.still;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;
import pied.server.still.StillRow.StillState;

/** Reading stills; what is written goes through the ledger. */
interface StillRows extends JpaRepository<StillRow, String> {
  /** Those of a space, the latest first. */
  @Query("select s from StillRow s where s.space = :space order by s.madeAt desc, s.id")
  List<StillRow> ofSpace(String space);

  /** Those of a state, the first first. */
  @Query("select s from StillRow s where s.state in :states order by s.madeAt, s.id")
  List<StillRow> of(List<StillState> states);
}
