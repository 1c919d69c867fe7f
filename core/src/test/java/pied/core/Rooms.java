package pied.core;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import pied.core.catalog.Catalog;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.Edits;
import pied.core.edit.Outcome;
import pied.core.material.Finishes;
import pied.core.piece.Piece;
import pied.core.piece.Shapes;
import pied.core.propose.Say;
import pied.core.register.Tools;
import pied.core.solid.Mesh;
import pied.core.solid.Vec;
import pied.core.space.Group;
import pied.core.space.Opening;
import pied.core.space.Outlines;
import pied.core.space.Shell;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.tool.place.Place;
import pied.core.tool.shell.NewShell;
import pied.core.units.Deadline;
import pied.core.units.LengthUnit;

/** A room to edit in tests: 6 × 4 × 2.8 m, with a door in wall C, and short ways to say edits. */
public final class Rooms {
  public static final Shapes SHAPES = new Shapes(Catalog.shipped());

  /** Reads edits as scripts write them. */
  public static final ObjectMapper JSON = Tools.json();

  private final AtomicInteger ids = new AtomicInteger();
  public Space space = empty();
  public final List<String> said = new ArrayList<>();

  public static Space empty() {
    Shell shell =
        new Shell(
            List.of(new Spot(0, 0), new Spot(6, 0), new Spot(6, 4), new Spot(0, 4)),
            2.8,
            0.2,
            List.of(
                new Opening("d1", Opening.OpeningKind.door, "C", 1.0, 0.9, 0, 2.05),
                new Opening("w1", Opening.OpeningKind.window, "B", 1.2, 1.4, 0.9, 1.3)),
            Finishes.NONE);
    return new Space(shell, List.of(), SHAPES);
  }

  public Outcome apply(Edit... edits) {
    Outcome o = Edits.apply(space, List.of(edits), LengthUnit.M, () -> "n" + ids.incrementAndGet());
    space = o.space();
    said.clear();
    said.addAll(o.said());
    return o;
  }

  /** Makes an edit as a script writes it. */
  public Outcome json(String edit) {
    try {
      return apply(JSON.readValue(edit.replace('\'', '"'), Edit.class));
    } catch (JsonProcessingException e) {
      throw new IllegalArgumentException(edit, e);
    }
  }

  public Piece put(String id, String article, double x, double z) {
    return put(id, article, x, z, 0);
  }

  public Piece put(String id, String article, double x, double z, double turn) {
    apply(
        new Place(
            id,
            article,
            null,
            new Edit.PlanPoint(Amount.of(x), Amount.of(z)),
            null,
            Amount.of(turn),
            null,
            null));
    return space.piece(id);
  }

  /** A stage of 10 × 6 m, raked 1 in 20, with an apron; nothing built on it. */
  public static Rooms stage() {
    Rooms rooms = new Rooms();
    NewShell.OfStage of =
        new NewShell.OfStage(null, "1:20", typed("8"), typed("4"), null, null, null, null);
    Shell shell =
        new NewShell(null, typed("10"), typed("6"), typed("5"), null, null, null, null, of)
            .build(LengthUnit.M);
    rooms.space = new Space(shell, List.of(), SHAPES);
    return rooms;
  }

  /** The tea room as the text in the documents furnishes it. */
  public static Rooms teaRoom() {
    Rooms rooms =
        of(
            new Shell(
                Outlines.rectangle(9.2, 6.4),
                2.9,
                0.24,
                List.of(
                    new Opening("window 1", Opening.OpeningKind.window, "A", 3.2, 1.6, 0.85, 1.5),
                    new Opening("window 2", Opening.OpeningKind.window, "A", 6.3, 1.6, 0.85, 1.5),
                    new Opening("door 1", Opening.OpeningKind.door, "D", 4.6, 0.95, 0, 2.1)),
                Finishes.NONE));
    try {
      String text = Files.readString(Path.of("..", "docs", "tea-room.txt"));
      rooms.space =
          Say.make(
                  rooms.space,
                  text,
                  List.of(),
                  LengthUnit.M,
                  null,
                  () -> "p" + rooms.ids.incrementAndGet(),
                  Deadline.NONE)
              .outcome()
              .space();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return rooms;
  }

  /** Another shell, with nothing in it. */
  public static Rooms of(Shell shell) {
    Rooms rooms = new Rooms();
    rooms.space = new Space(shell, List.of(), SHAPES);
    return rooms;
  }

  public Shell shell() {
    return space.shell();
  }

  public static Edit.PlanPoint point(double x, double z) {
    return new Edit.PlanPoint(Amount.of(x), Amount.of(z));
  }

  public Piece piece(String id) {
    return space.piece(id);
  }

  public static Amount typed(String text) {
    return new Amount(text, 0);
  }

  /** The one group there is. */
  public Group only() {
    assertThat(space.filing().groups()).hasSize(1);
    return space.filing().groups().get(0);
  }

  /** How far a piece truly reaches, vertex by vertex. */
  public double extent(String id, Vec way) {
    Piece p = piece(id);
    Mesh m = space.shapes().mesh(p);
    double most = -1e9;
    for (int v = 0; 3 * v < m.xyz().length; v++) {
      most = Math.max(most, p.pose().apply(m.vertex(v)).dot(way));
    }
    return most;
  }
}
