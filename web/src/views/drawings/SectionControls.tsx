import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import Menu from "@mui/material/Menu";
import MenuItem from "@mui/material/MenuItem";
import { useState } from "react";
import { api } from "../../api/client";
import type { Elevation } from "../../api/types.gen";
import { reach } from "../fields/reach";
import { TypedField } from "../fields/TypedField";
import { useSheet } from "../../store/sheet";
import type { SectionLook } from "../../store/looking";

/** Where a section cuts and which way it looks. */
export function SectionControls({ elevation }: { elevation?: Elevation }) {
  const section = useSheet((s) => s.section);
  const [menu, setMenu] = useState<HTMLElement | null>(null);
  const { setSection, space, unit, say } = useSheet.getState();
  const cut = elevation?.cut;
  const looking = cut?.ways.find((w) => w.way === section.way)?.words ?? "";
  return (
    <Box
      sx={{
        fontSize: 12,
        color: "text.secondary",
        display: "flex",
        gap: 0.5,
        alignItems: "baseline",
        bgcolor: "background.default",
        px: 0.5,
      }}
    >
      cut at
      <TypedField
        text={cut?.at ?? "…"}
        label="Where the section cuts"
        onType={async (typed) => {
          const at = typed.trim();
          try {
            await api.elevation(space!.id, { way: section.way, at }, unit);
            setSection({ ...section, at });
            return true;
          } catch (e) {
            say((e as Error).message, "refused");
            return false;
          }
        }}
      />
      {cut?.direction}, looking
      <ButtonBase
        aria-label={"Looking: " + looking}
        aria-haspopup="menu"
        onClick={(e) => setMenu(e.currentTarget)}
        sx={{
          ...reach,
          font: "inherit",
          fontWeight: 650,
          color: "text.primary",
          borderBottom: "1.5px dotted",
          borderColor: "primary.main",
          lineHeight: 1.2,
        }}
      >
        {looking}
      </ButtonBase>
      {menu && (
        <Menu open anchorEl={menu} onClose={() => setMenu(null)}>
          {cut?.ways.map(({ way, words, same }) => (
            <MenuItem
              key={way}
              dense
              selected={way === section.way}
              onClick={() => {
                setMenu(null);
                setSection({ way: way as SectionLook["way"], at: same ? section.at : null });
              }}
            >
              {words}
            </MenuItem>
          ))}
        </Menu>
      )}
    </Box>
  );
}
