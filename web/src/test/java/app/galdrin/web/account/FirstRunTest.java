package app.galdrin.web.account;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.web.EmptyInstallation;
import app.galdrin.web.Visitor;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.Executors;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;

/** The first instructor of an empty installation; the page itself is walked by the instructor's first journey. */
class FirstRunTest {

    private static String location(HttpResponse<String> response) {
        return response.headers().firstValue("Location").orElse("").replaceFirst("http://localhost:[0-9]+", "");
    }

    /** Two who type the code at one instant, on two instances: one college, one instructor, nothing left over. */
    @Test
    void twoInstances_printOneCode_andItIsUsedOnce() throws Exception {
        try (var one = EmptyInstallation.on("first_runs");
                var other = EmptyInstallation.on("first_runs")) {
            String code = one.part(FirstRun.class).offer().orElseThrow();
            assertEquals(code, other.part(FirstRun.class).offer().orElseThrow());
            var founder = new Visitor(one.port()).saysItIsFrom("203.0.113.9");
            Callable<HttpResponse<String>> here = begin(founder, code, "one");
            var late = new Visitor(other.port()).saysItIsFrom("203.0.113.9");
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
            var liar = new Visitor(one.port()).saysItIsFrom("203.0.113.9, the moon");
            liar.signIn(first.equals("/people") ? "one" : "other", "a long enough one");
            String seen = liar.get("/me").body();
            assertTrue(seen.contains("127.0.0.1") && !seen.contains("moon"), "what is no address is not believed");
            assertTrue(founder.get("/join").body().contains("https://galdrin.test/join"));
            var jdbc = one.part(JdbcTemplate.class);
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
}
