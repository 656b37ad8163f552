package org.swaplane.desk.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assumptions.assumeThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.logging.Level;
import java.util.logging.Logger;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.By;
import org.openqa.selenium.WebDriver;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.chrome.ChromeDriverService;
import org.openqa.selenium.chrome.ChromeOptions;
import org.openqa.selenium.support.ui.WebDriverWait;
import org.swaplane.desk.DeskTask;
import org.swaplane.desk.DownloadOptions;
import org.swaplane.desk.HttpClientDesk;
import org.swaplane.format.Source;
import org.swaplane.task.Progress;

/** The client's side in a real browser; skipped where there is no Chromium with its driver. */
class DeskPageTest {
    /** It warns that the browser is newer than its developer tools, which are not used; kept, since a logger that nobody holds forgets its level. */
    private static final Logger SELENIUM = Logger.getLogger("org.openqa.selenium");

    static {
        SELENIUM.setLevel(Level.SEVERE);
    }

    @TempDir
    private Path folder;

    private static Optional<Path> program(String... places) {
        return Stream.of(places).map(Path::of).filter(Files::isExecutable).findFirst();
    }

    private WebDriver browser() {
        Optional<Path> chromium = program("/usr/bin/chromium", "/usr/bin/chromium-browser");
        Optional<Path> driver = program("/usr/bin/chromedriver", "/usr/lib/chromium/chromedriver");
        assumeThat(chromium.isPresent() && driver.isPresent())
                .as("there is no Chromium with its driver here")
                .isTrue();
        ChromeOptions options = new ChromeOptions();
        options.setBinary(chromium.get().toString());
        options.addArguments(
                "--headless=new",
                "--no-sandbox",
                "--disable-gpu",
                "--disable-dev-shm-usage",
                "--user-data-dir=" + folder.resolve("profile"));
        return new ChromeDriver(
                new ChromeDriverService.Builder()
                        .usingDriverExecutable(driver.get().toFile())
                        .build(),
                options);
    }

    @Test
    void theClientSeesWhatCameBackAndGivesATaskBack() throws IOException {
        try (DeskServer server = DeskServer.start(0, folder.resolve("desk"), Clock.systemUTC())) {
            server.offer(
                    "t-1",
                    "Signs <new>",
                    "en-GB",
                    List.of("de-DE"),
                    "2026-12-11",
                    "Short & clear",
                    Map.of("signs.properties", "pier=Pier\n".getBytes(StandardCharsets.UTF_8)),
                    Optional.empty(),
                    Map.of());
            WebDriver browser = browser();
            try {
                browser.get(server.address());
                assertThat(browser.findElement(By.cssSelector("tbody tr")).getText())
                        .contains("Signs <new>", "offered", "en-GB to de-DE", "2026-12-11");
                returnAndHandOver(server);

                browser.findElement(By.linkText("Signs <new>")).click();
                assertThat(browser.findElement(By.id("state")).getText()).isEqualTo("closed");
                assertThat(browser.findElement(By.tagName("body")).getText())
                        .contains("Short & clear", "Return 1", "The file is missing.", "Return 2", "accepted");
                assertThat(browser.findElement(By.id("receipt")).getText()).contains("Mara");

                browser.findElement(By.name("reason")).sendKeys("The pier has moved");
                browser.findElement(By.tagName("button")).click();
                new WebDriverWait(browser, Duration.ofSeconds(10))
                        .until(shown -> shown.getPageSource().contains("given back: The pier has moved"));
                assertThat(browser.findElement(By.id("state")).getText()).isEqualTo("accepted");
            } finally {
                browser.quit();
            }
        }
    }

    private void returnAndHandOver(DeskServer server) throws IOException {
        HttpClientDesk desk = new HttpClientDesk(server.address());
        DeskTask task = desk.accept("t-1", "Mara", Progress.NONE);
        desk.deliver(task, DownloadOptions.Form.ORIGINAL, zip("other.txt", "x"), Progress.NONE);
        Path good = zip("de-DE/signs.properties", "pier=Anleger\n");
        desk.deliver(task, DownloadOptions.Form.ORIGINAL, good, Progress.NONE);
        desk.handOver(task, Source.of(good).sha256(), Progress.NONE);
    }

    private Path zip(String name, String text) throws IOException {
        Path zip = Files.createTempFile(folder, "back", ".zip");
        try (ZipOutputStream out = new ZipOutputStream(Files.newOutputStream(zip))) {
            out.putNextEntry(new ZipEntry(name));
            out.write(text.getBytes(StandardCharsets.UTF_8));
            out.closeEntry();
        }
        return zip;
    }
}
