/** What repeats on a material, at true size: functions of the place, and the tiles made of them. */
package pied.core.material.pattern;
