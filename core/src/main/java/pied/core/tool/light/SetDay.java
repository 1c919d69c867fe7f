package pied.core.tool.light;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.DateTimeException;
import java.time.LocalDate;
import pied.core.Nullable;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.light.Sky;
import pied.core.show.Day;
import pied.core.units.Refusal;

/**
 * Sets the day: where the space stands on the earth, the date and the hour, the sky. What is not
 * said stays.
 *
 * @param latitude degrees, north is positive
 * @param longitude degrees, east is positive
 * @param zone hours by which the clocks there are before UTC
 * @param date ISO 8601, such as 2026-03-21
 * @param hour by those clocks: a text such as "8:30" or "17"
 */
@JsonTypeName("day")
@RecordBuilder
public record SetDay(
    @Nullable Double latitude,
    @Nullable Double longitude,
    @Nullable Double zone,
    @Nullable String date,
    @Nullable String hour,
    @Nullable Sky sky)
    implements Edit {
  @Override
  public void make(EditSession session) {
    session.show(session.space().showing().with(of(session.space().showing().day())));
  }

  /** The day meant, given the one there is. */
  public Day of(Day was) {
    return new Day(
        latitude == null ? was.latitude() : latitude,
        longitude == null ? was.longitude() : longitude,
        zone == null ? was.zone() : zone,
        date == null ? was.date() : date(date),
        hour == null ? was.hour() : hour(hour),
        sky == null ? was.sky() : sky);
  }

  private static LocalDate date(String text) {
    try {
      return LocalDate.parse(text);
    } catch (DateTimeException e) {
      throw new Refusal("A date is written as year, month and day, such as 2026-03-21.");
    }
  }

  /** An hour as clocks show it. */
  static double hour(String text) {
    String[] parts = text.strip().split("[:.]");
    try {
      int hours = Integer.parseInt(parts[0].strip());
      int minutes = parts.length < 2 ? 0 : Integer.parseInt(parts[1].strip());
      if (parts.length > 2 || minutes < 0 || minutes > 59 || hours < 0 || hours > 24) {
        throw new NumberFormatException();
      }
      return hours + minutes / 60.0;
    } catch (NumberFormatException e) {
      throw new Refusal("An hour is written as clocks show it, such as 8:30 or 17.");
    }
  }
}
