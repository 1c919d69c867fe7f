import { Quaternion, Vector3 } from "three";
import type { Piece } from "../api/types.gen";

const UP = new Vector3(0, 1, 0);
const radians = (degrees: number) => (degrees * Math.PI) / 180;

/** How a piece is turned and leans, as the convention has it, for drawing its mesh. */
export function rotation(piece: Pick<Piece, "turn" | "lean">): Quaternion {
  const turned = new Quaternion().setFromAxisAngle(UP, radians(piece.turn));
  if (piece.lean.by === 0) return turned;
  const toward = radians(piece.lean.toward);
  const level = new Vector3(Math.cos(toward), 0, -Math.sin(toward));
  return turned.multiply(new Quaternion().setFromAxisAngle(level, radians(piece.lean.by)));
}
