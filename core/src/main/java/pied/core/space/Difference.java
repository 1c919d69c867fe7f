package pied.core.space;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.List;
import pied.core.Nullable;
import pied.core.piece.Piece;
import pied.core.show.Day;
import pied.core.show.Showing;
import pied.core.show.Shown;

/**
 * One thing of a space that is another afterwards: what it was, and what it is. All that a space is
 * made of has its kind here, and with it its history.
 */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "of")
@JsonSubTypes({
  @JsonSubTypes.Type(value = Difference.OfShell.class, name = "shell"),
  @JsonSubTypes.Type(value = Difference.OfFrame.class, name = "frame"),
  @JsonSubTypes.Type(value = Difference.OfPart.class, name = "part"),
  @JsonSubTypes.Type(value = Difference.OfLayers.class, name = "layers"),
  @JsonSubTypes.Type(value = Difference.OfGroup.class, name = "group"),
  @JsonSubTypes.Type(value = Difference.OfSelection.class, name = "selection"),
  @JsonSubTypes.Type(value = Difference.OfTwin.class, name = "twin"),
  @JsonSubTypes.Type(value = Difference.OfKeptPart.class, name = "keptPart"),
  @JsonSubTypes.Type(value = Difference.OfShown.class, name = "shown"),
  @JsonSubTypes.Type(value = Difference.OfPiece.class, name = "piece")
})
public sealed interface Difference {
  /** The other way round. */
  Difference reversed();

  /** What it is about: that of another change of the same thing equals it. */
  Object subject();

  /**
   * A piece put in, altered, or taken out.
   *
   * @param before null if it was not there
   * @param after null if it is no longer there
   */
  record OfPiece(@Nullable Ordered before, @Nullable Ordered after) implements Difference {
    public OfPiece {
      if (before == null && after == null) {
        throw new IllegalArgumentException("A piece that was not there and is not.");
      }
    }

    public String id() {
      return (after == null ? before : after).piece().id();
    }

    /** As it is afterwards; null if it is no longer there. */
    public @Nullable Piece piece() {
      return after == null ? null : after.piece();
    }

    /** Whether it was there and still is. */
    public boolean altered() {
      return before != null && after != null;
    }

    /** Whether it stays at its place in the order; where that is not known, it does. */
    boolean stays() {
      return altered()
          && (after.place() == null
              || before.place() == null
              || after.place().equals(before.place()));
    }

    @Override
    public Object subject() {
      return List.of("piece", id());
    }

    @Override
    public OfPiece reversed() {
      return new OfPiece(after, before);
    }
  }

  /** Something of how pieces are kept in order. */
  sealed interface OfFiling extends Difference {
    /** As that is in it afterwards. */
    Filing in(Filing filing);
  }

  /** All layers, in their order. */
  record OfLayers(List<Layer> before, List<Layer> after) implements OfFiling {
    public OfLayers {
      before = List.copyOf(before);
      after = List.copyOf(after);
    }

    @Override
    public Object subject() {
      return "layers";
    }

    @Override
    public OfLayers reversed() {
      return new OfLayers(after, before);
    }

    @Override
    public Filing in(Filing filing) {
      return filing.withLayers(after);
    }
  }

  /**
   * A group.
   *
   * @param before null if it was not there
   * @param after null if it is no longer there
   */
  record OfGroup(@Nullable Group before, @Nullable Group after) implements OfFiling {
    @Override
    public Object subject() {
      return List.of("group", (after == null ? before : after).id());
    }

    @Override
    public OfGroup reversed() {
      return new OfGroup(after, before);
    }

    @Override
    public Filing in(Filing filing) {
      return after == null ? filing.withoutGroup(before.id()) : filing.with(after);
    }
  }

  /**
   * A named selection.
   *
   * @param before null if it was not there
   * @param after null if it is no longer there
   */
  record OfSelection(@Nullable NamedSelection before, @Nullable NamedSelection after)
      implements OfFiling {
    @Override
    public Object subject() {
      return List.of("selection", (after == null ? before : after).name());
    }

    @Override
    public OfSelection reversed() {
      return new OfSelection(after, before);
    }

    @Override
    public Filing in(Filing filing) {
      return after == null ? filing.withoutSelection(before.name()) : filing.with(after);
    }
  }

  /**
   * What pairs are twins by.
   *
   * @param before null if it was not there
   * @param after null if it is no longer there
   */
  record OfTwin(@Nullable Twin before, @Nullable Twin after) implements OfFiling {
    @Override
    public Object subject() {
      return List.of("twin", (after == null ? before : after).id());
    }

    @Override
    public OfTwin reversed() {
      return new OfTwin(after, before);
    }

    @Override
    public Filing in(Filing filing) {
      return after == null ? filing.withoutTwin(before.id()) : filing.with(after);
    }
  }

  /**
   * How a part of the shell is kept in order. One of which there is nothing to keep is plain, also
   * where the part itself is not there.
   */
  record OfKeptPart(KeptPart before, KeptPart after) implements OfFiling {
    @Override
    public Object subject() {
      return List.of("kept", after.part());
    }

    @Override
    public OfKeptPart reversed() {
      return new OfKeptPart(after, before);
    }

    @Override
    public Filing in(Filing filing) {
      return filing.with(after);
    }
  }

  /**
   * Something of how the space is shown: its day, a look, a viewpoint.
   *
   * @param before null if it was not there
   * @param after null if it is no longer there
   */
  record OfShown(@Nullable Shown before, @Nullable Shown after) implements Difference {
    public OfShown {
      if (before == null && after == null) {
        throw new IllegalArgumentException("Something shown that was not there and is not.");
      }
    }

    /** All in which another is shown otherwise. */
    static List<OfShown> between(Showing was, Showing is) {
      return was.others(is).stream().map(k -> new OfShown(was.get(k), is.get(k))).toList();
    }

    public String key() {
      return (after == null ? before : after).key();
    }

    /** How it is said: the day, the look Evening. */
    public String name() {
      Shown s = after == null ? before : after;
      return s instanceof Day ? "the day" : "the " + s.sort() + " " + s.name();
    }

    @Override
    public Object subject() {
      return key();
    }

    @Override
    public OfShown reversed() {
      return new OfShown(after, before);
    }
  }

  /** Something of what the space is built of. */
  sealed interface OfBuilt extends Difference {
    @Override
    OfBuilt reversed();

    /** Names of what can be picked of it, as it is afterwards. */
    List<PartName> names();
  }

  /** Of shells, and not of one part alone. */
  sealed interface OfShells extends OfBuilt {
    Shell before();

    Shell after();

    @Override
    default List<PartName> names() {
      return after().partNames();
    }
  }

  /** The shell, all of it. */
  record OfShell(Shell before, Shell after) implements OfShells {
    @Override
    public Object subject() {
      return "shell";
    }

    @Override
    public OfShell reversed() {
      return new OfShell(after, before);
    }
  }

  /** The shell without all that is built into it: outline, walls, stage, datum, finishes. */
  record OfFrame(Shell before, Shell after) implements OfShells {
    public OfFrame {
      before = before.bare();
      after = after.bare();
    }

    @Override
    public Object subject() {
      return "frame";
    }

    @Override
    public OfFrame reversed() {
      return new OfFrame(after, before);
    }
  }

  /**
   * A part of the shell, such as a door.
   *
   * @param before null if it was not there
   * @param after null if it is no longer there
   */
  record OfPart(@Nullable PlacedPart before, @Nullable PlacedPart after) implements OfBuilt {
    public OfPart {
      if (before == null && after == null) {
        throw new IllegalArgumentException("A part that was not there and is not.");
      }
    }

    /** As it is afterwards, or was. */
    public Part part() {
      return (after == null ? before : after).part();
    }

    @Override
    public Object subject() {
      return part().name();
    }

    @Override
    public OfPart reversed() {
      return new OfPart(after, before);
    }

    @Override
    public List<PartName> names() {
      return after == null ? List.of() : List.of(after.part().name());
    }
  }

  /**
   * A part of the shell.
   *
   * @param place among those of its kind, from 0
   */
  record PlacedPart(
      @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "is")
          @JsonSubTypes({
            @JsonSubTypes.Type(value = Opening.class, name = "opening"),
            @JsonSubTypes.Type(value = Partition.class, name = "partition"),
            @JsonSubTypes.Type(value = Column.class, name = "column"),
            @JsonSubTypes.Type(value = Platform.class, name = "platform"),
            @JsonSubTypes.Type(value = Flight.class, name = "flight"),
            @JsonSubTypes.Type(value = Bar.class, name = "bar")
          })
          Part part,
      int place) {}
}
