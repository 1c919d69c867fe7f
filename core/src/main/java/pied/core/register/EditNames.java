package pied.core.register;

import com.fasterxml.jackson.databind.module.SimpleModule;

/** Lets Jackson know all edits and rules there are; each has its name on it. */
public final class EditNames extends SimpleModule {
  private static final long serialVersionUID = 1;

  public EditNames() {
    super("edits");
    Tools.edits().forEach(this::registerSubtypes);
    Tools.ALL.stream().flatMap(t -> t.rules().stream()).forEach(this::registerSubtypes);
  }
}
