package pied.server.imports;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.DeflaterOutputStream;
import java.util.zip.InflaterInputStream;
import pied.core.solid.Mesh;

/** A mesh as bytes, to keep it: all of its numbers, to the last bit, packed. */
public final class MeshBytes {
  private MeshBytes() {}

  public static byte[] write(Mesh m) {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (DataOutputStream out = new DataOutputStream(new DeflaterOutputStream(bytes))) {
      out.writeInt(m.xyz().length);
      for (double v : m.xyz()) {
        out.writeDouble(v);
      }
      for (float v : m.normals()) {
        out.writeFloat(v);
      }
      out.writeInt(m.corners().length);
      for (int v : m.corners()) {
        out.writeInt(v);
      }
      for (int v : m.partOf()) {
        out.writeInt(v);
      }
      out.writeInt(m.parts().size());
      for (String part : m.parts()) {
        out.writeUTF(part);
      }
      for (int i = 0; m.uv() != null && i < m.uv().length; i++) {
        out.writeFloat(m.uv()[i]);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return bytes.toByteArray();
  }

  public static Mesh read(byte[] bytes) {
    return read(bytes, Integer.MAX_VALUE);
  }

  /**
   * What was written.
   *
   * @param most of any list of numbers in it; more is a slip or an attack
   */
  static Mesh read(byte[] bytes, int most) {
    try (DataInputStream in =
        new DataInputStream(
            new java.io.BufferedInputStream(
                new InflaterInputStream(new ByteArrayInputStream(bytes)), 1 << 16))) {
      double[] xyz = new double[count(in, most)];
      for (int i = 0; i < xyz.length; i++) {
        xyz[i] = in.readDouble();
      }
      float[] normals = new float[xyz.length];
      for (int i = 0; i < normals.length; i++) {
        normals[i] = in.readFloat();
      }
      int[] corners = new int[count(in, most)];
      for (int i = 0; i < corners.length; i++) {
        corners[i] = in.readInt();
      }
      int[] partOf = new int[corners.length / 3];
      for (int i = 0; i < partOf.length; i++) {
        partOf[i] = in.readInt();
      }
      int n = count(in, most);
      List<String> parts = new ArrayList<>();
      for (int i = 0; i < n; i++) {
        parts.add(in.readUTF());
      }
      // places on pictures stand at the end, if there are any
      in.mark(1);
      float[] uv = in.read() < 0 ? null : new float[2 * corners.length];
      in.reset();
      for (int i = 0; uv != null && i < uv.length; i++) {
        uv[i] = in.readFloat();
      }
      return new Mesh(xyz, normals, corners, partOf, parts, uv);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static int count(DataInputStream in, int most) throws IOException {
    int n = in.readInt();
    if (n < 0 || n > most) {
      throw new IOException("So many numbers are in no mesh: " + n);
    }
    return n;
  }

  /** Pictures by the names of their parts; null if there are none. */
  static byte[] writePictures(Map<String, byte[]> pictures) {
    if (pictures.isEmpty()) {
      return null;
    }
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (DataOutputStream out = new DataOutputStream(bytes)) {
      for (Map.Entry<String, byte[]> e : pictures.entrySet()) {
        out.writeUTF(e.getKey());
        out.writeInt(e.getValue().length);
        out.write(e.getValue());
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return bytes.toByteArray();
  }

  static Map<String, byte[]> readPictures(byte[] bytes) {
    Map<String, byte[]> all = new LinkedHashMap<>();
    try (DataInputStream in =
        new DataInputStream(new ByteArrayInputStream(bytes == null ? new byte[0] : bytes))) {
      while (in.available() > 0) {
        String part = in.readUTF();
        all.put(part, in.readNBytes(in.readInt()));
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return all;
  }
}
