package pied.core.solid;

import io.vavr.collection.HashMap;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.Predicate;

/**
 * A tree of boxes over bodies that is never changed: putting one in or taking one out makes the
 * nodes above it anew and shares all others, O(log n). One goes in where the surface of the boxes
 * grows least (Goldsmith and Salmon 1987). After as many as an eighth of all it is built anew by
 * {@link BoxTree}, so that it stays as good as that; spread over these, it costs O(log n) each.
 */
final class BodyTree {
  private static final int LEAST_CHANGES = 64;
  private static final int SHARE = 8;
  private static final BodyTree EMPTY = new BodyTree(null, HashMap.empty(), 0);

  private final Node root;
  private final HashMap<String, Body> bodies;
  private final int changes;

  private BodyTree(Node root, HashMap<String, Body> bodies, int changes) {
    this.root = root;
    this.bodies = bodies;
    this.changes = changes;
  }

  /** Either a body, or two more nodes. The box is min x, y, z, max x, y, z. */
  private record Node(double[] box, Node left, Node right, Body body) {
    static Node leaf(Body body) {
      return new Node(Bodies.corners(body.box()), null, null, body);
    }

    static Node over(Node left, Node right) {
      return new Node(union(left.box, right.box), left, right, null);
    }
  }

  static BodyTree of(Collection<Body> all) {
    HashMap<String, Body> bodies = HashMap.empty();
    for (Body b : all) {
      bodies = bodies.put(b.id(), b);
    }
    return all.isEmpty() ? EMPTY : new BodyTree(built(List.copyOf(all)), bodies, 0);
  }

  private static Node built(List<Body> all) {
    int n = all.size();
    float[] items = new float[6 * n];
    for (int i = 0; i < n; i++) {
      double[] b = Bodies.corners(all.get(i).box());
      for (int k = 0; k < 3; k++) {
        items[6 * i + k] = BoxTree.down(b[k]);
        items[6 * i + 3 + k] = BoxTree.up(b[3 + k]);
      }
    }
    return nodes(new BoxTree(items, n, 1), 0, all);
  }

  private static Node nodes(BoxTree tree, int i, List<Body> all) {
    if (tree.count[i] > 0) {
      return Node.leaf(all.get(tree.order[~tree.link[i]]));
    }
    return Node.over(nodes(tree, tree.link[i], all), nodes(tree, tree.link[i] + 1, all));
  }

  int size() {
    return bodies.size();
  }

  Body body(String id) {
    return bodies.getOrElse(id, null);
  }

  /** With some taken out, by id, and then others put in, in place of those of the same id. */
  BodyTree with(Collection<String> out, Collection<Body> in) {
    HashMap<String, Body> next = bodies;
    int sum = changes + out.size() + in.size();
    boolean anew = sum > Math.max(LEAST_CHANGES, bodies.size() / SHARE);
    Node top = root;
    for (String id : out) {
      Body old = next.getOrElse(id, null);
      if (old != null) {
        next = next.remove(id);
        top = anew ? top : without(top, old, Bodies.corners(old.box()));
      }
    }
    for (Body b : in) {
      Body old = next.getOrElse(b.id(), null);
      next = next.put(b.id(), b);
      if (!anew) {
        top = old == null ? top : without(top, old, Bodies.corners(old.box()));
        top = top == null ? Node.leaf(b) : with(top, Node.leaf(b));
      }
    }
    if (next.isEmpty()) {
      return EMPTY;
    }
    return anew
        ? new BodyTree(built(next.values().toJavaList()), next, 0)
        : new BodyTree(top, next, sum);
  }

  private static Node with(Node node, Node leaf) {
    double[] whole = union(node.box, leaf.box);
    if (node.body != null) {
      return new Node(whole, node, leaf, null);
    }
    double grown = area(whole) - area(node.box);
    double here = area(whole);
    double left = grown + growth(node.left, leaf);
    double right = grown + growth(node.right, leaf);
    if (here < left && here < right) {
      return new Node(whole, node, leaf, null);
    }
    return left <= right
        ? new Node(whole, with(node.left, leaf), node.right, null)
        : new Node(whole, node.left, with(node.right, leaf), null);
  }

  /** What putting a leaf into this child adds to the surface of all boxes. */
  private static double growth(Node child, Node leaf) {
    double whole = area(union(child.box, leaf.box));
    return child.body != null ? whole : whole - area(child.box);
  }

  /** The same node if the body is not in it, null if nothing is left. */
  private static Node without(Node node, Body body, double[] box) {
    if (node.body != null) {
      return node.body == body ? null : node;
    }
    if (!holds(node.box, box)) {
      return node;
    }
    Node left = without(node.left, body, box);
    if (left != node.left) {
      return left == null ? node.right : Node.over(left, node.right);
    }
    Node right = without(node.right, body, box);
    if (right != node.right) {
      return right == null ? node.left : Node.over(node.left, right);
    }
    return node;
  }

  private static boolean holds(double[] outer, double[] inner) {
    for (int k = 0; k < 3; k++) {
      if (outer[k] > inner[k] || outer[k + 3] < inner[k + 3]) {
        return false;
      }
    }
    return true;
  }

  private static double[] union(double[] a, double[] b) {
    double[] u = new double[6];
    for (int k = 0; k < 3; k++) {
      u[k] = Math.min(a[k], b[k]);
      u[k + 3] = Math.max(a[k + 3], b[k + 3]);
    }
    return u;
  }

  private static double area(double[] b) {
    double x = b[3] - b[0];
    double y = b[4] - b[1];
    double z = b[5] - b[2];
    return x * y + y * z + z * x;
  }

  /**
   * Goes through all bodies in nodes that are opened, in no order.
   *
   * @param opens asked for the box of each node, right before its body if it has one
   */
  void visit(Predicate<double[]> opens, Consumer<Body> at) {
    if (root == null) {
      return;
    }
    Node[] stack = new Node[64];
    stack[0] = root;
    int top = 1;
    while (top > 0) {
      Node node = stack[--top];
      if (!opens.test(node.box)) {
        continue;
      }
      if (node.body != null) {
        at.accept(node.body);
        continue;
      }
      if (top + 2 > stack.length) {
        stack = Arrays.copyOf(stack, 2 * stack.length);
      }
      stack[top++] = node.left;
      stack[top++] = node.right;
    }
  }
}
