package pied.server.imports;

import java.lang.ref.SoftReference;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import pied.core.Names;
import pied.core.Nullable;
import pied.core.catalog.Article;
import pied.core.format.Glb;
import pied.core.material.FinishPart;
import pied.core.model.Arrival;
import pied.core.model.Brought;
import pied.core.model.Composed;
import pied.core.model.Files;
import pied.core.model.ModelReader;
import pied.core.model.Stretched;
import pied.core.piece.Shapes;
import pied.core.recipe.Buildable;
import pied.core.size.Size;
import pied.core.solid.Mesh;
import pied.core.units.Refusal;
import pied.core.units.Text;
import pied.server.space.Rows;
import pied.server.store.Ledger;
import pied.server.store.Missing;

/**
 * Model files on their way in, and the articles that came of them. What is on its way is kept in
 * memory until it is accepted or pushed out by others.
 */
@Service
public class ImportStore {
  private static final Logger LOG = LoggerFactory.getLogger(ImportStore.class);

  private static final String GONE = "That article is no longer there.";

  /** So many wait to be accepted at once. */
  private static final int WAITING = 6;

  /** So many deliveries of several models wait for their next one. */
  private static final int DELIVERIES = 3;

  private record Waiting(String project, Arrival arrival) {}

  /** Files of which some models were not looked at yet. */
  private record Delivery(String project, Files files, Deque<String> names) {}

  private final Articles rows;
  private final Rows.Projects projects;
  private final Ledger ledger;
  private final Shapes shapes;
  private final Map<String, Waiting> waiting = latest(WAITING);
  private final Map<String, Delivery> deliveries = latest(DELIVERIES);

  private static <V> Map<String, V> latest(int most) {
    return Collections.synchronizedMap(
        new LinkedHashMap<>() {
          private static final long serialVersionUID = 1;

          @Override
          protected boolean removeEldestEntry(Map.Entry<String, V> eldest) {
            return size() > most;
          }
        });
  }

  ImportStore(Articles rows, Rows.Projects projects, Ledger ledger, Shapes shapes) {
    this.rows = rows;
    this.ledger = ledger;
    this.projects = projects;
    this.shapes = shapes;
    shapes.catalog().add(rows.known().stream().map(r -> article(r.brought())).toList());
  }

  private Article article(Brought b) {
    return b.article(new FromStore(b.id()));
  }

  /** The shape of an article, read from the store when it is first needed. */
  private final class FromStore implements Buildable {
    private final String id;
    private SoftReference<Stretched> read = new SoftReference<>(null);

    FromStore(String id) {
      this.id = id;
    }

    private synchronized Stretched shape() {
      Stretched s = read.get();
      if (s == null) {
        s = rows.findById(id).orElseThrow(() -> new Missing(GONE)).shape();
        read = new SoftReference<>(s);
      }
      return s;
    }

    @Override
    public Mesh build(Size size) {
      return shape().build(size);
    }

    @Override
    public Map<String, byte[]> pictures() {
      return shape().pictures();
    }
  }

  /**
   * Something that waits to be accepted.
   *
   * @param delivery with which more came that can be asked for; null for none
   * @param more how many
   */
  public record Arrived(String id, Arrival arrival, @Nullable String delivery, int more) {}

  /**
   * Reads files that came in: the first model in them that can be read. Others in them are read
   * when they are asked for.
   *
   * @throws Refusal if there is no model in them that can be placed
   */
  public Arrived arrive(String project, Files files) {
    if (!projects.existsById(project)) {
      throw new Missing("There is no such project.");
    }
    Deque<String> names = new ArrayDeque<>(ModelReader.models(files));
    Arrival arrival = judged(project, () -> ModelReader.read(files));
    while (!names.isEmpty() && !names.peek().equals(arrival.read().file())) {
      names.poll(); // what cannot be read and stands before it
    }
    names.poll();
    String delivery = UUID.randomUUID().toString();
    if (!names.isEmpty()) {
      deliveries.put(delivery, new Delivery(project, files, names));
    }
    return arrived(project, arrival, delivery, names);
  }

  /**
   * Reads the next model of a delivery.
   *
   * @throws Refusal if that one cannot be read; the one after it can be asked for
   */
  public Arrived next(String delivery) {
    Delivery d = deliveries.get(delivery);
    if (d == null) {
      throw new Missing("Those files are no longer waiting; drop them once more.");
    }
    String name;
    synchronized (d) {
      name = d.names.poll();
      if (d.names.isEmpty()) {
        deliveries.remove(delivery);
      }
    }
    if (name == null) {
      throw new Missing("There are no more of them.");
    }
    Arrival arrival = judged(d.project, () -> ModelReader.read(d.files, name));
    return arrived(d.project, arrival, delivery, d.names);
  }

  private Arrived arrived(String project, Arrival arrival, String delivery, Deque<String> names) {
    String id = UUID.randomUUID().toString();
    waiting.put(id, new Waiting(project, arrival));
    return new Arrived(id, arrival, names.isEmpty() ? null : delivery, names.size());
  }

  private Arrival judged(String project, Supplier<ModelReader.Read> read) {
    try {
      return Arrival.of(read.get(), shapes.catalog(), project);
    } catch (OutOfMemoryError e) {
      LOG.warn("A model was too large for the memory there is");
      throw new Refusal("The model is too large for the memory of this machine.");
    }
  }

  public Arrival waiting(String id) {
    return held(id).arrival();
  }

  private Waiting held(String id) {
    Waiting w = waiting.get(id);
    if (w == null) {
      throw new Missing("That model is no longer waiting; drop the file once more.");
    }
    return w;
  }

  /** Makes an article of it, under a name of its own in its project. */
  public Article accept(String id, Arrival.Taken taken) {
    Waiting w = held(id);
    Article made = take(w.project(), w.arrival(), taken, Brought.KIND, "", 0, null);
    waiting.remove(id);
    return made;
  }

  /**
   * Makes an article of a model, under a name of its own in its project.
   *
   * @param kind its place in the tree of kinds
   * @param about where it is from
   * @param kg its weight, 0 if that is not known
   * @param ware how the supplier calls it; null for none
   */
  public Article take(
      String project,
      Arrival arrival,
      Arrival.Taken taken,
      String kind,
      String about,
      double kg,
      String ware) {
    Stretched shape = Stretched.of(arrival.mesh(taken), arrival.pictures());
    Brought b =
        new Brought(
            "own-" + UUID.randomUUID(),
            project,
            free(project, Text.name("It", taken.name())),
            kind,
            about,
            taken.mounting(),
            taken.onTops(),
            shape.natural(),
            arrival.finishes(),
            kg);
    byte[] full =
        arrival.heavy()
            ? Glb.write(
                b.name(),
                arrival.full(taken),
                FinishPart.finishes(arrival.finishes()),
                arrival.fullPictures())
            : null;
    return keep(b, shape, full, ware);
  }

  /** Makes an article of pieces put together, under a name of its own in its project. */
  public Article keep(String project, String name, Composed all) {
    Stretched shape = Stretched.of(all.mesh(), all.pictures());
    return keep(
        new Brought(
            "own-" + UUID.randomUUID(),
            project,
            free(project, Text.name("It", name)),
            Brought.TOGETHER,
            "",
            all.mounting(),
            all.onTops(),
            shape.natural(),
            all.finishes(),
            all.weight()),
        shape,
        null,
        null);
  }

  private Article keep(Brought b, Stretched shape, byte[] full, String ware) {
    ArticleRow row = new ArticleRow(b, shape, full, ware);
    ledger.keep(t -> t.insert(row));
    Article made = article(b);
    shapes.catalog().add(List.of(made));
    return made;
  }

  /** Ids of the articles that a project brought in, the oldest first. */
  public List<String> ofProject(String project) {
    return rows.ofProject(project);
  }

  /** An article as it goes into an archive. */
  public ArchivedArticle archived(String id) {
    return ArchivedArticle.of(rows.findById(id).orElseThrow(() -> new Missing(GONE)));
  }

  /**
   * Keeps articles of a project that comes from elsewhere.
   *
   * @param next one after the other, null after the last, so that no more than one is in memory
   * @return their ids here by those there
   */
  public Map<String, String> takeIn(String project, Supplier<ArchivedArticle> next) {
    Map<String, String> ids = new LinkedHashMap<>();
    List<Article> made = new ArrayList<>();
    for (ArchivedArticle a = next.get(); a != null; a = next.get()) {
      String free = rows.existsById(a.id()) ? "own-" + UUID.randomUUID() : a.id();
      Brought b = a.brought(free, project);
      ArticleRow row = new ArticleRow(b, a.shape(), a.full(), a.ware());
      ledger.keep(t -> t.insert(row));
      ids.put(a.id(), free);
      made.add(article(b));
    }
    shapes.catalog().add(made);
    return ids;
  }

  /** Takes away what a project brought that could not be kept. */
  public void forget(String project) {
    shapes.catalog().remove(rows.ofProject(project));
    ledger.keep(
        t ->
            t.alter("delete from ArticleRow where project = :project", Map.of("project", project)));
  }

  /** The articles that wares of a supplier have become in a project, by what he calls them. */
  public Map<String, String> supplied(String project) {
    Map<String, String> all = new LinkedHashMap<>();
    rows.supplied(project).forEach(w -> all.putIfAbsent(w.getWare(), w.getId()));
    return all;
  }

  /**
   * The full form of an article that is drawn in a lighter one: a GLB file.
   *
   * @throws Missing if it has none
   */
  public byte[] fullForm(String article) {
    byte[] full = rows.findById(article).map(ArticleRow::fullForm).orElse(null);
    if (full == null) {
      throw new Missing("That article has no other form than the one it is drawn in.");
    }
    return full;
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
