package pied.core.solid;

/** What a body is known by. Two names are the same if their texts are. */
public interface Named {
  String text();

  /** A name that is nothing but its text: of a piece, its id. */
  record Plain(String text) implements Named {}
}
