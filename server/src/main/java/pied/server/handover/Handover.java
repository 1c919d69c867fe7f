package pied.server.handover;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.zip.ZipOutputStream;
import org.springframework.stereotype.Service;
import pied.core.Names;
import pied.core.Nullable;
import pied.core.drawing.Elevation;
import pied.core.drawing.Elevations;
import pied.core.drawing.Lines;
import pied.core.handover.SceneGlb;
import pied.core.handover.SceneObj;
import pied.core.handover.SceneStl;
import pied.core.handover.ScheduleCsv;
import pied.core.handover.Zip;
import pied.core.paper.Drawings;
import pied.core.paper.Plate;
import pied.core.paper.Sheet;
import pied.core.paper.SvgSheet;
import pied.core.space.Space;
import pied.core.units.Deadline;
import pied.core.units.Refusal;
import pied.server.handover.HandoverWire.Preview;
import pied.server.handover.HandoverWire.StillChoice;
import pied.server.http.FileName;
import pied.server.space.OpenSpace;
import pied.server.space.ProjectStore;
import pied.server.space.SpaceStore;
import pied.server.still.StillShelf;
import pied.server.still.StillShelf.MadeStill;

/** Makes what is handed over of a space, as it is at a revision. */
@Service
class Handover {
  /** So many lines of a list are looked at. */
  private static final int ROWS = 200;

  private final SpaceStore store;
  private final ProjectStore projects;
  private final StillShelf stills;
  private final Drawings drawings;

  Handover(SpaceStore store, ProjectStore projects, StillShelf stills, Lines lines) {
    this.stills = stills;
    this.store = store;
    this.projects = projects;
    this.drawings = new Drawings(lines, new Elevations());
  }

  /**
   * A space at a revision, about to be handed over.
   *
   * @param shown what of it
   * @param still of it; null for something else
   */
  record Job(
      String id,
      Wanted wanted,
      OpenSpace.Seen seen,
      Space shown,
      Plate plate,
      @Nullable MadeStill still)
      implements HandedOver {
    @Override
    public String tag() {
      if (still != null) {
        return still.id() + "-" + Integer.toHexString(Objects.hash(still.name(), wanted.file()));
      }
      return seen.revision() + "-" + Integer.toHexString(Objects.hash(id, wanted.key(), plate));
    }

    @Override
    public String name() {
      if (still != null) {
        return FileName.of(still.name(), "still") + "." + wanted.ending();
      }
      String stem = wanted.file().substring(0, wanted.file().indexOf('.'));
      String what = stem.equals("space") ? "" : " " + stem + wanted.which();
      return FileName.of(seen.name() + what, stem) + "." + wanted.ending();
    }

    @Override
    public int steps() {
      return 10 + shown.pieces().size() * (wanted.ending().equals("pdf") ? 2 : 1);
    }
  }

  Job job(String id, Wanted wanted) {
    OpenSpace.Seen seen = store.seen(id);
    Plate plate =
        new Plate(
            projects.name(store.project(id)),
            seen.name(),
            store.worked(id).atZone(ZoneOffset.UTC).toLocalDate().toString(),
            seen.revision(),
            wanted.drawnBy());
    MadeStill still =
        wanted.isStill() ? stills.latest(id, wanted.viewpoint(), wanted.look()) : null;
    return new Job(id, wanted, seen, wanted.extent().of(seen.space()), plate, still);
  }

  static String type(Wanted w) {
    return switch (w.ending().toLowerCase(Locale.ROOT)) {
      case "csv" -> "text/csv;charset=UTF-8";
      case "svg" -> "image/svg+xml";
      case "pdf" -> "application/pdf";
      case "glb" -> "model/gltf-binary";
      case "stl" -> "model/stl";
      case "png" -> "image/png";
      case "jpg" -> "image/jpeg";
      case "hdr" -> "image/vnd.radiance";
      default -> "application/zip";
    };
  }

  /** Writes it. */
  void write(Job job, OutputStream out, Deadline deadline) throws IOException {
    Wanted w = job.wanted;
    Space space = job.shown;
    if (job.still != null) {
      stills.write(job.still, w.ending(), out);
    } else if (w.is("schedule.csv")) {
      out.write(ScheduleCsv.text(rows(job), w.comma()).getBytes(StandardCharsets.UTF_8));
    } else if (w.is("space.glb")) {
      out.write(SceneGlb.of(space, job.seen.name(), w.ceiling(), deadline));
    } else if (w.is("space.obj.zip")) {
      SceneObj.write(space, "space", w.ceiling(), out, deadline);
    } else if (w.is("space.stl")) {
      out.write(SceneStl.of(space, w.piece(), w.modelScale(), deadline));
    } else if (w.ending().equals("svg")) {
      List<Sheet> sheets = sheets(job, w.wish(), deadline);
      if (w.sheet() < 1 || w.sheet() > sheets.size()) {
        throw new Refusal("There are {} sheets; number {} is none.", sheets.size(), w.sheet());
      }
      SvgSheet.write(sheets.get(w.sheet() - 1), out);
    } else {
      List<Sheet> sheets =
          w.is("drawings.pdf") ? all(job, deadline) : sheets(job, w.wish(), deadline);
      out.write(PdfSheets.of(sheets, job.plate));
    }
  }

  private static List<List<String>> rows(Job job) {
    return ScheduleCsv.rows(job.shown, job.wanted.by(), job.wanted.unit(), job.wanted.comma());
  }

  List<Sheet> sheets(Job job, Drawings.SheetWish wish, Deadline deadline) {
    return drawings.draw(job.seen.space(), job.shown, wish, job.plate, deadline);
  }

  /** What of it is looked at before it is made. */
  Preview preview(Job job, Deadline deadline) {
    Wanted w = job.wanted;
    long revision = job.seen.revision();
    int pieces = job.shown.pieces().size();
    if (job.still != null) {
      return new Preview(revision, 0, null, null, job.still.id(), job.still.said());
    }
    if (w.is("schedule.csv")) {
      List<List<String>> rows = rows(job);
      String words = (rows.size() - 1) + " lines";
      return new Preview(
          revision, 0, null, rows.subList(0, Math.min(ROWS, rows.size())), null, words);
    }
    if (w.ending().equals("svg") || w.ending().equals("pdf") && !w.is("drawings.pdf")) {
      List<Sheet> sheets = sheets(job, w.wish(), deadline);
      int shown = Math.max(1, Math.min(w.sheet(), sheets.size()));
      return new Preview(
          revision, sheets.size(), SvgSheet.of(sheets.get(shown - 1)), null, null, "");
    }
    return new Preview(
        revision, 0, null, null, null, pieces + (pieces == 1 ? " piece" : " pieces"));
  }

  /** Plan, ceiling plan, a section or all that is offered, and an elevation of every wall. */
  List<Sheet> all(Job job, Deadline deadline) {
    Wanted w = job.wanted;
    List<Sheet> all = new ArrayList<>();
    all.addAll(sheets(job, w.wish(Drawings.SheetKind.plan, null), deadline));
    all.addAll(sheets(job, w.wish(Drawings.SheetKind.ceiling, null), deadline));
    for (Elevation.ElevationLook look : Elevation.ElevationLook.offered(job.shown.shell())) {
      all.addAll(sheets(job, w.wish(Drawings.SheetKind.elevation, look), deadline));
    }
    return all;
  }

  /** What stills of a space there are to hand over. */
  List<StillChoice> stillsOf(String id) {
    return stills.latest(id).stream().map(Handover::choice).toList();
  }

  /** Ids of the latest stills of a space. */
  List<String> stillIds(String id) {
    return stills.latest(id).stream().map(MadeStill::id).toList();
  }

  private static StillChoice choice(MadeStill m) {
    Map<String, String> said = new TreeMap<>(Map.of("viewpoint", m.viewpoint()));
    if (m.look() != null) {
      said.put("look", m.look());
    }
    return new StillChoice("The still " + m.where(), said);
  }

  /** Puts the latest still from each viewpoint of each space into a pack. */
  void stills(List<Job> spaces, ZipOutputStream zip) throws IOException {
    int n = 0;
    for (Job j : spaces) {
      n++;
      Set<String> names = new HashSet<>();
      for (MadeStill m : stills.latest(j.id)) {
        String name = Names.free(FileName.of(m.name(), "still"), names);
        names.add(name);
        String folder = String.format(Locale.ROOT, "stills/%02d ", n);
        Zip.begin(zip, folder + FileName.of(j.seen.name(), "space") + "/" + name + ".png");
        stills.write(m, "png", zip);
        zip.closeEntry();
      }
    }
  }
}
