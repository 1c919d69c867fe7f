package pied.core.solid;

import java.util.Arrays;

/** A mesh at a pose, known by a name: a piece, or a part of the shell. */
public record Body(Named name, Mesh mesh, Pose pose, Box box) {
  public Body(Named name, Mesh mesh, Pose pose) {
    this(name, mesh, pose, pose.box(mesh.box()));
  }

  public Body(String id, Mesh mesh, Pose pose) {
    this(new Named.Plain(id), mesh, pose);
  }

  public String id() {
    return name.text();
  }

  /** What it fills, to compare it by. */
  public Solid solid() {
    return new Solid(id(), mesh, pose);
  }

  /** Equal to another of the same id that has the same triangles in the same places. */
  public record Solid(String id, Mesh mesh, Pose pose) {
    @Override
    public boolean equals(Object o) {
      return o instanceof Solid s
          && s.id.equals(id)
          && s.pose.equals(pose)
          && (s.mesh == mesh
              || Arrays.equals(s.mesh.xyz(), mesh.xyz())
                  && Arrays.equals(s.mesh.corners(), mesh.corners()));
    }

    @Override
    public int hashCode() {
      return id.hashCode();
    }
  }
}
