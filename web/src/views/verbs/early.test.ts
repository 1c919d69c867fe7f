import { describe, expect, it, vi } from "vitest";

const heard: ((e: unknown) => void)[] = [];
vi.stubGlobal("addEventListener", (_: string, how: (e: unknown) => void) => heard.push(how));
const { takeEarly, textOf, waitForSheet } = await import("./early");

const press = (key: string, more = {}) => heard.forEach((h) => h({ key, target: null, ...more }));

describe("keys typed before the sheet is ready", () => {
  it("wait for it, in their order, and are taken once", () => {
    press("x"); // for whom no sheet is on its way
    waitForSheet();
    for (const k of [";", "4", " ", "i", "n"]) press(k);
    press("z", { ctrlKey: true });
    expect(takeEarly()).toEqual([";", "4", " ", "i", "n"]);
    press("r");
    expect(takeEarly()).toEqual([]);
  });

  it("are a text up to Enter, with what was erased", () => {
    expect(textOf(["a", "b", "Backspace", "c", "Enter", "d"])).toEqual({ text: "ac", enter: true });
    expect(textOf(["a"])).toEqual({ text: "a", enter: false });
  });
});
