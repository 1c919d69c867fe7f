import { ImageBitmapLoader, NoColorSpace, RepeatWrapping, SRGBColorSpace, Texture } from "three";
import type { Tiled } from "../../api/types.gen";

const loader = new ImageBitmapLoader();
// rows run down, as the tiles are named
loader.setOptions({ imageOrientation: "none", premultiplyAlpha: "none" });

/** Tiles that are here or on their way, by address: each is fetched and kept once. */
const images = new Map<string, Promise<Texture>>();

function image(address: string, colour: boolean): Promise<Texture> {
  let found = images.get(address);
  if (!found) {
    found = loader.loadAsync("/api/" + address).then((bitmap) => {
      const t = new Texture(bitmap);
      t.colorSpace = colour ? SRGBColorSpace : NoColorSpace;
      t.needsUpdate = true;
      return t;
    });
    found.catch(() => images.delete(address)); // asked for again the next time
    images.set(address, found);
  }
  return found;
}

/** A tile as it lies on a part; dots are shared by all that show the same tile. */
export async function laid(address: string, tile: Tiled, colour: boolean): Promise<Texture> {
  const t = (await image(address, colour)).clone();
  const [a, b, c, d, e, f] = tile.matrix;
  t.matrixAutoUpdate = false;
  t.matrix.set(a, b, c, d, e, f, 0, 0, 1);
  t.channel = tile.along ? 1 : 0;
  t.wrapS = t.wrapT = RepeatWrapping;
  t.flipY = false;
  t.anisotropy = 2;
  t.needsUpdate = true;
  return t;
}
