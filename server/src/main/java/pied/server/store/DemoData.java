package pied.server.store;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.dataformat.yaml.YAMLFactory;
import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import pied.core.edit.Edit;
import pied.core.space.Shell;
import pied.server.api.Answers.Changed;
import pied.server.api.Answers.EditRequest;

/** Furnishes the demo spaces, by edits like anybody's, when the store is empty. */
@Component
@ConditionalOnProperty("pied.demo")
class DemoData implements ApplicationRunner {
  private static final Logger LOG = LoggerFactory.getLogger(DemoData.class);

  private static final List<String> DEMOS = List.of("tea-room", "chart-room");

  /** A demo space as its text gives it. */
  record Demo(String project, String space, Shell shell, List<Edit> edits) {}

  private final SpaceStore store;

  DemoData(SpaceStore store) {
    this.store = store;
  }

  @Override
  public void run(ApplicationArguments arguments) throws IOException {
    if (!store.projects().isEmpty()) {
      return;
    }
    ObjectMapper yaml = new ObjectMapper(new YAMLFactory());
    for (String name : DEMOS) {
      try (InputStream in = DemoData.class.getResourceAsStream("/demo/" + name + ".yaml")) {
        furnish(yaml.readValue(in, Demo.class));
      }
    }
  }

  private void furnish(Demo demo) {
    String project = store.newProject(demo.project()).id();
    String space = store.newSpace(project, demo.space(), demo.shell()).id();
    Changed done = store.edit(space, new EditRequest(null, null, null, demo.edits()));
    done.said().forEach(s -> LOG.debug("demo: {}", s));
    store.forget(space);
  }
}
