package pied.core.solid;

/** A mesh at a pose, known by an id: a piece, or a part of the shell. */
public record Body(String id, Mesh mesh, Pose pose, Box box) {
  public Body(String id, Mesh mesh, Pose pose) {
    this(id, mesh, pose, pose.box(mesh.box()));
  }
}
