package pied.core.paper;

/** Pens of a drawing office: widths as in ISO 128-20, and dashes. */
public enum Pen {
  /** What is cut through. */
  CUT(0.5, "#000000"),
  /** Outlines one sees. */
  OUTLINE(0.35, "#000000"),
  /** Edges one sees. */
  EDGE(0.18, "#000000"),
  /** Edges within the outline of a piece. */
  DETAIL(0.09, "#000000"),
  /** Pieces in elevations. */
  PIECE(0.13, "#000000"),
  /** Joints of what a wall is covered with. */
  HATCH(0.09, "#6B645C"),
  /** What hardly matters. */
  THIN(0.13, "#6B645C"),
  /** What is hidden behind something else. */
  HIDDEN(0.18, "#000000", 1.5, 1),
  /** What is above the cut. */
  OVERHEAD(0.25, "#000000", 4, 1.5),
  /** Centre lines. */
  CENTRE(0.18, "#000000", 8, 1.5, 1, 1.5),
  /** Dimension lines and leaders. */
  DIMENSION(0.13, "#000000"),
  /** The frame of the sheet. */
  FRAME(0.7, "#000000");

  private final double width;
  private final String colour;
  private final double[] dash;

  Pen(double width, String colour, double... dash) {
    this.width = width;
    this.colour = colour;
    this.dash = dash;
  }

  /** Millimetres. */
  public double width() {
    return width;
  }

  /** #RRGGBB. */
  public String colour() {
    return colour;
  }

  /** Lengths of dashes and gaps, millimetres; none for a whole line. */
  public double[] dash() {
    return dash.clone();
  }
}
