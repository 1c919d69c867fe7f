package pied.core.solid;

/** Two triangles that met, of a mesh that moved and of another. */
record SweepHint(SweepTree other, int a, int b) {}
