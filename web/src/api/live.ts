import { useEffect } from "react";
import type { Carried, CarryAnswer, CarryQuestion, Changed, PutAside } from "./types.gen";
import { useSheet } from "../space/sheet";
import { WINDOW } from "./who";

type Message = { revision: number } | Changed | CarryAnswer | Carried | PutAside;

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
  if ("answer" in message) answered(message);
  else if ("aside" in message) sheet.putAside(message.aside ?? null);
  else if ("carrier" in message) sheet.seeCarried(message);
  else if ("changed" in message) sheet.take(message);
  else if (sheet.space && "revision" in message && sheet.space.revision !== message.revision)
    void sheet.refresh();
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
