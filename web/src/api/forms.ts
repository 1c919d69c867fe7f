import type { Piece, Size } from "./types.gen";

/** What a shape is built from. */
export type Form = Pick<Piece, "article" | "size"> & Partial<Pick<Piece, "mirrored" | "stretched" | "lamp">>;

/** Names a form among queries. */
export const formKey = ({ article, size, mirrored = false, stretched = false, lamp }: Form) => [
  article,
  size.width,
  size.depth,
  size.height,
  mirrored,
  stretched,
  lamp?.head?.pan ?? "",
  lamp?.head?.tilt ?? "",
];

/** By how much what was drawn for one size is to be stretched to stand for another. */
export const stretch = (drawn: Size, wanted: Size): Size => ({
  width: wanted.width / drawn.width,
  depth: wanted.depth / drawn.depth,
  height: wanted.height / drawn.height,
});
