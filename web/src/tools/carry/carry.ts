import { create } from "zustand";
import type {
  CarryResult,
  CarryAnswer,
  CarryAsk,
  CarryKeep,
  CarryMeet,
  ReachView,
  Side,
  Vec,
} from "../../api/types.gen";
import { stepOf } from "./facing";
import { send, onAnswer, onOpen } from "../../store/live";
import { note } from "../../store/shelf";
import { lastPointer, type Pointer } from "../../store/lastPoint";
import { moved } from "../../store/learned";
import { useSheet } from "../../store/sheet";

/** What is in the hand: pieces of the space, the lead last; or a new piece of an article. */
export interface InHand {
  pieces: string[];
  article: string | null;
  picked: Vec | null;
  /** Where the pointer was when it was picked up by a key: it moves by what that moves. */
  since: CarryAsk["since"] | null;
  copy: boolean;
  /** By how much it was turned by hand; null as long as a new piece may turn to the wall it comes near. */
  turn: number | null;
  keep: CarryKeep | null;
  against: Side | null;
  each: boolean;
  /** Whether it goes onto whatever carries, and not only where it stands by habit. */
  tops: boolean;
  meet: CarryMeet | null;
  down: number;
}

interface CarryState {
  hand: InHand | null;
  pointer: Pointer | null;
  /** Whether it goes through things, as long as the key is held. */
  free: boolean;
  answer: CarryResult | null;
  /** A number being typed, and what was typed before. */
  typing: string;
  /** Whether the next digit begins another number in place of it; it stands as selected then. */
  anew: boolean;
  typed: CarryAsk["typed"] | null;
  /** The measure a number goes to. */
  focus: string;
  /** Whether anything holds at all. */
  snaps: boolean;
}

const SNAPS = "pied.snaps";

const REST = {
  hand: null,
  pointer: null,
  free: false,
  answer: null,
  typing: "",
  anew: false,
  typed: null,
  focus: "moved",
};

export const useCarry = create<CarryState>(() => ({
  ...REST,
  snaps: localStorage.getItem(SNAPS) !== "off",
}));

// ---- the conversation: one question is on its way at a time, and the newest pointer wins

let number = 0;
let asked = 0;
let wanted = false;

/** The question as it stands now, or null without a pointer. */
function question(): CarryAsk | null {
  const { hand, pointer, free, typed, snaps } = useCarry.getState();
  if (!hand || !pointer) return null;
  const { near, ...where } = pointer;
  return {
    level: false,
    ...where,
    pieces: hand.article ? undefined : hand.pieces,
    article: hand.article ?? undefined,
    copy: hand.copy,
    picked: hand.picked ?? undefined,
    since: hand.since ?? undefined,
    down: hand.down,
    near: snaps && !free ? near : 0,
    free,
    each: hand.each,
    tops: hand.tops,
    meet: hand.meet ?? undefined,
    against: hand.against ?? undefined,
    keep: hand.keep ?? undefined,
    turn: hand.turn ?? undefined,
    typed: typed ?? undefined,
  };
}

function ask() {
  wanted = true;
  if (asked === 0) next();
}

function next() {
  wanted = false;
  const carry = question();
  if (!carry) return;
  asked = ++number;
  if (!send({ ask: asked, unit: useSheet.getState().unit, carry })) asked = 0;
}

onOpen(() => {
  asked = 0; // what was on its way is lost
  if (useCarry.getState().hand) ask();
});

onAnswer((message: CarryAnswer) => {
  if (message.answer !== asked) return;
  asked = 0;
  if (message.refused && message.offers.length > 0) {
    // it cannot be carried as it is
    dropCarry();
    useSheet.getState().say(message.refused, "refused", message.offers);
  } else if (useCarry.getState().hand) {
    const answer = message.carry ?? null;
    useCarry.setState({ answer });
    const why = message.refused || answer?.refused || "";
    const text = { kind: "text" as const, text: why };
    useSheet.getState().show(answer?.pieces ?? [], {
      reach: answer ? reaches(answer) : [],
      caption: why ? [text] : [],
      refused: why !== "",
    });
  }
  if (wanted) next();
});

/** A gap that is less has no room for its number on a drawing, metres; the caption has it. */
const TIGHT = 0.03;
/** The measure that is an angle. */
const TURN = "turn";
const SIDES = ["left", "right", "front", "back"];

/** The distances as the drawings show them. */
function reaches(answer: CarryResult): ReachView[] {
  return answer.measures
    .filter((m) => SIDES.includes(m.slot) && m.from && m.to && Math.abs(m.value) > TIGHT)
    .map((m) => ({
      side: m.slot as Side,
      distance: m.value,
      text: m.text,
      to: "",
      toName: m.words,
      fromPoint: m.from!,
      toPoint: m.to!,
    }));
}

// ---- what one does

/** By how much it is turned: by hand, or as it has turned by itself. */
const facing = (hand: InHand) => hand.turn ?? useCarry.getState().answer?.pieces.at(-1)?.turn ?? 0;

function begin(hand: Partial<InHand>) {
  useCarry.setState({
    ...REST,
    focus: hand.article ? "left" : "moved",
    hand: {
      pieces: [],
      article: null,
      picked: null,
      since: null,
      copy: false,
      turn: hand.article ? null : 0,
      keep: null,
      against: null,
      each: false,
      tops: false,
      meet: null,
      down: 0,
      ...hand,
    },
  });
}

/** Picks up what is selected, the lead by the mark nearest to a point of the space. */
export function pickUp(picked: Vec | null, copy = false) {
  const { selection, parts, say } = useSheet.getState();
  if (parts.length > 0) {
    const how = "press on it and move, use the arrow keys, or type where it shall be";
    say(`What is built in is not carried: ${how}.`, "refused");
    return;
  }
  if (selection.length === 0) return;
  const there = picked ? null : lastPointer();
  begin({ pieces: selection, picked, since: there && sinceOf(there), copy });
  if (picked) return;
  if (there) return pointCarry({ ...there, near: 0 }, false);
  // by the keyboard: it begins where it is, and the arrows move what the pointer would point at
  const lead = useSheet.getState().pieces.get(selection[selection.length - 1])!;
  pointCarry({ at: { x: lead.at.x, z: lead.at.z }, near: 0 }, false);
}

const sinceOf = (p: Pointer): CarryAsk["since"] =>
  "at" in p ? { at: p.at, level: false } : { ray: p.ray, level: p.level ?? false };

/** The pointer is there. */
export function pointCarry(pointer: Pointer, free: boolean) {
  const s = useCarry.getState();
  if (!s.hand) return;
  // a distance that was typed stays until it is put down or given up
  useCarry.setState(s.typed && s.typed.slot !== TURN ? { free } : { pointer, free });
  ask();
}

/** It is carried otherwise. */
export function change(hand: Partial<InHand>) {
  const s = useCarry.getState();
  if (!s.hand) return;
  useCarry.setState({ hand: { ...s.hand, ...hand } });
  ask();
}

/** Has it back where it was. */
export function dropCarry() {
  if (!useCarry.getState().hand) return;
  useCarry.setState(REST);
  send({ ask: 0 });
  useSheet.getState().show([], null);
}

/** Puts it down where the pointer is; with {@code more}, another one is in hand at once. */
export async function putDownCarry(more: boolean) {
  const { hand, typed, typing, answer } = useCarry.getState();
  if (typing && !typed) apply();
  const carry = question();
  const sheet = useSheet.getState();
  if (!hand || !carry) return;
  const placing = sheet.placing;
  useCarry.setState(REST);
  send({ ask: 0 });
  const changed = await sheet.edit([{ do: "putDown", carry }]);
  useSheet.getState().show([], null);
  if (!changed) {
    // refused: it is still in hand
    useCarry.setState({ hand, pointer: { ...carry, near: carry.near } as Pointer });
    return;
  }
  if (hand.article) {
    if (placing) note(placing.article.id);
    if (more) begin({ article: hand.article, turn: answer?.turn || hand.turn });
    else useSheet.getState().place(null);
    useSheet.getState().select(changed.made);
  } else if (hand.copy) {
    useSheet.getState().select(changed.made);
    if (more) begin({ ...hand, pieces: hand.pieces });
  } else moved();
}

// a card of the catalog, or what is put back
useSheet.subscribe((s, before) => {
  if (s.placing === before.placing) return;
  const hand = useCarry.getState().hand;
  if (!s.placing) {
    if (hand?.article) dropCarry();
  } else if (hand?.article === s.placing.article.id) {
    change({ turn: s.placing.turn || null });
  } else {
    begin({ article: s.placing.article.id, turn: s.placing.turn || null });
  }
});

/** Takes what was typed for the measure in focus. */
function apply() {
  const { typing, focus, answer } = useCarry.getState();
  const way = focus === "moved" ? answer?.way : undefined;
  useCarry.setState({ typed: typing ? { slot: focus, text: typing, way } : null });
  ask();
}

/** Which way it goes by the distance that was typed. */
export function chooseWay(way: Vec) {
  const { typed } = useCarry.getState();
  if (!typed) return;
  useCarry.setState({ typed: { ...typed, way } });
  ask();
}

/** A step by an arrow: what is pointed at moves by so much on the drawing, or that way is chosen. */
export function step(right: number, up: number) {
  const { pointer, free, answer } = useCarry.getState();
  if (!pointer) return;
  const by = stepOf(right, up);
  const toward = (v: Vec) => v.x * by.x + v.y * by.y + v.z * by.z;
  if (answer && answer.ways.length > 0) {
    chooseWay(answer.ways.reduce((a, b) => (toward(b.way) > toward(a.way) ? b : a)).way);
    return;
  }
  if ("at" in pointer) {
    pointCarry({ ...pointer, at: { x: pointer.at.x + by.x, z: pointer.at.z + by.z } }, free);
  } else {
    const { from, along } = pointer.ray;
    const there = { x: from.x + by.x, y: from.y + by.y, z: from.z + by.z };
    pointCarry({ ...pointer, ray: { from: there, along } }, free);
  }
}

/** A turn that was typed stays when one goes on to something else. */
function keepTurn() {
  const { hand, typed, answer } = useCarry.getState();
  if (hand && answer && typed?.slot === TURN)
    useCarry.setState({ typed: null, hand: { ...hand, turn: answer.turn } });
}

/** Turned by so much more. */
export function turnInHand(degrees: number) {
  keepTurn();
  const { hand } = useCarry.getState();
  if (hand) change({ turn: (facing(hand) + degrees + 360) % 360 });
}

/** On to the next number, to be typed, or back to the one before. */
export function nextNumber(back = false) {
  const { answer, focus } = useCarry.getState();
  const slots = answer?.measures.map((m) => m.slot) ?? [];
  const at = slots.indexOf(focus);
  const next = back ? (at <= 0 ? slots.length - 1 : at - 1) : (at + 1) % Math.max(1, slots.length);
  chooseNumber(slots[next] ?? "moved");
}

/** The number that is to be typed. */
export function chooseNumber(slot: string) {
  if (useCarry.getState().focus === slot) return;
  keepTurn();
  useCarry.setState({ focus: slot, typing: "", anew: false });
}

/** The last digit goes. */
export function eraseDigit() {
  const { typing, anew } = useCarry.getState();
  useCarry.setState({ typing: anew ? "" : typing.slice(0, -1), anew: false });
  apply();
}

/** What was typed goes, or else what is in hand goes back. */
export function giveUpCarry() {
  const { typing, typed } = useCarry.getState();
  if (typing || typed) {
    useCarry.setState({ typing: "", anew: false, typed: null });
    ask();
  } else {
    dropCarry();
    useSheet.getState().place(null);
  }
}

/** After such a pause another number begins, in place of the one before, milliseconds. */
const PAUSE = 1500;
let pause: ReturnType<typeof setTimeout> | undefined;

/** A digit or a sign of a number; whether the key was one. */
export function typeInHand(e: KeyboardEvent): boolean {
  const s = useCarry.getState();
  if (!s.hand || e.ctrlKey || e.metaKey) return false;
  // a number does not begin with a stroke, which is for the search
  if (e.key === "/" && (!s.typing || s.anew)) return false;
  if (!/^[0-9.,+*'"=/-]$/.test(e.key) && !(s.typing && !s.anew && /^[ a-z%]$/.test(e.key))) return false;
  const begins = s.anew || (s.typed && !s.typing);
  useCarry.setState({ typing: (begins ? "" : s.typing) + e.key, anew: false });
  clearTimeout(pause);
  pause = setTimeout(() => {
    if (useCarry.getState().typing) useCarry.setState({ anew: true });
  }, PAUSE);
  apply();
  return true;
}

/** Whether things hold what is near them. */
export function toggleSnaps() {
  const snaps = !useCarry.getState().snaps;
  localStorage.setItem(SNAPS, snaps ? "on" : "off");
  useCarry.setState({ snaps });
  ask();
}
