package pied.server.h2;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.h2.store.fs.FileBaseDefault;
import org.h2.store.fs.FilePath;
import org.h2.store.fs.FilePathWrapper;

/**
 * A disk for the store that counts, that can be full, and that knows what is left after a power
 * cut: all that was forced, and of what was written since any part or none. {@code
 * jdbc:h2:faulty:/some/file}.
 */
public final class FaultyFiles extends FilePathWrapper {
  /** One write that has not been forced yet. */
  private record Write(long at, byte[] bytes) {}

  public static volatile boolean full;
  public static volatile long written;
  public static volatile int forced;
  private static byte[] safe = new byte[0];
  private static Random watching;
  private static final List<byte[]> seen = new ArrayList<>();
  private static final List<Write> since = new ArrayList<>();

  /** Makes it known to H2, empty. */
  public static synchronized void register() {
    FilePath.register(new FaultyFiles());
    full = false;
    safe = new byte[0];
    since.clear();
  }

  /** What a power cut now would leave. */
  public static synchronized byte[] afterPowerCut(Random r) {
    byte[] disk = safe.clone();
    for (Write w : since) {
      if (r.nextInt(3) > 0) { // it reached the disk, all of it or the beginning
        int n = r.nextBoolean() ? w.bytes.length : r.nextInt(w.bytes.length + 1);
        disk = put(disk, w.at, w.bytes, n);
      }
    }
    return disk;
  }

  private static byte[] put(byte[] disk, long at, byte[] bytes, int n) {
    byte[] out = disk;
    if (at + n > out.length) {
      out = java.util.Arrays.copyOf(out, (int) (at + n));
    }
    System.arraycopy(bytes, 0, out, (int) at, n);
    return out;
  }

  private static synchronized void wrote(long at, byte[] bytes) {
    written += bytes.length;
    since.add(new Write(at, bytes));
    if (watching != null && seen.size() < 60) {
      seen.add(afterPowerCut(watching));
    }
  }

  /** Notes what a power cut would leave after each of the next writes. */
  public static synchronized void watch(Random r) {
    watching = r;
    seen.clear();
  }

  /** What was noted; nothing is from now on. */
  public static synchronized List<byte[]> seen() {
    watching = null;
    return List.copyOf(seen);
  }

  private static synchronized void force() {
    forced++;
    for (Write w : since) {
      safe = put(safe, w.at, w.bytes, w.bytes.length);
    }
    since.clear();
  }

  private static synchronized void cut(long size) {
    if (size < safe.length) {
      safe = java.util.Arrays.copyOf(safe, (int) size);
    }
    since.removeIf(w -> w.at >= size);
  }

  @Override
  public String getScheme() {
    return "faulty";
  }

  @Override
  public FileChannel open(String mode) throws IOException {
    FileChannel own = super.open(mode);
    return toString().endsWith(".mv.db") ? new Channel(own) : own;
  }

  private static final class Channel extends FileBaseDefault {
    private final FileChannel own;

    Channel(FileChannel own) {
      this.own = own;
    }

    @Override
    public long size() throws IOException {
      return own.size();
    }

    @Override
    public int read(ByteBuffer into, long at) throws IOException {
      return own.read(into, at);
    }

    @Override
    public int write(ByteBuffer from, long at) throws IOException {
      if (full) {
        throw new IOException("No space left on device");
      }
      byte[] bytes = new byte[from.remaining()];
      from.duplicate().get(bytes);
      int n = own.write(from, at);
      wrote(at, java.util.Arrays.copyOf(bytes, n));
      return n;
    }

    @Override
    protected void implTruncate(long size) throws IOException {
      own.truncate(size);
      cut(size);
    }

    @Override
    public void force(boolean metaData) throws IOException {
      own.force(metaData);
      FaultyFiles.force();
    }

    @Override
    public FileLock tryLock(long at, long size, boolean shared) throws IOException {
      return own.tryLock(at, size, shared);
    }

    @Override
    protected void implCloseChannel() throws IOException {
      own.close();
    }
  }
}
