package pied.server;

import com.fasterxml.jackson.annotation.JsonSetter;
import com.fasterxml.jackson.annotation.Nulls;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.databind.DeserializationContext;
import com.fasterxml.jackson.databind.Module;
import com.fasterxml.jackson.databind.deser.std.StringDeserializer;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import javax.imageio.ImageIO;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.autoconfigure.jackson.Jackson2ObjectMapperBuilderCustomizer;
import org.springframework.boot.context.event.ApplicationEnvironmentPreparedEvent;
import org.springframework.context.ApplicationListener;
import org.springframework.context.annotation.Bean;
import org.springframework.core.env.Environment;
import org.springframework.data.jpa.repository.config.EnableJpaRepositories;
import org.springframework.scheduling.annotation.EnableScheduling;
import pied.core.catalog.Catalog;
import pied.core.material.PictureFiles;
import pied.core.piece.Shapes;
import pied.core.register.EditNames;
import pied.core.units.Refusal;
import pied.core.units.Text;
import pied.server.h2.H2File;
import pied.server.store.DataFolder;

/** Pied as a program: HTTP, live channel and store around the core. */
@SpringBootApplication
@EnableScheduling
@EnableJpaRepositories(considerNestedRepositories = true)
public class PiedApplication {
  public static void main(String[] args) {
    ImageIO.setUseCache(false); // pictures are read from memory; a file beside each is slow
    SpringApplication app = new SpringApplication(PiedApplication.class);
    app.addListeners(
        (ApplicationListener<ApplicationEnvironmentPreparedEvent>)
            e -> prepare(e.getEnvironment()));
    app.run(args);
  }

  private static void prepare(Environment e) {
    DataFolder folder = new DataFolder(Path.of(e.getRequiredProperty("pied.data")), new H2File());
    try {
      folder.prepare(e.getProperty("pied.restore", ""));
    } catch (DataFolder.Unusable why) { // said here, before anything says it in its own way
      System.err.println("pied: " + why.getMessage());
      System.exit(1);
    }
    // what a killed process leaves behind is found and taken away at the next start
    System.setProperty("java.io.tmpdir", folder.work().toString());
  }

  @Bean
  Shapes shapes(PictureFiles pictures) {
    return new Shapes(Catalog.shipped(), pictures);
  }

  /** Edits are read by their names. */
  @Bean
  Module editNames() {
    return new EditNames();
  }

  /**
   * Every text that comes in has whole letters: others could be kept, but never be told again; and
   * it loses what no text has.
   */
  @Bean
  Jackson2ObjectMapperBuilderCustomizer wholeLetters() {
    return builder ->
        builder
            .deserializerByType(String.class, new WholeLetters())
            .postConfigurer(
                m -> {
                  // a gap in a list means nothing, whatever is listed
                  JsonSetter.Value noGaps = JsonSetter.Value.forContentNulls(Nulls.FAIL);
                  for (Class<?> list : List.of(List.class, Collection.class, Set.class)) {
                    m.configOverride(list).setSetterInfo(noGaps);
                  }
                });
  }

  private static final class WholeLetters extends StringDeserializer {
    private static final long serialVersionUID = 1;

    @Override
    public String deserialize(JsonParser p, DeserializationContext context) throws IOException {
      String s = super.deserialize(p, context);
      if (s != null && !Text.whole(s)) {
        throw new Refusal("A text has half a letter in it, which cannot be kept; type it anew.");
      }
      return s == null ? null : Text.readable(s);
    }
  }
}
