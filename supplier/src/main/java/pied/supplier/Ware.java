package pied.supplier;

import pied.core.size.Size;

/**
 * One thing the supplier has.
 *
 * @param kind branches from the general to the particular, with slashes
 * @param mounting stands, tops (stands, also on tops), wall or hangs
 * @param weight kg
 * @param price in whole crowns
 * @param bytes length of its model file
 * @param sha256 of its model file, hexadecimal
 */
record Ware(
    String id,
    String name,
    String kind,
    Size size,
    String mounting,
    double weight,
    int price,
    long bytes,
    String sha256) {}
