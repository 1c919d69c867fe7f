import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import InputBase from "@mui/material/InputBase";
import ListItemText from "@mui/material/ListItemText";
import Menu from "@mui/material/Menu";
import MenuItem from "@mui/material/MenuItem";
import Popover from "@mui/material/Popover";
import Typography from "@mui/material/Typography";
import { useQuery } from "@tanstack/react-query";
import { useEffect, useMemo, useRef, useState } from "react";
import { api, type Filter } from "../api/client";
import type { ArticleCard, KindCount } from "../api/types.gen";
import { bringIn } from "../state/incoming";
import { note, useShelf } from "../state/shelf";
import { useSheet } from "../state/sheet";
import { Preview } from "./Preview";
import { Silhouette } from "./Silhouette";
import { Supplier } from "./Supplier";

export const SEARCH_ID = "catalog-search";

const NO_FILTER: Filter = { mounting: "", width: "", depth: "", height: "" };

/** All one can place: search, kinds, what fits, and cards drawn to one scale. */
export function Catalog() {
  const [text, setText] = useState("");
  const [kind, setKind] = useState("");
  const [filter, setFilter] = useState<Filter>(NO_FILTER);
  const unit = useSheet((s) => s.unit);
  const project = useSheet((s) => s.space!.project);
  const shelf = useShelf();
  const list = useRef<HTMLDivElement>(null);
  const page = useQuery({
    queryKey: ["catalog", text, kind, filter, unit, project],
    queryFn: () => api.catalog(text, kind, unit, project, filter),
    placeholderData: (before) => before,
  });
  const articles = useMemo(() => page.data?.articles ?? [], [page.data]);
  const plain = text === "" && kind === "" && filter === NO_FILTER;
  // what was used lately and what one likes comes first, as long as nothing in particular is asked for
  const first = useMemo(() => {
    if (!plain) return [];
    const of = new Map(articles.map((a) => [a.id, a]));
    const ids = [...new Set([...shelf.favourites, ...shelf.lately])];
    return ids.map((id) => of.get(id)).filter((a): a is ArticleCard => a !== undefined);
  }, [plain, articles, shelf]);
  const rest = useMemo(() => articles.filter((a) => !first.includes(a)), [articles, first]);
  const focusCard = (i: number) =>
    (list.current?.querySelectorAll("[role=option]")[i] as HTMLElement)?.focus();
  useEffect(() => {
    if (list.current) list.current.scrollTop = 0;
  }, [text, kind, filter]);
  return (
    <>
      <Box sx={{ px: 1.5, pb: 1 }}>
        <InputBase
          id={SEARCH_ID}
          fullWidth
          placeholder="Search ( / )"
          inputProps={{ "aria-label": "Search the catalog" }}
          value={text}
          onChange={(e) => setText(e.target.value)}
          onKeyDown={(e) => {
            if (e.key === "ArrowDown" || e.key === "Enter") {
              e.preventDefault();
              focusCard(0);
            } else if (e.key === "Escape") {
              setText("");
              e.currentTarget.querySelector("input")?.blur();
            }
          }}
          sx={{ bgcolor: "background.paper", border: 1, borderColor: "divider", px: 1, fontSize: 13 }}
        />
        <Box sx={{ display: "flex", gap: 0.75, mt: 0.75, alignItems: "center" }}>
          <Kinds kinds={page.data?.kinds ?? []} kind={kind} onChoose={setKind} />
          <Fits filter={filter} onChange={setFilter} />
          <BringIn />
        </Box>
      </Box>
      <Box
        ref={list}
        role="listbox"
        aria-label="Articles"
        sx={{
          flex: 1,
          overflowY: "auto",
          borderTop: 1,
          borderColor: "divider",
          opacity: page.isPlaceholderData ? 0.6 : 1,
        }}
      >
        {first.length > 0 && <Shelf title="At hand" />}
        {first.map((a, i) => (
          <Card key={a.id} article={a} onNext={(step) => focusCard(i + step)} />
        ))}
        {first.length > 0 && <Shelf title="All" />}
        {rest.map((a, i) => (
          <Card key={a.id} article={a} onNext={(step) => focusCard(first.length + i + step)} />
        ))}
        {page.data && page.data.found > articles.length && (
          <Typography variant="body2" color="text.secondary" sx={{ p: 2 }}>
            {page.data.found - articles.length} more: say more of what you look for.
          </Typography>
        )}
        {page.isSuccess && articles.length === 0 && (
          <Typography variant="body2" color="text.secondary" sx={{ p: 2 }}>
            Nothing in the catalog answers
            {text && ` “${text}”`}
            {kind && ` among ${kind.split("/").at(-1)}`}
            {filter !== NO_FILTER && " with these limits"}. Try a shorter or plainer word, such as “lamp” or
            “table”
            {(kind || filter !== NO_FILTER) && (
              <>
                , or{" "}
                <ButtonBase
                  onClick={() => {
                    setKind("");
                    setFilter(NO_FILTER);
                  }}
                  sx={{ font: "inherit", color: "primary.main", textDecoration: "underline" }}
                >
                  look everywhere
                </ButtonBase>
              </>
            )}
            .
          </Typography>
        )}
        {page.isError && (
          <Typography variant="body2" color="error" sx={{ p: 2 }}>
            {page.error.message}
          </Typography>
        )}
      </Box>
    </>
  );
}

function Shelf({ title }: { title: string }) {
  return (
    <Typography variant="caption" color="text.secondary" sx={{ display: "block", px: 1.5, pt: 0.75 }}>
      {title}
    </Typography>
  );
}

const small = {
  fontSize: 12,
  lineHeight: "18px",
  px: 0.75,
  border: 1,
  borderColor: "divider",
  borderRadius: 0.5,
  "&:hover, &:focus-visible": { borderColor: "primary.main" },
};

/** The tree of kinds with their counts. */
function Kinds(props: { kinds: KindCount[]; kind: string; onChoose: (kind: string) => void }) {
  const [at, setAt] = useState<HTMLElement | null>(null);
  const choose = (kind: string) => {
    setAt(null);
    props.onChoose(kind);
  };
  const all = props.kinds.filter((k) => !k.kind.includes("/")).reduce((n, k) => n + k.count, 0);
  const row = (kind: string, words: string, count: number, depth: number) => (
    <ButtonBase
      key={kind}
      role="treeitem"
      aria-level={depth + 1}
      aria-selected={props.kind === kind}
      onClick={() => choose(kind)}
      sx={{
        display: "flex",
        width: "100%",
        justifyContent: "space-between",
        gap: 2,
        pl: 1.5 + depth * 1.5,
        pr: 1.5,
        py: depth === 0 ? 0.4 : 0.1,
        fontSize: 13,
        fontWeight: depth === 0 ? 600 : 400,
        bgcolor: props.kind === kind ? "background.default" : undefined,
        "&:hover, &:focus-visible": { bgcolor: "background.default" },
      }}
    >
      <span>{words}</span>
      <Box component="span" sx={{ color: "text.secondary", fontWeight: 400 }}>
        {count}
      </Box>
    </ButtonBase>
  );
  return (
    <>
      <ButtonBase
        aria-haspopup="tree"
        aria-label={"Kind: " + (props.kind || "all")}
        onClick={(e) => setAt(e.currentTarget)}
        sx={{
          ...small,
          flex: 1,
          justifyContent: "space-between",
          minWidth: 0,
          bgcolor: props.kind ? "background.paper" : undefined,
        }}
      >
        <Box component="span" sx={{ overflow: "hidden", textOverflow: "ellipsis", whiteSpace: "nowrap" }}>
          {props.kind ? props.kind.replace("/", " · ") : `All kinds, ${all}`}
        </Box>
        <span aria-hidden>▾</span>
      </ButtonBase>
      <Popover
        open={at !== null}
        anchorEl={at}
        onClose={() => setAt(null)}
        anchorOrigin={{ vertical: "bottom", horizontal: "left" }}
      >
        <Box role="tree" aria-label="Kinds" sx={{ width: 250, maxHeight: 520, py: 0.5 }}>
          {row("", "All kinds", all, 0)}
          {props.kinds.map((k) => {
            const names = k.kind.split("/");
            return row(k.kind, names[names.length - 1], k.count, names.length - 1);
          })}
        </Box>
      </Popover>
    </>
  );
}

const MOUNTINGS = [
  ["", "any"],
  ["stands", "stands"],
  ["wall", "on a wall"],
  ["hangs", "hangs"],
  ["opening", "in an opening"],
] as const;

/** Only what is mounted so, and no larger than that; also as large as the place of what is selected. */
function Fits({ filter, onChange }: { filter: Filter; onChange: (filter: Filter) => void }) {
  const [at, setAt] = useState<HTMLElement | null>(null);
  const space = useSheet((s) => s.space)!;
  const piece = useSheet((s) => (s.selection.length > 0 ? s.selection[s.selection.length - 1] : null));
  const part = useSheet((s) => (s.part?.startsWith("opening:") ? s.part : null));
  const { say } = useSheet.getState();
  const set = Object.values(filter).filter((v) => v !== "").length;
  const here = async () => {
    try {
      const free = await api.free(space.id, piece, part);
      const length = (v: number | undefined | null) => (v == null ? "" : v.toFixed(3) + " m");
      onChange({
        ...filter,
        width: length(free.width),
        depth: length(free.depth),
        height: length(free.height),
      });
    } catch (e) {
      say((e as Error).message, "refused");
    }
  };
  return (
    <>
      <ButtonBase
        aria-haspopup="dialog"
        aria-label="What fits"
        onClick={(e) => setAt(e.currentTarget)}
        sx={{ ...small, bgcolor: set > 0 ? "background.paper" : undefined }}
      >
        {set > 0 ? `fits: ${set}` : "fits"}&nbsp;<span aria-hidden>▾</span>
      </ButtonBase>
      <Popover
        open={at !== null}
        anchorEl={at}
        onClose={() => setAt(null)}
        anchorOrigin={{ vertical: "bottom", horizontal: "left" }}
      >
        <Box role="dialog" aria-label="What fits" sx={{ p: 1.5, width: 240, fontSize: 13 }}>
          <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.5, mb: 1 }}>
            {MOUNTINGS.map(([value, words]) => (
              <ButtonBase
                key={value}
                aria-pressed={filter.mounting === value}
                onClick={() => onChange({ ...filter, mounting: value })}
                sx={{ ...small, borderColor: filter.mounting === value ? "secondary.main" : "divider" }}
              >
                {words}
              </ButtonBase>
            ))}
          </Box>
          {(["width", "depth", "height"] as const).map((name) => (
            <Box
              key={name}
              component="label"
              sx={{ display: "flex", justifyContent: "space-between", alignItems: "center", mb: 0.5 }}
            >
              {{ width: "No wider than", depth: "No deeper than", height: "No higher than" }[name]}
              <InputBase
                value={filter[name]}
                onChange={(e) => onChange({ ...filter, [name]: e.target.value })}
                sx={{
                  width: 90,
                  fontSize: 13,
                  px: 0.75,
                  border: 1,
                  borderColor: "divider",
                  "& input": { p: 0.25 },
                }}
              />
            </Box>
          ))}
          <Box sx={{ display: "flex", gap: 0.5, mt: 1, flexWrap: "wrap" }}>
            <ButtonBase
              disabled={!piece && !part}
              onClick={() => void here()}
              sx={{ ...small, opacity: piece || part ? 1 : 0.5 }}
            >
              {part ? "into the opening selected" : "the place of the piece selected"}
            </ButtonBase>
            <ButtonBase onClick={() => onChange(NO_FILTER)} sx={small}>
              no limits
            </ButtonBase>
          </Box>
        </Box>
      </Popover>
    </>
  );
}

const MOUNTING = { stands: "stands", wall: "on a wall", hangs: "hangs", opening: "in an opening" };

export function mountingWords(a: ArticleCard): string {
  return a.mounting === "stands" && a.standsOn.includes("tops") ? "stands on tops" : MOUNTING[a.mounting];
}

/** Brings in a model file made elsewhere, which one may also drop on the sheet, or from a supplier. */
function BringIn() {
  const input = useRef<HTMLInputElement>(null);
  const [at, setAt] = useState<HTMLElement | null>(null);
  const [supplier, setSupplier] = useState(false);
  const choose = (what: () => void) => () => {
    setAt(null);
    what();
  };
  return (
    <>
      <ButtonBase aria-haspopup="menu" onClick={(e) => setAt(e.currentTarget)} sx={small}>
        bring in&nbsp;<span aria-hidden>▾</span>
      </ButtonBase>
      <Menu open={at !== null} anchorEl={at} onClose={() => setAt(null)}>
        <MenuItem dense onClick={choose(() => input.current?.click())}>
          <ListItemText
            primary="a model file…"
            secondary="GLB, glTF, OBJ, STL, PLY, COLLADA or a zip; you may also drop it on the sheet"
          />
        </MenuItem>
        <MenuItem dense onClick={choose(() => setSupplier(true))}>
          <ListItemText primary="from a supplier…" secondary="sign in, look, fetch" />
        </MenuItem>
      </Menu>
      {supplier && <Supplier onClose={() => setSupplier(false)} />}
      <input
        ref={input}
        type="file"
        multiple
        hidden
        aria-label="Model files"
        accept=".glb,.gltf,.bin,.obj,.mtl,.stl,.ply,.dae,.zip"
        onChange={(e) => {
          bringIn([...(e.target.files ?? [])]);
          e.target.value = "";
        }}
      />
    </>
  );
}

/** How long the pointer rests on a card before it is looked at closely, ms. */
const REST = 700;

function Card({ article, onNext }: { article: ArticleCard; onNext: (step: number) => void }) {
  const inHand = useSheet((s) => s.placing?.article.id === article.id);
  const favourite = useShelf((s) => s.favourites.includes(article.id));
  const [near, setNear] = useState<HTMLElement | null>(null);
  const rest = useRef(0);
  const take = () => {
    clearTimeout(rest.current);
    setNear(null);
    note(article.id);
    useSheet.getState().place({ article, turn: 0 });
  };
  const start = useRef<{ x: number; y: number } | null>(null);
  const mounting = mountingWords(article);
  useEffect(() => () => clearTimeout(rest.current), []);
  return (
    <Box
      role="option"
      aria-selected={inHand}
      aria-label={`${article.name}, ${article.sizeText}, ${mounting}`}
      tabIndex={0}
      data-article={article.id}
      onKeyDown={(e) => {
        if (e.key === "Enter") {
          e.preventDefault();
          take();
        } else if (e.key === " ") {
          e.preventDefault();
          setNear(near ? null : e.currentTarget);
        } else if (e.key === "Escape" && near) {
          e.stopPropagation();
          setNear(null);
        } else if (e.key === "ArrowDown" || e.key === "ArrowUp") {
          e.preventDefault();
          e.stopPropagation();
          setNear(null);
          onNext(e.key === "ArrowDown" ? 1 : -1);
        }
      }}
      onBlur={() => setNear(null)}
      onClick={take}
      onPointerEnter={(e) => {
        const card = e.currentTarget;
        if (e.pointerType === "mouse" && e.buttons === 0 && !useSheet.getState().placing)
          rest.current = window.setTimeout(() => setNear(card), REST);
      }}
      onPointerLeave={() => {
        clearTimeout(rest.current);
        setNear(null);
      }}
      onPointerDown={(e) => {
        // dragged out of the catalog: in hand as soon as the pointer has moved a little
        clearTimeout(rest.current);
        setNear(null);
        start.current = { x: e.clientX, y: e.clientY };
        e.currentTarget.releasePointerCapture?.(e.pointerId);
      }}
      onPointerMove={(e) => {
        const s = start.current;
        if (s && e.buttons === 1 && Math.hypot(e.clientX - s.x, e.clientY - s.y) > 4) {
          start.current = null;
          take();
        }
      }}
      onDragStart={(e) => e.preventDefault()}
      sx={{
        position: "relative",
        display: "flex",
        alignItems: "center",
        gap: 0.5,
        px: 1,
        py: 0.25,
        borderBottom: 1,
        borderColor: "divider",
        cursor: "grab",
        userSelect: "none",
        touchAction: "pan-y",
        contentVisibility: "auto",
        containIntrinsicHeight: "93px",
        bgcolor: inHand ? "background.paper" : undefined,
        boxShadow: inHand ? (t) => `inset 3px 0 ${t.palette.secondary.main}` : undefined,
        "&:hover": { bgcolor: "background.paper" },
        "&:hover .star, &:focus-within .star": { opacity: 1 },
        "&:focus-visible": { outline: (t) => `2px solid ${t.palette.primary.main}`, outlineOffset: -2 },
      }}
    >
      <Silhouette article={article} />
      <Box sx={{ minWidth: 0 }}>
        <Typography variant="body2" sx={{ fontWeight: 600, lineHeight: 1.25 }}>
          {article.name}
        </Typography>
        <Typography variant="caption" sx={{ display: "block", lineHeight: 1.35, whiteSpace: "nowrap" }}>
          {article.sizeText}
        </Typography>
        <Typography variant="caption" color="text.secondary" sx={{ display: "block", lineHeight: 1.35 }}>
          {mounting}
        </Typography>
      </Box>
      <ButtonBase
        className="star"
        aria-label={(favourite ? "Off the shelf: " : "Keep at hand: ") + article.name}
        aria-pressed={favourite}
        title={favourite ? "Off the shelf at hand" : "Keep at hand"}
        onClick={(e) => {
          e.stopPropagation();
          useShelf.getState().toggle(article.id);
        }}
        onPointerDown={(e) => e.stopPropagation()}
        sx={{
          position: "absolute",
          right: 6,
          top: 4,
          width: 20,
          height: 20,
          fontSize: 12,
          opacity: favourite ? 1 : 0,
          color: favourite ? "secondary.main" : "text.secondary",
          "&:focus-visible": { opacity: 1 },
        }}
      >
        {favourite ? "●" : "○"}
      </ButtonBase>
      {near && <Preview article={article} anchor={near} />}
    </Box>
  );
}
