import LinearProgress from "@mui/material/LinearProgress";
import { lazy, Suspense, useEffect, useState } from "react";
import { Start } from "../views/start/Start";
import { abandon } from "../tools/draft/draft";
import { useSheet } from "../store/sheet";
import { waitForSheet } from "../views/verbs/early";

// the first page does not fetch what only a space needs
const SheetPage = lazy(async () => ({ default: (await import("./SheetPage")).SheetPage }));
const ContactSheet = lazy(async () => ({
  default: (await import("../views/catalog/ContactSheet")).ContactSheet,
}));

const ARTICLES = "articles";

/** The address after # names the space that is open, or the sheet of all articles. */
function useAddress(): string | null {
  const read = () =>
    location.hash === "#/articles" ? ARTICLES : (location.hash.match(/^#\/space\/([\w-]+)$/)?.[1] ?? null);
  const [id, setId] = useState(read);
  useEffect(() => {
    const changed = () => setId(read());
    addEventListener("hashchange", changed);
    return () => removeEventListener("hashchange", changed);
  }, []);
  return id;
}

export function App() {
  const id = useAddress();
  const space = useSheet((s) => s.space);
  const [failed, setFailed] = useState<string | null>(null);
  useEffect(() => {
    setFailed(null);
    abandon();
    useSheet.getState().close();
    if (id && id !== ARTICLES) {
      waitForSheet();
      useSheet
        .getState()
        .open(id)
        .catch((e: Error) => setFailed(e.message));
    }
  }, [id]);
  if (id === ARTICLES || (id && space)) {
    return (
      <Suspense fallback={<LinearProgress color="secondary" />}>
        {id === ARTICLES ? <ContactSheet /> : <SheetPage />}
      </Suspense>
    );
  }
  return <Start failed={failed} loading={id !== null && !failed} />;
}
