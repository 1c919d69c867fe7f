package pied.core.tool.trail;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import pied.core.Rooms;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.propose.Proposal;
import pied.core.propose.Question;
import pied.core.space.Bar;
import pied.core.units.Deadline;
import pied.core.units.LengthUnit;

/** What hangs is repeated along bars and trusses; what stands as a row is adjusted in words. */
class AlongBarsTest {
  private static final Offset<Double> EXACT = within(1e-6);

  private final Rooms room = Rooms.stage();

  private Proposal say(String text, String... selected) {
    int[] n = {room.space.pieces().size() * 100};
    Question q = Question.of(text, List.of(selected));
    Proposal p = Proposal.of(room.space, q, LengthUnit.M, null, () -> "m" + n[0]++, Deadline.NONE);
    assertThat(p.understood().wrong()).as(text).isNull();
    assertThat(p.refused()).as(text).isNull();
    room.space = p.outcome().space();
    return p;
  }

  private List<Piece> all(String article) {
    return room.space.pieces().stream().filter(p -> p.article().equals(article)).toList();
  }

  private String[] ids(String article) {
    return all(article).stream().map(Piece::id).toArray(String[]::new);
  }

  @Test
  void lanternsAlongABarHangFromIt() {
    room.json("{'do':'bar','at':{'x':0,'z':-2},'trim':4,'length':6}");
    Bar bar = room.shell().bars().get(0);
    say("five profile spots along bar 1");
    List<Piece> spots = all("profile-spot");
    assertThat(spots).hasSize(5).allMatch(p -> p.on().equals(On.bar("bar 1")));
    for (Piece p : spots) {
      assertThat(p.at().z()).isEqualTo(bar.z(), EXACT);
      assertThat(p.at().y() + p.size().height()).isEqualTo(bar.trim() - Bar.TUBE / 2, EXACT);
    }
    double half = spots.get(0).size().width() / 2;
    assertThat(spots.get(0).at().x() - half).isEqualTo(-3, within(1e-3));
    assertThat(spots.get(4).at().x() + half).isEqualTo(3, within(1e-3));
    assertThatThrownBy(() -> say("4 stools along bar 1")).hasMessageContaining("only what hangs");
  }

  @Test
  void andAlongATrussFromItsTube() {
    room.put("t", "truss", 0, -2);
    room.json("{'do':'moveTo','pieces':['t'],'to':{'y':3.2}}");
    say("3 floods along the truss");
    assertThat(all("flood")).hasSize(3).allMatch(p -> p.on().equals(On.piece("t")));
  }

  @Test
  void aRowThatStandsIsAdjustedWithoutSayingAgainWhatItIs() {
    room.put("a", "stool", -3, -3);
    say("six in a row, touching", "a");
    assertThat(all("stool")).hasSize(6);
    double wide = room.piece("a").size().width();
    assertThat(all("stool").get(1).at().x() - all("stool").get(0).at().x())
        .isEqualTo(wide, within(2e-3));
    say("0.3 apart", ids("stool"));
    assertThat(all("stool").get(1).at().x() - all("stool").get(0).at().x())
        .isEqualTo(wide + 0.3, within(2e-3));
    assertThat(room.space.filing().groups()).singleElement();
    say("4 of them, turned at random by up to 20", ids("stool"));
    List<Piece> four = all("stool");
    assertThat(four).hasSize(4);
    assertThat(four).allMatch(p -> Math.abs(Math.IEEEremainder(p.turn(), 360)) <= 20);
    assertThat(four.stream().mapToDouble(Piece::turn).distinct().count()).isEqualTo(4);
    List<Double> turns = four.stream().map(Piece::turn).toList();
    say("0.5 apart", ids("stool"));
    assertThat(all("stool").stream().map(Piece::turn).toList())
        .as("by the same chance")
        .isEqualTo(turns);
  }
}
