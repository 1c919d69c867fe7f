import { useEffect } from "react";
import type { CarryAnswer, CarryQuestion, MessageUnion as Message } from "../api/types.gen";
import { useSheet } from "./sheet";
import { WINDOW } from "../api/who";

/** Why a line is closed that need not be tried again. */
const NO_SUCH_SPACE = 1008;

let socket: WebSocket | null = null;
let answered: (message: CarryAnswer) => void = () => {};
let opened: () => void = () => {};

/** Sends what is asked while carrying; false if the line is down. */
export function send(message: CarryQuestion | { ask: 0 }): boolean {
  if (socket?.readyState !== WebSocket.OPEN) return false;
  socket.send(JSON.stringify(message));
  return true;
}

export function onAnswer(how: (message: CarryAnswer) => void) {
  answered = how;
}

export function onOpen(how: () => void) {
  opened = how;
}

function take(message: Message) {
  const sheet = useSheet.getState();
  switch (message.is) {
    case "present":
      if (sheet.space && sheet.space.revision !== message.revision) void sheet.refresh();
      break;
    case "done":
      return sheet.take(message.changed);
    case "answer":
      return answered(message);
    case "carried":
      return sheet.seeCarried(message);
    case "aside":
      return sheet.putAside(message.aside ?? null);
  }
}

/** Listens to what happens to a space, here and in other windows; comes back by itself when cut off. */
export function useLive(space: string | undefined) {
  useEffect(() => {
    if (!space) return;
    let over = false;
    let pause = 500;
    let own: WebSocket;
    const connect = () => {
      own = new WebSocket(`ws://${location.host}/api/live/${space}?window=${WINDOW}`);
      socket = own;
      own.onopen = () => {
        pause = 500;
        opened();
      };
      own.onmessage = (event) => take(JSON.parse(event.data as string) as Message);
      own.onclose = (e) => {
        useSheet.getState().forgetCarried();
        if (!over && e.code !== NO_SUCH_SPACE) setTimeout(connect, (pause = Math.min(8000, pause * 2)));
      };
    };
    connect();
    return () => {
      over = true;
      own.close();
    };
  }, [space]);
}
