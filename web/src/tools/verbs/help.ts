import { create } from "zustand";

/** Whether the sheet of keys is open. */
export const useHelp = create<{ open: boolean }>(() => ({ open: false }));
