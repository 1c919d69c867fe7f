package pied.core.model;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import pied.core.format.Glb;
import pied.core.material.Finish;
import pied.core.solid.Mesh;
import pied.core.solid.Vec;

/** Model files as other programs write them, for tests. */
final class Written {
  private Written() {}

  /** A chair of boxes, 0.45 wide, 0.5 deep, 0.9 high, over its own middle; 72 triangles. */
  static Mesh chair() {
    java.util.List<Mesh> parts = new java.util.ArrayList<>();
    for (int i = 0; i < 4; i++) {
      double x = i % 2 == 0 ? -0.225 : 0.185;
      double z = i < 2 ? -0.25 : 0.21;
      parts.add(Mesh.ofBox(new Vec(x, 0, z), new Vec(x + 0.04, 0.42, z + 0.04)));
    }
    parts.add(Mesh.ofBox(new Vec(-0.225, 0.42, -0.25), new Vec(0.225, 0.46, 0.25)));
    parts.add(Mesh.ofBox(new Vec(-0.225, 0.46, -0.25), new Vec(0.225, 0.9, -0.21)));
    return Mesh.join(parts);
  }

  /** Where a corner of the mesh is written, in the file's own directions and unit. */
  interface Place {
    Vec at(Vec p);
  }

  static byte[] obj(Mesh m, Place place, String more) {
    StringBuilder s = new StringBuilder("# a model\n" + more + "o chair\n");
    for (int v = 0; v < m.xyz().length / 3; v++) {
      Vec p = place.at(m.vertex(v));
      s.append(String.format(Locale.ROOT, "v %.9g %.9g %.9g%n", p.x(), p.y(), p.z()));
    }
    for (int t = 0; t < m.corners().length; t += 3) {
      s.append("f");
      for (int k = 0; k < 3; k++) {
        s.append(' ').append(m.corners()[t + k] + 1).append("//1");
      }
      s.append('\n');
    }
    return s.toString().getBytes(StandardCharsets.UTF_8);
  }

  static byte[] stl(Mesh m, Place place) {
    ByteBuffer b = ByteBuffer.allocate(84 + 50 * m.triangles()).order(ByteOrder.LITTLE_ENDIAN);
    b.position(80);
    b.putInt(m.triangles());
    for (int t = 0; t < m.corners().length; t += 3) {
      b.putFloat(0).putFloat(0).putFloat(0); // no normals
      for (int k = 0; k < 3; k++) {
        Vec p = place.at(m.vertex(m.corners()[t + k]));
        b.putFloat((float) p.x()).putFloat((float) p.y()).putFloat((float) p.z());
      }
      b.putShort((short) 0);
    }
    return b.array();
  }

  static byte[] stlText(Mesh m, Place place) {
    StringBuilder s = new StringBuilder("solid chair\n");
    for (int t = 0; t < m.corners().length; t += 3) {
      s.append("facet normal 0 0 0\n outer loop\n");
      for (int k = 0; k < 3; k++) {
        Vec p = place.at(m.vertex(m.corners()[t + k]));
        s.append(String.format(Locale.ROOT, "  vertex %e %e %e%n", p.x(), p.y(), p.z()));
      }
      s.append(" endloop\nendfacet\n");
    }
    return s.append("endsolid chair\n").toString().getBytes(StandardCharsets.UTF_8);
  }

  static byte[] ply(Mesh m, Place place, ByteOrder order) {
    int n = m.xyz().length / 3;
    String how =
        order == null
            ? "ascii"
            : order == ByteOrder.BIG_ENDIAN ? "binary_big_endian" : "binary_little_endian";
    String head =
        "ply\nformat "
            + how
            + " 1.0\ncomment made for a test\nelement vertex "
            + n
            + "\nproperty float x\nproperty float y\nproperty float z\nproperty uchar red\nelement face "
            + m.triangles()
            + "\nproperty list uchar int vertex_indices\nend_header\n";
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    out.writeBytes(head.getBytes(StandardCharsets.US_ASCII));
    if (order == null) {
      StringBuilder s = new StringBuilder();
      for (int v = 0; v < n; v++) {
        Vec p = place.at(m.vertex(v));
        s.append(p.x()).append(' ').append(p.y()).append(' ').append(p.z()).append(" 200\n");
      }
      for (int t = 0; t < m.corners().length; t += 3) {
        s.append("3 ")
            .append(m.corners()[t])
            .append(' ')
            .append(m.corners()[t + 1])
            .append(' ')
            .append(m.corners()[t + 2])
            .append('\n');
      }
      out.writeBytes(s.toString().getBytes(StandardCharsets.US_ASCII));
      return out.toByteArray();
    }
    ByteBuffer b = ByteBuffer.allocate(13 * n + 13 * m.triangles()).order(order);
    for (int v = 0; v < n; v++) {
      Vec p = place.at(m.vertex(v));
      b.putFloat((float) p.x()).putFloat((float) p.y()).putFloat((float) p.z()).put((byte) 200);
    }
    for (int t = 0; t < m.corners().length; t += 3) {
      b.put((byte) 3).putInt(m.corners()[t]).putInt(m.corners()[t + 1]).putInt(m.corners()[t + 2]);
    }
    out.writeBytes(b.array());
    return out.toByteArray();
  }

  static byte[] glb(Mesh m) {
    return Glb.write("chair", m, Map.of("body", Finish.of("#8B5E3C")));
  }

  static byte[] collada(Mesh m, Place place, String up, double meter) {
    StringBuilder p = new StringBuilder();
    for (int v = 0; v < m.xyz().length / 3; v++) {
      Vec q = place.at(m.vertex(v));
      p.append(q.x()).append(' ').append(q.y()).append(' ').append(q.z()).append(' ');
    }
    StringBuilder i = new StringBuilder();
    for (int c : m.corners()) {
      i.append(c).append(' ');
    }
    return ("<?xml version='1.0'?><COLLADA xmlns='http://www.collada.org/2005/11/COLLADASchema' version='1.4.1'>"
            + "<asset><unit name='u' meter='"
            + meter
            + "'/><up_axis>"
            + up
            + "</up_axis></asset>"
            + "<library_effects><effect id='e'><profile_COMMON><technique sid='t'><lambert><diffuse>"
            + "<color>1 0 0 1</color></diffuse></lambert></technique></profile_COMMON></effect></library_effects>"
            + "<library_materials><material id='red' name='red'><instance_effect url='#e'/></material></library_materials>"
            + "<library_geometries><geometry id='g'><mesh><source id='s'><float_array id='f' count='"
            + m.xyz().length
            + "'>"
            + p
            + "</float_array></source><vertices id='v'><input semantic='POSITION' source='#s'/></vertices>"
            + "<triangles count='"
            + m.triangles()
            + "' material='M'><input semantic='VERTEX' source='#v' offset='0'/><p>"
            + i
            + "</p></triangles></mesh></geometry></library_geometries>"
            + "<library_visual_scenes><visual_scene id='vs'><node><translate>5 0 0</translate>"
            + "<instance_geometry url='#g'><bind_material><technique_common><instance_material symbol='M' target='#red'/>"
            + "</technique_common></bind_material></instance_geometry></node></visual_scene></library_visual_scenes></COLLADA>")
        .getBytes(StandardCharsets.UTF_8);
  }

  static byte[] zip(Map<String, byte[]> files) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(out)) {
      for (Map.Entry<String, byte[]> e : files.entrySet()) {
        zip.putNextEntry(new ZipEntry(e.getKey()));
        zip.write(e.getValue());
        zip.closeEntry();
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toByteArray();
  }
}
