import Menu from "@mui/material/Menu";
import MenuItem from "@mui/material/MenuItem";
import type { ArticleCard } from "../../api/types.gen";
import { useShelf } from "../../store/shelf";
import { useSheet } from "../../store/sheet";
import { exchangeFor } from "../../tools/exchange/exchange";

/** What can be done with an article of the catalog. */
export function CardMenu(props: {
  article: ArticleCard;
  anchor: HTMLElement;
  onLook: () => void;
  onClose: () => void;
}) {
  const { article } = props;
  const selected = useSheet((s) => s.selection.length);
  const atHand = useShelf((s) => s.favourites.includes(article.id));
  const verbs: [string, () => void][] = [
    ["Place", () => useSheet.getState().place({ article, turn: 0 })],
    ["Look at it closely", props.onLook],
    [atHand ? "Off the shelf at hand" : "Keep at hand", () => useShelf.getState().toggle(article.id)],
  ];
  if (selected > 0) {
    const words =
      selected === 1
        ? "Put it in the place of what is selected"
        : `Put it in the place of the ${selected} selected`;
    verbs.splice(1, 0, [words, () => exchangeFor(article)]);
  }
  return (
    <Menu
      open
      anchorEl={props.anchor}
      onClose={props.onClose}
      onClick={(e) => e.stopPropagation()}
      onPointerDown={(e) => e.stopPropagation()}
      onKeyDown={(e) => e.stopPropagation()}
      slotProps={{ list: { dense: true, "aria-label": article.name } }}
    >
      {verbs.map(([words, does]) => (
        <MenuItem
          key={words}
          onClick={() => {
            props.onClose();
            does();
          }}
          sx={{ fontSize: 13, minHeight: 26, py: 0.25 }}
        >
          {words}
        </MenuItem>
      ))}
    </Menu>
  );
}
