package app.galdrin.benchmarks;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Queue;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ThreadLocalRandom;
import java.util.concurrent.atomic.AtomicInteger;

/**
 * Fifty apprentices who write while something is taken away, as their devices do: each entry with a key of its own is sent until it is
 * acknowledged. They come through a small proxy on loopback that knows several instances and can lose answers on their way back. Run by
 * {@code benchmarks/faults.sh}, which injects the fault and compares what was acknowledged with what is in the database.
 */
public final class FaultRun {

    private static final Duration PATIENCE = Duration.ofSeconds(8);
    private static final long AGAIN_MILLIS = 200;
    private static final long BETWEEN_MILLIS = 120;
    private static final long LAST_MILLIS = 90_000;

    private final String run;
    private final URI base;
    private final List<String[]> lines;
    private final long until;
    private final Queue<String> acknowledged = new ConcurrentLinkedQueue<>();
    private final Map<String, Integer> refused = new ConcurrentHashMap<>();
    private final AtomicInteger again = new AtomicInteger();
    private final AtomicInteger given = new AtomicInteger();

    private FaultRun(String run, int port, List<String[]> lines, int seconds) {
        this.run = run;
        this.base = URI.create("http://127.0.0.1:" + port);
        this.lines = lines;
        this.until = System.currentTimeMillis() + seconds * 1000L;
    }

    /** RUN FOLDER SECONDS LOSE PORT...: the share of answers that get lost in percent, and the instances' ports. */
    public static void main(String... arguments) throws Exception {
        Path folder = Path.of(arguments[1]);
        List<Integer> instances = new ArrayList<>();
        for (int i = 4; i < arguments.length; i++) {
            instances.add(Integer.valueOf(arguments[i]));
        }
        var proxy = new Proxy(instances, Integer.parseInt(arguments[3]));
        var all = new FaultRun(
                arguments[0], proxy.port(), rows(folder.resolve("lines.tsv")), Integer.parseInt(arguments[2]));
        List<Thread> people = new ArrayList<>();
        for (String[] person : rows(folder.resolve("people.tsv"))) {
            var thread = new Thread(() -> all.write(person));
            thread.start();
            people.add(thread);
        }
        for (Thread thread : people) {
            thread.join();
        }
        Files.write(folder.resolve("acknowledged"), all.acknowledged);
        System.out.println(all.acknowledged.size() + " acknowledged, " + all.again + " sent again, " + all.given
                + " never acknowledged, refused " + all.refused + ", " + proxy.lost + " answers lost");
        System.exit(0);
    }

    private static List<String[]> rows(Path file) throws IOException {
        return Files.readAllLines(file).stream().map(row -> row.split("\t", -1)).toList();
    }

    private void write(String[] person) {
        var client = HttpClient.newBuilder()
                .version(HttpClient.Version.HTTP_1_1)
                .connectTimeout(PATIENCE)
                .build();
        for (int turn = 0; System.currentTimeMillis() < until; turn++) {
            String[] line = lines.get(turn % lines.size());
            String key = "fault-" + run + "-" + person[0].substring(24) + "-" + turn;
            send(client, person, "line=" + line[0] + "&text=" + line[1] + "&key=" + key, key);
            pause(BETWEEN_MILLIS);
        }
    }

    private void send(HttpClient client, String[] person, String entry, String key) {
        var request = HttpRequest.newBuilder(base.resolve("/sittings/" + person[0] + "/entries"))
                .timeout(PATIENCE)
                .header("Cookie", person[1])
                .header("X-Galdrin-Device", "fault-run")
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString("_csrf=" + person[2] + "&" + entry))
                .build();
        long end = System.currentTimeMillis() + LAST_MILLIS;
        while (System.currentTimeMillis() < end) {
            try {
                HttpResponse<String> answer = client.send(request, HttpResponse.BodyHandlers.ofString());
                if (answer.statusCode() == 200 && answer.body().contains("\"ok\":true")) {
                    acknowledged.add(key);
                    return;
                }
                if (answer.statusCode() < 500) {
                    refused.merge(answer.statusCode() + " " + answer.body(), 1, Integer::sum);
                    return;
                }
            } catch (IOException e) {
                // no answer, or half of one: whether it was written nobody knows, so that it is sent again
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                return;
            }
            again.incrementAndGet();
            pause(AGAIN_MILLIS);
        }
        given.incrementAndGet();
    }

    private static void pause(long millis) {
        try {
            Thread.sleep(millis);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** Each connection to the next instance that answers. */
    private static final class Proxy {
        private final ServerSocket door = new ServerSocket(0, 200, InetAddress.getLoopbackAddress());
        private final List<Integer> instances;
        private final int loses;
        private final AtomicInteger next = new AtomicInteger();
        private final AtomicInteger lost = new AtomicInteger();

        Proxy(List<Integer> instances, int loses) throws IOException {
            this.instances = instances;
            this.loses = loses;
            daemon(() -> {
                while (true) {
                    Socket client = door.accept();
                    daemon(() -> serve(client));
                }
            });
        }

        int port() {
            return door.getLocalPort();
        }

        private interface Work {
            void run() throws IOException;
        }

        private static void daemon(Work work) {
            var thread = new Thread(() -> {
                try {
                    work.run();
                } catch (IOException e) {
                    // one side has gone; the other is closed by its owner
                }
            });
            thread.setDaemon(true);
            thread.start();
        }

        private void serve(Socket client) throws IOException {
            try (client;
                    Socket instance = connected()) {
                daemon(() -> copy(client.getInputStream(), instance.getOutputStream(), 0));
                copy(instance.getInputStream(), client.getOutputStream(), loses);
            }
        }

        private Socket connected() throws IOException {
            IOException last = new IOException("no instance");
            for (int i = 0; i < instances.size(); i++) {
                int port = instances.get(Math.floorMod(next.getAndIncrement(), instances.size()));
                var socket = new Socket();
                try {
                    socket.connect(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), 500);
                    return socket;
                } catch (IOException e) {
                    socket.close();
                    last = e;
                }
            }
            throw last;
        }

        private void copy(InputStream from, OutputStream to, int percent) throws IOException {
            byte[] piece = new byte[16384];
            for (int read = from.read(piece); read >= 0; read = from.read(piece)) {
                if (ThreadLocalRandom.current().nextInt(100) < percent) {
                    lost.incrementAndGet();
                    return; // the instance has answered, the device never hears it
                }
                to.write(piece, 0, read);
                to.flush();
            }
        }
    }
}
