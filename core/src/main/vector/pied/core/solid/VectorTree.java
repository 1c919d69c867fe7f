package pied.core.solid;

import java.util.Arrays;
import jdk.incubator.vector.FloatVector;
import jdk.incubator.vector.IntVector;
import jdk.incubator.vector.VectorSpecies;

/**
 * The tree over a mesh for rays where the processor asks eight boxes and four triangles at a time:
 * {@link WideTree} with eight children a node, and the triangles of a leaf side by side. The same is
 * met as by that one.
 *
 * <p>Java 17 makes an object of a vector wherever it loses track of its kind: after shifts, operations
 * with a single number, masks, and methods that are too long to be compiled as one. So there are none
 * of these; what is missed is told by signs.
 */
final class VectorTree extends RayTree {
  private static final int WIDTH = 8;
  private static final int LINKS = 6 * WIDTH;
  private static final VectorSpecies<Integer> NODE = IntVector.SPECIES_256;
  private static final VectorSpecies<Float> WIDE = FloatVector.SPECIES_256;
  private static final VectorSpecies<Float> FACE = FloatVector.SPECIES_128;

  /** Triangles of a block. */
  private static final int BLOCK = 4;

  /** Numbers of a block: a corner and two edges of each. */
  private static final int SIZE = 9 * BLOCK;

  /** Most that the shares of the three corners make up on a triangle. */
  private static final float WITHIN = 1 + 2 * WideTree.EDGE;

  private final int[] nodes;

  /** Blocks of triangles: x of their first corners side by side, then y and so on. */
  private final float[] blocks;

  /** The item that each block begins with. */
  private final int[] firsts;

  VectorTree(Mesh mesh, BoxTree boxes) {
    super(boxes);
    nodes = WideNodes.of(boxes, WIDTH);
    float[] shape = WideTree.shape(mesh, boxes.order);
    float[] all = new float[SIZE * (boxes.order.length + 1)];
    int[] begin = new int[boxes.order.length + 1];
    int n = 0;
    for (int node = 0; node < nodes.length; node += 8 * WIDTH) {
      for (int i = node + LINKS; i < node + LINKS + WIDTH; i++) {
        if (nodes[i] >= 0) {
          continue;
        }
        int from = ~nodes[i] >> 3;
        int count = ~nodes[i] & 7;
        for (int k = 0; k < count; k++) {
          for (int part = 0; part < 9; part++) {
            all[SIZE * n + BLOCK * part + k] = shape[9 * (from + k) + part];
          }
        }
        begin[n] = from;
        nodes[i] = ~n;
        n++;
      }
    }
    blocks = Arrays.copyOf(all, SIZE * n);
    firsts = Arrays.copyOf(begin, n);
  }

  @Override
  long bytes() {
    return 4L * (nodes.length + blocks.length + firsts.length);
  }

  @Override
  int nearest(
      float ox,
      float oy,
      float oz,
      float dx,
      float dy,
      float dz,
      float limit,
      WideTree.WalkStack scratch) {
    return walk(ox, oy, oz, dx, dy, dz, limit, false, scratch);
  }

  @Override
  boolean any(
      float ox,
      float oy,
      float oz,
      float dx,
      float dy,
      float dz,
      float limit,
      WideTree.WalkStack scratch) {
    return walk(ox, oy, oz, dx, dy, dz, limit, true, scratch) >= 0;
  }

  private int walk(
      float ox,
      float oy,
      float oz,
      float dx,
      float dy,
      float dz,
      float limit,
      boolean some,
      WideTree.WalkStack scratch) {
    final int[] nodes = this.nodes;
    final int[] lanes = scratch.lanes;
    long[] stack = scratch.links;
    final float ix = 1 / RayStart.steep(dx);
    final float iy = 1 / RayStart.steep(dy);
    final float iz = 1 / RayStart.steep(dz);
    // which of two bounds is met first, as an offset into a node
    final int x0 = ix >= 0 ? 0 : WIDTH;
    final int y0 = iy >= 0 ? 2 * WIDTH : 3 * WIDTH;
    final int z0 = iz >= 0 ? 4 * WIDTH : 5 * WIDTH;
    final int x1 = WIDTH - x0;
    final int y1 = 5 * WIDTH - y0;
    final int z1 = 9 * WIDTH - z0;
    int best = Float.floatToRawIntBits(limit);
    int found = -1;
    int top = 0;
    int node = 0;
    while (true) {
      if (top + WIDTH >= stack.length) {
        stack = scratch.larger();
      }
      if (node >= 0) {
        // distances are not negative: their bits have the order of the floats
        IntVector near =
            bound(nodes, node + x0, ox, ix)
                .max(bound(nodes, node + y0, oy, iy))
                .max(bound(nodes, node + z0, oz, iz))
                .max(IntVector.broadcast(NODE, 0));
        IntVector far =
            bound(nodes, node + x1, ox, ix)
                .min(bound(nodes, node + y1, oy, iy))
                .min(bound(nodes, node + z1, oz, iz))
                .min(IntVector.broadcast(NODE, best))
                .max(IntVector.broadcast(NODE, -1));
        near.intoArray(lanes, 0);
        far.sub(near).intoArray(lanes, WIDTH);
        int from = top;
        for (int i = 0; i < WIDTH; i++) {
          if (lanes[WIDTH + i] >= 0) {
            long key = (long) lanes[i] << 32 | nodes[node + LINKS + i] & 0xFFFFFFFFL;
            int at = top++;
            for (; at > from && stack[at - 1] < key; at--) {
              stack[at] = stack[at - 1];
            }
            stack[at] = key;
          }
        }
        if (top > from) {
          node = (int) stack[--top];
          continue;
        }
      } else {
        float[] faces = scratch.faces;
        faces(SIZE * ~node, ox, oy, oz, dx, dy, dz, faces);
        for (int i = 0; i < BLOCK; i++) {
          float t = faces[i] + 0f; // of two zeros the positive
          int bits = Float.floatToRawIntBits(t);
          if (faces[BLOCK + i] <= WITHIN && t >= 0 && bits < best) {
            best = bits;
            found = ~node * BLOCK + i;
          }
        }
        if (some && found >= 0) {
          return found;
        }
      }
      long next;
      do {
        if (top == 0) {
          return met(found, best, ox, oy, oz, dx, dy, dz, scratch);
        }
        next = stack[--top];
      } while ((int) (next >> 32) > best);
      node = (int) next;
    }
  }

  private static IntVector bound(int[] nodes, int at, float o, float i) {
    return IntVector.fromArray(NODE, nodes, at)
        .reinterpretAsFloats()
        .sub(FloatVector.broadcast(WIDE, o))
        .mul(FloatVector.broadcast(WIDE, i))
        .reinterpretAsInts();
  }

  /** The distances to the triangles of a block, and how far beside them it passes. */
  private void faces(
      int b, float ox, float oy, float oz, float dx, float dy, float dz, float[] faces) {
    final float[] blocks = this.blocks;
    FloatVector e1x = FloatVector.fromArray(FACE, blocks, b + 12);
    FloatVector e1y = FloatVector.fromArray(FACE, blocks, b + 16);
    FloatVector e1z = FloatVector.fromArray(FACE, blocks, b + 20);
    FloatVector e2x = FloatVector.fromArray(FACE, blocks, b + 24);
    FloatVector e2y = FloatVector.fromArray(FACE, blocks, b + 28);
    FloatVector e2z = FloatVector.fromArray(FACE, blocks, b + 32);
    FloatVector vdx = FloatVector.broadcast(FACE, dx);
    FloatVector vdy = FloatVector.broadcast(FACE, dy);
    FloatVector vdz = FloatVector.broadcast(FACE, dz);
    FloatVector one = FloatVector.broadcast(FACE, 1);
    FloatVector px = e2z.mul(vdy).sub(e2y.mul(vdz));
    FloatVector py = e2x.mul(vdz).sub(e2z.mul(vdx));
    FloatVector pz = e2y.mul(vdx).sub(e2x.mul(vdy));
    FloatVector det = e1x.mul(px).add(e1y.mul(py)).add(e1z.mul(pz));
    FloatVector inv = one.div(det);
    FloatVector tx = FloatVector.broadcast(FACE, ox).sub(FloatVector.fromArray(FACE, blocks, b));
    FloatVector ty =
        FloatVector.broadcast(FACE, oy).sub(FloatVector.fromArray(FACE, blocks, b + 4));
    FloatVector tz =
        FloatVector.broadcast(FACE, oz).sub(FloatVector.fromArray(FACE, blocks, b + 8));
    FloatVector u = tx.mul(px).add(ty.mul(py)).add(tz.mul(pz)).mul(inv);
    FloatVector qx = ty.mul(e1z).sub(tz.mul(e1y));
    FloatVector qy = tz.mul(e1x).sub(tx.mul(e1z));
    FloatVector qz = tx.mul(e1y).sub(ty.mul(e1x));
    FloatVector v = qx.mul(vdx).add(qy.mul(vdy)).add(qz.mul(vdz)).mul(inv);
    FloatVector t = e2x.mul(qx).add(e2y.mul(qy)).add(e2z.mul(qz)).mul(inv);
    t.intoArray(faces, 0);
    // the three shares of the corners make up one, and with their signs more where one is negative
    u.abs().add(v.abs()).add(one.sub(u).sub(v).abs()).intoArray(faces, BLOCK);
  }

  /** Where on the triangle it is. */
  private int met(
      int found,
      int best,
      float ox,
      float oy,
      float oz,
      float dx,
      float dy,
      float dz,
      WideTree.WalkStack scratch) {
    scratch.distance = Float.intBitsToFloat(best);
    if (found < 0) {
      return -1;
    }
    int b = SIZE * (found / BLOCK) + found % BLOCK;
    float e1x = blocks[b + 12];
    float e1y = blocks[b + 16];
    float e1z = blocks[b + 20];
    float e2x = blocks[b + 24];
    float e2y = blocks[b + 28];
    float e2z = blocks[b + 32];
    float px = dy * e2z - dz * e2y;
    float py = dz * e2x - dx * e2z;
    float pz = dx * e2y - dy * e2x;
    float inv = 1 / (e1x * px + e1y * py + e1z * pz);
    float tx = ox - blocks[b];
    float ty = oy - blocks[b + 4];
    float tz = oz - blocks[b + 8];
    scratch.u = (tx * px + ty * py + tz * pz) * inv;
    float qx = ty * e1z - tz * e1y;
    float qy = tz * e1x - tx * e1z;
    float qz = tx * e1y - ty * e1x;
    scratch.v = (dx * qx + dy * qy + dz * qz) * inv;
    return firsts[found / BLOCK] + found % BLOCK;
  }
}
