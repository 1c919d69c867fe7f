package pied.server.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.client.TestRestTemplate;
import org.springframework.http.HttpEntity;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;
import pied.server.OneServer;
import pied.server.material.MaterialWire.PictureCard;
import pied.server.space.ProjectStore;
import pied.server.store.Missing;

/** Pictures as a project keeps them. */
@OneServer
class PictureStoreTest {
  @Autowired private PictureStore pictures;
  @Autowired private ProjectStore projects;
  @Autowired private TestRestTemplate http;
  private String project;

  @BeforeEach
  void aProject() {
    project = projects.newProject("Pictures " + System.nanoTime()).id();
  }

  private static byte[] png(int grey) throws IOException {
    BufferedImage image = new BufferedImage(40, 30, BufferedImage.TYPE_INT_RGB);
    for (int i = 0; i < 1200; i++) {
      image.setRGB(i % 40, i / 40, grey * 0x10101);
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, "png", out);
    return out.toByteArray();
  }

  private List<PictureCard> list(String of) {
    return pictures.ofProject(of, LengthUnit.CM);
  }

  @Test
  void oneIsKeptOnceAndTakenOffTheListStaysWhereItIs() throws IOException {
    PictureCard a = pictures.bring(project, png(50), "a.png", LengthUnit.M);
    pictures.bring(project, png(90), "b.png", LengthUnit.M);
    assertThat(list(project))
        .extracting(PictureCard::name)
        .containsExactly("Picture “b”", "Picture “a”");
    pictures.bring(project, png(50), "again.png", LengthUnit.M);
    assertThat(list(project)).hasSize(2);
    pictures.unlist(project, a.id());
    assertThat(list(project)).extracting(PictureCard::name).containsExactly("Picture “b”");
    assertThat(pictures.file(a.id())).isNotEmpty();
    pictures.bring(project, png(50), "a.png", LengthUnit.M);
    assertThat(list(project)).hasSize(2);
  }

  @Test
  void itsWidthIsRememberedAndCopiedWithTheProject() throws IOException {
    PictureCard a = pictures.bring(project, png(51), "a.png", LengthUnit.M);
    assertThat(a.wide()).isNull();
    pictures.wide(project, a.id(), 0.6);
    assertThat(list(project).get(0).wide()).isEqualTo("60.0");
    assertThat(list(project).get(0).card().finish().laid().width()).isEqualTo(0.6);
    assertThatThrownBy(() -> pictures.wide(project, a.id(), 40.0)).isInstanceOf(Refusal.class);
    String copy = projects.copyProject(project).id();
    assertThat(list(copy))
        .extracting(PictureCard::id, PictureCard::wide)
        .containsExactly(tuple(a.id(), "60.0"));
    pictures.wide(copy, a.id(), null);
    assertThat(list(copy).get(0).wide()).isNull();
    assertThat(list(project).get(0).wide()).isEqualTo("60.0");
    // another project has nothing of it
    String other = projects.newProject("Other " + System.nanoTime()).id();
    assertThat(list(other)).isEmpty();
    assertThatThrownBy(() -> pictures.unlist(other, a.id())).isInstanceOf(Missing.class);
  }

  @Test
  void itComesAndGoesOverHttp() throws IOException {
    HttpHeaders kind = new HttpHeaders();
    kind.setContentType(MediaType.parseMediaType("multipart/form-data; boundary=cut"));
    ByteArrayOutputStream body = new ByteArrayOutputStream();
    String head =
        "--cut\r\nContent-Disposition: form-data; name=\"file\"; filename=\"Über uns.png\"\r\n\r\n";
    body.write(head.getBytes(StandardCharsets.UTF_8));
    body.write(png(52));
    body.write("\r\n--cut--\r\n".getBytes(StandardCharsets.UTF_8));
    PictureCard card =
        http.postForObject(
            "/api/projects/" + project + "/pictures",
            new HttpEntity<>(body.toByteArray(), kind),
            PictureCard.class);
    assertThat(card.name()).isEqualTo("Picture “Über uns”");
    String plain = card.card().appearance().tile().colours();
    String id = plain.substring("pictures/".length());
    ResponseEntity<byte[]> file = http.getForEntity("/api/pictures/{id}", byte[].class, id);
    assertThat(file.getHeaders().getCacheControl()).contains("immutable");
    assertThat(file.getBody()).isEqualTo(pictures.file(card.id()));
    byte[] seamless =
        http.getForObject("/api/pictures/{id}", byte[].class, id.replace("x30", "x30-seamless"));
    assertThat(ImageIO.read(new java.io.ByteArrayInputStream(seamless)).getWidth()).isEqualTo(34);
    assertThat(http.getForEntity("/api/pictures/{id}", String.class, "oak").getStatusCode().value())
        .isEqualTo(404);
  }
}
