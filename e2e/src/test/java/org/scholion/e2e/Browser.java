package org.scholion.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.openqa.selenium.By;
import org.openqa.selenium.ElementClickInterceptedException;
import org.openqa.selenium.ElementNotInteractableException;
import org.openqa.selenium.JavascriptExecutor;
import org.openqa.selenium.Keys;
import org.openqa.selenium.OutputType;
import org.openqa.selenium.StaleElementReferenceException;
import org.openqa.selenium.TimeoutException;
import org.openqa.selenium.WebDriverException;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.chrome.ChromeDriverService;
import org.openqa.selenium.chrome.ChromeOptions;
import org.openqa.selenium.interactions.Actions;
import org.openqa.selenium.support.ui.Select;
import org.openqa.selenium.support.ui.WebDriverWait;
import org.scholion.server.testing.TestDatabase;

/** A Chromium of its own, with a screen of a given size. */
final class Browser implements AutoCloseable {
    private static final int UNLIMITED = -1;
    private static final Duration PATIENCE = Duration.ofSeconds(12);

    private final ChromeDriver driver;
    private final String address;
    private final Path profile;

    Browser(String address, int width, int height) {
        this.address = address;
        try {
            profile = Files.createTempDirectory("chromium");
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
        ChromeOptions options = new ChromeOptions();
        options.setBinary("/usr/bin/chromium");
        options.addArguments(
                "--headless",
                "--no-sandbox",
                "--disable-gpu",
                "--disable-quic",
                "--no-first-run",
                "--disable-background-networking",
                "--disable-component-update",
                "--disable-sync",
                "--use-fake-ui-for-media-stream",
                "--use-fake-device-for-media-stream",
                "--lang=en-GB",
                "--user-data-dir=" + profile);
        options.setCapability("goog:loggingPrefs", Map.of("browser", "SEVERE"));
        driver = new ChromeDriver(
                new ChromeDriverService.Builder()
                        .usingDriverExecutable(new java.io.File("/usr/bin/chromedriver"))
                        .usingAnyFreePort()
                        .build(),
                options);
        resized(width, height);
    }

    /** The window's own frame takes height away; the page is to have exactly this size. */
    Browser resized(int width, int height) {
        driver.executeCdpCommand(
                "Emulation.setDeviceMetricsOverride",
                Map.of("width", width, "height", height, "deviceScaleFactor", 1, "mobile", width < 600));
        return this;
    }

    /** What the person's system prefers, such as {@code prefers-color-scheme: dark} or {@code forced-colors: active}. */
    Browser prefers(String feature, String value) {
        driver.executeCdpCommand(
                "Emulation.setEmulatedMedia", Map.of("features", List.of(Map.of("name", feature, "value", value))));
        return this;
    }

    Browser open(String path) {
        driver.get(address + path);
        return this;
    }

    Browser signIn(String name) {
        open("/");
        clickName(name);
        waitUntil(() -> !path().equals("/"), "signed in as " + name);
        return this;
    }

    private void clickName(String name) {
        click("button", name);
    }

    String path() {
        return driver.getCurrentUrl().substring(address.length());
    }

    /** Waits until the page's title begins with this, or has it as one of its parts. */
    Browser isTitled(String part) {
        waitUntil(
                () -> List.of(driver.getTitle().split(" · ")).contains(part),
                "title " + part + ", not " + driver.getTitle());
        return this;
    }

    /** Waits until nothing of the page is still to come. */
    Browser isLoaded() {
        waitUntil(
                () -> !driver.findElements(By.id("page")).isEmpty() && !text().contains("Loading…"),
                "the page is loaded");
        return this;
    }

    /** Waits until the page, whichever, is there instead of the wait for it. */
    Browser isThere() {
        waitUntil(
                () -> !driver.findElements(By.tagName("main")).isEmpty() && !text().contains("Loading…"),
                "a page in place of the wait for it");
        return this;
    }

    /** Waits until something is said to whoever listens. */
    Browser announces(String text) {
        waitUntil(
                () -> driver.findElements(By.cssSelector("[role='status'], [aria-live]")).stream()
                        .anyMatch(e ->
                                String.valueOf(e.getDomProperty("textContent")).contains(text)),
                text + " is announced");
        return this;
    }

    /** How wide the page is, whatever the screen shows of it. */
    int width() {
        Object width = ((JavascriptExecutor) driver).executeScript("return document.documentElement.scrollWidth");
        return ((Number) Objects.requireNonNull(width)).intValue();
    }

    /** Waits until the text is on the page. */
    Browser sees(String text) {
        waitUntil(() -> text().contains(text), "'" + text + "'");
        return this;
    }

    Browser seesNot(String text) {
        waitUntil(() -> !text().contains(text), "no '" + text + "'");
        return this;
    }

    String text() {
        return driver.findElement(By.tagName("body")).getText();
    }

    Browser click(String tag, String text) {
        act(find(tag, text), "click " + text);
        return this;
    }

    Browser clickButton(String text) {
        return click("button", text);
    }

    /** Waits until a button can be pressed. */
    Browser offers(String button) {
        waitUntil(
                () -> driver.findElement(find("button", button)).isEnabled(),
                "a button '" + button + "' that can be pressed");
        return this;
    }

    Browser clickLink(String text) {
        return click("a", text);
    }

    /** Clicks what carries this accessible name. */
    Browser clickLabelled(String label) {
        act(By.cssSelector("[aria-label='" + label + "']"), "click " + label);
        return this;
    }

    private static By find(String tag, String text) {
        return By.xpath("//" + tag + "[contains(normalize-space(.), \"" + text + "\")]");
    }

    private void act(By by, String what) {
        waitUntil(
                () -> {
                    List<WebElement> found = driver.findElements(by);
                    WebElement one = found.stream()
                            .filter(e -> e.isDisplayed() && e.isEnabled())
                            .findFirst()
                            .orElse(null);
                    if (one == null) {
                        return false;
                    }
                    driver.executeScript("arguments[0].scrollIntoView({block: 'center'})", one);
                    one.click();
                    return true;
                },
                what);
    }

    /** The field with this label or accessible name. */
    WebElement field(String label) {
        By by = By.xpath("//*[@aria-label=\"" + label + "\"] | //*[@id=//label[contains(normalize-space(.), \"" + label
                + "\")]/@for]");
        WebElement[] found = new WebElement[1];
        waitUntil(
                () -> {
                    found[0] = driver.findElements(by).stream()
                            .filter(WebElement::isDisplayed)
                            .findFirst()
                            .orElse(null);
                    return found[0] != null;
                },
                "field " + label);
        return found[0];
    }

    /** Types into a field, over what stands in it; again, if the page has put another in its place meanwhile. */
    Browser type(String label, String text) {
        waitUntil(
                () -> {
                    WebElement field = field(label);
                    field.sendKeys(Keys.chord(Keys.CONTROL, "a"), Keys.DELETE);
                    field.sendKeys(text);
                    return true;
                },
                "typing into " + label);
        return this;
    }

    /** As if this had been left in the browser's store. */
    Browser keepsOnDevice(String name, String value) {
        driver.executeScript("localStorage.setItem(arguments[0], arguments[1])", name, value);
        return this;
    }

    Browser hasValue(String label, String value) {
        waitUntil(() -> value.equals(field(label).getDomProperty("value")), label + " is " + value);
        return this;
    }

    /** Types what a new item asks, once its empty editor has taken the place of the one before. */
    /** What a field holds that is read, not typed. */
    String valueOf(String label) {
        return String.valueOf(driver.findElement(By.cssSelector("[aria-label='" + label + "']"))
                .getDomProperty("value"));
    }

    /** Opens what is folded. */
    Browser clickSummary(String text) {
        return click("summary", text);
    }

    Browser asks(String text) {
        waitUntil(() -> field("Question text").getText().isBlank(), "an empty item");
        return type("Question text", text);
    }

    /** Presses keys on the page, where no field has the focus. */
    Browser press(CharSequence... keys) {
        driver.executeScript("document.activeElement && document.activeElement.blur()");
        for (CharSequence key : keys) {
            new Actions(driver).sendKeys(key).perform();
        }
        return this;
    }

    /** Gives the focus to what carries this accessible name, as the Tab key would. */
    Browser focus(String label) {
        driver.executeScript("arguments[0].focus()", field(label));
        return this;
    }

    /** Gives the focus to the first that a selector finds. */
    Browser focusFirst(String css) {
        waitUntil(() -> !driver.findElements(By.cssSelector(css)).isEmpty(), css);
        driver.executeScript("arguments[0].focus()", driver.findElement(By.cssSelector(css)));
        return this;
    }

    /** Presses keys where the focus is. */
    Browser keys(CharSequence... keys) {
        for (CharSequence key : keys) {
            new Actions(driver).sendKeys(key).perform();
        }
        return this;
    }

    /** As long as a hand takes between two keys. */
    Browser pause() {
        new Actions(driver).pause(Duration.ofMillis(400)).perform();
        return this;
    }

    /** Pastes formatted text into a field, as from another program. */
    Browser paste(String label, String html) {
        return paste(label, "text/html", html);
    }

    Browser pasteText(String label, String text) {
        return paste(label, "text/plain", text);
    }

    private Browser paste(String label, String form, String content) {
        driver.executeScript("""
                arguments[0].focus();
                const data = new DataTransfer();
                data.setData(arguments[1], arguments[2]);
                arguments[0].dispatchEvent(
                  new ClipboardEvent('paste', {clipboardData: data, bubbles: true, cancelable: true}));""", field(label), form, content);
        return this;
    }

    /** What a script hands to its last argument, once it does. */
    Object evaluateLater(String script) {
        return Objects.requireNonNull(driver.executeAsyncScript(script));
    }

    Object evaluate(String script) {
        return Objects.requireNonNull(driver.executeScript(script));
    }

    /** Waits until every picture of the page is there, so that nothing moves any more. */
    Browser seesPictures() {
        waitUntil(
                () -> Boolean.TRUE.equals(driver.executeScript("return document.images.length > 0"
                        + " && [...document.images].every(i => i.complete && i.naturalWidth > 0)")),
                "the pictures");
        return this;
    }

    /** Drags over an element, from and to offsets from its middle. */
    Browser drag(WebElement on, int fromX, int fromY, int toX, int toY) {
        driver.executeScript("arguments[0].scrollIntoView({block: 'center'})", on);
        new Actions(driver)
                .moveToElement(on, fromX, fromY)
                .clickAndHold()
                .moveToElement(on, toX, toY)
                .pause(Duration.ofMillis(100))
                .release()
                .perform();
        return this;
    }

    Browser dragTo(String css, String target) {
        WebElement from = driver.findElement(By.cssSelector(css));
        WebElement to = driver.findElement(By.cssSelector(target));
        new Actions(driver)
                .moveToElement(from)
                .clickAndHold()
                .moveByOffset(-8, 0)
                .pause(Duration.ofMillis(100))
                .moveToElement(to)
                .pause(Duration.ofMillis(200))
                .release()
                .perform();
        return this;
    }

    Browser pressCtrl(String key) {
        new Actions(driver)
                .keyDown(Keys.CONTROL)
                .sendKeys(key)
                .keyUp(Keys.CONTROL)
                .perform();
        return this;
    }

    /** Waits until a selector finds so many. */
    Browser counts(String css, int wanted) {
        waitUntil(() -> count(css) == wanted, wanted + " of " + css);
        return this;
    }

    /** The first that a selector finds. */
    WebElement one(String css) {
        waitUntil(() -> count(css) > 0, css);
        return driver.findElement(By.cssSelector(css));
    }

    int count(String css) {
        return driver.findElements(By.cssSelector(css)).size();
    }

    Browser scrollToEnd() {
        driver.executeScript("window.scrollTo(0, document.documentElement.scrollHeight)");
        return this;
    }

    /** Chooses one of a list by its words. */
    Browser select(String label, String words) {
        waitUntil(
                () -> {
                    new Select(field(label)).selectByVisibleText(words);
                    return true;
                },
                "choosing " + words);
        return this;
    }

    Browser choose(Path file) {
        waitUntil(() -> !driver.findElements(By.cssSelector("input[type=file]")).isEmpty(), "a file field");
        driver.findElement(By.cssSelector("input[type=file]"))
                .sendKeys(file.toAbsolutePath().normalize().toString());
        return this;
    }

    private interface Check {
        boolean holds();
    }

    private void waitUntil(Check check, String what) {
        try {
            new WebDriverWait(driver, PATIENCE, Duration.ofMillis(100))
                    .ignoring(StaleElementReferenceException.class)
                    .ignoring(ElementNotInteractableException.class)
                    .ignoring(ElementClickInterceptedException.class)
                    .until(d -> holdsNow(check));
        } catch (TimeoutException e) {
            throw new AssertionError(
                    "waited in vain for " + what + " at " + driver.getCurrentUrl() + "\n" + text() + consoleErrors(),
                    e);
        }
    }

    private String consoleErrors() {
        return driver.manage().logs().get("browser").getAll().stream()
                .map(entry -> "\nConsole: " + entry.getMessage())
                .collect(Collectors.joining());
    }

    /** Not while another page is taking the place of the one that is looked at. */
    private static boolean holdsNow(Check check) {
        try {
            return check.holds();
        } catch (WebDriverException e) {
            if (String.valueOf(e.getMessage()).contains("does not belong to the document")) {
                return false;
            }
            throw e;
        }
    }

    /** Nothing that axe finds on the page as it stands, best practices included; and nothing wider than the screen. */
    Browser isAccessible(String view) {
        try {
            driver.executeScript(Files.readString(TestDatabase.root().resolve("web/node_modules/axe-core/axe.min.js")));
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
        Object found = ((JavascriptExecutor) driver).executeAsyncScript("""
                const done = arguments[arguments.length - 1];
                axe.run(document, {runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice']}).then(r => done(
                  r.violations
                    .map(v => v.id + ': ' + v.nodes.map(n => n.html.slice(0, 160) + ' ' + n.failureSummary
                      + ' ' + n.any.concat(n.all, n.none).flatMap(c => c.relatedNodes).map(r => r.html.slice(0, 160)))
                      .join(' | '))));""");
        assertThat((List<?>) found).as(view).isEmpty();
        Object wider = driver.executeScript("return document.documentElement.scrollWidth - window.innerWidth");
        assertThat(((Number) wider).intValue())
                .as("%s is wider than the screen", view)
                .isLessThanOrEqualTo(0);
        return this;
    }

    /** What went wrong in the page's console, but for answers that the server refuses on purpose. */
    Browser hasNoErrors() {
        assertThat(driver.manage().logs().get("browser").getAll().stream()
                        .map(Object::toString)
                        .filter(line -> line.contains("SEVERE") && !line.contains("Failed to load resource"))
                        .collect(Collectors.toList()))
                .isEmpty();
        return this;
    }

    /** Keeps a picture for the README, when this run is asked for pictures. */
    Browser picture(String name) {
        String folder = System.getProperty("scholion.pictures", "");
        if (!folder.isBlank()) {
            try {
                Files.write(
                        TestDatabase.root().resolve(folder).resolve(name + ".png"),
                        driver.getScreenshotAs(OutputType.BYTES));
            } catch (IOException e) {
                throw new IllegalStateException(e);
            }
        }
        return this;
    }

    /** Each answer of the server comes so many milliseconds later. */
    Browser latency(int milliseconds) {
        return network(false, milliseconds, UNLIMITED);
    }

    /** A slow line: so many bits a second both ways, and each answer so many milliseconds later. */
    Browser slowLine(int bitsPerSecond, int milliseconds) {
        return network(false, milliseconds, bitsPerSecond / 8);
    }

    Browser offline(boolean off) {
        return network(off, 0, UNLIMITED);
    }

    private Browser network(boolean off, int latency, int bytesPerSecond) {
        Map<String, Object> conditions = new HashMap<>();
        conditions.put("offline", off);
        conditions.put("latency", latency);
        conditions.put("downloadThroughput", bytesPerSecond);
        conditions.put("uploadThroughput", bytesPerSecond);
        driver.executeCdpCommand("Network.enable", Map.of());
        driver.executeCdpCommand("Network.emulateNetworkConditions", conditions);
        return this;
    }

    @Override
    public void close() {
        driver.quit();
        try (var files = Files.walk(profile)) {
            files.sorted(java.util.Comparator.reverseOrder())
                    .forEach(p -> p.toFile().delete());
        } catch (IOException e) {
            // A profile that is left behind in the temporary folder harms nobody.
        }
    }
}
