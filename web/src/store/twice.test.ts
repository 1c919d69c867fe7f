import { expect, it } from "vitest";
import { twice } from "./twice";

const click = (timeStamp: number, clientX = 100, clientY = 50, shiftKey = false) =>
  twice({ timeStamp, clientX, clientY, shiftKey, ctrlKey: false, metaKey: false });

it("is a double click when it is soon and in one place; a third begins anew", () => {
  expect(click(1000)).toBe(false);
  expect(click(1200)).toBe(true);
  expect(click(1400)).toBe(false);
  expect(click(1500)).toBe(true);
});

it("is none when it is late or elsewhere", () => {
  expect(click(5000)).toBe(false);
  expect(click(5500)).toBe(false);
  expect(click(5600, 120)).toBe(false);
  expect(click(5700, 120, 52)).toBe(true);
});

it("is none when the first took one more and the second takes one alone", () => {
  expect(click(9000, 100, 50, true)).toBe(false);
  expect(click(9100)).toBe(false);
  expect(click(9200)).toBe(true);
});
