package pied.server.space;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import java.time.Instant;
import pied.core.Nullable;
import pied.core.edit.Change;
import pied.server.space.SpaceWire.By;
import pied.server.space.SpaceWire.Changed;

/**
 * One thing that was done in a space, as stored, in order: a change with whether it stands, or a
 * way through the history; and the answer that was given, for as long as one may ask again.
 *
 * <p>One number is its whole key, so that a step is one row in one tree: the number of its space,
 * and behind it that of the step in its space.
 */
@Entity
@Table(name = "step")
public class StepRow {
  /** What a step is. */
  public enum StepKind {
    /** a change that stands */
    DONE,
    /** a change that is undone */
    UNDONE,
    /** an undo or a redo, or something that changed nothing, or can no longer be redone */
    PAST
  }

  /** A change this long, packed, is kept outside the row, bytes. */
  private static final int LONG = 100_000;

  @Id private long id;
  private long revision;

  @Enumerated(EnumType.STRING)
  @Column(columnDefinition = "varchar(8)")
  private StepKind kind;

  private String request;
  private int form;
  private byte[] change;
  private byte[] answer;
  @Lob private byte[] longChange;
  @Lob private byte[] longAnswer;
  private Instant madeAt;
  private String doneIn;
  private String who;
  private String words;
  private Long partner;

  protected StepRow() {}

  /**
   * @param request null if it has no id
   * @param change null for none
   * @param by null for nobody in particular
   * @param words what it did; of no use without a change
   * @param partner key of the step in another space that was one act with it; null for none
   */
  StepRow(
      long id,
      long revision,
      StepKind kind,
      String request,
      Change change,
      Changed answer,
      By by,
      String words,
      @Nullable Long partner) {
    this.id = id;
    this.revision = revision;
    this.kind = kind;
    this.request = request;
    form = Stored.FORM;
    byte[] c = change == null ? null : Stored.write(change);
    byte[] a = request == null ? null : Stored.write(answer);
    boolean large = c != null && c.length > LONG;
    this.change = large ? null : c;
    longChange = large ? c : null;
    large = a != null && a.length > LONG;
    this.answer = large ? null : a;
    longAnswer = large ? a : null;
    madeAt = Instant.now();
    doneIn = by == null ? null : by.window();
    who = by == null || by.who() == null || by.who().isBlank() ? null : by.who();
    this.words = change == null ? null : words;
    this.partner = partner;
  }

  /** One that was done elsewhere before; it was asked for by nobody here. */
  StepRow(long id, ArchivedSpace.ArchivedStep s) {
    this(id, s.revision(), s.kind(), null, s.change(), null, null, s.words(), null);
    madeAt = s.at();
    doneIn = s.doneIn();
    who = s.who();
  }

  /** The number of the space that a step with this key is of. */
  static long space(long key) {
    return key >> 32;
  }

  /** The first possible key of a step of a space; that of the next space follows behind all. */
  static long first(long space) {
    return space << 32;
  }

  public static long key(long space, long n) {
    return first(space) + n;
  }

  static long n(long key) {
    return key & 0xFFFF_FFFFL;
  }

  /** What it did; null where that is no longer of use. */
  @Nullable
  Change change() {
    return change == null && longChange == null
        ? null
        : Stored.change(form, longChange != null ? longChange : change);
  }

  /** The answer that was given; null if it is no longer kept. */
  Changed answer() {
    byte[] a = longAnswer != null ? longAnswer : answer;
    return a == null ? null : Stored.answer(form, a);
  }

  Instant madeAt() {
    return madeAt;
  }

  /** As it goes into an archive. */
  ArchivedSpace.ArchivedStep archived() {
    return new ArchivedSpace.ArchivedStep(revision, kind, change(), doneIn, who, words, madeAt);
  }
}
