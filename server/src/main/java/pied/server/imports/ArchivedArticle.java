package pied.server.imports;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Map;
import pied.core.Nullable;
import pied.core.catalog.Mounting;
import pied.core.format.Glb;
import pied.core.material.FinishPart;
import pied.core.model.Brought;
import pied.core.model.Stretched;
import pied.core.size.Size;
import pied.core.units.Refusal;
import pied.core.units.Text;
import pied.server.material.StoredFinish;
import pied.server.store.Json;

/**
 * An article that a project brought in, on its way into an archive or out of it.
 *
 * @param about what is known of it; its project is of no meaning
 * @param mesh its shape to the last bit
 * @param pictures on it; null for none
 * @param full its full form, a GLB file; null if it has no other
 */
public record ArchivedArticle(
    Brought about,
    byte[] mesh,
    @Nullable byte[] pictures,
    @Nullable byte[] full,
    @Nullable String ware) {
  /** The present form. 1: a part had its colour, rough and glow; 2: it has a finish. */
  private static final int FORM = 2;

  /** Most numbers of a mesh. */
  private static final int MOST = 60_000_000;

  static ArchivedArticle of(ArticleRow row) {
    return new ArchivedArticle(
        row.brought(row.id(), ""), row.mesh(), row.pictures(), row.fullForm(), row.ware());
  }

  public String id() {
    return about.id();
  }

  public String name() {
    return about.name();
  }

  Brought brought(String id, String project) {
    return new Brought(
        id,
        project,
        about.name(),
        about.kind(),
        about.about(),
        about.mounting(),
        about.onTops(),
        about.size(),
        about.finishes(),
        about.weight());
  }

  Stretched shape() {
    return Stretched.of(MeshBytes.read(mesh, MOST), MeshBytes.readPictures(pictures));
  }

  /** For those who have no Pied: as a model. */
  public byte[] glb() {
    Stretched shape = shape();
    return Glb.write(
        about.name(), shape.mesh(), FinishPart.finishes(about.finishes()), shape.pictures());
  }

  /** What is known of it. */
  public ObjectNode write() {
    ObjectNode out = Json.MAPPER.createObjectNode();
    out.put("form", FORM).put("id", about.id()).put("name", about.name());
    out.put("kind", about.kind()).put("about", about.about());
    out.put("mounting", about.mounting().name()).put("onTops", about.onTops());
    out.set("size", Json.MAPPER.valueToTree(about.size()));
    out.set(
        "finishes", Json.MAPPER.valueToTree(StoredFinish.StoredFinishPart.of(about.finishes())));
    out.put("weight", about.weight());
    if (ware != null) {
      out.put("ware", ware);
    }
    return out;
  }

  /**
   * Reads one; nothing in it is trusted.
   *
   * @throws Refusal if it cannot be kept
   */
  public static ArchivedArticle read(
      JsonNode json, byte[] mesh, @Nullable byte[] pictures, @Nullable byte[] full) {
    int form = json.path("form").asInt();
    if (form < 1 || form > FORM) {
      throw new Refusal("It is of a form that this Pied does not know.");
    }
    try {
      Map<String, FinishPart> finishes =
          StoredFinish.StoredFinishPart.live(
              Json.read(json.path("finishes").toString(), Articles.FINISHES));
      finishes.values().forEach(f -> f.finish().checked());
      String id = json.path("id").asText();
      if (!id.matches("own-[0-9a-fA-F-]{1,40}")) {
        throw new Refusal("Its id is none.");
      }
      Brought b =
          new Brought(
              id,
              "",
              Text.name("It", json.path("name").asText()),
              Text.clean(json.path("kind").asText(Brought.KIND)),
              Text.clean(json.path("about").asText("")),
              Mounting.valueOf(json.path("mounting").asText()),
              json.path("onTops").asBoolean(),
              Json.value(json.path("size"), Size.class),
              finishes,
              Math.max(0, json.path("weight").asDouble()));
      ArchivedArticle a =
          new ArchivedArticle(b, mesh, pictures, full, json.path("ware").asText(null));
      a.shape();
      return a;
    } catch (Refusal e) {
      throw e;
    } catch (RuntimeException e) { // whatever may be in it
      throw new Refusal("It cannot be read; it is damaged.");
    }
  }
}
