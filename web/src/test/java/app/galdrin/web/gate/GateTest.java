package app.galdrin.web.gate;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.TestDatabase;
import app.galdrin.web.Visitor;
import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.read.ListAppender;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.Socket;
import java.net.SocketException;
import java.net.SocketTimeoutException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.Executors;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalManagementPort;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.jdbc.core.JdbcTemplate;

/** What every request passes first. */
@GaldrinTest
class GateTest {

    @LocalServerPort
    private int port;

    @LocalManagementPort
    private int managementPort;

    @Autowired
    private TestCentres centres;

    @Autowired
    private JdbcTemplate jdbc;

    /** A database that hangs, as a machine does that has no breath left: everyone is told before the visitor gives up, and goes on when it is back. */
    @Test
    void aSilentDatabase_isSaidSo_onThePageAndToTheScript() throws Exception {
        var centre = centres.plates();
        var teacher = new Visitor(port)
                .signIn(centre.instructor().signIn(), Centre.PASSWORD)
                .expectsFailure();
        assertEquals(200, teacher.get("/tasks").statusCode());
        assertEquals(0, TestDatabase.told("silence").waitFor());
        try {
            List<Callable<HttpResponse<String>>> all = new ArrayList<>();
            for (String path : List.of("/tasks", "/people", "/sign-in", "/join?code=" + centre.code(), "/marking")) {
                all.add(() -> teacher.get(path));
            }
            all.add(() -> teacher.postAsScript("/sittings/" + centre.taskId() + "/entries", Map.of("line", "x")));
            for (int round = 0; round < 2; round++) {
                for (HttpResponse<String> response : together(all)) {
                    assertEquals(503, response.statusCode());
                    assertEquals(
                            "5", response.headers().firstValue("Retry-After").orElseThrow());
                    String id = response.headers().firstValue("X-Request-Id").orElseThrow();
                    boolean page = !response.body().isEmpty();
                    assertTrue(!page || response.body().contains("The database is not available"));
                    assertTrue(!page || response.body().contains(id));
                }
            }
            assertEquals(503, management("/actuator/health/readiness"));
            assertEquals(200, management("/actuator/health/liveness"));
        } finally {
            assertEquals(0, TestDatabase.told("wake").waitFor());
        }
        for (int tries = 0; teacher.get("/tasks").statusCode() != 200; tries++) {
            assertTrue(tries < 100, "it is not back");
            Thread.sleep(100);
        }
    }

    private static <T> List<T> together(List<Callable<T>> work) throws Exception {
        var pool = Executors.newFixedThreadPool(work.size());
        try {
            List<T> results = new ArrayList<>();
            for (var result : pool.invokeAll(work)) {
                results.add(result.get());
            }
            return results;
        } finally {
            pool.shutdown();
        }
    }

    private HttpResponse<String> operator(String path) throws Exception {
        var request = HttpRequest.newBuilder(URI.create("http://localhost:" + managementPort + path))
                .build();
        return HttpClient.newHttpClient().send(request, HttpResponse.BodyHandlers.ofString());
    }

    private int management(String path) throws Exception {
        return operator(path).statusCode();
    }

    @Test
    void theOperator_asksOnTheManagementPort_andNowhereElse() throws Exception {
        assertEquals(200, management("/actuator/health/liveness"));
        assertEquals(200, management("/actuator/health/readiness"));
        String metrics = operator("/actuator/prometheus").body();
        assertTrue(metrics.contains("hikaricp_connections_active"), metrics);
        for (String secret : List.of("/actuator/env", "/actuator/heapdump", "/actuator/loggers")) {
            assertEquals(302, management(secret), secret);
        }
        for (String path : List.of("/actuator/health", "/actuator/prometheus")) {
            assertTrue(new Visitor(port).get(path).statusCode() >= 300, path);
        }
    }

    /** A page in a browser on that computer can point a name of its own at the port, and reads nothing under it. */
    @ParameterizedTest
    @CsvSource({
        "localhost, 200",
        "127.0.0.1:8081, 200",
        "[::1]:8081, 200",
        "rebound.example, 421",
        "127.0.0.1.example, 421"
    })
    void theManagementPort_isAskedByItsAddress(String host, int status) throws Exception {
        try (Socket socket = from("127.0.0.1", managementPort)) {
            say(socket, "GET /actuator/health HTTP/1.1\r\nHost: " + host + "\r\nConnection: close\r\n\r\n");
            String answer = new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            assertTrue(answer.startsWith("HTTP/1.1 " + status), answer);
        }
    }

    /** What the server itself refuses before any filter, and what is no form, carry what every page carries. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "GET /a<b HTTP/1.1 | 400",
                "GET /tasks/%2e%2e%zz HTTP/1.1 | 400",
                "NO SUCH THING | 400",
                "POST /sign-in HTTP/1.1\\r\\nContent-Type: text/plain\\r\\nContent-Length: 1 | 415"
            })
    void whatIsRefusedEarly_hasItsHeaders(String head, int status) throws Exception {
        try (Socket socket = from("127.0.0.4", port)) {
            say(
                    socket,
                    head.replace("\\r\\n", "\r\n") + "\r\nHost: x\r\nAccept: text/html\r\nConnection: close\r\n\r\na");
            String answer = new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            assertTrue(answer.startsWith("HTTP/1.1 " + status), answer);
            for (String header : List.of("Content-Security-Policy", "X-Content-Type-Options", "Referrer-Policy")) {
                assertTrue(answer.contains(header + ": "), answer);
            }
        }
    }

    private static Socket from(String address, int port) throws IOException {
        return new Socket(InetAddress.getLoopbackAddress(), port, InetAddress.getByName(address), 0);
    }

    private static void say(Socket socket, String text) throws IOException {
        socket.getOutputStream().write(text.getBytes(StandardCharsets.US_ASCII));
        socket.getOutputStream().flush();
    }

    /** More slow letters than the server has threads, from one address: another is served, and the slow ones are ended. */
    @Test
    void slowBodies_ofOneAddress_keepNobodyElseOut() throws Exception {
        List<Socket> slow = new ArrayList<>();
        try {
            for (int i = 0; i < 220; i++) {
                Socket socket = from("127.0.0.2", port);
                slow.add(socket);
                say(
                        socket,
                        "POST /sign-in HTTP/1.1\r\nHost: x\r\nContent-Type: application/x-www-form-urlencoded\r\n"
                                + "Content-Length: 500\r\n\r\nsignIn=");
            }
            assertEquals(200, new Visitor(port).get("/sign-in").statusCode());
            String honest = "";
            for (int tries = 0; !honest.startsWith("HTTP/1.1 302"); tries++) {
                assertTrue(tries < 30, "of the same college nobody else gets in: " + honest);
                Thread.sleep(100);
                honest = answer("127.0.0.2", "POST /sign-in", "signIn=a&password=b");
            }
            Map<String, Long> answers =
                    slow.stream().collect(Collectors.groupingBy(GateTest::status, Collectors.counting()));
            assertTrue(answers.containsKey("408"), "waited for and ended: " + answers);
            assertTrue(Set.of("408", "503", "reset").containsAll(answers.keySet()), "" + answers);
            assertEquals(200, new Visitor(port).get("/sign-in").statusCode());
        } finally {
            for (Socket socket : slow) {
                socket.close();
            }
        }
    }

    private static String status(Socket socket) {
        try {
            socket.setSoTimeout(30_000);
            return new String(socket.getInputStream().readNBytes(12), StandardCharsets.US_ASCII).substring(9);
        } catch (SocketException e) {
            return "reset"; // turned away before what it had sent was read
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private String answer(String address, String what, String form) throws Exception {
        try (Socket socket = from(address, port)) {
            socket.setSoTimeout(30_000);
            String head = form.isEmpty()
                    ? ""
                    : "Content-Type: application/x-www-form-urlencoded\r\nContent-Length: " + form.length() + "\r\n";
            say(
                    socket,
                    what + " HTTP/1.1\r\nHost: x\r\nAccept: text/html\r\nConnection: close\r\n" + head + "\r\n" + form);
            return new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    /** A letter at a time, each in time for the server: the whole is not. */
    @Test
    void aBody_hasItsTimeAsAWhole() throws Exception {
        try (Socket socket = from("127.0.0.3", port)) {
            say(
                    socket,
                    "POST /sign-in HTTP/1.1\r\nHost: x\r\nContent-Type: application/x-www-form-urlencoded\r\n"
                            + "Content-Length: 500\r\n\r\nsignIn=");
            socket.setSoTimeout(1000);
            int letters = 0;
            String answer = "";
            while (answer.isEmpty() && letters < 30) {
                say(socket, "a");
                letters++;
                answer = read(socket);
            }
            assertTrue(answer.startsWith("HTTP/1.1 408"), answer);
            assertTrue(letters >= 10, "the grace of an honest network: " + letters);
        }
    }

    /** Each letter in time for the server, the head never whole. */
    @Test
    void aHead_hasItsTimeAsAWhole() throws Exception {
        try (Socket socket = from("127.0.0.5", port)) {
            say(socket, "GET /sign-in HTTP/1.1\r\nHost: x\r\nX-Slow: ");
            socket.setSoTimeout(1000);
            int letters = 0;
            for (boolean open = true; open && letters < 30; letters++) {
                open = isOpenAfter(socket, "a");
            }
            assertTrue(letters >= 10 && letters < 20, "held for " + letters + " letters");
        }
        try (Socket socket = from("127.0.0.5", port)) {
            socket.setSoTimeout(1000);
            say(socket, "GET /sign-in HTTP/1.1\r\nHost: x\r\n");
            assertTrue(isOpenAfter(socket, "X-A: b\r\n"));
            say(socket, "Connection: close\r\n\r\n");
            socket.setSoTimeout(30_000);
            assertTrue(read(socket).startsWith("HTTP/1.1 200"), "an honest network is waited for");
        }
    }

    private static boolean isOpenAfter(Socket socket, String text) {
        try {
            say(socket, text);
            return socket.getInputStream().read() >= 0;
        } catch (SocketTimeoutException e) {
            return true;
        } catch (IOException e) {
            return false;
        }
    }

    /** Nobody speaks so many languages, and every page comes all the same. */
    @ParameterizedTest
    @CsvSource({"/sign-in,200", "/join,200", "/nowhere,302"})
    void aBrowserOfManyLanguages_isAnswered(String path, int status) throws Exception {
        String many = IntStream.range(0, 40)
                .mapToObj(i -> "x" + (char) ('a' + i % 26))
                .collect(Collectors.joining(","));
        var request = HttpRequest.newBuilder(URI.create("http://localhost:" + port + path))
                .header("Accept-Language", many)
                .header("Accept", "text/html")
                .build();
        assertEquals(
                status,
                HttpClient.newHttpClient()
                        .send(request, HttpResponse.BodyHandlers.ofString())
                        .statusCode());
    }

    private static String read(Socket socket) throws IOException {
        try {
            byte[] some = new byte[100];
            int read = socket.getInputStream().read(some);
            return new String(some, 0, Math.max(read, 0), StandardCharsets.UTF_8);
        } catch (SocketTimeoutException e) {
            return "";
        }
    }

    /** An address with a percent sign too many is a stranger's mistake and no error of ours, whatever is behind it. */
    @ParameterizedTest
    @CsvSource({
        "GET /join?code=%zz, '', address",
        "GET /tasks?a=%, '', address",
        "POST /join?code=%zz, Content-Length: 1, form"
    })
    void anAddressThatCanNotBeRead_isSaid_andNotLogged(String what, String length, String said) throws Exception {
        var heard = new ListAppender<ILoggingEvent>();
        heard.start();
        var root = (Logger) LoggerFactory.getLogger(org.slf4j.Logger.ROOT_LOGGER_NAME);
        root.addAppender(heard);
        try (Socket socket = from("127.0.0.4", port)) {
            socket.setSoTimeout(30_000);
            say(
                    socket,
                    what + " HTTP/1.1\r\nHost: x\r\nAccept: text/html\r\nConnection: close\r\n"
                            + (length.isEmpty()
                                    ? ""
                                    : length + "\r\nContent-Type: application/x-www-form-urlencoded\r\n")
                            + "\r\n" + (length.isEmpty() ? "" : "a"));
            String answer = new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            assertTrue(answer.startsWith("HTTP/1.1 400"), answer);
            assertTrue(answer.contains("That " + said + " could not be read"), answer);
        } finally {
            root.detachAppender(heard);
        }
        assertEquals(List.of(), errors(heard));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "application/x-www-form-urlencoded | signIn=%zz&password=x | 400",
                "application/x-www-form-urlencoded | signIn=%e2%82&password | 302",
                "application/json | {} | 415",
                "multipart/form-data; boundary=x | --x-- | 415",
            })
    void aBody_isAForm(String type, String body, int status) throws Exception {
        assertEquals(status, posted(type, body));
    }

    /** At the limits of fields and size, and one beyond. */
    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void aForm_hasItsSize(boolean fits) throws Exception {
        String fields = "a=1&".repeat(fits ? 4000 : 4001);
        String long_ = "a=" + "x".repeat((64 << 10) - (fits ? 2 : 1));
        String type = "application/x-www-form-urlencoded;charset=UTF-8";
        assertEquals(fits ? 302 : 413, posted(type, fields));
        assertEquals(fits ? 302 : 413, posted(type, long_));
    }

    private int posted(String type, String body) throws Exception {
        var request = HttpRequest.newBuilder(URI.create("http://localhost:" + port + "/sign-in"))
                .header("Content-Type", type)
                .header("Accept", "text/html")
                .POST(HttpRequest.BodyPublishers.ofString(body))
                .build();
        return HttpClient.newHttpClient()
                .send(request, HttpResponse.BodyHandlers.ofString())
                .statusCode();
    }

    /** Where no proxy is named, nobody chooses his own address. */
    @Test
    void anAddress_isTheOneSeen() {
        var guest = new Visitor(port).saysItIsFrom("198.51.100.7");
        guest.get("/sign-in");
        guest.post("/sign-in", Map.of("signIn", "nobody.here", "password", "x"));
        assertEquals(
                0,
                jdbc.queryForObject(
                        "select count(*) from attempt_count where address = '198.51.100.7'", Integer.class));
    }

    /** Who came in and who was kept out, by id and address; never what was typed. */
    @Test
    void theLog_saysWhoCameIn_andNothingThatWasTyped() {
        var heard = new ListAppender<ILoggingEvent>();
        heard.start();
        var logger = (Logger) LoggerFactory.getLogger("app.galdrin");
        logger.addAppender(heard);
        logger.setLevel(Level.INFO);
        try {
            var centre = centres.plates();
            var visitor = new Visitor(port).signIn(centre.apprentice().signIn(), Centre.PASSWORD);
            visitor.get("/tasks");
            new Visitor(port).tryToSignIn("my own secret words", "other secret words");
            var lines =
                    heard.list.stream().map(ILoggingEvent::getFormattedMessage).toList();
            String who = "APPRENTICE " + centre.apprentice().personId();
            assertTrue(lines.contains(who + " signed in from 127.0.0.1"), lines::toString);
            assertTrue(lines.contains("refused GET /tasks from 127.0.0.1"), lines::toString);
            assertTrue(
                    lines.stream().anyMatch(l -> l.startsWith("sign-in refused from 127.0.0.1: Bad")), lines::toString);
            assertTrue(lines.stream().noneMatch(l -> l.contains("secret") || l.contains(Centre.PASSWORD)));
        } finally {
            logger.detachAppender(heard);
            logger.setLevel(Level.WARN);
        }
    }

    /** Somebody who leaves a page that is still being written is no defect, and no reason to go on with it. */
    @Test
    void whoLeavesBeforeTheEnd_isNoError() throws Exception {
        var heard = new ListAppender<ILoggingEvent>();
        heard.start();
        var root = (Logger) LoggerFactory.getLogger(org.slf4j.Logger.ROOT_LOGGER_NAME);
        var gate = (Logger) LoggerFactory.getLogger("app.galdrin.web.gate");
        var centre = centres.plates();
        var teacher = new Visitor(port).signIn(centre.instructor().signIn(), Centre.PASSWORD);
        root.addAppender(heard);
        gate.setLevel(Level.DEBUG);
        try {
            teacher.beginAndLeave(SlowPage.PATH);
            for (int tries = 0; !said(heard, "left before the end: " + SlowPage.PATH); tries++) {
                assertTrue(tries < 300, "it goes on, or nobody noticed");
                Thread.sleep(100);
            }
            assertEquals(List.of(), errors(heard));
        } finally {
            gate.setLevel(null);
            root.detachAppender(heard);
        }
    }

    private static List<String> errors(ListAppender<ILoggingEvent> heard) {
        return List.copyOf(heard.list).stream()
                .filter(e -> e.getLevel().isGreaterOrEqual(Level.ERROR))
                .map(e -> e.getLoggerName() + " " + e.getFormattedMessage())
                .toList();
    }

    private static boolean said(ListAppender<ILoggingEvent> heard, String message) {
        return List.copyOf(heard.list).stream()
                .anyMatch(e -> e.getFormattedMessage().equals(message));
    }

    @Test
    void anErrorPage_namesItsRequest_andNoLogNamesARefusedRow() {
        var page = new Visitor(port).signIn("office", "follow the string").get("/nowhere");
        assertTrue(
                page.body().contains(page.headers().firstValue("X-Request-Id").orElseThrow()));
        var refused = assertThrows(
                DataIntegrityViolationException.class,
                () -> jdbc.update(
                        "insert into centre (id, name, zone) values (gen_random_uuid(), null, 'Secret/Zone')"));
        assertFalse(refused.getMessage().contains("Secret/Zone', ")
                || refused.getMessage().contains("Failing row"));
    }
}
