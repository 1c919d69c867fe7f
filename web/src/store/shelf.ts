import { create } from "zustand";

const KEY = "pied.shelf";
/** So many of what was used lately stand first. */
const LATELY = 6;

interface Shelf {
  /** Ids of articles, the newest first. */
  lately: string[];
  favourites: string[];
  toggle: (article: string) => void;
}

function kept(): Pick<Shelf, "lately" | "favourites"> {
  try {
    const shelf = JSON.parse(localStorage.getItem(KEY) ?? "") as Shelf;
    return { lately: shelf.lately.map(String), favourites: shelf.favourites.map(String) };
  } catch {
    return { lately: [], favourites: [] };
  }
}

/** What this person keeps at hand: used lately, and chosen for it. */
export const useShelf = create<Shelf>((set) => ({
  ...kept(),
  toggle: (article) =>
    set((s) => ({
      favourites: s.favourites.includes(article)
        ? s.favourites.filter((a) => a !== article)
        : [...s.favourites, article],
    })),
}));

useShelf.subscribe(({ lately, favourites }) =>
  localStorage.setItem(KEY, JSON.stringify({ lately, favourites })),
);

/** An article was taken in hand. */
export function note(article: string) {
  useShelf.setState((s) => ({
    lately: [article, ...s.lately.filter((a) => a !== article)].slice(0, LATELY),
  }));
}
