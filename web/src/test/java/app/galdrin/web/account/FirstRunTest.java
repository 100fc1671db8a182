package app.galdrin.web.account;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.web.GaldrinApplication;
import app.galdrin.web.Visitor;
import java.net.http.HttpResponse;
import java.sql.DriverManager;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.boot.builder.SpringApplicationBuilder;

/** The application on an operator's empty database: no demo, nobody there, the first page makes the first instructor. */
class FirstRunTest {

    private static String location(HttpResponse<String> response) {
        return response.headers().firstValue("Location").orElse("").replaceFirst("http://localhost:[0-9]+", "");
    }

    @Test
    void anEmptyDatabase_opensWithTheFirstInstructor_andCloses() throws Exception {
        String url = System.getenv("GALDRIN_DB_URL");
        try (var connection = DriverManager.getConnection(
                url, System.getenv("GALDRIN_DB_OWNER"), System.getenv("GALDRIN_DB_OWNER_PASSWORD"))) {
            connection.createStatement().execute("create schema first_run");
        }
        try (var application = new SpringApplicationBuilder(GaldrinApplication.class)
                .run(
                        "--server.port=0",
                        "--management.server.port=0",
                        "--logging.structured.format.console=",
                        "--spring.datasource.hikari.maximum-pool-size=4",
                        "--spring.flyway.url=" + url + "?currentSchema=first_run",
                        "--spring.datasource.url=" + url + "?currentSchema=first_run")) {
            int port = Integer.parseInt(application.getEnvironment().getRequiredProperty("local.server.port"));
            walkIn(new Visitor(port));
        }
    }

    private static void walkIn(Visitor founder) {
        assertEquals("/first-run", location(founder.get("/sign-in")));
        founder.get("/first-run");
        Map<String, String> form = new HashMap<>(Map.of(
                "centre",
                "North Works",
                "zone",
                "Nowhere/Land",
                "displayName",
                "Ada Fern",
                "signIn",
                "a fern",
                "password",
                "short"));
        String refused = founder.post("/first-run", form).body();
        for (String part :
                new String[] {"No such time zone", "no spaces", "10 to 200 characters", "value=\"North Works\""}) {
            assertTrue(refused.contains(part), part);
        }
        form.putAll(Map.of("zone", "Europe/London", "signIn", "a.fern", "password", "a long enough one"));
        assertEquals("/people", location(founder.post("/first-run", form)));
        assertTrue(founder.get("/people").body().contains("You are the only one here"));
        assertTrue(founder.get("/tasks").body().contains("No task has been set"));
        assertTrue(founder.get("/tasks/new").body().contains("There is no class yet"));
        assertTrue(founder.get("/marking").body().contains("Nothing has been handed in yet"));
        assertEquals(200, founder.get("/style").statusCode());
        assertEquals("/sign-in", location(founder.get("/first-run")));
        form.put("signIn", "second");
        assertEquals("/sign-in", location(founder.post("/first-run", form)));
    }
}
