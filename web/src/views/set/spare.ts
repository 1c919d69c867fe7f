import { InstancedMesh, type Object3D, Vector3 } from "three";

/** So many triangles are drawn in a frame that may cost little. */
const MOST = 36_000;

const centre = new Vector3();

/**
 * What is drawn while one moves where a frame may cost little: what is largest as it is seen, as long as
 * there are triangles left. The rest is drawn when the picture rests.
 */
export function spare(scene: Object3D, eye: Vector3): () => void {
  const all: { mesh: InstancedMesh; triangles: number; size: number }[] = [];
  let sum = 0;
  scene.traverse((o) => {
    if (!(o instanceof InstancedMesh) || !o.visible) return;
    const { geometry, count } = o as InstancedMesh;
    if (!geometry.boundingSphere) geometry.computeBoundingSphere();
    const triangles = ((geometry.index?.count ?? geometry.attributes.position.count) / 3) * count;
    if (!o.boundingSphere) o.computeBoundingSphere();
    const away = Math.max(0.5, centre.copy(o.boundingSphere!.center).distanceTo(eye));
    all.push({ mesh: o as InstancedMesh, triangles, size: geometry.boundingSphere!.radius / away });
    sum += triangles;
  });
  if (sum <= MOST) return () => undefined;
  all.sort((a, b) => b.size - a.size);
  const left: InstancedMesh[] = [];
  let drawn = 0;
  for (const a of all) {
    drawn += a.triangles;
    if (drawn > MOST) {
      drawn -= a.triangles; // something smaller may still find room
      a.mesh.visible = false;
      left.push(a.mesh);
    }
  }
  return () => left.forEach((m) => (m.visible = true));
}
