package app.galdrin.web.account;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.web.GaldrinApplication;
import app.galdrin.web.Visitor;
import java.net.http.HttpResponse;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.Executors;
import org.junit.jupiter.api.Test;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;

/** The application on an operator's empty database: no demo, nobody there, the first page makes the first instructor. */
class FirstRunTest {

    private static String location(HttpResponse<String> response) {
        return response.headers().firstValue("Location").orElse("").replaceFirst("http://localhost:[0-9]+", "");
    }

    private static final String URL = System.getenv("GALDRIN_DB_URL");

    private static void owner(String statement) throws SQLException {
        try (var connection = DriverManager.getConnection(
                URL, System.getenv("GALDRIN_DB_OWNER"), System.getenv("GALDRIN_DB_OWNER_PASSWORD"))) {
            connection.createStatement().execute(statement);
        }
    }

    private static ConfigurableApplicationContext instance(String schema) {
        return new SpringApplicationBuilder(GaldrinApplication.class)
                .run(
                        "--server.port=0",
                        "--galdrin.proxies=10.9.9.9, 127.0.0.1",
                        "--galdrin.public-address=https://galdrin.test",
                        "--management.server.port=0",
                        "--logging.structured.format.console=",
                        "--spring.datasource.hikari.maximum-pool-size=4",
                        "--spring.flyway.url=" + URL + "?currentSchema=" + schema,
                        "--spring.datasource.url=" + URL + "?currentSchema=" + schema);
    }

    private static Visitor at(ConfigurableApplicationContext instance) {
        return new Visitor(Integer.parseInt(instance.getEnvironment().getRequiredProperty("local.server.port")));
    }

    private static String printed(ConfigurableApplicationContext instance) {
        return instance.getBean(FirstRun.class).offer().orElseThrow();
    }

    @Test
    void anEmptyDatabase_opensWithTheFirstInstructor_andCloses() throws Exception {
        owner("create schema first_run");
        try (var application = instance("first_run")) {
            walkIn(at(application), printed(application));
            assertTrue(application.getBean(FirstRun.class).offer().isEmpty(), "the code is used up");
        }
    }

    /** Two who type the code at one instant, on two instances: one college, one instructor, nothing left over. */
    @Test
    void twoInstances_printOneCode_andItIsUsedOnce() throws Exception {
        owner("create schema first_runs");
        try (var one = instance("first_runs");
                var other = instance("first_runs")) {
            String code = printed(one);
            assertEquals(code, printed(other));
            var founder = at(one).saysItIsFrom("203.0.113.9");
            Callable<HttpResponse<String>> here = begin(founder, code, "one");
            var late = at(other).saysItIsFrom("203.0.113.9");
            Callable<HttpResponse<String>> there = begin(late, code, "other");
            var pool = Executors.newFixedThreadPool(2);
            var ends = pool.invokeAll(List.of(here, there));
            pool.shutdown();
            Set<String> locations =
                    Set.of(location(ends.get(0).get()), location(ends.get(1).get()));
            assertEquals(Set.of("/people", "/sign-in"), locations);
            String first = location(ends.get(0).get());
            var in = first.equals("/people") ? founder : late;
            assertTrue(in.get("/me").body().contains("203.0.113.9"), "what a named proxy says is believed");
            assertTrue(founder.get("/join").body().contains("https://galdrin.test/join"));
            var jdbc = one.getBean(JdbcTemplate.class);
            for (String table : List.of("person", "centre")) {
                assertEquals(1, jdbc.queryForObject("select count(*) from " + table, Integer.class), table);
            }
        }
    }

    private static Callable<HttpResponse<String>> begin(Visitor founder, String code, String name) {
        founder.get("/first-run");
        return () -> founder.post(
                "/first-run",
                Map.of(
                        "code",
                        code,
                        "centre",
                        "North Works",
                        "zone",
                        "Europe/London",
                        "displayName",
                        "Ada",
                        "signIn",
                        name,
                        "password",
                        "a long enough one"));
    }

    private static void walkIn(Visitor founder, String code) {
        assertEquals("/first-run", location(founder.get("/sign-in")));
        founder.get("/first-run");
        Map<String, String> form = new HashMap<>(Map.of(
                "code",
                "aaaa-bbbb-cccc",
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
        for (String part : new String[] {
            "No such time zone",
            "no spaces",
            "10 to 200 characters",
            "not the code on the console",
            "value=\"North Works\""
        }) {
            assertTrue(refused.contains(part), part);
        }
        form.putAll(Map.of(
                "code",
                code.toUpperCase(Locale.ROOT) + " ",
                "zone",
                "Europe/London",
                "signIn",
                "a.fern",
                "password",
                "a long enough one"));
        assertEquals("/people", location(founder.post("/first-run", form)));
        assertTrue(founder.get("/people").body().contains("You are the only one here"));
        assertTrue(founder.get("/tasks").body().contains("No task has been set"));
        assertTrue(founder.get("/tasks/new").body().contains("There is no class yet"));
        assertTrue(founder.get("/marking").body().contains("Nothing has been handed in yet"));
        assertEquals(404, founder.get("/help/style").statusCode(), "the style page is the demo's");
        assertEquals("/sign-in", location(founder.get("/first-run")));
        form.put("signIn", "second");
        assertEquals("/sign-in", location(founder.post("/first-run", form)));
    }
}
