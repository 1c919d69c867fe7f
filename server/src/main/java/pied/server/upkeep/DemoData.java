package pied.server.upkeep;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.dataformat.yaml.YAMLFactory;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import pied.core.edit.Edit;
import pied.core.edit.Edits;
import pied.core.edit.Outcome;
import pied.core.piece.Shapes;
import pied.core.register.EditNames;
import pied.core.space.Shell;
import pied.core.space.Space;
import pied.core.units.LengthUnit;
import pied.server.space.ProjectStore;

/** Furnishes the demo spaces, by edits like anybody's, when the store is empty. */
@Component
@ConditionalOnProperty("pied.demo")
class DemoData implements ApplicationRunner {
  private static final Logger LOG = LoggerFactory.getLogger(DemoData.class);

  private static final List<String> DEMOS = List.of("tea-room", "chart-room");

  /** A demo space as its text gives it. */
  record Demo(String project, String space, Shell shell, List<Edit> edits) {}

  private static final String MARK = "demo";

  private final ProjectStore store;
  private final Shapes shapes;

  DemoData(ProjectStore store, Shapes shapes) {
    this.store = store;
    this.shapes = shapes;
  }

  /** All of it is kept in one go, so that whoever is interrupted here begins anew. */
  @Override
  public void run(ApplicationArguments arguments) throws IOException {
    if (!store.untouched()) {
      return;
    }
    ObjectMapper yaml = new ObjectMapper(new YAMLFactory()).registerModule(new EditNames());
    List<ProjectStore.Furnished> all = new ArrayList<>();
    for (String name : DEMOS) {
      try (InputStream in = DemoData.class.getResourceAsStream("/demo/" + name + ".yaml")) {
        all.add(furnished(yaml.readValue(in, Demo.class)));
      }
    }
    store.establish(all, MARK);
  }

  private ProjectStore.Furnished furnished(Demo demo) {
    Space bare = new Space(demo.shell(), List.of(), shapes);
    Outcome out =
        Edits.apply(bare, demo.edits(), LengthUnit.M, () -> java.util.UUID.randomUUID().toString());
    out.said().forEach(s -> LOG.debug("demo: {}", s));
    return new ProjectStore.Furnished(demo.project(), demo.space(), out.space());
  }
}
