package pied.core.edit;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import pied.core.Nullable;
import pied.core.edit.arrange.Beside;
import pied.core.edit.arrange.CopyOnto;
import pied.core.edit.arrange.Level;
import pied.core.edit.arrange.LineUp;
import pied.core.edit.arrange.SettleOnto;
import pied.core.edit.arrange.SpaceOut;
import pied.core.edit.group.Dissolve;
import pied.core.edit.group.IntoGroup;
import pied.core.edit.group.MakeGroup;
import pied.core.edit.group.RenameGroup;
import pied.core.edit.keep.AsLead;
import pied.core.edit.keep.Copy;
import pied.core.edit.keep.Hide;
import pied.core.edit.keep.Lock;
import pied.core.edit.keep.NameSelection;
import pied.core.edit.keep.Paste;
import pied.core.edit.keep.Recolour;
import pied.core.edit.keep.Remark;
import pied.core.edit.keep.Remove;
import pied.core.edit.keep.Rename;
import pied.core.edit.layer.NewLayer;
import pied.core.edit.layer.RemoveLayer;
import pied.core.edit.layer.SetLayer;
import pied.core.edit.layer.ToLayer;
import pied.core.edit.place.Attach;
import pied.core.edit.place.BringIn;
import pied.core.edit.place.Hang;
import pied.core.edit.place.HoldThere;
import pied.core.edit.place.MoveBy;
import pied.core.edit.place.MoveTo;
import pied.core.edit.place.Place;
import pied.core.edit.place.PutDown;
import pied.core.edit.place.SetDistance;
import pied.core.edit.place.Settle;
import pied.core.edit.place.TopAt;
import pied.core.edit.repeat.MakeTwins;
import pied.core.edit.repeat.MoveTwins;
import pied.core.edit.repeat.PartTwins;
import pied.core.edit.repeat.Ring;
import pied.core.edit.repeat.Row;
import pied.core.edit.repeat.Scatter;
import pied.core.edit.repeat.Trail;
import pied.core.edit.shell.AddCorner;
import pied.core.edit.shell.Build;
import pied.core.edit.shell.MoveCorner;
import pied.core.edit.shell.MoveWall;
import pied.core.edit.shell.Outline;
import pied.core.edit.shell.Paint;
import pied.core.edit.shell.RemoveCorner;
import pied.core.edit.shell.RemoveParts;
import pied.core.edit.shell.Rows;
import pied.core.edit.shell.SetBar;
import pied.core.edit.shell.SetColumn;
import pied.core.edit.shell.SetDatum;
import pied.core.edit.shell.SetFlight;
import pied.core.edit.shell.SetOpening;
import pied.core.edit.shell.SetPartition;
import pied.core.edit.shell.SetPlatform;
import pied.core.edit.shell.ShiftPart;
import pied.core.edit.shell.SpaceExtent;
import pied.core.edit.shell.WallLength;
import pied.core.edit.shell.WallThickness;
import pied.core.edit.size.Fill;
import pied.core.edit.size.KnownLength;
import pied.core.edit.size.Mirror;
import pied.core.edit.size.PullSide;
import pied.core.edit.size.Resize;
import pied.core.edit.size.SizeAs;
import pied.core.edit.size.SizeAsOne;
import pied.core.edit.turn.Along;
import pied.core.edit.turn.Face;
import pied.core.edit.turn.LeanAgainst;
import pied.core.edit.turn.LeanOver;
import pied.core.edit.turn.Turn;
import pied.core.edit.turn.TurnAs;
import pied.core.edit.turn.TurnFrom;
import pied.core.solid.Vec;

/**
 * One thing done to a space, as data with its rule; a file each in the rooms beside. Pieces are
 * named by id. The register of all edits is below: what is not in it cannot come in.
 */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "do")
@JsonSubTypes({
  @JsonSubTypes.Type(value = Place.class, name = "place"),
  @JsonSubTypes.Type(value = PutDown.class, name = "putDown"),
  @JsonSubTypes.Type(value = MoveBy.class, name = "moveBy"),
  @JsonSubTypes.Type(value = MoveTo.class, name = "moveTo"),
  @JsonSubTypes.Type(value = TopAt.class, name = "topAt"),
  @JsonSubTypes.Type(value = Hang.class, name = "hang"),
  @JsonSubTypes.Type(value = SetDistance.class, name = "setDistance"),
  @JsonSubTypes.Type(value = Settle.class, name = "settle"),
  @JsonSubTypes.Type(value = HoldThere.class, name = "holdThere"),
  @JsonSubTypes.Type(value = SettleOnto.class, name = "settleOnto"),
  @JsonSubTypes.Type(value = Beside.class, name = "beside"),
  @JsonSubTypes.Type(value = Level.class, name = "level"),
  @JsonSubTypes.Type(value = CopyOnto.class, name = "copyOnto"),
  @JsonSubTypes.Type(value = LineUp.class, name = "lineUp"),
  @JsonSubTypes.Type(value = SpaceOut.class, name = "spaceOut"),
  @JsonSubTypes.Type(value = Row.class, name = "row"),
  @JsonSubTypes.Type(value = Trail.class, name = "trail"),
  @JsonSubTypes.Type(value = Ring.class, name = "ring"),
  @JsonSubTypes.Type(value = Scatter.class, name = "scatter"),
  @JsonSubTypes.Type(value = MakeTwins.class, name = "twin"),
  @JsonSubTypes.Type(value = MoveTwins.class, name = "twinLine"),
  @JsonSubTypes.Type(value = PartTwins.class, name = "partTwins"),
  @JsonSubTypes.Type(value = Attach.class, name = "attach"),
  @JsonSubTypes.Type(value = Turn.class, name = "turn"),
  @JsonSubTypes.Type(value = TurnAs.class, name = "turnAs"),
  @JsonSubTypes.Type(value = TurnFrom.class, name = "turnFrom"),
  @JsonSubTypes.Type(value = Along.class, name = "along"),
  @JsonSubTypes.Type(value = Face.class, name = "face"),
  @JsonSubTypes.Type(value = LeanAgainst.class, name = "leanAgainst"),
  @JsonSubTypes.Type(value = Resize.class, name = "size"),
  @JsonSubTypes.Type(value = SizeAsOne.class, name = "sizeAsOne"),
  @JsonSubTypes.Type(value = SizeAs.class, name = "sizeAs"),
  @JsonSubTypes.Type(value = KnownLength.class, name = "knownLength"),
  @JsonSubTypes.Type(value = Fill.class, name = "fill"),
  @JsonSubTypes.Type(value = PullSide.class, name = "pullSide"),
  @JsonSubTypes.Type(value = Mirror.class, name = "mirror"),
  @JsonSubTypes.Type(value = Rename.class, name = "rename"),
  @JsonSubTypes.Type(value = Recolour.class, name = "recolour"),
  @JsonSubTypes.Type(value = Copy.class, name = "copy"),
  @JsonSubTypes.Type(value = Remove.class, name = "remove"),
  @JsonSubTypes.Type(value = Paste.class, name = "paste"),
  @JsonSubTypes.Type(value = AsLead.class, name = "asLead"),
  @JsonSubTypes.Type(value = Lock.class, name = "lock"),
  @JsonSubTypes.Type(value = Hide.class, name = "hide"),
  @JsonSubTypes.Type(value = Remark.class, name = "remark"),
  @JsonSubTypes.Type(value = NameSelection.class, name = "nameSelection"),
  @JsonSubTypes.Type(value = NewLayer.class, name = "newLayer"),
  @JsonSubTypes.Type(value = SetLayer.class, name = "layer"),
  @JsonSubTypes.Type(value = ToLayer.class, name = "toLayer"),
  @JsonSubTypes.Type(value = RemoveLayer.class, name = "removeLayer"),
  @JsonSubTypes.Type(value = MakeGroup.class, name = "group"),
  @JsonSubTypes.Type(value = IntoGroup.class, name = "intoGroup"),
  @JsonSubTypes.Type(value = RenameGroup.class, name = "renameGroup"),
  @JsonSubTypes.Type(value = Dissolve.class, name = "dissolve"),
  @JsonSubTypes.Type(value = LeanOver.class, name = "lean"),
  @JsonSubTypes.Type(value = BringIn.class, name = "bringIn"),
  @JsonSubTypes.Type(value = Outline.class, name = "outline"),
  @JsonSubTypes.Type(value = MoveCorner.class, name = "moveCorner"),
  @JsonSubTypes.Type(value = AddCorner.class, name = "addCorner"),
  @JsonSubTypes.Type(value = RemoveCorner.class, name = "removeCorner"),
  @JsonSubTypes.Type(value = MoveWall.class, name = "moveWall"),
  @JsonSubTypes.Type(value = WallLength.class, name = "wallLength"),
  @JsonSubTypes.Type(value = WallThickness.class, name = "wallThickness"),
  @JsonSubTypes.Type(value = Build.class, name = "build"),
  @JsonSubTypes.Type(value = SpaceExtent.class, name = "extent"),
  @JsonSubTypes.Type(value = Rows.class, name = "seats"),
  @JsonSubTypes.Type(value = SetOpening.class, name = "opening"),
  @JsonSubTypes.Type(value = SetPartition.class, name = "partition"),
  @JsonSubTypes.Type(value = SetColumn.class, name = "column"),
  @JsonSubTypes.Type(value = SetPlatform.class, name = "platform"),
  @JsonSubTypes.Type(value = SetFlight.class, name = "flight"),
  @JsonSubTypes.Type(value = SetBar.class, name = "bar"),
  @JsonSubTypes.Type(value = ShiftPart.class, name = "shift"),
  @JsonSubTypes.Type(value = RemoveParts.class, name = "removeParts"),
  @JsonSubTypes.Type(value = SetDatum.class, name = "datum"),
  @JsonSubTypes.Type(value = Paint.class, name = "paint"),
})
@JsonInclude(JsonInclude.Include.NON_NULL)
public interface Edit {
  /**
   * Makes it, on the working copy.
   *
   * @throws pied.core.Refusal if it cannot be done; the working copy is worthless then
   */
  void make(EditSession session);

  /** A line of sight. */
  record Sight(Vec from, Vec along) {}

  /** A point of the plan, metres. */
  record PlanPoint(@Nullable Amount x, @Nullable Amount z) {}

  /**
   * New measures; what is missing stays.
   *
   * @param whole one entry for all of it, as it is typed without choosing a measure: a factor is of
   *     all three, "0.42 x 0.42 x 0.66" is each of them, and a length alone the width
   */
  @JsonInclude(JsonInclude.Include.NON_NULL)
  record Measures(
      @Nullable Amount width,
      @Nullable Amount depth,
      @Nullable Amount height,
      @Nullable Amount whole) {
    public Measures(@Nullable Amount width, @Nullable Amount depth, @Nullable Amount height) {
      this(width, depth, height, null);
    }
  }

  /**
   * A place read from the datum, or a way to go; what is missing stays. On a stage one may say it
   * in its words, each of which takes the place of x or z.
   */
  record Place3(
      @Nullable Amount x,
      @Nullable Amount y,
      @Nullable Amount z,
      @Nullable Amount stageLeft,
      @Nullable Amount stageRight,
      @Nullable Amount upstage,
      @Nullable Amount downstage) {
    public Place3(Amount x, Amount y, Amount z) {
      this(x, y, z, null, null, null, null);
    }
  }
}
