package pied.core.drawing;

import pied.core.Nullable;
import pied.core.edit.Blank;

/**
 * A dimension line between two points of a drawing. It stands off them to one side; where several
 * stand side by side, those of a higher level stand farther out.
 *
 * @param outX direction in which it stands off, of length 1
 * @param level 0: on the points themselves
 * @param text the measure in the chosen unit
 * @param label what it measures
 * @param blank what typing another measure makes; null if it can only be read
 */
public record Dimension(
    double x1,
    double y1,
    double x2,
    double y2,
    double outX,
    double outY,
    int level,
    String text,
    String label,
    @Nullable Blank blank) {}
