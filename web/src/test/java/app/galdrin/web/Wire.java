package app.galdrin.web;

import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;

/** A wire between a browser and the server that can be cut and mended: also a service worker sees it go. */
public final class Wire implements AutoCloseable {

    private final ServerSocket end = new ServerSocket(0, 200, InetAddress.getLoopbackAddress());
    private final ExecutorService work = Executors.newCachedThreadPool();
    private final Set<Socket> open = ConcurrentHashMap.newKeySet();
    private final int server;
    private volatile boolean cut;

    public Wire(int server) throws IOException {
        this.server = server;
        work.execute(this::accept);
    }

    public int port() {
        return end.getLocalPort();
    }

    public void cut() {
        cut = true;
        open.forEach(Wire::drop);
    }

    public void mend() {
        cut = false;
    }

    private void accept() {
        while (!end.isClosed()) {
            try {
                Socket browser = end.accept();
                if (cut) {
                    drop(browser);
                } else {
                    Socket there = new Socket(InetAddress.getLoopbackAddress(), server);
                    open.add(browser);
                    open.add(there);
                    work.execute(() -> pass(browser, there));
                    work.execute(() -> pass(there, browser));
                }
            } catch (IOException e) {
                // closed, or the server is gone: the browser sees the same
            }
        }
    }

    private void pass(Socket from, Socket to) {
        try (from;
                to) {
            from.getInputStream().transferTo(to.getOutputStream());
        } catch (IOException e) {
            // cut
        }
        open.remove(from);
        open.remove(to);
    }

    private static void drop(Socket socket) {
        try {
            socket.close();
        } catch (IOException e) {
            // it is gone anyway
        }
    }

    @Override
    public void close() throws IOException {
        end.close();
        cut();
        work.shutdownNow();
    }
}
