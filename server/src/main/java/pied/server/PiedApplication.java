package pied.server;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;
import org.springframework.data.jpa.repository.config.EnableJpaRepositories;
import pied.core.catalog.Catalog;
import pied.core.piece.Shapes;

/** Pied as a program: HTTP, live channel and store around the core. */
@SpringBootApplication
@EnableJpaRepositories(considerNestedRepositories = true)
public class PiedApplication {
  public static void main(String[] args) {
    SpringApplication.run(PiedApplication.class, args);
  }

  @Bean
  Shapes shapes() {
    return new Shapes(Catalog.shipped());
  }
}
