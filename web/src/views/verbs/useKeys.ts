import { useEffect } from "react";
import { createKeybindingsHandler, type KeyBindingMap } from "tinykeys";
import { typeInHand } from "../../tools/carry/carry";
import { typeInDraft } from "../../tools/draft/draft";
import { typeInCaption } from "../../tools/typing/typing";
import { beginToSay, take } from "../../tools/propose/proposal";
import { takeEarly, textOf } from "./early";
import { VERBS, verbsNow } from "../../tools/verbs/register";
import { search } from "../../tools/verbs/search";

/** Where keys are typed, or mean what they mean everywhere. */
const TAKEN =
  "input, textarea, [role=dialog], [role=menu], [role=tree], [role=listbox][id], .MuiPopover-root";

/** Each key of the register does the verb that has it now. */
function bindings(): KeyBindingMap {
  const keys = new Set(VERBS.flatMap((v) => v.keys));
  const one = (key: string) => (e: KeyboardEvent) => {
    const verb = verbsNow().find((v) => v.keys.includes(key));
    if (!verb) return;
    e.preventDefault();
    verb.does(e);
  };
  return Object.fromEntries([...keys].map((key) => [key, one(key)]));
}

/** The keys of the sheet; silent while something is being typed. */
export function useKeys() {
  useEffect(() => {
    const handle = createKeybindingsHandler(bindings());
    const press = (e: KeyboardEvent) => {
      if ((e.target as HTMLElement).closest(TAKEN)) return;
      if (typeInDraft(e) || typeInHand(e) || typeInCaption(e)) e.preventDefault();
      else handle(e);
    };
    addEventListener("keydown", press);
    const early = takeEarly();
    if (early[0] === ";") {
      const { text, enter } = textOf(early.slice(1));
      beginToSay(text);
      if (enter) void take();
    } else if (early[0] === "/") search(textOf(early.slice(1)).text);
    else
      for (const key of early)
        document.body.dispatchEvent(new KeyboardEvent("keydown", { key, bubbles: true }));
    return () => removeEventListener("keydown", press);
  }, []);
}
