package app.galdrin.web;

import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.io.InputStream;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Someone without a script: real requests with cookies and form tokens, redirects not followed. A page or a form that the server fails at
 * fails the test, whatever the test looks at.
 */
public final class Visitor {

    private static final Pattern TOKEN = Pattern.compile("name=\"csrf-token\" content=\"([^\"]+)\"");

    private final CookieManager cookies = new CookieManager();
    /** Who waits longer has been forgotten. */
    private static final Duration PATIENCE = Duration.ofMinutes(1);

    private final HttpClient client =
            HttpClient.newBuilder().cookieHandler(cookies).build();
    private final String base;
    private String token = "";
    private String forwarded = "";
    private boolean expectsFailure;

    public Visitor(int port) {
        this.base = "http://localhost:" + port;
    }

    /** For a test that makes the server fail. */
    public Visitor expectsFailure() {
        expectsFailure = true;
        return this;
    }

    /** As if a proxy said so. */
    public Visitor saysItIsFrom(String address) {
        forwarded = address;
        return this;
    }

    public HttpResponse<String> get(String path) {
        var response = answer(HttpRequest.newBuilder(URI.create(base + path)).header("Accept", "text/html"));
        var found = TOKEN.matcher(response.body());
        if (found.find()) {
            token = found.group(1);
        }
        return response;
    }

    /** What a download holds. */
    public byte[] bytes(String path) {
        return send(HttpRequest.newBuilder(URI.create(base + path)), HttpResponse.BodyHandlers.ofByteArray())
                .body();
    }

    /** Asks for a page, reads how it begins and closes the line. */
    public void beginAndLeave(String path) throws IOException {
        var request = HttpRequest.newBuilder(URI.create(base + path)).header("Accept", "text/html");
        try (InputStream begun =
                send(request, HttpResponse.BodyHandlers.ofInputStream()).body()) {
            assertTrue(begun.read() >= 0);
        }
    }

    public HttpResponse<String> post(String path, Map<String, String> form) {
        return post(path, form, false);
    }

    /** As the bay sheet's script sends it. */
    public HttpResponse<String> postAsScript(String path, Map<String, String> form) {
        return post(path, form, true);
    }

    private HttpResponse<String> post(String path, Map<String, String> form, boolean script) {
        String body = form.entrySet().stream()
                .map(e -> encode(e.getKey()) + "=" + encode(e.getValue()))
                .collect(Collectors.joining("&", "_csrf=" + encode(token) + "&", ""));
        var request = HttpRequest.newBuilder(URI.create(base + path))
                .header("Accept", script ? "application/json" : "text/html")
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString(body));
        return answer(script ? request.header("X-Galdrin-Device", "test-device") : request);
    }

    public Visitor signIn(String name, String password) {
        var answer = tryToSignIn(name, password);
        String to = answer.headers().firstValue("Location").orElse("");
        assertTrue(
                answer.statusCode() == 302 && !to.startsWith("/sign-in"),
                () -> name + " was not let in: " + answer.statusCode() + " " + to + answer.body());
        get("/join"); // the token changes with the sign-in
        return this;
    }

    public HttpResponse<String> tryToSignIn(String name, String password) {
        get("/sign-in");
        return post("/sign-in", Map.of("signIn", name, "password", password));
    }

    /** As if the answer that brought the session had never arrived. */
    public void losesSession() {
        var store = cookies.getCookieStore();
        store.getCookies().stream()
                .filter(c -> c.getName().equals("SESSION"))
                .toList()
                .forEach(c -> store.remove(URI.create(base), c));
    }

    public void forgetToken() {
        token = "";
    }

    /** The token that a form of his carries. */
    public String token() {
        return token;
    }

    private HttpResponse<String> answer(HttpRequest.Builder request) {
        var response = send(request);
        assertTrue(expectsFailure || response.statusCode() < 500, () -> response + response.body());
        return response;
    }

    /** Anything at all, as it is given, whatever the answer. */
    public HttpResponse<String> raw(String method, String path, String body, Map<String, String> headers) {
        var request = HttpRequest.newBuilder(URI.create(base + path))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .method(method, HttpRequest.BodyPublishers.ofString(body));
        headers.forEach(request::header);
        return send(request);
    }

    /** A form as it comes, whatever the answer. */
    public HttpResponse<String> upload(String path, HttpRequest.BodyPublisher body) {
        return send(HttpRequest.newBuilder(URI.create(base + path))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .header("Accept", "text/html")
                .POST(body));
    }

    private HttpResponse<String> send(HttpRequest.Builder request) {
        return send(request, HttpResponse.BodyHandlers.ofString());
    }

    private <T> HttpResponse<T> send(HttpRequest.Builder request, HttpResponse.BodyHandler<T> as) {
        if (!forwarded.isEmpty()) {
            request.header("X-Forwarded-For", forwarded);
        }
        try {
            return client.send(request.timeout(PATIENCE).build(), as);
        } catch (IOException | InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    private static String encode(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }
}
