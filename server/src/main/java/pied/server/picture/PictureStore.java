package pied.server.picture;

import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Semaphore;
import org.springframework.context.event.EventListener;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import pied.core.BoundedCache;
import pied.core.Nullable;
import pied.core.material.Finish;
import pied.core.material.FinishCard;
import pied.core.material.Laying;
import pied.core.material.Material;
import pied.core.material.Materials;
import pied.core.material.PictureFile;
import pied.core.material.PictureFiles;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;
import pied.server.material.MaterialWire.PictureCard;
import pied.server.picture.PictureRows.Known;
import pied.server.space.ProjectStore.ProjectCopied;
import pied.server.space.Rows;
import pied.server.store.Ledger;
import pied.server.store.Missing;

/**
 * Pictures that people bring, each kept once a project. One that is on a part is never lost: it can
 * be taken off the list from which one chooses, but stays.
 */
@Service
public class PictureStore implements PictureFiles {
  /** Most pictures of a project. */
  static final int MOST = 500;

  private final PictureRows rows;
  private final Rows.Projects projects;
  private final Ledger ledger;
  private final Map<String, byte[]> files = BoundedCache.room(0.02, f -> f.length);

  /** What one takes of the memory while it is read, several together might not find. */
  private final Semaphore one = new Semaphore(1, true);

  PictureStore(PictureRows rows, Rows.Projects projects, Ledger ledger) {
    this.rows = rows;
    this.projects = projects;
    this.ledger = ledger;
  }

  @Override
  public @Nullable byte[] file(String print) {
    return files.computeIfAbsent(print, this::read);
  }

  private @Nullable byte[] read(String print) {
    List<String> ids = rows.showing(print, Limit.of(1));
    return ids.isEmpty() ? null : rows.findById(ids.get(0)).map(PictureRow::file).orElse(null);
  }

  /** Those one can choose from in a project, the latest first. */
  public List<PictureCard> ofProject(String project, LengthUnit unit) {
    return rows.ofProject(project).stream()
        .filter(Known::getListed)
        .map(k -> card(k, unit))
        .toList();
  }

  private static PictureCard card(Known k, LengthUnit unit) {
    Material m = Materials.of(k.getMaterial());
    Finish f = m.finish();
    if (k.getWidth() != null) {
      f = f.withLaid(Laying.wide(k.getWidth()));
    }
    String wide = k.getWidth() == null ? null : unit.text(k.getWidth());
    return new PictureCard(k.getPrint(), m.name(), wide, FinishCard.of(f.withEmission(null)));
  }

  /**
   * Keeps a picture; one that is there already is only listed again.
   *
   * @param file PNG or JPEG
   * @param name of the file
   * @throws Refusal if it cannot be read, or the project has too many
   */
  public PictureCard bring(String project, byte[] file, String name, LengthUnit unit) {
    if (!projects.existsById(project)) {
      throw new Missing("There is no such project.");
    }
    one.acquireUninterruptibly();
    try {
      PictureFile p = PictureFile.of(file, name);
      keep(project, p, null, true);
      return card(known(project, p.picture().print()), unit);
    } finally {
      one.release();
    }
  }

  private void keep(String project, PictureFile p, @Nullable Double width, boolean listed) {
    String print = p.picture().print();
    List<Known> all = rows.ofProject(project);
    if (all.stream().anyMatch(k -> k.getPrint().equals(print))) {
      alter(project, print, "listed = true", Map.of());
      return;
    }
    if (all.size() >= MOST) {
      throw new Refusal("A project may have up to {} pictures.", MOST);
    }
    ledger.keep(t -> t.insert(new PictureRow(project, p, width, listed)));
  }

  private Known known(String project, String print) {
    return rows.ofProject(project).stream()
        .filter(k -> k.getPrint().equals(print))
        .findFirst()
        .orElseThrow(() -> new Missing("There is no such picture in this project."));
  }

  private void alter(String project, String print, String what, Map<String, ?> values) {
    Map<String, Object> all = new HashMap<>(values);
    all.put("project", project);
    all.put("print", print);
    ledger.keep(
        t ->
            t.alter(
                "update PictureRow set " + what + " where project = :project and print = :print",
                all));
  }

  /**
   * Says how wide one truly is.
   *
   * @param width metres; null for so wide that it fills the part it is given to
   */
  void wide(String project, String print, @Nullable Double width) {
    known(project, print);
    if (width != null && !(width == Laying.possible(width))) {
      throw new Refusal("A picture is from 2 mm to 20 m wide.");
    }
    alter(project, print, "width = :width", Collections.singletonMap("width", width));
  }

  /** Takes one off the list; parts that have it keep it. */
  void unlist(String project, String print) {
    known(project, print);
    alter(project, print, "listed = false", Map.of());
  }

  /** A picture as it goes into an archive and comes out of it. */
  public record Archived(String material, @Nullable Double width, boolean listed) {}

  /** All of a project, those on its list and those that are on parts alone. */
  public List<Archived> archived(String project) {
    return rows.ofProject(project).stream()
        .map(k -> new Archived(k.getMaterial(), k.getWidth(), k.getListed()))
        .toList();
  }

  /**
   * Keeps one that comes from elsewhere.
   *
   * @param bytes of its file; null if that is missing
   * @return false if it is not whole
   */
  public boolean takeIn(String project, Archived a, @Nullable byte[] bytes) {
    PictureFile p = bytes == null ? null : PictureFile.kept(a.material(), bytes);
    if (p == null) {
      return false;
    }
    Double width = a.width();
    boolean wide = width != null && width == Laying.possible(width);
    keep(project, p, wide ? width : null, a.listed());
    return true;
  }

  /** A copy of a project has its pictures, too. */
  @EventListener
  void copied(ProjectCopied e) {
    for (Known k : rows.ofProject(e.from())) {
      byte[] file = file(k.getPrint());
      PictureFile p = file == null ? null : PictureFile.kept(k.getMaterial(), file);
      if (p != null) {
        keep(e.to(), p, k.getWidth(), k.getListed());
      }
    }
  }

  /** Takes away what a project brought that could not be kept. */
  public void forget(String project) {
    ledger.keep(
        t ->
            t.alter("delete from PictureRow where project = :project", Map.of("project", project)));
  }
}
