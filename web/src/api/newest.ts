/**
 * One question is on its way at a time, and the newest of those that come meanwhile is the next: a slow
 * line never piles up. What comes for a question that was given up is not told.
 */
export class Newest<Q, A> {
  private waiting: { question: Q } | null = null;
  private epoch = 0;
  private running: Promise<void> | null = null;

  /**
   * @param told hears what came, and whether nothing newer is asked
   * @param failed hears why nothing came
   */
  constructor(
    private readonly ask: (question: Q) => Promise<A>,
    private readonly told: (answer: A, last: boolean) => void,
    private readonly failed: (why: Error, last: boolean) => void,
  ) {}

  put(question: Q) {
    this.waiting = { question };
    this.running ??= this.run();
  }

  /** Nobody wants to know any more. */
  forget() {
    this.waiting = null;
    this.epoch++;
  }

  /** Waits until what was asked last is answered. */
  async settled() {
    while (this.running) await this.running;
  }

  private async run() {
    while (this.waiting) {
      const { question } = this.waiting;
      const asked = this.epoch;
      this.waiting = null;
      try {
        const answer = await this.ask(question);
        if (asked === this.epoch) this.told(answer, this.waiting === null);
      } catch (e) {
        if (asked === this.epoch) this.failed(e as Error, this.waiting === null);
      }
    }
    this.running = null;
  }
}
