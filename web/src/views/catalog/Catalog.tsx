import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import InputBase from "@mui/material/InputBase";
import ListItemText from "@mui/material/ListItemText";
import Menu from "@mui/material/Menu";
import MenuItem from "@mui/material/MenuItem";
import Typography from "@mui/material/Typography";
import { useQuery } from "@tanstack/react-query";
import { useEffect, useMemo, useRef, useState } from "react";
import { api, type Filter } from "../../api/client";
import type { ArticleCard } from "../../api/types.gen";
import { bringIn } from "../../tools/bringIn/bringIn";
import { useShelf } from "../../store/shelf";
import { useSheet } from "../../store/sheet";
import { FoundVerbs } from "../verbs/FoundVerbs";
import { useSearch, VERB_MARK } from "../../tools/verbs/search";
import { Card } from "./Card";
import { Fits, NO_FILTER } from "./Fits";
import { Kinds } from "./Kinds";
import { small } from "../fields/small";
import { Supplier } from "./Supplier";

/** All one can place: search, kinds, what fits, and cards drawn to one scale. */
export function Catalog() {
  const { text: typed, asked } = useSearch();
  const field = useRef<HTMLInputElement>(null);
  const verbs = typed.startsWith(VERB_MARK);
  const text = verbs ? "" : typed;
  const everywhere = () => {
    setKind("");
    setFilter(NO_FILTER);
  };
  /** A new search looks everywhere. */
  const setText = (next: string) => {
    if (typed === "" && !next.startsWith(VERB_MARK)) everywhere();
    useSearch.setState({ text: next });
  };
  useEffect(() => {
    if (asked === 0) return;
    field.current?.focus();
    if (!verbs) field.current?.select();
    // only when it is asked for, not at every letter
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [asked]);
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
    (list.current?.querySelectorAll("[data-article]")[i] as HTMLElement)?.focus();
  useEffect(() => {
    if (list.current) list.current.scrollTop = 0;
  }, [text, kind, filter]);
  return (
    <>
      <Box sx={{ px: 1.5, pb: 1 }}>
        <InputBase
          inputRef={field}
          fullWidth
          placeholder="Search ( / ), or ! and a verb"
          inputProps={{ "aria-label": "Search the catalog" }}
          value={typed}
          onChange={(e) => setText(e.target.value)}
          onKeyDown={(e) => {
            if (e.key === "ArrowDown" || e.key === "Enter") {
              e.preventDefault();
              if (verbs && e.key === "Enter")
                list.current?.querySelector<HTMLElement>("[role=option]:not([aria-disabled=true])")?.click();
              else focusCard(0);
            } else if (e.key === "Escape") {
              setText("");
              (e.target as HTMLElement).blur();
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
        role={verbs ? "listbox" : "list"}
        aria-label={verbs ? "Verbs" : "Articles"}
        sx={{
          flex: 1,
          overflowY: "auto",
          display: verbs ? "block" : "grid",
          gridTemplateColumns: "repeat(2, minmax(0, 1fr))",
          alignContent: "start",
          borderTop: 1,
          borderColor: "divider",
          opacity: page.isPlaceholderData ? 0.6 : 1,
        }}
      >
        {verbs && <FoundVerbs text={typed.slice(VERB_MARK.length)} onDone={() => setText("")} />}
        {!verbs && first.length > 0 && <Shelf title="At hand" />}
        {!verbs &&
          first.map((a, i) => <Card key={a.id} article={a} onNext={(step) => focusCard(i + step)} />)}
        {!verbs && first.length > 0 && <Shelf title="All" />}
        {!verbs &&
          rest.map((a, i) => (
            <Card key={a.id} article={a} onNext={(step) => focusCard(first.length + i + step)} />
          ))}
        {!verbs && page.data && page.data.found > articles.length && (
          <Typography variant="body2" color="text.secondary" sx={{ gridColumn: "1 / -1", p: 2 }}>
            {page.data.found - articles.length} more: say more of what you look for.
          </Typography>
        )}
        {!verbs && page.isSuccess && articles.length === 0 && (
          <Nothing text={text} kind={kind} limited={filter !== NO_FILTER} onEverywhere={everywhere} />
        )}
        {page.isError && (
          <Typography variant="body2" color="error" sx={{ gridColumn: "1 / -1", p: 2 }}>
            {page.error.message}
          </Typography>
        )}
      </Box>
    </>
  );
}

/** Nothing answers: what was looked for, and how to look wider. */
function Nothing({
  text,
  kind,
  limited,
  onEverywhere,
}: {
  text: string;
  kind: string;
  limited: boolean;
  onEverywhere: () => void;
}) {
  return (
    <Typography variant="body2" color="text.secondary" sx={{ gridColumn: "1 / -1", p: 2 }}>
      Nothing in the catalog answers
      {text && ` “${text}”`}
      {kind && ` among ${kind.split("/").at(-1)}`}
      {limited && " with these limits"}. Try a shorter or plainer word, such as “lamp” or “table”
      {(kind || limited) && (
        <>
          , or{" "}
          <ButtonBase
            onClick={onEverywhere}
            sx={{ font: "inherit", color: "primary.main", textDecoration: "underline" }}
          >
            look everywhere
          </ButtonBase>
        </>
      )}
      .
    </Typography>
  );
}

function Shelf({ title }: { title: string }) {
  return (
    <Typography variant="caption" color="text.secondary" sx={{ gridColumn: "1 / -1", px: 1.5, pt: 0.5 }}>
      {title}
    </Typography>
  );
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
      {at && (
        <Menu open anchorEl={at} onClose={() => setAt(null)}>
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
      )}
      {supplier && <Supplier onClose={() => setSupplier(false)} />}
      <input
        ref={input}
        type="file"
        multiple
        hidden
        aria-label="Model files"
        accept=".glb,.gltf,.bin,.obj,.mtl,.stl,.ply,.dae,.zip,.png,.jpg,.jpeg"
        onChange={(e) => {
          void bringIn([...(e.target.files ?? [])]);
          e.target.value = "";
        }}
      />
    </>
  );
}
