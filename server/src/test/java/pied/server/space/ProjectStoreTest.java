package pied.server.space;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import pied.core.units.Refusal;
import pied.server.Given;
import pied.server.OneServer;
import pied.server.space.SpaceWire.Aside;
import pied.server.space.SpaceWire.EditRequest;
import pied.server.space.SpaceWire.ProjectView;
import pied.server.space.SpaceWire.SpaceName;
import pied.server.store.Missing;

/** Projects and spaces as a whole: listed, renamed, copied, removed and brought back. */
@OneServer
class ProjectStoreTest {
  @Autowired private ProjectStore projects;
  @Autowired private SpaceStore store;
  private String project;
  private String room;

  @BeforeEach
  void aProjectWithARoom() {
    project = projects.newProject("Inn").id();
    room = projects.newSpace(project, "Snug", Given.shell()).id();
  }

  private ProjectView inn() {
    return projects.projects().stream()
        .filter(p -> p.id().equals(project))
        .findFirst()
        .orElse(null);
  }

  private SpaceName snug() {
    return inn().spaces().stream().filter(s -> s.id().equals(room)).findFirst().orElse(null);
  }

  private void put(String id, double x) {
    store.edit(room, new EditRequest(null, null, "m", List.of(Given.put(id, "stool", x, 2))));
  }

  @Test
  void whoWorksInWhatIsRemovedIsToldAndCanGoOnOnceItIsBack() {
    put("a", 1);
    List<Aside> told = new java.util.concurrent.CopyOnWriteArrayList<>();
    store.listenAside((id, aside) -> told.add(aside));
    projects.removeProject(project, true);
    assertThat(told).hasSize(1);
    assertThat(told.get(0).what()).isEqualTo("projects");
    assertThat(store.view(room).aside().words()).contains("Inn").contains("was removed");
    assertThatThrownBy(() -> put("b", 2))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("until it is brought back");
    store.letGo(0); // read anew it is still so
    assertThatThrownBy(() -> put("b", 2)).isInstanceOf(Refusal.class);
    projects.removeProject(project, false);
    assertThat(told.get(told.size() - 1)).isNull();
    put("b", 2);
    assertThat(store.space(room).pieces()).hasSize(2);
    projects.removeSpace(room, true);
    assertThat(store.view(room).aside().what()).isEqualTo("spaces");
    projects.removeSpace(room, false);
  }

  @Test
  void aSpaceSaysHowMuchIsInItAndWhenItWasLastWorkedOn() {
    Instant made = Instant.parse(snug().workedOn());
    assertThat(snug().pieces()).isZero();
    put("a", 1);
    put("b", 2);
    assertThat(snug().pieces()).isEqualTo(2);
    assertThat(Instant.parse(snug().workedOn())).isAfter(made);
    assertThat(projects.newSpace(project, "Bare", Given.shell()).pieces()).isZero();
  }

  @Test
  void aRenamedSpaceIsThatForWhoeverLooksAtIt() {
    put("a", 1);
    projects.renameSpace(room, "Parlour");
    assertThat(snug().name()).isEqualTo("Parlour");
    assertThat(store.view(room).name()).isEqualTo("Parlour");
    put("b", 2);
    assertThat(store.seen(room).name()).as("after the next edit too").isEqualTo("Parlour");
    projects.renameProject(project, "The Inn");
    assertThat(inn().name()).isEqualTo("The Inn");
    assertThatThrownBy(() -> projects.renameSpace(room, " ")).isInstanceOf(Refusal.class);
    assertThatThrownBy(() -> projects.renameSpace("none", "A")).isInstanceOf(Missing.class);
  }

  @Test
  void aCopyIsTheSameAndGoesItsOwnWay() {
    put("a", 1);
    SpaceName copy = projects.copySpace(room);
    assertThat(copy.name()).isEqualTo("Snug 2");
    assertThat(copy.pieces()).isEqualTo(1);
    assertThat(store.space(copy.id()).piece("a")).isEqualTo(store.space(room).piece("a"));
    put("b", 2);
    assertThat(store.space(copy.id()).pieces()).hasSize(1);
    ProjectView all = projects.copyProject(project);
    assertThat(all.name()).isEqualTo("Inn 2");
    assertThat(all.spaces()).extracting(SpaceName::name).containsExactly("Snug", "Snug 2");
    assertThat(all.spaces()).extracting(SpaceName::pieces).containsExactly(2L, 1L);
    projects.removeProject(all.id(), true);
  }

  @Test
  void whatIsRemovedIsAsideAndComesBackWhole() {
    put("a", 1);
    projects.removeSpace(room, true);
    assertThat(inn().spaces()).isEmpty();
    projects.removeSpace(room, false);
    assertThat(snug().pieces()).isEqualTo(1);
    projects.removeProject(project, true);
    assertThat(inn()).isNull();
    projects.removeProject(project, false);
    assertThat(inn().spaces()).hasSize(1);
    assertThatThrownBy(() -> projects.removeProject("none", true)).isInstanceOf(Missing.class);
  }
}
