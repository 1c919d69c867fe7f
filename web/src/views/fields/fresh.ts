import { createContext } from "react";
import type { PhraseUnion as Phrase } from "../../api/types.gen";

/** The phrases of the caption as they are now; null where those shown are never out of date. */
export const Fresh = createContext<(() => Promise<Phrase[]>) | null>(null);
