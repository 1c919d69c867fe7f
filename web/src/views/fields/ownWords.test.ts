import { describe, expect, it } from "vitest";
import { hinted, meaning } from "./ownWords";

describe("words of Pied's own", () => {
  it("are found in a sentence, each with what it means, and nothing of it is lost", () => {
    const text = ", twin of the lead, held at 1.20 from the datum";
    const parts = hinted(text);
    expect(parts.map((p) => p.text).join("")).toBe(text);
    expect(parts.filter((p) => p.means).map((p) => p.text)).toEqual([
      "twin",
      "the lead",
      "held",
      "the datum",
    ]);
  });

  it("are whole words", () => {
    expect(hinted("a leading settlement").every((p) => p.means === null)).toBe(true);
    expect(hinted("")).toEqual([]);
  });

  it("mean one sentence", () => {
    for (const word of ["3 snags", "keep by no rule", "settle", "kept across"])
      expect(meaning(word), word).toMatch(/^[A-Z][^.]*\.$/);
    expect(meaning("0.60 wide")).toBeNull();
  });
});
