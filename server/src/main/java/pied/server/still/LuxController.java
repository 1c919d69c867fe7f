package pied.server.still;

import java.util.List;
import java.util.concurrent.Semaphore;
import java.util.function.Function;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import pied.core.edit.Amount;
import pied.core.piece.Piece;
import pied.core.solid.Vec;
import pied.core.space.Space;
import pied.core.space.Validity;
import pied.core.still.LuxField;
import pied.core.still.LuxLine;
import pied.core.still.LuxMeter;
import pied.core.still.StillWords;
import pied.core.units.LengthUnit;
import pied.core.units.Message;
import pied.core.units.Refusal;
import pied.server.space.OpenSpace;
import pied.server.space.SpaceStore;
import pied.server.still.StillWire.LuxLinesView;
import pied.server.still.StillWire.LuxView;

/** How bright it is in a space. */
@RestController
@RequestMapping("/api")
class LuxController {
  /** Noise to which light is measured. */
  private static final double NOISE = 0.01;

  private static final double ROUGH = 0.03;
  private static final double LINES = 0.05;
  private static final int THREADS = Math.max(1, Runtime.getRuntime().availableProcessors());

  private final SpaceStore spaces;
  private final Semaphore measuring = new Semaphore(1, true);

  LuxController(SpaceStore spaces) {
    this.spaces = spaces;
  }

  /**
   * How bright it is at a point.
   *
   * @param nx out of what the light falls on; up where nothing is said
   */
  @GetMapping("/spaces/{space}/lux")
  LuxView lux(
      @PathVariable String space,
      @RequestParam double x,
      @RequestParam double y,
      @RequestParam double z,
      @RequestParam(defaultValue = "0") double nx,
      @RequestParam(defaultValue = "1") double ny,
      @RequestParam(defaultValue = "0") double nz) {
    Vec at = Validity.point(new Vec(x, y, z));
    Vec face = new Vec(nx, ny, nz);
    if (!face.finite() || face.length() < 0.01) {
      throw new Refusal("A face looks somewhere.");
    }
    LuxMeter.LuxReading r = measured(space, m -> m.at(at, face, NOISE));
    return new LuxView(r.lux(), r.off(), null, "It is " + StillWords.lux(r) + " bright there.");
  }

  /** How bright it is on top of a piece, in the mean and at least. */
  @GetMapping("/spaces/{space}/pieces/{piece}/lux")
  LuxView top(@PathVariable String space, @PathVariable String piece) {
    Space now = spaces.space(space);
    Piece p = now.piece(piece);
    List<LuxMeter.LuxReading> all = measured(space, m -> m.level(LuxMeter.top(p), ROUGH, THREADS));
    double mean = all.stream().mapToDouble(LuxMeter.LuxReading::lux).average().orElse(0);
    double least = all.stream().mapToDouble(LuxMeter.LuxReading::lux).min().orElse(0);
    double off = ROUGH * mean / Math.sqrt(all.size());
    String said =
        "%s: %s in the mean, %s at least."
            .formatted(p.name(), StillWords.lux(mean), StillWords.lux(least));
    return new LuxView(mean, off, least, said);
  }

  /**
   * Lines of equal lux on plan, some seconds' work.
   *
   * @param height over the floor's zero, as typed
   */
  @GetMapping("/spaces/{space}/lux/lines")
  LuxLinesView lines(
      @PathVariable String space,
      @RequestParam String height,
      @RequestParam(defaultValue = "m") String unit) {
    LengthUnit u = LengthUnit.of(unit);
    double high = Amount.typed(height).metres(u);
    OpenSpace.Seen now = spaces.seen(space);
    double top = now.space().shell().height();
    if (high < 0 || high > top) {
      throw new Refusal("A height in the room is 0 to {}.", Message.length(top)).in(u);
    }
    LuxField f = measured(space, m -> LuxField.of(now.space(), m, high, LINES, THREADS));
    if (f.isEmpty()) {
      throw new Refusal("There is no free place in the room at that height.");
    }
    String said =
        "%s high it is %s bright in the mean, %s at least, %s at most."
            .formatted(
                Message.length(high).in(u),
                StillWords.lux(f.mean()),
                StillWords.lux(f.least()),
                StillWords.lux(f.most()));
    return new LuxLinesView(now.revision(), high, u.fine(high), LuxLine.of(f), said);
  }

  /** One measures at a time: it takes all there is of the machine. */
  private <T> T measured(String space, Function<LuxMeter, T> how) {
    measuring.acquireUninterruptibly();
    try {
      return how.apply(new LuxMeter(spaces.space(space)));
    } finally {
      measuring.release();
    }
  }
}
