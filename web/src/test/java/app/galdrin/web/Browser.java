package app.galdrin.web;

import static java.nio.charset.StandardCharsets.UTF_8;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.OutputType;
import org.openqa.selenium.StaleElementReferenceException;
import org.openqa.selenium.TimeoutException;
import org.openqa.selenium.WebDriverException;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.interactions.Actions;
import org.openqa.selenium.support.ui.Select;
import org.openqa.selenium.support.ui.WebDriverWait;

/** Someone at a real browser: Debian's Chromium, headless, with cookies and stores of its own. */
public final class Browser implements AutoCloseable {

    private static final Duration PATIENCE = Duration.ofSeconds(15);
    private static final Duration BETWEEN_TAPS = Duration.ofMillis(150);
    private static final Duration LOOK_AGAIN = Duration.ofMillis(100);

    private static final String CHECKER = checker();

    private final ChromeDriver driver;
    private final Window window;
    private final String base;
    private int width;
    private int height;
    private int presses;

    /** As a workshop's phones reach it: by a name and without TLS, which is no secure context. */
    public Browser(int port, int width, int height) {
        this("http://bay.test:" + port, width, height);
    }

    /** As behind TLS: this machine's own pages are a secure context too. */
    public static Browser secure(int port, int width, int height) {
        return new Browser("http://localhost:" + port, width, height);
    }

    private Browser(String base, int width, int height) {
        this.base = base;
        this.window = Window.open(base);
        this.driver = window.driver();
        size(width, height);
    }

    /** The size of the page itself; a window of that size would show less. */
    public void size(int width, int height) {
        this.width = width;
        this.height = height;
        Map<String, Object> metrics = new HashMap<>();
        metrics.put("width", width);
        metrics.put("height", height);
        metrics.put("deviceScaleFactor", 1);
        metrics.put("mobile", width < 500);
        driver.executeCdpCommand("Emulation.setDeviceMetricsOverride", metrics);
    }

    public void offline(boolean offline) {
        network(offline, 0);
    }

    /** The far corner of the workshop. */
    public void slow(Duration latency) {
        network(false, latency.toMillis());
    }

    private void network(boolean offline, long latencyMillis) {
        driver.executeCdpCommand("Network.enable", Map.of());
        driver.executeCdpCommand(
                "Network.emulateNetworkConditions",
                Map.of("offline", offline, "latency", latencyMillis, "downloadThroughput", -1, "uploadThroughput", -1));
    }

    /** What can't be reached although the network is there; nothing given, all of it can. */
    public void unreachable(String... urls) {
        driver.executeCdpCommand("Network.enable", Map.of());
        driver.executeCdpCommand("Network.setBlockedURLs", Map.of("urls", List.of(urls)));
    }

    public ChromeDriver driver() {
        return driver;
    }

    public Browser go(String path) {
        driver.get(path.startsWith("http") ? path : base + path);
        return this;
    }

    public Browser signIn(String name, String password) {
        go("/sign-in");
        type("#signIn", name);
        type("#password", password);
        click("main form .btn-ink");
        waitFor(() -> !path().startsWith("/sign-in"));
        return this;
    }

    public String path() {
        return driver.getCurrentUrl().substring(base.length());
    }

    public WebElement find(String css) {
        return driver.findElement(By.cssSelector(css));
    }

    public List<WebElement> all(String css) {
        return driver.findElements(By.cssSelector(css));
    }

    public boolean has(String css) {
        return !all(css).isEmpty();
    }

    public String text(String css) {
        return find(css).getText();
    }

    public String value(String css) {
        return String.valueOf(find(css).getDomProperty("value"));
    }

    public void click(String css) {
        WebElement element = find(css);
        driver.executeScript("arguments[0].scrollIntoView({block: 'center'})", element);
        element.click();
    }

    /** Presses what is called so: a button, a link, a heading that unfolds, or a choice; the first that is shown. */
    public void press(String name) {
        waitFor(() -> named(name).map(this::isPressed).orElse(false));
        presses++;
    }

    /** A finger does not notice when a part of the page has just been put in the place of the same. */
    private boolean isPressed(WebElement element) {
        try {
            driver.executeScript("arguments[0].scrollIntoView({block: 'center'})", element);
            element.click();
            return true;
        } catch (StaleElementReferenceException e) {
            return false;
        }
    }

    /** How often something was pressed by its name so far. */
    public int presses() {
        return presses;
    }

    private Optional<WebElement> named(String name) {
        String said = "'" + name + "'";
        return driver
                .findElements(
                        By.xpath("//*[self::button or self::a or self::summary or self::label][normalize-space(.)="
                                + said + " or @aria-label=" + said + "]"))
                .stream()
                .filter(WebElement::isDisplayed)
                .findFirst();
    }

    /** Types into the field with this label, in place of what stands there. */
    public void fill(String label, String text) {
        WebElement field = (WebElement) driver.executeScript(
                "return [...document.querySelectorAll('input, textarea, select')].find(f => f.offsetParent"
                        + " && (f.labels?.[0]?.querySelector('span') ?? f.labels?.[0])?.textContent.trim() === arguments[0]"
                        + " || f.offsetParent && f.getAttribute('aria-label') === arguments[0])",
                label);
        if (field == null) {
            throw new AssertionError(path() + " has no field “" + label + "”");
        }
        if (field.getTagName().equals("select")) {
            new Select(field)
                    .getOptions().stream()
                            .filter(o -> o.getText().contains(text))
                            .findFirst()
                            .orElseThrow(() -> new AssertionError(label + " has no choice “" + text + "”"))
                            .click();
        } else {
            field.clear();
            field.sendKeys(text);
        }
    }

    /** As a shaky finger does. */
    public void tapTwice(String css) {
        WebElement element = find(css);
        driver.executeScript("arguments[0].scrollIntoView({block: 'center'})", element);
        new Actions(driver)
                .moveToElement(element)
                .click()
                .pause(BETWEEN_TAPS)
                .click()
                .perform();
    }

    public void type(String css, String text) {
        find(css).sendKeys(text);
    }

    /** Into whatever has the focus. */
    public void keys(String text) {
        driver.switchTo().activeElement().sendKeys(text);
    }

    public void enter(String text) {
        keys(text + Keys.ENTER);
    }

    /** The name of the field that has the focus. */
    public String focus() {
        return String.valueOf(script("return document.activeElement.getAttribute('name')"));
    }

    public void focusOn(String name) {
        driver.executeScript("document.querySelector('input[name=\"' + arguments[0] + '\"]').focus()", name);
    }

    public Object script(String code, Object... arguments) {
        return driver.executeScript(code, arguments);
    }

    /** What a script that takes its time comes to. */
    public Object scriptLater(String code, Object... arguments) {
        return driver.executeAsyncScript(
                "const done = arguments[arguments.length - 1]; (async () => {" + code
                        + "})().then(done, e => done('' + e))",
                arguments);
    }

    public void waitFor(BooleanSupplier condition) {
        new WebDriverWait(driver, PATIENCE, LOOK_AGAIN)
                .ignoring(StaleElementReferenceException.class)
                .until(d -> isMet(condition));
    }

    /** What is read while the page is replaced by another is not there yet; the driver says so in its own words. */
    private static boolean isMet(BooleanSupplier condition) {
        try {
            return condition.getAsBoolean();
        } catch (WebDriverException e) {
            if (String.valueOf(e.getMessage()).contains("does not belong to the document")) {
                return false;
            }
            throw e;
        }
    }

    public void waitForText(String css, String part) {
        try {
            waitFor(() -> has(css) && text(css).contains(part));
        } catch (TimeoutException e) {
            throw new AssertionError(
                    path() + " " + css + " says '" + (has(css) ? text(css) : "nothing") + "', not '" + part + "'", e);
        }
    }

    /** Breaches of WCAG 2.2 AA on the page as it stands, in both themes. */
    public List<String> breaches() {
        int height = this.height;
        // the whole page at once: what the bar at the bottom covers can be scrolled out from under it
        size(width, ((Number) script("return document.documentElement.scrollHeight")).intValue());
        List<String> breaches = breachesInBothThemes();
        size(width, height);
        return breaches;
    }

    /**
     * Every rule by day; by night the colours alone are different. The checker is run in the page itself and reports breaches alone: to name
     * every element that passed takes longer than to check it.
     */
    @SuppressWarnings("unchecked")
    private List<String> breachesInBothThemes() {
        if (!Boolean.TRUE.equals(script("return !!window.axe"))) {
            script(CHECKER);
        }
        var breaches = (List<String>) scriptLater("""
                const root = document.documentElement;
                const found = [];
                const look = async (theme, rules) => {
                  root.dataset.theme = theme;
                  root.dataset.bsTheme = theme === 'night' ? 'dark' : 'light';
                  const result = await axe.run({exclude: ['.step:not(.shown)']},
                      {runOnly: rules, resultTypes: ['violations'], preload: false});
                  result.violations.forEach(v => found.push(
                      `${theme} ${location.pathname} ${v.id}: ${v.nodes.slice(0, 2).map(n => n.html)}`));
                };
                await look('day', ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']);
                await look('night', ['color-contrast']);
                return found;""");
        return breaches;
    }

    public void picture(Path file) throws IOException {
        Files.write(file, driver.getScreenshotAs(OutputType.BYTES));
    }

    private static String checker() {
        try (InputStream script = Browser.class.getResourceAsStream("/axe.min.js")) {
            return new String(script.readAllBytes(), UTF_8);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    @Override
    public void close() {
        window.close();
    }
}
