package pied.server.store;

import org.flywaydb.core.api.FlywayException;
import org.springframework.boot.diagnostics.AbstractFailureAnalyzer;
import org.springframework.boot.diagnostics.FailureAnalysis;

/** Says in words why the store could not be brought to its present form. */
class StoreFailure extends AbstractFailureAnalyzer<FlywayException> {
  @Override
  protected FailureAnalysis analyze(Throwable root, FlywayException cause) {
    String m = String.valueOf(cause.getMessage());
    if (m.contains("not resolved locally")) {
      return new FailureAnalysis(
          "The data were written by a newer version of Pied.",
          "Start that version, or this one with another folder (--data). Nothing was changed.",
          cause);
    }
    return new FailureAnalysis(
        "The data could not be brought to the form of this version: "
            + m.lines().findFirst().orElse(""),
        "Keep the data folder as it is, and start with --restore and the day of a copy, or with"
            + " another folder (--data).",
        cause);
  }
}
