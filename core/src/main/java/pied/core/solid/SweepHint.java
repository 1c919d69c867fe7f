package pied.core.solid;

/** Two triangles that met, of a mesh that moved and of another, known by its {@link SweepKept}. */
record SweepHint(Object other, int a, int b) {}
