import { useEffect } from "react";
import type { Changed } from "../api/types.gen";
import { useSheet } from "./sheet";

/** Listens to what happens to a space, here and in other windows; comes back by itself when cut off. */
export function useLive(space: string | undefined) {
  useEffect(() => {
    if (!space) return;
    let socket: WebSocket | null = null;
    let over = false;
    let pause = 500;
    const connect = () => {
      socket = new WebSocket(`ws://${location.host}/api/live/${space}`);
      socket.onopen = () => (pause = 500);
      socket.onmessage = (event) => {
        const message = JSON.parse(event.data) as Partial<Changed> & { revision: number };
        const sheet = useSheet.getState();
        if (message.changed) {
          sheet.take(message as Changed);
        } else if (sheet.space && sheet.space.revision !== message.revision) {
          void sheet.refresh();
        }
      };
      socket.onclose = () => {
        if (!over) setTimeout(connect, (pause = Math.min(8000, pause * 2)));
      };
    };
    connect();
    return () => {
      over = true;
      socket?.close();
    };
  }, [space]);
}
