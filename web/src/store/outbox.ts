import { api, Refused } from "../api/client";
import type { By, Changed, CutElsewhere, EditUnion as Edit, OfferStep } from "../api/types.gen";

/** What there may be to say of edits: the ids of what they make and what was shown of it; what is cut elsewhere. */
export interface OfEdits {
  ids?: string[];
  shown?: string;
  cut?: CutElsewhere;
}

/** Something done that the server is to keep: edits, a step through the history, or a way to a point of it. */
export type Letter = { id: string; unit: string; layer?: string; by: By } & (
  | ({ edits: Edit[]; step?: undefined; to?: undefined } & OfEdits)
  | { step: "undo" | "redo"; how?: OfferStep; edits?: undefined; to?: undefined }
  | { to: number; alone?: boolean; edits?: undefined; step?: undefined }
);

/**
 * How what was done stands. "stuck": the server cannot keep it at present and says why; it goes out by
 * itself as soon as it can.
 */
export type Saved = "saved" | "saving" | "waiting" | "stuck";

type Waiting = {
  letter: Letter;
  answer: Promise<Changed>;
  done: (changed: Changed) => void;
  failed: (e: Error) => void;
};

/** An error of the server's own is tried so often; what only waits is tried until it is through. */
const TRIES = 3;
const KEPT = "pied.outbox.";

const wait = (ms: number) => new Promise((done) => setTimeout(done, ms));

/** The server is there, but cannot keep anything, or not yet. */
const comesAgain = (e: unknown) => e instanceof Refused && (e.status === 503 || e.status === 507);

/**
 * What was done in a space and has not been acknowledged. It goes out one after the other, in order,
 * each until it is through: a letter with an id is done once however often it is sent. It survives
 * that the page is loaded anew. Nothing is said to be saved while anything waits here.
 */
export class Outbox {
  private readonly waiting: Waiting[] = [];
  private running = false;
  private over = false;

  constructor(
    private readonly space: string,
    private readonly tell: (saved: Saved, trouble: string) => void,
  ) {}

  /** What was under way when the page was left. */
  left(): Letter[] {
    try {
      return JSON.parse(sessionStorage.getItem(KEPT + this.space) ?? "[]") as Letter[];
    } catch {
      return [];
    }
  }

  /** Sends it after all that waits; the answer, or a refusal. What is on its way already goes once. */
  send(letter: Letter): Promise<Changed> {
    const same = this.waiting.find((w) => w.letter.id === letter.id);
    if (same) return same.answer;
    let done!: Waiting["done"];
    let failed!: Waiting["failed"];
    const answer = new Promise<Changed>((d, f) => {
      done = d;
      failed = f;
    });
    this.waiting.push({ letter, answer, done, failed });
    this.keep();
    if (!this.running) void this.run();
    return answer;
  }

  empty(): boolean {
    return this.waiting.length === 0;
  }

  /** The space was left; what waits is still sent. */
  close() {
    this.over = true;
  }

  private keep() {
    const letters = this.waiting.map((w) => w.letter);
    if (letters.length > 0) sessionStorage.setItem(KEPT + this.space, JSON.stringify(letters));
    else sessionStorage.removeItem(KEPT + this.space);
  }

  private say(saved: Saved, trouble = "") {
    if (!this.over) this.tell(saved, trouble);
  }

  private async run() {
    this.running = true;
    while (this.waiting.length > 0) {
      const { letter, done, failed } = this.waiting[0];
      this.say("saving");
      try {
        const changed = await this.through(letter);
        this.shift();
        done(changed);
      } catch (e) {
        this.shift();
        failed(e as Error);
      }
    }
    this.running = false;
    this.say("saved");
  }

  private shift() {
    this.waiting.shift();
    this.keep();
  }

  private async through(letter: Letter): Promise<Changed> {
    for (let pause = 300, tries = 1; ; pause = Math.min(5000, pause * 2)) {
      try {
        return await this.sent(letter);
      } catch (e) {
        if (comesAgain(e)) this.say("stuck", (e as Error).message);
        else if (!(e instanceof Refused)) this.say("waiting");
        else if (e.status < 500 || tries++ === TRIES) throw e;
        await wait(pause);
      }
    }
  }

  private sent(letter: Letter): Promise<Changed> {
    if (letter.edits) return api.edit(this.space, letter);
    const { id, by } = letter;
    if (letter.step) return api[letter.step](this.space, { id, by, how: letter.how });
    return api.go(this.space, { id, by, to: letter.to, alone: letter.alone });
  }
}
