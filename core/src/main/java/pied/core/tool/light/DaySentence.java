package pied.core.tool.light;

import java.time.LocalDate;
import java.time.Month;
import java.time.format.TextStyle;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.light.Sky;
import pied.core.phrase.Writer;
import pied.core.say.Clause;
import pied.core.say.Nouns;
import pied.core.say.Reading;
import pied.core.say.Sentence;
import pied.core.show.Day;

/** "Evening", "at 8:30 on 21 March", "overcast", "a clear morning". */
final class DaySentence implements Sentence<SetDay> {
  /** Hours as people speak of them. */
  private static final Map<String, String> HOURS =
      Map.of(
          "dawn|daybreak", "6:00",
          "morning", "9:00",
          "noon|midday", "12:00",
          "afternoon", "15:30",
          "evening", "19:00",
          "dusk", "20:00",
          "night|midnight", "23:30");

  private static final Map<String, Sky> SKIES =
      Map.of(
          "clear|sunny", Sky.clear,
          "hazy|haze", Sky.hazy,
          "overcast|cloudy|under cloud", Sky.overcast);

  @Override
  public Class<SetDay> of() {
    return SetDay.class;
  }

  @Override
  public @Nullable List<Edit> read(Reading r, Nouns n) {
    int before = r.at();
    r.quietly("in the|a|an|the");
    SetDay e = SetDayBuilder.builder().build();
    SetDay now = clause(r, n, e);
    if (now == null
        || !r.done() && !r.ahead("on|at|clear|sunny|hazy|overcast|cloudy|,|.|and|then|" + ALL)) {
      r.back(before);
      return null;
    }
    return List.of(Clause.all(r, n, now, List.of(DaySentence::clause)));
  }

  private static final String ALL = String.join("|", HOURS.keySet());

  private static @Nullable SetDay clause(Reading r, Nouns n, SetDay e) {
    for (Map.Entry<String, String> h : HOURS.entrySet()) {
      if (r.is(h.getKey())) {
        return with(e, e.date(), h.getValue(), e.sky());
      }
    }
    for (Map.Entry<String, Sky> s : SKIES.entrySet()) {
      if (r.is(s.getKey())) {
        return with(e, e.date(), e.hour(), s.getValue());
      }
    }
    boolean at = r.quietly("at");
    if (!at) {
      r.quietly("on");
    }
    LocalDate was = n.space().showing().day().date();
    for (Reading.Span span : r.spans(3)) {
      String date = date(span.text(), was);
      if (date != null) {
        r.take(span);
        return with(e, date, e.hour(), e.sky());
      }
    }
    String hour = hour(r, at);
    return hour == null ? null : with(e, e.date(), hour, e.sky());
  }

  private static SetDay with(
      SetDay e, @Nullable String date, @Nullable String hour, @Nullable Sky sky) {
    return SetDayBuilder.builder(e).date(date).hour(hour).sky(sky).build();
  }

  /** "21 March" of the year that there is, or "21 March 2027"; null for no date. */
  private static @Nullable String date(String text, LocalDate was) {
    String[] words = text.strip().split("\\s+");
    if (words.length < 2 || words.length > 3 || !words[0].matches("\\d{1,2}(st|nd|rd|th)?")) {
      return null;
    }
    int day = Integer.parseInt(words[0].replaceAll("\\D", ""));
    for (Month m : Month.values()) {
      String name = m.getDisplayName(TextStyle.FULL, Locale.ENGLISH);
      boolean named =
          words[1].length() >= 3
              && name.toLowerCase(Locale.ROOT).startsWith(words[1].toLowerCase(Locale.ROOT));
      boolean year = words.length == 2 || words[2].matches("\\d{4}");
      if (named && year && day >= 1 && day <= m.maxLength()) {
        int y = words.length == 3 ? Integer.parseInt(words[2]) : was.getYear();
        return LocalDate.of(y, m, Math.min(day, m.length(java.time.Year.isLeap(y)))).toString();
      }
    }
    return null;
  }

  /** "8:30", "8 o'clock", or after "at" a bare number; null for no hour. */
  private static @Nullable String hour(Reading r, boolean at) {
    Amount hours = r.whole("8:30");
    if (hours == null) {
      return null;
    }
    String text = hours.whole(0) + "";
    if (r.quietly(":")) {
      Amount minutes = r.whole("30");
      return minutes == null ? null : text + ":" + minutes.whole(0);
    }
    return r.quietly("o'clock") || at ? text : null;
  }

  @Override
  public void write(Writer w, SetDay e) {
    Day now = e.of(w.space.showing().day());
    if (e.sky() != null) {
      w.text(Character.toUpperCase(e.sky().name().charAt(0)) + e.sky().name().substring(1));
      w.text(e.hour() != null || e.date() != null ? ", " : ". ");
    }
    if (e.hour() != null) {
      w.text(e.sky() == null ? "At " : "at ");
      w.field(Day.clock(now.hour()), "Hour", "hour", e);
      w.text(e.date() == null ? ". " : " ");
    }
    if (e.date() != null) {
      w.text(e.hour() == null && e.sky() == null ? "On " : "on ");
      String month = now.date().getMonth().getDisplayName(TextStyle.FULL, Locale.ENGLISH);
      w.text(now.date().getDayOfMonth() + " " + month + " " + now.date().getYear() + ". ");
    }
  }
}
