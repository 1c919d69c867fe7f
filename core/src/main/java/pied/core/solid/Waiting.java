package pied.core.solid;

/** A pair of boxes that matters from a key on. */
record Waiting(int a, int b, double key) implements Comparable<Waiting> {
  @Override
  public int compareTo(Waiting o) {
    return Double.compare(key, o.key);
  }
}
