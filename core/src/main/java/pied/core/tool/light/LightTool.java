package pied.core.tool.light;

import java.util.List;
import pied.core.edit.Edit;
import pied.core.say.Sentence;
import pied.core.tool.Tool;

/** Lamps, the day, and looks. */
public final class LightTool implements Tool {
  @Override
  public List<Class<? extends Edit>> edits() {
    return List.of(
        SetLamps.class,
        AimLamps.class,
        SetShutters.class,
        TakeCurve.class,
        RemoveCurve.class,
        SetDay.class,
        KeepLook.class,
        RecallLook.class,
        SetLook.class,
        RemoveLook.class);
  }

  @Override
  public List<Sentence<?>> sentences() {
    return List.of(
        new ShuttersSentence(), new LampsSentence(), new DaySentence(), new LookSentence());
  }
}
