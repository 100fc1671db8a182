package app.galdrin.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.springframework.util.FileSystemUtils;

/** The demo of two folders that are started at the same instant, and what becomes of it when parts of it are killed. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class StartIT {

    private static final HttpClient CLIENT = HttpClient.newHttpClient();

    private static Path folders;
    private static Place one;
    private static Place other;

    /** A folder as a clone has it after its build, and the demo that was started in it. */
    private record Place(Path folder, Path said, Process shell) {

        static Place started(Path folder) throws Exception {
            Path clone = Path.of("..").toRealPath();
            for (String file :
                    List.of("galdrin", "pom.xml", "core/pom.xml", "web/pom.xml", "web/src/main/demo-sign-ins.txt")) {
                copy(clone.resolve(file), folder.resolve(file));
            }
            try (Stream<Path> scripts = Files.list(clone.resolve("scripts"))) {
                for (Path script : scripts.toList()) {
                    copy(script, folder.resolve("scripts").resolve(script.getFileName()));
                }
            }
            Files.createDirectories(folder.resolve("core/src/main"));
            copy(Path.of("target/galdrin-web.jar"), folder.resolve("web/target/galdrin-web.jar"));
            Files.createFile(folder.resolve("web/target/built"));
            Path app = Files.createDirectories(folder.resolve("var")).resolve("said");
            return new Place(
                    folder,
                    app,
                    command(folder, "demo").redirectOutput(app.toFile()).start());
        }

        private static void copy(Path from, Path to) throws IOException {
            Files.createDirectories(to.getParent());
            Files.copy(from, to);
        }

        /** With nothing of the tests' own database in its surroundings. */
        private static ProcessBuilder command(Path folder, String... arguments) {
            var builder = new ProcessBuilder(
                    Stream.concat(Stream.of(folder.resolve("galdrin").toString()), Stream.of(arguments))
                            .toList());
            builder.environment().keySet().removeIf(name -> name.startsWith("GALDRIN_"));
            return builder.redirectErrorStream(true);
        }

        String run(String... arguments) throws Exception {
            Process process = command(folder, arguments).start();
            String words = new String(process.getInputStream().readAllBytes());
            process.waitFor();
            return words;
        }

        String words() {
            return read(said);
        }

        String address() {
            return read(folder.resolve("var/address")).strip();
        }

        /** The process of the application, or of its database. */
        ProcessHandle process(boolean database) {
            Path file = database
                    ? Path.of(read(folder.resolve("var/cluster-home")).strip(), "data/postmaster.pid")
                    : folder.resolve("var/pid");
            return ProcessHandle.of(Long.parseLong(
                            read(file).lines().findFirst().orElseThrow().strip()))
                    .orElseThrow();
        }

        boolean answers() {
            return StartIT.answers(address());
        }
    }

    private static boolean answers(String address) {
        try {
            var asked = HttpRequest.newBuilder(URI.create(address + "/join"))
                    .timeout(Duration.ofSeconds(10))
                    .build();
            return CLIENT.send(asked, HttpResponse.BodyHandlers.discarding()).statusCode() == 200;
        } catch (IOException | InterruptedException e) {
            return false;
        }
    }

    private static String read(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    private static void await(int seconds, Place place, BooleanSupplier come) throws InterruptedException {
        for (int i = 0; i < 10 * seconds && !come.getAsBoolean(); i++) {
            TimeUnit.MILLISECONDS.sleep(100);
        }
        assertTrue(come.getAsBoolean(), place::words);
    }

    @BeforeAll
    static void twoAtOnce() throws Exception {
        // its database may run as another user, who has to get there
        folders = Files.createTempDirectory("galdrin-start");
        Files.setPosixFilePermissions(folders, PosixFilePermissions.fromString("rwxr-xr-x"));
        one = Place.started(folders.resolve("it's a try"));
        other = Place.started(folders.resolve("other"));
    }

    @AfterAll
    static void stop() throws Exception {
        one.run("stop");
        other.run("stop");
        one.shell().waitFor(20, TimeUnit.SECONDS);
        FileSystemUtils.deleteRecursively(folders);
    }

    @Test
    @Order(1)
    void twoStartedAtOnce_answerEachAtItsOwnAddress() throws Exception {
        for (Place place : List.of(one, other)) {
            await(240, place, () -> place.words().contains("Ctrl-C stops it"));
            assertTrue(place.answers());
        }
        assertNotEquals(one.address(), other.address());
        assertTrue(one.run("demo").contains("already running from this folder at " + one.address()));
    }

    @Test
    @Order(2)
    void aKilledApplication_isStartedAgain() throws Exception {
        ProcessHandle killed = one.process(false);
        killed.destroyForcibly();
        await(60, one, () -> one.words().contains("It answers again"));
        assertNotEquals(killed.pid(), one.process(false).pid());
        assertTrue(one.answers());
    }

    @Test
    @Order(3)
    void aKilledDatabase_isStartedAgain_andTheApplicationGoesOn() throws Exception {
        ProcessHandle application = one.process(false);
        one.process(true).destroyForcibly();
        await(60, one, () -> one.words().contains("The database is back."));
        await(30, one, one::answers);
        assertEquals(application.pid(), one.process(false).pid());
    }

    @Test
    @Order(4)
    void whereTheShellWasKilled_nothingStartsBeside_andStopEndsItsOwn() throws Exception {
        other.shell().destroyForcibly().waitFor();
        String address = other.address();
        assertTrue(answers(address), "the application lives on");
        assertTrue(other.run("demo").contains("the command that watches it has ended"));
        assertTrue(other.run("stop").contains("Stopped."));
        assertFalse(answers(address));
        assertTrue(one.answers(), "its own, and no other");
    }

    @Test
    @Order(5)
    void stop_endsTheDatabaseToo_inAFolderWithAnApostrophe() throws Exception {
        ProcessHandle database = one.process(true);
        assertTrue(one.run("stop").contains("Stopped."));
        assertTrue(one.shell().waitFor(20, TimeUnit.SECONDS));
        await(10, one, () -> !database.isAlive());
        assertTrue(one.run("stop").contains("It is not running."));
    }

    /** A restore works beside what is there: killed stopped half-way it changes nothing, and the next one begins again. */
    @Test
    @Order(6)
    void aBackup_goesBackIn_alsoAfterARestoreThatWasKilled() throws Exception {
        String backup = folders.resolve("backup.tar").toString();
        String before = one.run("backup", backup);
        assertTrue(before.contains("read back and compared"), before);
        Path home = Path.of(read(one.folder().resolve("var/cluster-home")).strip());
        Path beside = Path.of(home + ".restoring");
        Process restore = Place.command(one.folder(), "restore", backup)
                .redirectOutput(one.folder().resolve("var/restore").toFile())
                .start();
        for (int i = 0; i < 600 && !Files.exists(beside.resolve("ready")); i++) {
            TimeUnit.MILLISECONDS.sleep(50);
        }
        restore.destroyForcibly().waitFor();
        assertTrue(
                Files.exists(home.resolve("ready")) && !Files.exists(beside.resolve("restored")), "stopped half-way");
        String words = one.run("restore", backup);
        assertTrue(words.contains("Restored and compared") && words.contains("What was there before lies in"), words);
        assertTrue(Files.exists(home.resolve("ready")) && !Files.exists(beside));
        String again = folders.resolve("again.tar").toString();
        assertEquals(rows(before), rows(one.run("backup", again)));
    }

    private static String rows(String words) {
        return words.replaceAll("(?s).* holds (.*), all of them.*", "$1");
    }
}
