import { type BufferGeometry, Mesh, type MeshStandardMaterial, type Object3D, type Texture } from "three";
import { GLTFLoader } from "three/examples/jsm/loaders/GLTFLoader.js";
import { useQuery } from "@tanstack/react-query";
import { api } from "../../api/client";
import { formKey, type Form } from "../../api/forms";
import type { Size } from "../../api/types.gen";

/** One finish part of a shape. */
export interface Part {
  name: string;
  geometry: BufferGeometry;
  /** The picture on it, as long as it has the finish it came with. */
  map: Texture | null;
}

const loader = new GLTFLoader();

async function parts(url: string): Promise<{ node: string; parts: Part[] }[]> {
  const answer = await fetch(url);
  if (!answer.ok) throw new Error("The model could not be read.");
  const model = await loader.parseAsync(await answer.arrayBuffer(), "");
  return model.scene.children.map((node: Object3D) => {
    const found: Part[] = [];
    node.traverse((o) => {
      if (!(o instanceof Mesh)) return;
      const { geometry, material } = o as Mesh<BufferGeometry, MeshStandardMaterial>;
      found.push({ name: material.name, geometry, map: material.map });
    });
    return { node: (node.userData.name as string | undefined) ?? node.name, parts: found };
  });
}

/** The parts of a model at an address. */
export async function modelParts(url: string): Promise<Part[]> {
  return (await parts(url))[0].parts;
}

/** The parts of a form, and the size they were made for. */
export interface Shape {
  parts: Part[];
  size: Size;
}

/** What was fetched last of an article: stretched it stands for another size until that is there. */
const latest = new Map<string, Shape>();

const like = (form: Form, light: boolean) =>
  [form.article, form.mirrored ? "mirrored" : "", light ? "light" : "", form.lamp?.head ? "turned" : ""].join(
    " ",
  );

/** The parts of a form, fetched once. */
export async function fetchShape(form: Form, light = false): Promise<Shape> {
  const shape = { parts: await modelParts(api.meshUrl(form, light)), size: form.size };
  latest.set(like(form, light), shape);
  return shape;
}

/**
 * The parts of a form.
 *
 * @param passing whether the size is only passed through: then what there is is stretched
 * @param light whether with fewer triangles, to be drawn quickly
 */
export function useShape(form: Form, passing = false, light = false): Shape | undefined {
  const before = latest.get(like(form, light));
  return useQuery({
    queryKey: ["mesh", ...formKey(form), light],
    queryFn: () => fetchShape(form, light),
    placeholderData: (old?: Shape) => old ?? before,
    enabled: !passing || before === undefined,
  }).data;
}

/** The parts of the bare space: one node for every wall, floor, ceiling, door and window. */
export function useShell(space: string, shellAt: number) {
  return useQuery({
    queryKey: ["shell", space, shellAt],
    queryFn: () => parts(api.shellUrl(space, shellAt)),
    placeholderData: (before) => before,
  }).data;
}
