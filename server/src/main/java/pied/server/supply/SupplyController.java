package pied.server.supply;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;
import pied.server.supply.SupplyWire.FetchView;
import pied.server.supply.SupplyWire.SignIn;
import pied.server.supply.SupplyWire.SupplierView;
import pied.server.supply.SupplyWire.WareCard;
import pied.server.supply.SupplyWire.WarePage;

/** An outside supplier's library: sign in, look, fetch. */
@RestController
@RequestMapping("/api")
class SupplyController {
  private final Supply supply;

  SupplyController(Supply supply) {
    this.supply = supply;
  }

  /** Who the supplier is, whether it answers, and who is signed in. */
  @GetMapping("/supplier")
  SupplierView supplier() {
    try {
      JsonNode about = supply.about();
      JsonNode demo = about.path("demo");
      return new SupplierView(
          about.path("name").asText("The supplier"),
          true,
          supply.user(),
          demo.path("user").asText(""),
          demo.path("password").asText(""),
          "");
    } catch (Supply.Away e) {
      return new SupplierView("The supplier", false, supply.user(), "", "", e.getMessage());
    }
  }

  @PostMapping("/supplier/session")
  SupplierView signIn(@RequestBody SignIn who) {
    if (who.user() == null || who.password() == null) {
      throw new Refusal("Give a name and a password.");
    }
    supply.signIn(who.user(), who.password());
    return supplier();
  }

  @DeleteMapping("/supplier/session")
  SupplierView signOut() {
    supply.signOut();
    return supplier();
  }

  /** A page of what the supplier has. */
  @GetMapping("/supplier/wares")
  WarePage wares(
      @RequestParam(defaultValue = "") String text,
      @RequestParam(defaultValue = "1") int page,
      @RequestParam(defaultValue = "") String project,
      @RequestParam(defaultValue = "m") String unit) {
    LengthUnit u = LengthUnit.of(unit);
    SupplierClient.LibraryPage p = supply.page(text, page);
    Map<String, String> here = supply.here(project);
    return new WarePage(
        p.found(),
        p.page(),
        p.pages(),
        p.wares().stream()
            .map(
                w ->
                    new WareCard(
                        w.id(),
                        w.name(),
                        w.kind(),
                        w.size(),
                        w.size().text(u),
                        w.mounting(),
                        w.weight(),
                        w.price(),
                        w.bytes(),
                        here.get(w.id())))
            .toList());
  }

  /** Begins to fetch a model into a project; after a failure, once more. */
  @PostMapping("/projects/{project}/fetches")
  @ResponseStatus(HttpStatus.ACCEPTED)
  FetchView fetch(@PathVariable String project, @RequestBody Map<String, String> body) {
    String ware = body.get("ware");
    if (ware == null) {
      throw new Refusal("Say which ware to fetch.");
    }
    return view(supply.fetch(project, ware));
  }

  /** What is on its way into a project, and what was lately. */
  @GetMapping("/projects/{project}/fetches")
  List<FetchView> fetches(@PathVariable String project) {
    return supply.of(project).stream().map(SupplyController::view).collect(Collectors.toList());
  }

  @DeleteMapping("/projects/{project}/fetches/{ware}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void stop(@PathVariable String project, @PathVariable String ware) {
    supply.stop(project, ware);
  }

  private static FetchView view(Fetch f) {
    return new FetchView(
        f.ware.id(),
        f.ware.name(),
        f.state().name(),
        f.received(),
        f.ware.bytes(),
        f.said(),
        f.article());
  }

  @ExceptionHandler(Supply.SignedIn.class)
  ProblemDetail signIn(Supply.SignedIn e) {
    return problem(HttpStatus.FORBIDDEN, "Not signed in", e.getMessage());
  }

  @ExceptionHandler(Supply.Away.class)
  ProblemDetail away(Supply.Away e) {
    return problem(
        HttpStatus.BAD_GATEWAY,
        "Supplier away",
        e.getMessage() + " What was fetched before is here as always; try again later.");
  }

  private static ProblemDetail problem(HttpStatus status, String title, String detail) {
    ProblemDetail p = ProblemDetail.forStatusAndDetail(status, detail);
    p.setTitle(title);
    return p;
  }
}
