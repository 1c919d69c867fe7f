import { useQuery } from "@tanstack/react-query";
import { useMemo, useState } from "react";
import { api } from "../../api/client";
import { useSheet } from "../../store/sheet";
import { arranged, steady, type Arrangement, type Line } from "./lines";

const ARRANGED = "pied.schedule";

/** What the schedule is sorted by. */
export interface Sorted {
  field: string;
  down: boolean;
}

const known = (kept: string | null): Arrangement =>
  kept === "carriers" || kept === "layers" || kept === "groups" || kept === "kinds" ? kept : "alike";

/** The lines of the schedule as they are arranged, looked for, sorted and opened. */
export function useSchedule(sorted: Sorted | null = null) {
  const space = useSheet((s) => s.space)!;
  const unit = useSheet((s) => s.unit);
  const [text, setText] = useState("");
  const [how, setHow] = useState<Arrangement>(() => known(localStorage.getItem(ARRANGED)));
  const [open, setOpen] = useState<Set<string>>(new Set());
  const [shown, setShown] = useState<string[]>([]);
  const found = useQuery({
    queryKey: ["schedule", space.id, space.revision, unit],
    queryFn: () => api.schedule(space.id, unit),
    placeholderData: (before) => before,
  });
  const all = found.data?.rows;
  const rows = useMemo(() => {
    const held = steady(all ?? [], shown);
    return sorted ? bySort(held, sorted) : held;
  }, [all, shown, sorted]);
  // what was shown once stays in its order
  if (all && shown.length === 0 && all.length > 0) setShown(all.map((r) => r.id));
  const words = text.toLowerCase().trim();
  const lines = useMemo((): Line[] => {
    if (!words) return arranged(how, rows, open, space.filing);
    // what is looked for is shown piece by piece
    const hits = rows.filter((r) =>
      [r.name, r.kind, r.articleName, r.remark, r.supplier].join(" ").toLowerCase().includes(words),
    );
    return arranged(
      "carriers",
      hits.map((r) => ({ ...r, on: "" })),
      open,
      space.filing,
    );
  }, [rows, words, how, open, space.filing]);
  const turnOver = (id: string) =>
    setOpen((was) => {
      const now = new Set(was);
      if (!now.delete(id)) now.add(id);
      return now;
    });
  const arrange = (next: Arrangement) => {
    localStorage.setItem(ARRANGED, next);
    setHow(next);
    setOpen(new Set());
    setShown(all?.map((r) => r.id) ?? []);
  };
  return { text, setText, how, arrange, rows, lines, turnOver, ready: found.isSuccess };
}

function bySort(rows: Parameters<typeof steady>[0], { field, down }: Sorted) {
  const of = KEYS[field];
  if (!of) return rows;
  const sign = down ? -1 : 1;
  return [...rows].sort((a, b) => {
    const [x, y] = [of(a), of(b)];
    return typeof x === "number" && typeof y === "number"
      ? sign * (x - y)
      : sign * String(x).localeCompare(String(y), "en", { numeric: true });
  });
}

type Row = Parameters<typeof steady>[0][number];

const KEYS: Record<string, (r: Row) => number | string> = {
  words: (r) => r.name,
  article: (r) => r.articleName,
  size: (r) => r.measures.width * r.measures.depth * r.measures.height,
  place: (r) => r.from.x,
  facing: (r) => r.turn,
  finish: (r) => r.finish,
  layer: (r) => r.layer,
  weight: (r) => r.weight,
  cost: (r) => r.cost,
  supplier: (r) => r.supplier,
  remark: (r) => r.remark,
};
