import { describe, expect, it } from "vitest";
import { surface } from "./surface";

const GLASS = { colour: "#DDEBEE", roughness: 0.1, metal: 0, transparency: 0.55, emission: 0.8 };

describe("what three draws of a finish", () => {
  it("is what core says of it", () => {
    expect(surface(GLASS)).toMatchObject({
      color: "#DDEBEE",
      roughness: 0.1,
      metalness: 0,
      transparent: true,
    });
    expect(surface(GLASS).opacity).toBeCloseTo(0.45);
    expect(surface({ ...GLASS, transparency: 0 })).toMatchObject({ transparent: false, opacity: 1 });
  });

  it("has a picture in place of the colour", () => {
    const picture = {} as never;
    expect(surface(GLASS, picture)).toMatchObject({ color: "#FFFFFF", map: picture });
  });

  it("waits as card, and with its picture", () => {
    expect(surface()).toMatchObject({ color: "#D9D0C2", roughness: 0.8, map: null, transparent: false });
    expect(surface(undefined, {} as never).color).toBe("#FFFFFF");
  });
});
