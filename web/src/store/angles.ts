/** Angle of view, degrees: of one who looks at a model, and of one who stands in the space. */
export const OUTSIDE = 36;
export const INSIDE = 58;
