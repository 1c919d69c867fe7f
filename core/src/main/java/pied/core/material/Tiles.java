package pied.core.material;

import java.util.Map;
import java.util.Optional;
import pied.core.BoundedCache;
import pied.core.Nullable;
import pied.core.material.pattern.Pattern;
import pied.core.material.pattern.Tile;

/** The tiles of all patterns, made when first asked for. */
public final class Tiles {
  /** Joints wider than this part of a repeat leave nothing of the pattern. */
  private static final double MOST_JOINT = 0.5;

  private static final Map<TileName, Tile> MADE = BoundedCache.room(0.03, Tile::bytes);
  private static final Map<String, Optional<byte[]>> FILES =
      BoundedCache.room(0.05, f -> f.map(b -> b.length).orElse(0));

  private Tiles() {}

  /**
   * The file of what a {@link Appearance} has named: a tile or an own picture.
   *
   * @return null if there is none of that name
   */
  public static @Nullable byte[] file(String name, PictureFiles pictures) {
    if (name.startsWith(Appearance.PICTURES)) {
      return picture(OwnPicture.named(name.substring(Appearance.PICTURES.length())), pictures);
    }
    boolean tile = name.startsWith(TileName.TILES) && name.endsWith(TileName.ENDING);
    int end = name.length() - TileName.ENDING.length();
    return tile ? file(name.substring(TileName.TILES.length(), end)) : null;
  }

  /** The file of a picture; null if it is not there. */
  public static @Nullable byte[] picture(@Nullable OwnPicture p, PictureFiles pictures) {
    byte[] file = p == null ? null : pictures.file(p.print());
    if (file == null || !p.seamless()) {
      return file;
    }
    return FILES
        .computeIfAbsent(p.print(), n -> Optional.of(PictureFile.seamless(file)))
        .orElse(null);
  }

  /**
   * The PNG file of a tile, by its name without what stands before and behind it.
   *
   * @return null if there is none of that name
   */
  public static @Nullable byte[] file(String name) {
    return FILES.computeIfAbsent(name, n -> Optional.ofNullable(made(n))).orElse(null);
  }

  private static @Nullable byte[] made(String name) {
    TileName.Wanted w = TileName.read(name);
    if (w == null || pattern(w.tile()) == null) {
      return null;
    }
    if (w.small()) {
      return Tile.sampleOf(pattern(w.tile())).sample(w.first(), w.second());
    }
    Tile tile = tile(w.tile());
    if (w.first() != null) {
      return tile.colours(w.first(), w.second());
    }
    return w.rough() < 0 ? tile.normals() : tile.roughness(w.rough() / 100.0, w.metal() / 100.0);
  }

  private static @Nullable Pattern pattern(TileName name) {
    Pattern p = Materials.has(name.material()) ? Materials.of(name.material()).pattern() : null;
    return p == null || name.joint() > MOST_JOINT * p.width() ? null : p;
  }

  private static Tile tile(TileName name) {
    return MADE.computeIfAbsent(name, n -> new Tile(pattern(n), n.joint()));
  }
}
