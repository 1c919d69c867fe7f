package pied.server.store;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import pied.core.Names;
import pied.core.Refusal;
import pied.core.catalog.Article;
import pied.core.catalog.Finish;
import pied.core.model.Arrival;
import pied.core.model.Files;
import pied.core.model.ModelReader;
import pied.core.piece.Shapes;
import pied.core.solid.Mesh;

/**
 * Model files on their way in, and the articles that came of them. What is on its way is kept in
 * memory until it is accepted or pushed out by others.
 */
@Service
public class ImportStore {
  private static final Logger LOG = LoggerFactory.getLogger(ImportStore.class);

  /** So many wait to be accepted at once. */
  private static final int WAITING = 6;

  private record Waiting(String project, Arrival arrival) {}

  private final Rows.Articles rows;
  private final Rows.Projects projects;
  private final Shapes shapes;
  private final Map<String, Waiting> waiting =
      Collections.synchronizedMap(
          new LinkedHashMap<>() {
            private static final long serialVersionUID = 1;

            @Override
            protected boolean removeEldestEntry(Map.Entry<String, Waiting> eldest) {
              return size() > WAITING;
            }
          });

  ImportStore(Rows.Articles rows, Rows.Projects projects, Shapes shapes) {
    this.rows = rows;
    this.projects = projects;
    this.shapes = shapes;
    shapes
        .catalog()
        .add(rows.findAllByOrderByMadeAtDesc().stream().map(ImportStore::article).toList());
  }

  private static Article article(ArticleRow r) {
    return Arrival.article(
        r.id(),
        r.project(),
        r.name(),
        r.mounting(),
        r.onTops(),
        MeshBytes.read(r.mesh()),
        Json.readFinishes(r.finishes()));
  }

  /** Something that waits to be accepted. */
  public record Arrived(String id, Arrival arrival) {}

  /**
   * Reads files that came in.
   *
   * @throws Refusal if there is no model in them that can be placed
   */
  public Arrived arrive(String project, Files files) {
    if (!projects.existsById(project)) {
      throw new SpaceStore.Missing("There is no such project.");
    }
    Arrival arrival;
    try {
      arrival = Arrival.of(ModelReader.read(files), shapes.catalog());
    } catch (OutOfMemoryError e) {
      LOG.warn("A model was too large for the memory there is");
      throw new Refusal("The model is too large for the memory of this machine.");
    }
    String id = UUID.randomUUID().toString();
    waiting.put(id, new Waiting(project, arrival));
    return new Arrived(id, arrival);
  }

  public Arrival waiting(String id) {
    Waiting w = waiting.get(id);
    if (w == null) {
      throw new SpaceStore.Missing("That model is no longer waiting; drop the file once more.");
    }
    return w.arrival();
  }

  /** Makes an article of it, under a name of its own in its project. */
  public Article accept(String id, Arrival.Taken taken) {
    Arrival arrival = waiting(id);
    String project = waiting.get(id).project();
    Mesh mesh = arrival.mesh(taken);
    String name = free(project, SpaceStore.title(taken.name()));
    Map<String, Finish> finishes = arrival.finishes();
    ArticleRow row =
        new ArticleRow(
            "own-" + UUID.randomUUID(),
            project,
            name,
            taken.mounting(),
            taken.onTops(),
            Json.write(finishes),
            MeshBytes.write(mesh));
    rows.save(row);
    Article made = article(row);
    shapes.catalog().add(List.of(made));
    waiting.remove(id);
    return made;
  }

  public void giveUp(String id) {
    waiting.remove(id);
  }

  private String free(String project, String name) {
    Set<String> taken =
        shapes.catalog().all().stream()
            .filter(a -> a.project() == null || a.project().equals(project))
            .map(Article::name)
            .collect(Collectors.toSet());
    return Names.free(name, taken);
  }
}
