package pied.server.handover;

import java.util.ArrayList;
import java.util.List;

/** Sentences about what was not whole: the first of them, and how many more there are. */
final class Remarks {
  /** So many are said, none longer than so many letters. */
  private static final int MOST_SAID = 40;

  private static final int LONGEST_SAID = 400;

  private final List<String> first = new ArrayList<>();
  private int more;

  void add(String sentence) {
    if (first.size() < MOST_SAID) {
      first.add(sentence.length() > LONGEST_SAID ? sentence.substring(0, LONGEST_SAID) : sentence);
    } else {
      more++;
    }
  }

  void addAll(List<String> sentences) {
    sentences.forEach(this::add);
  }

  List<String> all() {
    List<String> all = new ArrayList<>(first);
    if (more > 0) {
      all.add("And " + more + " more of the same sort.");
    }
    return all;
  }
}
