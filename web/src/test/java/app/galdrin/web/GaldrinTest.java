package app.galdrin.web;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.context.SpringBootTest.WebEnvironment;
import org.springframework.context.annotation.Import;
import org.springframework.test.context.ActiveProfiles;

/** The whole application on the throw-away database with the demo data: one context, shared by all who ask for it. */
@Target(ElementType.TYPE)
@Retention(RetentionPolicy.RUNTIME)
@SpringBootTest(
        webEnvironment = WebEnvironment.RANDOM_PORT,
        properties = {
            "management.server.port=0",
            "logging.structured.format.console=",
            "logging.level.app.galdrin=warn",
            "galdrin.try-out.sheets=100",
            // the product gives a statement up after seconds; two forks on a busy machine may need longer
            "mybatis.configuration.default-statement-timeout=20",
            "spring.datasource.hikari.data-source-properties.socketTimeout=30",
            "galdrin.password.memory=${galdrin.test.password.memory:64}"
        })
@ActiveProfiles("demo")
@Import(TestCentres.class)
public @interface GaldrinTest {}
