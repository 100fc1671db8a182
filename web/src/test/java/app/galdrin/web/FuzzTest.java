package app.galdrin.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.task.Tasks;
import java.lang.reflect.Parameter;
import java.net.URLEncoder;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/**
 * Anything at all, by anyone, to every route that the application says it has. Nothing of it may be a defect of ours (500), tell anything
 * of its inside, or leave the product's own pages. {@code ./galdrin fuzz} runs it for longer, with another seed each time.
 */
@GaldrinTest
class FuzzTest {

    private static final long SEED = Long.getLong("galdrin.fuzz.seed", 20261127);

    /** How long it goes on where the command says so; else it sends so many. */
    private static final int SECONDS = Integer.getInteger("galdrin.fuzz.seconds", 0);

    private static final int MOST = Boolean.getBoolean("galdrin.full") ? 4000 : 500;

    private static final Pattern INSIDE = Pattern.compile(
            "Exception|\\bat (app\\.galdrin|java|org)\\.|org\\.springframework|SQLState|Whitelabel|\\?\\?[a-z.]+_en\\?\\?");
    private static final List<String> METHODS =
            List.of("GET", "POST", "HEAD", "PUT", "DELETE", "PATCH", "OPTIONS", "TRACE", "FOO");
    private static final Pattern NAMES = Pattern.compile("name=\"([^\"]+)\"");
    private static final Pattern VARIABLE = Pattern.compile("\\{([^:{}]+)(:(?:[^{}]|\\{[^{}]*})*)?}");

    /** What nobody types, and what somebody does. */
    private static final List<String> ODD = List.of(
            "",
            " ",
            "\0",
            "a\0b",
            "{x}",
            "{0}",
            "${7*7}",
            "#{field.x}",
            "__${7*7}__",
            "field.x",
            "marking.marks",
            "'; drop table entry; --",
            "<script>alert(1)</script>",
            "\"><svg onload=x>",
            "\r\nSet-Cookie: x=y",
            "../../../etc/passwd",
            "//elsewhere.test",
            "-1",
            "0",
            "1",
            "12,5",
            "1 3/16",
            "0°24'",
            "1904.5",
            "NaN",
            "1e309",
            "1e-50",
            "9".repeat(400),
            "2147483648",
            "99999999999999999999",
            "-9223372036854775808",
            "true",
            "ADMIN",
            "INSTRUCTOR",
            "yes",
            "front.left",
            "measure:camber",
            "up:found",
            "\uFEFFx\u200B",
            "\u202Eabc",
            "𝕏😀",
            "é".repeat(300),
            "x".repeat(5000),
            "00000000-0000-0000-0000-000000000000",
            "nonsense",
            "a@b",
            "%",
            "%zz",
            "[object Object]",
            "null",
            ",,,,",
            ".",
            "…");

    /** Entries that fit their lines, and lines with parts missing; the desk's own are among them. */
    private static final List<Map.Entry<String, String>> ENTRIES = List.of(
            Map.entry("caster/fl.out.steer/1/0", "20.5"),
            Map.entry("caster/fl.out.camber/1/0", "1.15, topIn"),
            Map.entry("toe/hubGap.fl/1/0", "66.5"),
            Map.entry("toe/hubGap.fr/1/0", "1 3/16"),
            Map.entry("work/totalToe.front/0/0", "0°24'"),
            Map.entry("judge/totalToe.front/0/0", "inside"),
            Map.entry("prepare/stands/0/0", "done"),
            Map.entry("_staff/needsYou/0/0", "raised"),
            Map.entry("_staff/needsYou", "raised"),
            Map.entry("_staff/stopped/0/0", "done"),
            Map.entry("_mark/sign/0/0", "done"),
            Map.entry("_mark/release/0/0", "done"),
            Map.entry("_tape/work/0/0", "1904.5"),
            Map.entry("_x/y/0/0", ""));

    private static final Pattern LINE = Pattern.compile("line=[^&]{0,40}");

    /** Of browsers in a place where many are spoken. */
    private static final String MANY_LANGUAGES = IntStream.range(0, 40)
            .mapToObj(i -> "" + (char) ('a' + i % 26) + (char) ('a' + i / 2) + ";q=0." + (99 - i))
            .collect(Collectors.joining(","));

    @LocalServerPort
    private int port;

    @Autowired
    @Qualifier("requestMappingHandlerMapping")
    private RequestMappingHandlerMapping mappings;

    @Autowired
    private TestCentres centres;

    @Autowired
    private Tasks tasks;

    @Autowired
    private Sittings sittings;

    @Autowired
    private JdbcTemplate jdbc;

    private final RandomGenerator random =
            RandomGeneratorFactory.of("L64X128MixRandom").create(SEED);

    private Centre centre;
    private final Map<String, Visitor> visitors = new TreeMap<>();
    private final Map<String, List<String>> ids = new TreeMap<>();
    private final Set<String> fields = new TreeSet<>();

    private record Route(String method, String path, List<String> names) {}

    @BeforeEach
    void open() {
        again();
    }

    /** A centre of its own, with everyone at the door: what was sent may have put them out. */
    private void again() {
        centre = centres.fullFront();
        visitors.clear();
        String sitting = centre.sitting(tasks, sittings).id().toString();
        visitors.put("instructor", new Visitor(port).signIn(centre.instructor().signIn(), Centre.PASSWORD));
        visitors.put("apprentice", new Visitor(port).signIn(centre.apprentice().signIn(), Centre.PASSWORD));
        visitors.put("nobody", new Visitor(port));
        var joined = new Visitor(port);
        joined.get("/join?code=" + centre.code());
        String neighbour = centre.neighbour().personId().toString();
        joined.post("/join", Map.of("code", centre.code(), "person", neighbour, "bay", ""));
        visitors.put("joined", joined);
        visitors.values().forEach(v -> v.get("/join"));
        String sheet = jdbc.queryForObject("select id from sheet where centre_id = ?", String.class, centre.id());
        String vehicle = jdbc.queryForObject("select id from vehicle where centre_id = ?", String.class, centre.id());
        String foreign = jdbc.queryForObject(
                "select id from sitting where centre_id <> ? order by id limit 1", String.class, centre.id());
        ids.put("tasks", List.of(centre.taskId().toString()));
        ids.put("sittings", List.of(sitting, sitting, foreign));
        ids.put("marking", List.of(sitting, sitting, foreign));
        ids.put("people", List.of(neighbour, centre.instructor().personId().toString()));
        ids.put("vehicles", List.of(vehicle, sheet));
        var teacher = visitors.get("instructor");
        String draft = teacher.post("/tasks/drafts", Map.of("start", "toe"))
                .headers()
                .firstValue("Location")
                .orElseThrow()
                .replaceFirst("^.*(?=/tasks/)", "");
        ids.put("drafts", List.of(draft.substring(draft.lastIndexOf('/') + 1)));
        for (String page : List.of(draft, "/vehicles/new", "/people", "/sittings/" + sitting, "/marking/" + sitting)) {
            Matcher name = NAMES.matcher(teacher.get(page).body());
            while (name.find()) {
                fields.add(name.group(1));
            }
        }
        fields.removeAll(Set.of("viewport", "csrf-token", "_csrf"));
    }

    private List<Route> routes() {
        List<Route> routes = new ArrayList<>();
        mappings.getHandlerMethods().forEach((info, handler) -> {
            List<String> names = new ArrayList<>();
            for (Parameter parameter : handler.getMethod().getParameters()) {
                names.addAll(names(parameter));
            }
            Set<RequestMethod> methods = info.getMethodsCondition().getMethods();
            for (String path : info.getPatternValues()) {
                for (RequestMethod method : methods.isEmpty() ? Set.of(RequestMethod.GET) : methods) {
                    routes.add(new Route(method.name(), path, names));
                }
            }
        });
        for (String path : List.of(
                "/assets/style/galdrin.css", "/assets/{x}", "/assets/webjars/{x}", "/error", "/{x}", "/actuator/{x}")) {
            METHODS.forEach(method -> routes.add(new Route(method, path, List.of("x"))));
        }
        routes.add(new Route("POST", "/sign-in", List.of("signIn", "password", "x")));
        routes.add(new Route("POST", "/sign-out", List.of()));
        routes.sort((a, b) -> (a.path() + a.method()).compareTo(b.path() + b.method()));
        return routes;
    }

    private static List<String> names(Parameter parameter) {
        if (parameter.isAnnotationPresent(ModelAttribute.class)
                && parameter.getType().isRecord()) {
            return Arrays.stream(parameter.getType().getRecordComponents())
                    .map(c -> c.getName())
                    .toList();
        }
        if (!parameter.isAnnotationPresent(RequestParam.class)) {
            return List.of();
        }
        return List.of(Map.class.isAssignableFrom(parameter.getType()) ? "*" : parameter.getName());
    }

    @Test
    @SuppressWarnings("SystemOut") // read by ./galdrin fuzz
    void whateverIsSent_isAnswered_inTheProductsOwnWords() {
        List<Route> routes = routes();
        assertTrue(routes.size() > 40, "routes from the application's own mappings: " + routes.size());
        // what a bay sheet sends all day: with one field that is odd, so that it gets past the first look
        Route entries = routes.stream()
                .filter(r -> r.path().endsWith("/entries"))
                .findFirst()
                .orElseThrow();
        Map<String, String> defects = new TreeMap<>();
        Map<Integer, Integer> answers = new TreeMap<>();
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(SECONDS);
        int sent = 0;
        while (SECONDS > 0 ? System.nanoTime() < end : sent < MOST) {
            if (sent % 400 == 399) {
                again();
            }
            boolean entry = sent % 6 == 5;
            Route route = entry ? entries : routes.get(sent < routes.size() ? sent : random.nextInt(routes.size()));
            String who = entry ? "apprentice" : one(List.copyOf(visitors.keySet()));
            String path = path(route);
            String method = !entry && random.nextInt(30) == 0 ? one(METHODS) : route.method();
            boolean get = method.equals("GET") || method.equals("HEAD");
            String query = parameters(route, get ? "" : visitors.get(who).token(), entry);
            String where = get && !query.isEmpty() ? path + "?" + query : path;
            HttpResponse<String> answer = visitors.get(who).raw(method, where, get ? "" : query, headers(entry));
            sent++;
            answers.merge(answer.statusCode(), 1, Integer::sum);
            // entries go to one route: their lines tell their defects apart
            String kind = entry
                    ? LINE.matcher(query)
                            .results()
                            .map(l -> " " + l.group())
                            .findFirst()
                            .orElse("")
                    : "";
            defect(answer)
                    .forEach(what -> defects.putIfAbsent(
                            method + " " + route.path() + kind + ": " + what, who + " " + where + " " + query));
        }
        System.out.println("fuzz: seed " + SEED + ", " + sent + " requests, answers " + answers);
        assertEquals(Map.of(), defects, "seed " + SEED);
    }

    /** Every page there is, opened by each of them: not a row more, less or other. Counts of wrong codes and sessions are no matter of pages. */
    @Test
    void lookingAtAnything_changesNothing() {
        String before = everything();
        int opened = 0;
        for (Route route : routes()) {
            for (Visitor visitor : visitors.values()) {
                if (route.method().equals("GET")) {
                    String kind = route.path().split("/", -1)[1];
                    for (String id : ids.getOrDefault(kind, List.of("plates"))) {
                        String path = VARIABLE.matcher(route.path()).replaceAll(Matcher.quoteReplacement(id));
                        int status = visitor.raw("GET", path, "", Map.of("Accept", "*/*"))
                                .statusCode();
                        opened += status == 200 ? 1 : 0;
                    }
                }
            }
        }
        assertTrue(opened > 30, "pages that opened: " + opened);
        assertEquals(before, everything());
    }

    private String everything() {
        List<String> tables = jdbc.queryForList(
                "select table_name from information_schema.tables where table_schema = 'public' and table_name not like 'spring%'"
                        + " and table_name not in ('attempt_count', 'flyway_schema_history') order by 1",
                String.class);
        return tables.stream()
                .map(table -> table + " "
                        + jdbc.queryForObject(
                                "select md5(coalesce(string_agg(t::text, '|' order by t::text), '')) from " + table
                                        + " t",
                                String.class))
                .toList()
                .toString();
    }

    private static List<String> defect(HttpResponse<String> answer) {
        List<String> defects = new ArrayList<>();
        int status = answer.statusCode();
        if (status >= 500) {
            defects.add("status " + status);
        }
        Matcher inside = INSIDE.matcher(answer.body());
        if (inside.find()) {
            defects.add("tells " + inside.group());
        }
        boolean page = answer.headers().firstValue("Content-Type").orElse("").startsWith("text/html");
        boolean seen = !answer.request().method().equals("HEAD");
        if (page && seen && status >= 400 && !answer.body().contains("tb-brand")) {
            defects.add("a page that is not ours");
        }
        if (page
                && seen
                && status == 200
                && !answer.body().contains("</html>")
                && !answer.body().contains("</")) {
            defects.add("a page that ends in the middle");
        }
        if (answer.headers().firstValue("Location").orElse("").contains("elsewhere")
                || answer.headers().map().containsKey("x")) {
            defects.add("a header of the sender's");
        }
        return defects;
    }

    private <T> T one(List<T> kind) {
        return kind.get(random.nextInt(kind.size()));
    }

    private String path(Route route) {
        String kind = route.path().split("/", -1).length > 1 ? route.path().split("/", -1)[1] : "";
        Supplier<String> value = () -> random.nextInt(6) == 0
                ? one(ODD)
                : one(ids.getOrDefault(
                        kind, List.of("plates", "task", "front", "00000000-0000-0000-0000-000000000000")));
        return VARIABLE.matcher(route.path()).replaceAll(v -> Matcher.quoteReplacement(inPath(value.get())));
    }

    private static String inPath(String text) {
        return encoded(text).replace("+", "%20");
    }

    private static String encoded(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }

    private String parameters(Route route, String token, boolean careful) {
        Map.Entry<String, String> entry = one(ENTRIES);
        List<String> pairs = new ArrayList<>();
        List<String> names = new ArrayList<>();
        for (String name : route.names()) {
            if (name.equals("*")) {
                for (int i = random.nextInt(12); i > 0; i--) {
                    names.add(one(List.copyOf(fields)));
                }
            } else {
                names.add(name);
            }
        }
        for (String name : names) {
            int times = !careful && random.nextInt(12) == 0 ? random.nextInt(3) : 1;
            for (int i = 0; i < times; i++) {
                boolean fits = careful ? random.nextInt(8) > 0 : random.nextBoolean();
                pairs.add(encoded(name) + "=" + (fits ? fitting(name, entry) : value()));
            }
        }
        if (!token.isEmpty() && (careful || random.nextInt(20) > 0)) {
            pairs.add("_csrf=" + encoded(token));
        }
        return String.join("&", pairs);
    }

    /** What a field of this name takes, so that a request gets past the first look at it. */
    private String fitting(String name, Map.Entry<String, String> entry) {
        return switch (name) {
            case "key" -> new UUID(random.nextLong(), random.nextLong()).toString();
            case "line" -> encoded(entry.getKey());
            case "text" -> encoded(entry.getValue());
            case "strike" -> "false";
            case "saw" -> "";
            case "deviceSeq", "writtenAt", "sentAt" -> "0";
            default -> value();
        };
    }

    private String value() {
        if (random.nextInt(40) == 0) {
            return one(List.of("%ED%A0%80", "%C0%80", "%FF", "%00"));
        }
        if (random.nextInt(5) == 0) {
            return encoded(one(one(List.copyOf(ids.values()))));
        }
        return encoded(one(ODD));
    }

    private Map<String, String> headers(boolean careful) {
        Map<String, String> headers = new TreeMap<>();
        headers.put("Accept", one(List.of("text/html", "text/html", "application/json", "*/*", "image/svg+xml")));
        if (careful) {
            headers.put("X-Galdrin-Device", "device-1");
        } else if (random.nextInt(3) == 0) {
            headers.put("X-Galdrin-Device", one(List.of("device-1", "device-1", "x".repeat(300), "{x}", "é")));
        }
        if (random.nextInt(20) == 0) {
            headers.put("Accept-Language", MANY_LANGUAGES);
        }
        return headers;
    }
}
