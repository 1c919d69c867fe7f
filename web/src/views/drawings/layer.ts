import type { CSSProperties } from "react";

/** Something over a drawing that changes often: a layer of its own, so that what is beneath is not painted anew. */
export const LAYER: CSSProperties = {
  position: "absolute",
  inset: 0,
  width: "100%",
  height: "100%",
  pointerEvents: "none",
  willChange: "transform",
};
