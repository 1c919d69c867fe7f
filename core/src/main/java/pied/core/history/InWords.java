package pied.core.history;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.BiPredicate;
import java.util.function.Function;
import pied.core.Names;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.edit.Change;
import pied.core.piece.Lamp;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.size.Size;
import pied.core.solid.Vec;
import pied.core.space.Difference.OfBuilt;
import pied.core.space.Difference.OfPiece;
import pied.core.space.Difference.OfShells;
import pied.core.space.Group;
import pied.core.space.Layer;
import pied.core.space.PartName;
import pied.core.space.Shell;
import pied.core.space.ShellDifference;
import pied.core.space.Space;
import pied.core.units.Angle;
import pied.core.units.Message;

/**
 * Says what a change did, in one sentence in the past tense without a full stop; its lengths in no
 * unit yet. It is read off the change itself, so that it is true of any edit there is.
 */
public final class InWords {
  private static final double SAME = Tolerance.FINE;

  private final Space after;
  private final List<OfPiece> pieces;
  private final Change change;

  private InWords(Change change, Space after) {
    this.change = change;
    this.after = after;
    pieces = change.pieces().toList();
  }

  /**
   * @param part of the shell that was built or altered, if that is known
   * @param after the space as it was then
   */
  public static Message of(Change change, Space after, @Nullable PartName part) {
    return new InWords(change, after).sentence(part);
  }

  private Message sentence(PartName part) {
    List<Piece> put = pieces.stream().filter(d -> d.before() == null).map(OfPiece::piece).toList();
    List<Piece> gone =
        pieces.stream().filter(d -> d.after() == null).map(d -> d.before().piece()).toList();
    if (change.shell()) {
      return Message.of(shell(part));
    }
    if (!put.isEmpty()) {
      return Message.of("Put in {}", what(leading(put)));
    }
    if (!gone.isEmpty()) {
      return Message.of("Took out {}", what(leading(gone)));
    }
    return pieces.isEmpty() ? Message.of(FilingInWords.of(change, after)) : altered();
  }

  // ---- the shell

  private String shell(PartName part) {
    List<OfBuilt> all = change.built();
    List<OfBuilt> back = all.stream().map(OfBuilt::reversed).toList();
    List<PartName> built = new ArrayList<>(names(all));
    List<PartName> gone = new ArrayList<>(names(back));
    built.removeAll(names(back));
    gone.removeAll(names(all));
    if (!built.isEmpty() && gone.isEmpty()) {
      String more = built.size() > 1 ? " and " + (built.size() - 1) + " more" : "";
      return "Built " + ShellDifference.applied(after.shell(), all).nameOf(built.get(0)) + more;
    }
    if (!gone.isEmpty() && built.isEmpty()) {
      String name = ShellDifference.applied(after.shell(), back).nameOf(gone.get(0));
      return "Removed " + name + (gone.size() > 1 ? " and " + (gone.size() - 1) + " more" : "");
    }
    if (differs(all, Shell::datum)) {
      return "Moved the datum";
    }
    if (differs(all, Shell::finishes)) {
      return "Painted the room";
    }
    return "Altered " + (part == null ? "the room" : after.nameOf(part));
  }

  private static List<PartName> names(List<OfBuilt> all) {
    return all.stream().flatMap(d -> d.names().stream()).toList();
  }

  private static boolean differs(List<OfBuilt> all, Function<Shell, ?> of) {
    return all.stream()
        .anyMatch(
            d -> d instanceof OfShells s && !of.apply(s.before()).equals(of.apply(s.after())));
  }

  // ---- pieces

  /** The one on which all the others of them came along; all of them where there is none. */
  private static List<Piece> leading(List<Piece> all) {
    Set<String> ids = new HashSet<>();
    all.forEach(p -> ids.add(p.id()));
    List<Piece> own =
        all.stream()
            .filter(p -> p.on().kind() != On.OnKind.piece || !ids.contains(p.on().id()))
            .toList();
    return own.size() == 1 ? own : all; // who reads a number means all of them
  }

  private static String what(List<Piece> some) {
    String first = some.get(0).name();
    if (some.size() == 1) {
      return first;
    }
    String bare = Names.bare(first);
    boolean alike = some.stream().allMatch(p -> Names.bare(p.name()).equals(bare));
    return alike ? some.size() + " × " + bare : some.size() + " pieces";
  }

  private Message altered() {
    for (WordedKind kind : KINDS) {
      List<OfPiece> so = pieces.stream().filter(d -> kind.is.test(was(d), is(d))).toList();
      if (!so.isEmpty()) {
        return kind.says.apply(this, kind.carries ? withoutCarried(so) : so);
      }
    }
    return Message.of("Changed {}", what(pieces.stream().map(OfPiece::piece).toList()));
  }

  private List<OfPiece> withoutCarried(List<OfPiece> all) {
    Set<String> lead = new HashSet<>();
    leading(all.stream().map(this::was).toList()).forEach(p -> lead.add(p.id()));
    List<OfPiece> own = all.stream().filter(d -> lead.contains(d.id())).toList();
    return own.isEmpty() ? all : own;
  }

  private Piece was(OfPiece d) {
    return d.before().piece();
  }

  private Piece is(OfPiece d) {
    return d.after().piece();
  }

  private <T> @Nullable T common(List<OfPiece> all, Function<OfPiece, T> of) {
    T first = of.apply(all.get(0));
    return all.stream().allMatch(d -> Objects.equals(of.apply(d), first)) ? first : null;
  }

  private String whatOf(List<OfPiece> all) {
    return what(all.stream().map(this::is).toList());
  }

  /**
   * Something of a piece that may have become another.
   *
   * @param carries whether what stands on it went along with that
   * @param is whether it has, between a piece as it was and as it is
   */
  private record WordedKind(
      boolean carries,
      BiPredicate<Piece, Piece> is,
      BiFunction<InWords, List<OfPiece>, Message> says) {}

  /** What says most first. */
  private static final List<WordedKind> KINDS =
      List.of(
          new WordedKind(false, (a, b) -> !a.article().equals(b.article()), InWords::exchanged),
          new WordedKind(true, (a, b) -> !a.size().sameAs(b.size()), InWords::sized),
          new WordedKind(
              true,
              (a, b) -> a.form().mirrored() != b.form().mirrored(),
              (w, all) -> Message.of("Mirrored {}", w.whatOf(all))),
          new WordedKind(true, (a, b) -> !a.lean().equals(b.lean()), InWords::leaned),
          new WordedKind(true, (a, b) -> Math.abs(a.turn() - b.turn()) > SAME, InWords::turned),
          new WordedKind(true, (a, b) -> a.at().minus(b.at()).length() > SAME, InWords::moved),
          new WordedKind(
              false,
              (a, b) -> !a.name().equals(b.name()),
              (w, all) ->
                  Message.of("Named {} {}", w.was(all.get(0)).name(), w.is(all.get(0)).name())),
          new WordedKind(
              false,
              (a, b) -> !a.finishes().equals(b.finishes()),
              (w, all) -> Message.of("Coloured {}", w.whatOf(all))),
          new WordedKind(false, (a, b) -> !a.lamp().equals(b.lamp()), InWords::switched),
          new WordedKind(
              false, (a, b) -> !a.keeping().layer().equals(b.keeping().layer()), InWords::layered),
          new WordedKind(
              false,
              (a, b) -> !Objects.equals(a.keeping().group(), b.keeping().group()),
              InWords::grouped),
          new WordedKind(
              false,
              (a, b) -> a.keeping().locked() != b.keeping().locked(),
              (w, all) ->
                  Message.of(
                      w.is(all.get(0)).keeping().locked() ? "Locked {}" : "Unlocked {}",
                      w.whatOf(all))),
          new WordedKind(
              false,
              (a, b) -> a.keeping().hidden() != b.keeping().hidden(),
              (w, all) ->
                  Message.of(
                      w.is(all.get(0)).keeping().hidden() ? "Hid {}" : "Showed {}", w.whatOf(all))),
          new WordedKind(
              false,
              (a, b) -> !a.keeping().remark().equals(b.keeping().remark()),
              InWords::remarked),
          new WordedKind(
              false,
              (a, b) -> a.attached() != b.attached() || !a.on().equals(b.on()),
              InWords::attached));

  private Message exchanged(List<OfPiece> all) {
    String next = common(all, d -> is(d).article());
    String were = what(all.stream().map(this::was).toList());
    return next == null
        ? Message.of("Exchanged {}", were)
        : Message.of("Exchanged {} for {}", were, after.shapes().catalog().article(next).name());
  }

  private Message sized(List<OfPiece> all) {
    Size s = common(all, d -> is(d).size());
    return s == null
        ? Message.of("Sized {}", whatOf(all))
        : Message.of(
            "Sized {} to {} × {} × {}",
            whatOf(all),
            Message.bare(s.width()),
            Message.bare(s.depth()),
            Message.length(s.height()));
  }

  private Message leaned(List<OfPiece> all) {
    boolean up = all.stream().allMatch(d -> is(d).lean().by() == 0);
    return Message.of(up ? "Set upright {}" : "Leaned {}", whatOf(all));
  }

  private Message turned(List<OfPiece> all) {
    String by = common(all, d -> angle(is(d).turn() - was(d).turn()));
    String to = common(all, d -> Angle.text(is(d).turn()));
    return by != null
        ? Message.of("Turned {} by {}", whatOf(all), by)
        : to != null
            ? Message.of("Turned {} to {}", whatOf(all), to)
            : Message.of("Turned {}", whatOf(all));
  }

  private Message moved(List<OfPiece> all) {
    Vec by = is(all.get(0)).at().minus(was(all.get(0)).at());
    boolean one =
        all.stream()
            .allMatch(d -> is(d).at().minus(was(d).at()).minus(by).length() < Tolerance.HAIR);
    return Message.of("Moved {}{}", whatOf(all), one ? way(by) : "");
  }

  private Message switched(List<OfPiece> all) {
    String now =
        common(
            all,
            d -> {
              Lamp l = is(d).lamp();
              return !l.on() ? "off" : Math.round(100 * l.level()) + " %";
            });
    if (all.stream().allMatch(d -> !Objects.equals(was(d).lamp().aim(), is(d).lamp().aim()))) {
      return Message.of("Aimed {}", whatOf(all));
    }
    boolean wired = all.stream().allMatch(d -> was(d).lamp().burning() == is(d).lamp().burning());
    boolean filter =
        all.stream().anyMatch(d -> !Objects.equals(was(d).lamp().filter(), is(d).lamp().filter()));
    return wired
        ? Message.of(filter ? "Filtered {}" : "Put {} on another circuit", whatOf(all))
        : now == null
            ? Message.of("Switched {}", whatOf(all))
            : now.equals("off")
                ? Message.of("Switched off {}", whatOf(all))
                : Message.of("Set {} to {}", whatOf(all), now);
  }

  private Message layered(List<OfPiece> all) {
    String id = common(all, d -> is(d).keeping().layer());
    Layer l = id == null ? null : after.filing().layer(id);
    return l == null
        ? Message.of("Put {} on other layers", whatOf(all))
        : Message.of("Put {} on the layer {}", whatOf(all), l.name());
  }

  private Message grouped(List<OfPiece> all) {
    Group g = after.filing().group(common(all, d -> is(d).keeping().group()));
    return g == null
        ? Message.of("Put {} into other groups, or out of them", whatOf(all))
        : Message.of("Put {} into the group {}", whatOf(all), g.name());
  }

  private Message remarked(List<OfPiece> all) {
    String remark = is(all.get(0)).keeping().remark();
    return remark.isEmpty()
        ? Message.of("Remarked on {}", whatOf(all))
        : Message.of("Remarked on {}: {}", whatOf(all), remark);
  }

  private Message attached(List<OfPiece> all) {
    Piece p = is(all.get(0));
    return p.attached()
        ? Message.of("Attached {} to {}", whatOf(all), after.nameOf(p.on()))
        : Message.of("Took off {}", whatOf(all));
  }

  private static String angle(double degrees) {
    double d = degrees % 360;
    d = d > 180 ? d - 360 : d <= -180 ? d + 360 : d;
    return Angle.text(d);
  }

  /** A way in the words of the space, of up to two directions: the longest first. */
  private Message way(Vec by) {
    boolean stage = after.shell().stage() != null;
    record Leg(double length, String words) {}
    List<Leg> legs =
        List.of(
                new Leg(
                    by.x(),
                    by.x() > 0
                        ? stage ? "to stage left" : "to the right"
                        : stage ? "to stage right" : "to the left"),
                new Leg(
                    by.z(),
                    by.z() > 0
                        ? stage ? "downstage" : "to the front"
                        : stage ? "upstage" : "to the back"),
                new Leg(by.y(), by.y() > 0 ? "up" : "down"))
            .stream()
            .filter(l -> Math.abs(l.length) >= Tolerance.HALF)
            .sorted((a, b) -> Double.compare(Math.abs(b.length), Math.abs(a.length)))
            .limit(2)
            .toList();
    List<Message> words =
        legs.stream()
            .map(l -> Message.of("{} {}", Message.length(Math.abs(l.length)), l.words))
            .toList();
    return words.isEmpty() ? Message.of("") : Message.of(" {}", Message.join(", ", words));
  }
}
