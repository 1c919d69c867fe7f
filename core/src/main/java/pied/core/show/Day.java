package pied.core.show;

import com.fasterxml.jackson.databind.DeserializationContext;
import com.fasterxml.jackson.databind.annotation.JsonDeserialize;
import com.fasterxml.jackson.databind.annotation.JsonSerialize;
import com.fasterxml.jackson.databind.deser.std.FromStringDeserializer;
import com.fasterxml.jackson.databind.ser.std.ToStringSerializer;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.LocalDate;
import pied.core.light.Sky;
import pied.core.light.Sun;
import pied.core.solid.Vec;
import pied.core.units.Refusal;

/**
 * Where the space stands on the earth, and a moment of a day there.
 *
 * @param latitude degrees, north is positive
 * @param longitude degrees, east is positive
 * @param zone hours by which the clocks there are before UTC
 * @param hour by those clocks, 0 up to 24
 */
@RecordBuilder
public record Day(
    double latitude,
    double longitude,
    double zone,
    @JsonSerialize(using = ToStringSerializer.class) @JsonDeserialize(using = DateReader.class)
        LocalDate date,
    double hour,
    Sky sky)
    implements Shown, DayBuilder.With {
  /** Where nothing else was said: the coast that Saltmarsh stands on, in the morning. */
  public static final Day PLAIN = new Day(52.3, 1.6, 0, LocalDate.of(2026, 3, 21), 10, Sky.clear);

  /** Years for which the sun's place is known well. */
  private static final int FIRST_YEAR = 1950;

  private static final int LAST_YEAR = 2050;

  public Day {
    between(latitude, -90, 90, "A latitude is between 90° south and 90° north.");
    between(longitude, -180, 180, "A longitude is between 180° west and 180° east.");
    between(zone, -12, 14, "Clocks are between 12 hours behind UTC and 14 before it.");
    between(hour, 0, 24, "An hour is between 0:00 and 24:00.");
    if (date == null || date.getYear() < FIRST_YEAR || date.getYear() > LAST_YEAR) {
      throw new Refusal(
          "A date is of a year from {} to {}.",
          Integer.toString(FIRST_YEAR),
          Integer.toString(LAST_YEAR));
    }
    sky = sky == null ? Sky.clear : sky;
  }

  /** Reads a date of ISO 8601. */
  static final class DateReader extends FromStringDeserializer<LocalDate> {
    private static final long serialVersionUID = 1;

    DateReader() {
      super(LocalDate.class);
    }

    @Override
    protected LocalDate _deserialize(String text, DeserializationContext context) {
      return LocalDate.parse(text);
    }
  }

  private static void between(double v, double least, double most, String why) {
    if (!(v >= least && v <= most)) {
      throw new Refusal(why);
    }
  }

  public Sun sun() {
    return Sun.at(latitude, longitude, date, hour - zone);
  }

  /**
   * The direction toward the sun in the space.
   *
   * @param north where north is on the plan, degrees counter-clockwise from its head
   */
  public Vec toward(double north) {
    Sun s = sun();
    double a = Math.toRadians(s.azimuth() - north); // clockwise from the head of the plan
    double up = Math.toRadians(s.altitude());
    return new Vec(Math.sin(a) * Math.cos(up), Math.sin(up), -Math.cos(a) * Math.cos(up));
  }

  @Override
  public String id() {
    return "day";
  }

  @Override
  public String key() {
    return id();
  }

  @Override
  public String name() {
    return date + " " + clock(hour);
  }

  @Override
  public String sort() {
    return id();
  }

  /** An hour as clocks show it: 8:00. */
  public static String clock(double hour) {
    long minutes = Math.round(hour * 60);
    return "%d:%02d".formatted(minutes / 60, minutes % 60);
  }
}
