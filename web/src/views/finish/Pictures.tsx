import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useRef } from "react";
import { api } from "../../api/client";
import type { PictureCard } from "../../api/types.gen";
import { useSheet } from "../../store/sheet";
import { bringPictures, useBringing } from "../../tools/finish/pictures";
import { TypedField } from "../fields/TypedField";
import { small } from "../fields/small";
import { Choice, Choices, Shelf } from "./Choices";

/** Pictures of one's own, to be printed on parts; how wide they are is typed. */
export function Pictures({ text }: { text: string }) {
  const project = useSheet((s) => s.space!.project);
  const unit = useSheet((s) => s.unit);
  const at = useBringing((s) => s.at);
  const client = useQueryClient();
  const input = useRef<HTMLInputElement>(null);
  const key = ["pictures", project, unit, at];
  const all = useQuery({
    queryKey: key,
    queryFn: () => api.pictures(project, unit),
    placeholderData: (before?: PictureCard[]) => before,
  }).data;
  const shown = (all ?? []).filter((p) => p.name.toLowerCase().includes(text.toLowerCase()));
  if (text !== "" && shown.length === 0) return null;

  const altered = async (how: () => Promise<unknown>) => {
    try {
      await how();
      await client.invalidateQueries({ queryKey: ["pictures", project] });
      return true;
    } catch (e) {
      useSheet.getState().say((e as Error).message, "refused");
      return false;
    }
  };
  return (
    <Shelf title="Own pictures">
      <Choices>
        {shown.map((p) => (
          <Box key={p.id} sx={{ fontSize: 12, lineHeight: "16px", minWidth: 0, overflowWrap: "anywhere" }}>
            <Choice card={p.card} name={p.name} />
            <TypedField
              text={p.wide ?? "fills it"}
              label={`Width of ${p.name}`}
              hint="How wide it truly is, such as 0.6; empty: it fills the part it is given to"
              onType={(width) => altered(() => api.pictureWidth(project, p.id, width, unit))}
            />
            {p.wide && " wide"}
            <ButtonBase
              aria-label={`Take ${p.name} off the list`}
              title="Take it off this list; parts that have it keep it"
              onClick={() => void altered(() => api.unlistPicture(project, p.id))}
              sx={{ float: "right", width: 24, height: 24, fontSize: 14, color: "text.secondary" }}
            >
              ×
            </ButtonBase>
          </Box>
        ))}
      </Choices>
      {text === "" && (
        <ButtonBase
          title="PNG or JPEG; you may also drop it on the part it is for"
          onClick={() => input.current?.click()}
          sx={{ ...small, mt: shown.length > 0 ? 1 : 0 }}
        >
          bring a picture…
        </ButtonBase>
      )}
      <input
        ref={input}
        type="file"
        multiple
        hidden
        aria-label="Picture files"
        accept=".png,.jpg,.jpeg"
        onChange={(e) => {
          void bringPictures([...(e.target.files ?? [])], null);
          e.target.value = "";
        }}
      />
    </Shelf>
  );
}
