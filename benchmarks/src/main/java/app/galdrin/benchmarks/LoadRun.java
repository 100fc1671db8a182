package app.galdrin.benchmarks;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.Executors;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Fifty apprentices at once on a running demo on this machine: they join by code, load the bay sheet and post entries, and
 * for comparison fetch fixed text of the page's size. Bounded: so many rounds, then it ends.
 *
 * <p>Arguments: port (8080), apprentices (50), rounds (20).
 */
public final class LoadRun {

    private static final String PASSWORD = "follow the string";

    private final String base;
    private final int people;
    private final int rounds;

    private LoadRun(int port, int people, int rounds) {
        this.base = "http://127.0.0.1:" + port;
        this.people = people;
        this.rounds = rounds;
    }

    public static void main(String[] args) throws Exception {
        int port = args.length > 0 ? Integer.parseInt(args[0]) : 8080;
        int people = args.length > 1 ? Integer.parseInt(args[1]) : 50;
        int rounds = args.length > 2 ? Integer.parseInt(args[2]) : 20;
        new LoadRun(port, people, rounds).run();
    }

    private void run() throws Exception {
        String code = openTask();
        List<Apprentice> apprentices = new ArrayList<>();
        for (int i = 0; i < people; i++) {
            apprentices.add(new Apprentice(code));
        }
        int size = apprentices.get(0).page().getBytes(StandardCharsets.UTF_8).length;
        System.out.println("bay-sheet page: " + size + " bytes");
        for (String what : List.of(
                "warm-up",
                "page",
                "entry",
                "fixed text of the page's size",
                "page",
                "entry",
                "fixed text of the page's size")) {
            report(what, measure(apprentices, what, size));
        }
    }

    private void report(String what, double[] millis) {
        Arrays.sort(millis);
        System.out.printf(
                "%-32s n %5d  median %7.1f ms  99th percentile %7.1f ms%n",
                what, millis.length, millis[millis.length / 2], millis[(int) (millis.length * 0.99)]);
    }

    private double[] measure(List<Apprentice> apprentices, String what, int size) throws Exception {
        var pool = Executors.newFixedThreadPool(people);
        try {
            List<Callable<double[]>> work = new ArrayList<>();
            for (Apprentice apprentice : apprentices) {
                work.add(() -> {
                    double[] millis = new double[rounds];
                    for (int round = 0; round < rounds; round++) {
                        long from = System.nanoTime();
                        apprentice.act(what, round, size);
                        millis[round] = (System.nanoTime() - from) / 1e6;
                    }
                    return millis;
                });
            }
            double[] all = new double[0];
            for (var future : pool.invokeAll(work)) {
                double[] one = future.get();
                all = Arrays.copyOf(all, all.length + one.length);
                System.arraycopy(one, 0, all, all.length - one.length, one.length);
            }
            return all;
        } finally {
            pool.shutdown();
        }
    }

    /** Adds a class and opens a task for it, as an instructor. */
    private String openTask() throws Exception {
        var instructor = new Client();
        instructor.get("/sign-in");
        instructor.post("/sign-in", "signIn=m.aldous&password=" + encode(PASSWORD));
        instructor.get("/people");
        String tag = UUID.randomUUID().toString().substring(0, 6);
        for (int i = 0; i < people; i++) {
            instructor.post(
                    "/people",
                    "role=APPRENTICE&displayName=Load" + tag + i + "&signIn=load" + tag + i + "&password="
                            + encode(PASSWORD));
        }
        String list = instructor.get("/people");
        StringBuilder members = new StringBuilder("name=Load" + tag);
        Matcher box = Pattern.compile("value=\"([0-9a-f-]{36})\"[^>]*aria-label=\"Load" + tag)
                .matcher(list);
        while (box.find()) {
            members.append("&members=").append(box.group(1));
        }
        instructor.post("/people/classes", members.toString());
        String draft = URI.create(instructor
                        .post("/tasks/drafts", "start=toe")
                        .headers()
                        .firstValue("Location")
                        .orElseThrow())
                .getPath();
        String bench = instructor.get(draft);
        Matcher group =
                Pattern.compile("value=\"([0-9a-f-]{36})\"[^>]*>Load" + tag).matcher(bench);
        if (!group.find()) {
            throw new IllegalStateException("the class was not made");
        }
        String task = instructor
                .post(draft + "/set", "class=" + group.group(1) + "&title=Load")
                .headers()
                .firstValue("Location")
                .orElseThrow();
        String path = URI.create(task).getPath();
        instructor.post(path + "/open", "");
        Matcher code = Pattern.compile("code-large\">([A-Z2-9]{6})<").matcher(instructor.get(path));
        if (!code.find()) {
            throw new IllegalStateException("the task was not opened");
        }
        return code.group(1);
    }

    private final class Apprentice {
        private final Client client = new Client();
        private final String sheet;
        private String last = "";

        Apprentice(String code) throws Exception {
            Matcher name = Pattern.compile("name=\"person\" value=\"([0-9a-f-]{36})\"")
                    .matcher(client.get("/join?code=" + code));
            if (!name.find()) {
                throw new IllegalStateException("no name left");
            }
            var joined = client.post("/join", "code=" + code + "&person=" + name.group(1) + "&bay=1");
            sheet = URI.create(joined.headers().firstValue("Location").orElseThrow())
                    .getPath();
            client.get("/sittings");
        }

        String page() throws Exception {
            return client.get(sheet + "?step=toe");
        }

        void act(String what, int round, int size) throws Exception {
            switch (what) {
                case "page", "warm-up" -> page();
                case "entry" -> {
                    String text = (60 + round % 9) + "." + (round % 2) * 5;
                    String key = UUID.randomUUID().toString();
                    var answer = client.post(
                            sheet + "/entries",
                            "line=" + encode("toe/hubGap.fl/1/0") + "&text=" + text + "&key=" + key + "&saw=" + last);
                    last = key;
                    if (answer.statusCode() != 200 || !answer.body().contains("\"ok\":true")) {
                        throw new IllegalStateException(answer.statusCode() + " " + answer.body());
                    }
                }
                default -> client.part("/assets/webjars/bootstrap/css/bootstrap.min.css", size);
            }
        }
    }

    /** One browser's worth of cookies and form token. */
    private final class Client {
        private final HttpClient http =
                HttpClient.newBuilder().cookieHandler(new CookieManager()).build();
        private String token = "";

        String get(String path) throws Exception {
            var response = send(HttpRequest.newBuilder(URI.create(base + path)).header("Accept", "text/html"));
            Matcher found = Pattern.compile("csrf-token\" content=\"([^\"]+)\"").matcher(response.body());
            if (found.find()) {
                token = found.group(1);
            }
            if (response.statusCode() >= 400) {
                throw new IllegalStateException(path + " " + response.statusCode());
            }
            return response.body();
        }

        void part(String path, int size) throws Exception {
            var response =
                    send(HttpRequest.newBuilder(URI.create(base + path)).header("Range", "bytes=0-" + (size - 1)));
            if (response.statusCode() != 206) {
                throw new IllegalStateException("asked for " + size + " bytes, got status " + response.statusCode());
            }
        }

        HttpResponse<String> post(String path, String body) throws Exception {
            return send(HttpRequest.newBuilder(URI.create(base + path))
                    .header("Accept", "text/html, application/json")
                    .header("Content-Type", "application/x-www-form-urlencoded")
                    .header("X-Galdrin-Device", "load")
                    .POST(HttpRequest.BodyPublishers.ofString("_csrf=" + encode(token) + "&" + body)));
        }

        private HttpResponse<String> send(HttpRequest.Builder request) throws IOException, InterruptedException {
            return http.send(request.build(), HttpResponse.BodyHandlers.ofString());
        }
    }

    private static String encode(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }
}
