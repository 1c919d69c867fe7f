import { Color, MeshPhysicalMaterial, MeshStandardMaterial, type Texture, Vector2 } from "three";
import type { Appearance } from "../../api/types.gen";
import { type Effort, isLight } from "../../store/effort";
import { arrived } from "./drawAgain";
import { plain } from "./plain";
import { laid } from "./tiles";

/** As a part looks until it is known how: card. */
const CARD = plain("#D9D0C2", "card");

/** A lampshade is not as bright as what it stands for: others must still be seen beside it. */
const GLOW = 0.6;

/** How much of what is behind it glass hides, so that it is seen itself. */
const GLASS = 0.78;

/** Lacquer and fuzz. */
const LACQUER = 0.12;
const FUZZ = 0.6;

/** With little to reflect, metal would be black. */
const DULL = 0.35;

/** So many are kept; what was used longest ago goes. */
const MOST = 600;

/** How a part is drawn besides what it looks like. */
export interface Drawn {
  effort: Effort;
  /** A picture that came with its model, in place of all else. */
  picture?: Texture | null;
  /** It is outside of the group that is opened. */
  dim?: boolean;
}

const made = new Map<string, MeshStandardMaterial>();

/** What three draws of an appearance: one for all that look the same. */
export function materialOf(appearance: Appearance = CARD, drawn: Drawn): MeshStandardMaterial {
  const key = JSON.stringify([
    { ...appearance, words: "" },
    drawn.effort,
    drawn.picture?.uuid ?? "",
    drawn.dim === true,
  ]);
  const had = made.get(key);
  if (had) {
    made.delete(key); // the one used last stands last
    made.set(key, had);
    return had;
  }
  const m = make(appearance, drawn);
  made.set(key, m);
  if (made.size > MOST) {
    const [oldest, gone] = made.entries().next().value!;
    made.delete(oldest);
    gone.dispose();
  }
  return m;
}

function make(look: Appearance, { effort, picture, dim }: Drawn): MeshStandardMaterial {
  const rich = effort === "full";
  const layered = rich && (look.clearCoat > 0 || look.sheen > 0);
  const m = layered ? new MeshPhysicalMaterial() : new MeshStandardMaterial();
  const clear = Math.max(look.transparency, look.transmission * GLASS);
  m.color.set(picture ? "#FFFFFF" : look.colour);
  m.map = picture ?? null;
  m.roughness = look.roughness;
  m.metalness = isLight(effort) ? look.metal * DULL : look.metal;
  m.emissive.set(look.colour);
  m.emissiveIntensity = look.emission * GLOW;
  m.opacity = (1 - clear) * (dim ? 0.25 : 1);
  m.transparent = m.opacity < 1;
  m.depthWrite = !m.transparent || look.transmission === 0;
  if (m instanceof MeshPhysicalMaterial) {
    m.clearcoat = look.clearCoat;
    m.clearcoatRoughness = LACQUER;
    m.sheen = look.sheen;
    m.sheenRoughness = FUZZ;
    m.sheenColor = new Color(look.colour);
  }
  if (!picture && look.tile) void dress(m, look, effort);
  return m;
}

/** Puts its tiles on it as soon as they are here. */
async function dress(m: MeshStandardMaterial, look: Appearance, effort: Effort) {
  const tile = look.tile!;
  const uneven = !isLight(effort);
  try {
    const [map, normals, rough] = await Promise.all([
      laid(tile.colours, tile, true),
      uneven && tile.normals ? laid(tile.normals, tile, false) : null,
      uneven && tile.roughness ? laid(tile.roughness, tile, false) : null,
    ]);
    m.map = map;
    m.color.set("#FFFFFF");
    m.normalMap = normals;
    m.normalScale = new Vector2(1, -1); // down on the part is down in the tile
    if (rough) {
      m.roughnessMap = rough;
      m.roughness = 1;
    }
    if (look.emission > 0) {
      m.emissive.set("#FFFFFF");
      m.emissiveMap = map;
    }
    if (tile.holes) m.alphaTest = 0.5;
    m.needsUpdate = true;
    arrived();
  } catch {
    // without its tile it has its colour
  }
}
