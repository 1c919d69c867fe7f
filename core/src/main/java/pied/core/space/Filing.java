package pied.core.space;

import io.vavr.collection.HashMap;
import io.vavr.collection.TreeMap;
import io.vavr.collection.TreeSet;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import pied.core.Nullable;

/**
 * How the pieces of a space are kept in order: its layers, groups, named selections and twins.
 * Never changed once made.
 */
public final class Filing {
  public static final Filing PLAIN =
      new Filing(
          List.of(Layer.FIRST), HashMap.empty(), TreeMap.empty(), TreeMap.empty(), TreeMap.empty());

  private final List<Layer> layers;
  private final HashMap<String, Group> groups;
  private final TreeMap<String, NamedSelection> selections;
  private final TreeMap<String, Twin> twins;
  private final TreeMap<String, KeptPart> parts;
  private volatile HashMap<String, TreeSet<String>> within;

  private Filing(
      List<Layer> layers,
      HashMap<String, Group> groups,
      TreeMap<String, NamedSelection> selections,
      TreeMap<String, Twin> twins,
      TreeMap<String, KeptPart> parts) {
    this.layers = layers;
    this.groups = groups;
    this.selections = selections;
    this.twins = twins;
    this.parts = parts;
  }

  /**
   * @param layers in their order; none for the one that every space begins with
   */
  public static Filing of(
      List<Layer> layers,
      List<Group> groups,
      List<NamedSelection> selections,
      List<Twin> twins,
      List<KeptPart> parts) {
    return new Filing(
        layers.isEmpty() ? PLAIN.layers : List.copyOf(layers),
        HashMap.ofAll(groups.stream(), g -> g.id(), g -> g),
        TreeMap.ofAll(selections.stream(), NamedSelection::name, s -> s),
        TreeMap.ofAll(twins.stream(), Twin::id, t -> t),
        TreeMap.ofAll(parts.stream(), p -> p.part().text(), p -> p));
  }

  /** In their order. */
  public List<Layer> layers() {
    return layers;
  }

  /** The layer of this id; null if there is none. */
  public @Nullable Layer layer(String id) {
    for (Layer l : layers) {
      if (l.id().equals(id)) {
        return l;
      }
    }
    return null;
  }

  /** By their ids. */
  public List<Group> groups() {
    List<Group> all = new ArrayList<>(groups.values().toJavaList());
    all.sort(java.util.Comparator.comparing(Group::id));
    return all;
  }

  /** The group of this id; null if there is none. */
  public @Nullable Group group(@Nullable String id) {
    return id == null ? null : groups.getOrElse(id, null);
  }

  /** Ids of the groups that are in a group themselves, not of those in these. */
  public Iterable<String> within(String group) {
    HashMap<String, TreeSet<String>> all = within;
    if (all == null) {
      all = HashMap.empty();
      for (Group g : groups.values()) {
        if (g.in() != null) {
          all = all.put(g.in(), all.getOrElse(g.in(), TreeSet.empty()).add(g.id()));
        }
      }
      within = all;
    }
    return all.getOrElse(group, TreeSet.empty());
  }

  /** A group and those it is in, the innermost first; nothing for null. */
  public List<String> about(@Nullable String group) {
    List<String> all = new ArrayList<>();
    for (Group g = group(group); g != null && all.size() <= groups.size(); g = group(g.in())) {
      all.add(g.id());
    }
    return all;
  }

  /** By their names. */
  public List<NamedSelection> selections() {
    return selections.values().toJavaList();
  }

  /** The selection of this name; null if there is none. */
  public @Nullable NamedSelection selection(String name) {
    return selections.getOrElse(name, null);
  }

  /** By their ids. */
  public List<Twin> twins() {
    return twins.values().toJavaList();
  }

  /** What pairs are twins by, of this id; null if there is none. */
  public @Nullable Twin twin(String id) {
    return twins.getOrElse(id, null);
  }

  /** How parts of the shell are kept that are not kept plainly, by their names. */
  public List<KeptPart> parts() {
    return parts.values().toJavaList();
  }

  /** How a part of the shell is kept. */
  public KeptPart part(PartName part) {
    return parts.get(part.text()).getOrElse(() -> KeptPart.plain(part));
  }

  /** Names of the parts of the shell that are in a group, or in those within it. */
  public List<PartName> partsIn(String group) {
    return parts().stream()
        .filter(k -> about(k.keeping().group()).contains(group))
        .map(KeptPart::part)
        .toList();
  }

  // ---- the same otherwise

  /** With a part of the shell kept otherwise. */
  public Filing with(KeptPart p) {
    String id = p.part().text();
    return new Filing(
        layers, groups, selections, twins, p.plainly() ? parts.remove(id) : parts.put(id, p));
  }

  /**
   * @param now at least one
   */
  public Filing withLayers(List<Layer> now) {
    return new Filing(List.copyOf(now), groups, selections, twins, parts);
  }

  /** With a layer in place of that of the same id. */
  public Filing with(Layer layer) {
    return withLayers(layers.stream().map(l -> l.id().equals(layer.id()) ? layer : l).toList());
  }

  /** With a group put in, or in place of that of the same id. */
  public Filing with(Group group) {
    return new Filing(layers, groups.put(group.id(), group), selections, twins, parts);
  }

  public Filing withoutGroup(String id) {
    return new Filing(layers, groups.remove(id), selections, twins, parts);
  }

  /** With a selection put in, or in place of that of the same name. */
  public Filing with(NamedSelection s) {
    return new Filing(layers, groups, selections.put(s.name(), s), twins, parts);
  }

  public Filing withoutSelection(String name) {
    return new Filing(layers, groups, selections.remove(name), twins, parts);
  }

  /** With lines of twins put in, or in place of that of the same id. */
  public Filing with(Twin twin) {
    return new Filing(layers, groups, selections, twins.put(twin.id(), twin), parts);
  }

  public Filing withoutTwin(String id) {
    return new Filing(layers, groups, selections, twins.remove(id), parts);
  }

  /** All in which another filing differs. */
  List<Difference> differences(Filing now) {
    List<Difference> all = new ArrayList<>();
    if (this == now) {
      return all;
    }
    if (!layers.equals(now.layers)) {
      all.add(new Difference.OfLayers(layers, now.layers));
    }
    for (String id : groups.keySet().union(now.groups.keySet()).toSortedSet()) {
      if (!Objects.equals(group(id), now.group(id))) {
        all.add(new Difference.OfGroup(group(id), now.group(id)));
      }
    }
    for (String name : selections.keySet().union(now.selections.keySet())) {
      if (!Objects.equals(selection(name), now.selection(name))) {
        all.add(new Difference.OfSelection(selection(name), now.selection(name)));
      }
    }
    for (String id : twins.keySet().union(now.twins.keySet())) {
      if (!Objects.equals(twin(id), now.twin(id))) {
        all.add(new Difference.OfTwin(twin(id), now.twin(id)));
      }
    }
    for (String id : parts.keySet().union(now.parts.keySet())) {
      KeptPart was = part(PartName.read(id));
      KeptPart is = now.part(PartName.read(id));
      if (!was.equals(is)) {
        all.add(new Difference.OfKeptPart(was, is));
      }
    }
    return all;
  }

  @Override
  public boolean equals(Object o) {
    return o instanceof Filing f
        && layers.equals(f.layers)
        && groups.equals(f.groups)
        && selections.equals(f.selections)
        && twins.equals(f.twins)
        && parts.equals(f.parts);
  }

  @Override
  public int hashCode() {
    return Objects.hash(layers, groups, selections, twins, parts);
  }
}
