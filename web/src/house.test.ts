import { describe, expect, it } from "vitest";

const FILES = import.meta.glob<string>(["./**/*.{ts,tsx}", "!./**/*.test.*"], {
  query: "?raw",
  import: "default",
  eager: true,
});

/** What a file takes from others, by their paths. */
function taken(file: string, text: string, all: Record<string, string>): string[] {
  const here = file.split("/").slice(0, -1);
  return [...text.matchAll(/(?:from|import) "(\.[^"]+)"/g)].flatMap(([, to]) => {
    const way = [...here];
    for (const part of to.split("/")) {
      if (part === "..") way.pop();
      else if (part !== ".") way.push(part);
    }
    const path = way.join("/");
    return [path, path + ".ts", path + ".tsx"].filter((p) => p in all).slice(0, 1);
  });
}

type Graph = Map<string, string[]>;

const filesOf = (all: Record<string, string>): Graph =>
  new Map(Object.entries(all).map(([file, text]) => [file, taken(file, text, all)]));

/** The folder a file lies in. */
const room = (file: string) => file.split("/").slice(0, -1).join("/");

/** The same of the folders, without what a folder takes from itself. */
function roomsOf(files: Graph): Graph {
  const rooms = new Map<string, Set<string>>();
  for (const [file, from] of files) {
    const own = rooms.get(room(file)) ?? new Set();
    from.map(room).forEach((r) => r !== room(file) && own.add(r));
    rooms.set(room(file), own);
  }
  return new Map([...rooms].map(([r, from]) => [r, [...from]]));
}

/** The first way from one back to itself; none in a house without circles. */
function circle(graph: Graph): string[] {
  const done = new Set<string>();
  const visit = (one: string, way: string[]): string[] => {
    if (way.includes(one)) return [...way.slice(way.indexOf(one)), one];
    if (done.has(one)) return [];
    for (const next of graph.get(one) ?? []) {
      const found = visit(next, [...way, one]);
      if (found.length > 0) return found;
    }
    done.add(one);
    return [];
  };
  for (const one of graph.keys()) {
    const found = visit(one, []);
    if (found.length > 0) return found;
  }
  return [];
}

describe("the house", () => {
  const files = filesOf(FILES);

  it("has no files that need each other, and no folders", () => {
    expect(files.size).toBeGreaterThan(100);
    expect(circle(files)).toEqual([]);
    expect(circle(roomsOf(files))).toEqual([]);
  });

  it("would find some if there were", () => {
    const planted = filesOf({
      "./a/one.ts": 'import { two } from "../b/two";',
      "./b/two.ts": "",
      "./b/three.tsx": 'import { one } from "../a/one";\nimport type { Four } from "./four";',
      "./b/four.ts": 'import { three } from "./three";',
    });
    expect(circle(planted)).toEqual(["./b/three.tsx", "./b/four.ts", "./b/three.tsx"]);
    expect(circle(roomsOf(planted))).toEqual(["./a", "./b", "./a"]);
  });
});
