package pied.bench;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import pied.core.solid.Bodies;
import pied.core.solid.Body;
import pied.core.solid.Vec;

/** Travel of one piece among a thousand, from its place, in one of ten directions. */
@State(Scope.Thread)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class TravelBenchmark {
  private List<Body> list;
  private Bodies bodies;
  private List<Vec> directions;
  private int next;

  @Setup
  public void read() throws IOException {
    list = new Scene(Path.of(System.getProperty("pied.scene", "target/scene/scene.bin"))).bodies();
    list.forEach(b -> b.mesh().tree());
    bodies = new Bodies(list);
    directions = Figures.directions();
  }

  @Benchmark
  public Bodies.Met travel() {
    next++;
    Body body = list.get(1 + next * 7 % (list.size() - 1));
    return bodies.travel(
        body.mesh(), body.pose(), directions.get(next % directions.size()), 1e4, b -> b != body);
  }
}
