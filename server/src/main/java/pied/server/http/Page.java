package pied.server.http;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import org.springframework.core.io.ClassPathResource;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** The page itself, with the word that lets its own styles in, another one each time. */
@RestController
class Page {
  private static final String PLACE = "__NONCE__";

  private final String html;

  Page() throws IOException {
    ClassPathResource page = new ClassPathResource("static/index.html");
    if (page.exists()) {
      try (InputStream in = page.getInputStream()) {
        html = new String(in.readAllBytes(), StandardCharsets.UTF_8);
      }
    } else {
      html = "<!doctype html><title>Pied</title><p>The web client has not been built.";
    }
  }

  @GetMapping({"/", "/index.html"})
  ResponseEntity<String> page(HttpServletRequest request) {
    String nonce = String.valueOf(request.getAttribute(Gatekeeper.NONCE));
    return ResponseEntity.ok()
        .contentType(new MediaType(MediaType.TEXT_HTML, StandardCharsets.UTF_8))
        .cacheControl(CacheControl.noStore())
        .body(html.replace(PLACE, nonce));
  }
}
