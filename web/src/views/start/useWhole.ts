import { useQueryClient } from "@tanstack/react-query";
import { api } from "../../api/client";

type What = "projects" | "spaces";

/** Something that was removed and can be brought back. */
export interface Gone {
  what: What;
  id: string;
  name: string;
}

/** What is done to a project or a space as a whole; the list is that of the moment afterwards. */
export function useWhole(onGone: (gone: Gone | null) => void, onWrong: (why: string) => void) {
  const queries = useQueryClient();
  const doing = async (how: () => Promise<unknown>): Promise<boolean> => {
    try {
      await how();
      onWrong("");
      await queries.invalidateQueries({ queryKey: ["projects"] });
      return true;
    } catch (e) {
      onWrong((e as Error).message);
      return false;
    }
  };
  return {
    rename: (what: What, id: string, name: string) => doing(() => api.rename(what, id, name)),
    copy: (what: What, id: string) => void doing(() => api.copy(what, id)),
    remove: (what: What, id: string, name: string) =>
      void doing(() => api.remove(what, id)).then((done) => done && onGone({ what, id, name })),
    restore: (gone: Gone) =>
      void doing(() => api.restore(gone.what, gone.id)).then((done) => done && onGone(null)),
  };
}
