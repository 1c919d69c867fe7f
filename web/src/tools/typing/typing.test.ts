import "../../test/page";
import { beforeEach, describe, expect, it } from "vitest";

const { arrived, beginsNumber, isWaiting, openField, typeInCaption, useTyping } = await import("./typing");
const { useSheet } = await import("../../store/sheet");

const key = (k: string, more = {}) =>
  ({ key: k, ctrlKey: false, metaKey: false, altKey: false, ...more }) as unknown as KeyboardEvent;

describe("what is typed before its field is there", () => {
  beforeEach(() => {
    useSheet.setState({ selection: ["a"], aiming: null });
    arrived("Width");
  });

  it("waits for it, every digit of it, and Enter behind it", () => {
    for (const k of "2.62") expect(typeInCaption(key(k))).toBe(true);
    expect(useTyping.getState()).toMatchObject({ label: "Width", text: "2.62", chosen: false });
    expect(isWaiting("Width")).toBe(true);
    expect(typeInCaption(key("Enter"))).toBe(true);
    expect(arrived("Width")).toBe(true);
    expect(isWaiting("Width")).toBe(false);
  });

  it("is erased and given up like any other", () => {
    for (const k of ["1", "5", "Backspace"]) typeInCaption(key(k));
    expect(useTyping.getState().text).toBe("1");
    typeInCaption(key("Escape"));
    expect(isWaiting("Width")).toBe(false);
    expect(typeInCaption(key("z"))).toBe(false);
  });

  it("is of the field that was chosen, where one was", () => {
    openField("Height", "3");
    typeInCaption(key("4"));
    expect(useTyping.getState()).toMatchObject({ label: "Height", text: "34", chosen: true });
    expect(arrived("Height")).toBe(false);
  });

  it("begins with a digit or a sign, and no key that means something else", () => {
    for (const k of ["0", "9", "+", "-", "*", "="]) expect(beginsNumber(key(k))).toBe(true);
    expect(beginsNumber(key("a"))).toBe(false);
    expect(beginsNumber(key("1", { ctrlKey: true }))).toBe(false);
  });
});
