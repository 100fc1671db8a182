package app.galdrin.web;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Map;
import org.openqa.selenium.WindowType;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.chrome.ChromeDriverService;
import org.openqa.selenium.chrome.ChromeOptions;
import org.springframework.util.FileSystemUtils;

/**
 * A window of a browser that has nothing of another: cookies, stores, caches and workers are cleared as it is closed. Starting a browser takes
 * seconds, so that one whose window was closed is used again.
 */
final class Window implements AutoCloseable {

    private static final Deque<Window> CLOSED = new ArrayDeque<>();

    private final ChromeDriver driver;
    private final String first;
    private String origin = "";

    private Window() {
        try {
            Path profile = Files.createTempDirectory("galdrin-browser");
            var options = new ChromeOptions();
            options.setBinary("/usr/bin/chromium");
            options.addArguments(
                    "--headless=new",
                    "--no-sandbox",
                    "--disable-gpu",
                    "--disable-quic",
                    "--no-first-run",
                    "--disable-background-networking",
                    "--disable-component-update",
                    "--disable-sync",
                    "--disable-dev-shm-usage",
                    "--window-size=1400,1600", // larger than any page size set below, or clicks miss
                    "--host-resolver-rules=MAP bay.test 127.0.0.1",
                    "--force-device-scale-factor=1",
                    "--hide-scrollbars",
                    "--user-data-dir=" + profile);
            var service = new ChromeDriverService.Builder()
                    .usingDriverExecutable(Path.of("/usr/bin/chromedriver").toFile())
                    .build();
            this.driver = new ChromeDriver(service, options);
            this.first = driver.getWindowHandle();
            Runtime.getRuntime().addShutdownHook(new Thread(() -> {
                driver.quit();
                FileSystemUtils.deleteRecursively(profile.toFile());
            }));
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Opens one for pages of an origin. */
    static Window open(String origin) {
        Window free;
        synchronized (CLOSED) {
            free = CLOSED.poll();
        }
        Window window = free == null ? new Window() : free;
        window.origin = origin;
        window.driver.switchTo().newWindow(WindowType.TAB);
        return window;
    }

    ChromeDriver driver() {
        return driver;
    }

    @Override
    public void close() {
        for (String handle : driver.getWindowHandles()) {
            if (!handle.equals(first)) {
                driver.switchTo().window(handle);
                driver.close();
            }
        }
        driver.switchTo().window(first);
        driver.executeCdpCommand("Network.clearBrowserCookies", Map.of());
        driver.executeCdpCommand("Network.clearBrowserCache", Map.of());
        driver.executeCdpCommand("Storage.clearDataForOrigin", Map.of("origin", origin, "storageTypes", "all"));
        synchronized (CLOSED) {
            CLOSED.push(this);
        }
    }
}
