package pied.server.space;

import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import pied.core.units.LengthUnit;
import pied.server.space.SpaceWire.NewName;
import pied.server.space.SpaceWire.NewProject;
import pied.server.space.SpaceWire.NewSpace;
import pied.server.space.SpaceWire.ProjectView;
import pied.server.space.SpaceWire.SpaceName;

/** Projects and their spaces, as a whole. */
@RestController
@RequestMapping("/api")
class ProjectController {
  private final ProjectStore store;

  ProjectController(ProjectStore store) {
    this.store = store;
  }

  @GetMapping("/projects")
  List<ProjectView> projects() {
    return store.projects();
  }

  @PostMapping("/projects")
  @ResponseStatus(HttpStatus.CREATED)
  ProjectView newProject(@RequestBody NewProject request) {
    return store.newProject(request.name());
  }

  @PostMapping("/projects/{id}/copy")
  @ResponseStatus(HttpStatus.CREATED)
  ProjectView copyProject(@PathVariable String id) {
    return store.copyProject(id);
  }

  @PostMapping("/projects/{id}/rename")
  List<ProjectView> renameProject(@PathVariable String id, @RequestBody NewName request) {
    store.renameProject(id, request.name());
    return store.projects();
  }

  /** Puts a project aside; {@code restore} brings it back. */
  @PostMapping("/projects/{id}/remove")
  List<ProjectView> removeProject(@PathVariable String id) {
    store.removeProject(id, true);
    return store.projects();
  }

  @PostMapping("/projects/{id}/restore")
  List<ProjectView> restoreProject(@PathVariable String id) {
    store.removeProject(id, false);
    return store.projects();
  }

  /** Makes a room or a stage. */
  @PostMapping("/projects/{project}/spaces")
  @ResponseStatus(HttpStatus.CREATED)
  SpaceName newSpace(@PathVariable String project, @RequestBody NewSpace r) {
    LengthUnit unit = LengthUnit.orMetres(r.unit());
    return store.newSpace(project, r.name(), r.shell().build(unit));
  }

  @PostMapping("/spaces/{id}/copy")
  @ResponseStatus(HttpStatus.CREATED)
  SpaceName copySpace(@PathVariable String id) {
    return store.copySpace(id);
  }

  @PostMapping("/spaces/{id}/rename")
  List<ProjectView> renameSpace(@PathVariable String id, @RequestBody NewName request) {
    store.renameSpace(id, request.name());
    return store.projects();
  }

  /** Puts a space aside; {@code restore} brings it back. */
  @PostMapping("/spaces/{id}/remove")
  List<ProjectView> removeSpace(@PathVariable String id) {
    store.removeSpace(id, true);
    return store.projects();
  }

  @PostMapping("/spaces/{id}/restore")
  List<ProjectView> restoreSpace(@PathVariable String id) {
    store.removeSpace(id, false);
    return store.projects();
  }
}
