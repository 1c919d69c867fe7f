package pied.server.handover;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.zip.ZipOutputStream;
import org.springframework.stereotype.Service;
import pied.core.drawing.Lines;
import pied.core.handover.ScheduleCsv;
import pied.core.handover.Zip;
import pied.core.paper.Drawings.SheetKind;
import pied.core.paper.Plate;
import pied.core.paper.Sheet;
import pied.core.paper.SideBySide;
import pied.core.paper.SideBySide.NamedSpace;
import pied.core.paper.SvgSheet;
import pied.core.space.Space;
import pied.core.units.Deadline;
import pied.core.units.Refusal;
import pied.server.handover.HandoverWire.Preview;
import pied.server.http.FileName;
import pied.server.space.ProjectStore;
import pied.server.space.SpaceStore;
import pied.server.space.SpaceWire.ProjectView;
import pied.server.space.SpaceWire.SpaceName;
import pied.server.store.Missing;

/** Makes what is handed over of all spaces of a project together. */
@Service
class ProjectHandover {
  /** So many lines of a list are looked at. */
  private static final int ROWS = 200;

  private final ProjectStore projects;
  private final SpaceStore spaces;
  private final Handover handover;
  private final SideBySide plans;

  ProjectHandover(ProjectStore projects, SpaceStore spaces, Handover handover, Lines lines) {
    this.projects = projects;
    this.spaces = spaces;
    this.handover = handover;
    plans = new SideBySide(lines);
  }

  /**
   * A project about to be handed over, each space at a revision.
   *
   * @param each of its spaces by itself, in their order
   * @param stills ids of those that go along
   */
  record ProjectJob(
      ProjectView project, Wanted wanted, List<Handover.Job> each, Plate plate, List<String> stills)
      implements HandedOver {
    @Override
    public String tag() {
      int hash = Objects.hash(project.name(), wanted.key(), plate, stills);
      for (Handover.Job j : each) {
        hash = 31 * hash + j.tag().hashCode();
      }
      return plate.revision() + "-" + Integer.toHexString(hash);
    }

    @Override
    public String name() {
      String stem = wanted.file().substring(0, wanted.file().indexOf('.'));
      String what = project.name() + " " + stem + wanted.which();
      return FileName.of(what, stem) + "." + wanted.ending();
    }

    @Override
    public int steps() {
      return each.stream().mapToInt(Handover.Job::steps).sum();
    }

    List<String> names() {
      return each.stream().map(j -> j.seen().name()).toList();
    }

    List<Space> shown() {
      return each.stream().map(Handover.Job::shown).toList();
    }
  }

  ProjectJob job(String id, Wanted wanted) {
    ProjectView project =
        projects.projects().stream()
            .filter(p -> p.id().equals(id))
            .findFirst()
            .orElseThrow(() -> new Missing("There is no such project."));
    List<Handover.Job> each = new ArrayList<>();
    long revisions = 0;
    LocalDate latest = LocalDate.EPOCH;
    for (SpaceName s : project.spaces()) {
      Handover.Job job = handover.job(s.id(), wanted);
      each.add(job);
      revisions += job.seen().revision();
      LocalDate day = spaces.worked(s.id()).atZone(ZoneOffset.UTC).toLocalDate();
      latest = day.isAfter(latest) ? day : latest;
    }
    int n = each.size();
    String what = n == 1 ? "one space" : n + " spaces";
    Plate plate = new Plate(project.name(), what, latest.toString(), revisions, wanted.drawnBy());
    List<String> stills =
        wanted.is("pack.zip")
            ? project.spaces().stream().flatMap(s -> handover.stillIds(s.id()).stream()).toList()
            : List.of();
    return new ProjectJob(project, wanted, each, plate, stills);
  }

  /** Writes it. */
  void write(ProjectJob job, OutputStream out, Deadline deadline) throws IOException {
    Wanted w = job.wanted;
    if (w.is("schedule.csv")) {
      out.write(csv(job, w.by()));
    } else if (w.is("plans.svg")) {
      List<Sheet> sheets = sideBySide(job, deadline);
      if (w.sheet() < 1 || w.sheet() > sheets.size()) {
        throw new Refusal("There are {} sheets; number {} is none.", sheets.size(), w.sheet());
      }
      SvgSheet.write(sheets.get(w.sheet() - 1), out);
    } else if (w.is("plans.pdf")) {
      out.write(PdfSheets.of(plans(job, deadline), job.plate));
    } else {
      pack(job, out, deadline);
    }
  }

  private static byte[] csv(ProjectJob job, ScheduleCsv.CsvBy by) {
    List<List<String>> rows = rows(job, by);
    return ScheduleCsv.text(rows, job.wanted.comma()).getBytes(StandardCharsets.UTF_8);
  }

  private static List<List<String>> rows(ProjectJob job, ScheduleCsv.CsvBy by) {
    return ScheduleCsv.rows(job.names(), job.shown(), by, job.wanted.unit(), job.wanted.comma());
  }

  private List<Sheet> sideBySide(ProjectJob job, Deadline deadline) {
    List<NamedSpace> all =
        job.each.stream()
            .map(j -> new NamedSpace(j.seen().name(), j.seen().space(), j.shown()))
            .toList();
    return plans.draw(
        all, SideBySide.wish(job.wanted.wish(SheetKind.plan, null)), job.plate, deadline);
  }

  /** All side by side, and then each by itself with its legend. */
  private List<Sheet> plans(ProjectJob job, Deadline deadline) {
    List<Sheet> all = new ArrayList<>(sideBySide(job, deadline));
    for (Handover.Job j : job.each) {
      all.addAll(handover.sheets(j, job.wanted.wish(SheetKind.plan, null), deadline));
    }
    return all;
  }

  /** The lists, the plans, and of every space all its drawings and its latest stills. */
  private void pack(ProjectJob job, OutputStream out, Deadline deadline) throws IOException {
    ZipOutputStream zip = Zip.open(out);
    for (ScheduleCsv.CsvBy by : ScheduleCsv.CsvBy.values()) {
      String called =
          switch (by) {
            case piece -> "schedule";
            case article -> "articles";
            case opening -> "doors and windows";
            case built -> "built in";
            case look -> "lamps and looks";
          };
      Zip.put(zip, called + ".csv", csv(job, by));
    }
    Zip.put(zip, "plans.pdf", PdfSheets.of(plans(job, deadline), job.plate));
    int n = 0;
    for (Handover.Job j : job.each) {
      n++;
      String name = FileName.of(j.seen().name(), "space");
      Zip.put(
          zip,
          String.format(Locale.ROOT, "drawings/%02d %s.pdf", n, name),
          PdfSheets.of(handover.all(j, deadline), j.plate()));
    }
    handover.stills(job.each, zip);
    zip.finish();
  }

  /** What of it is looked at before it is made. */
  Preview preview(ProjectJob job, Deadline deadline) {
    long revision = job.plate.revision();
    if (job.wanted.is("schedule.csv")) {
      List<List<String>> rows = rows(job, job.wanted.by());
      List<List<String>> first = rows.subList(0, Math.min(ROWS, rows.size()));
      return new Preview(revision, 0, null, first, null, (rows.size() - 1) + " lines");
    }
    if (job.wanted.is("pack.zip")) {
      int n = job.each.size();
      String words =
          "All lists, the plans, and all drawings and the latest stills of "
              + job.plate.space()
              + ".";
      return new Preview(revision, 0, null, null, null, n == 0 ? "There is no space yet." : words);
    }
    List<Sheet> sheets =
        job.wanted.is("plans.svg") ? sideBySide(job, deadline) : plans(job, deadline);
    int shown = Math.max(1, Math.min(job.wanted.sheet(), sheets.size()));
    return new Preview(revision, sheets.size(), SvgSheet.of(sheets.get(shown - 1)), null, null, "");
  }
}
