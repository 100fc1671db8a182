package app.galdrin.web.gate;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.Visitor;
import java.io.ByteArrayInputStream;
import java.net.Socket;
import java.net.http.HttpRequest.BodyPublisher;
import java.net.http.HttpRequest.BodyPublishers;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.SubmissionPublisher;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Nobody ends the server with large bodies: strangers send small forms, and of who signed in one large file is read at a time. */
@GaldrinTest
class BodyBudgetTest {

    private static final int KIB = 1 << 10;
    private static final int MIB = 1 << 20;

    @LocalServerPort
    private int port;

    @Autowired
    private TestCentres centres;

    private Visitor teacher;

    @BeforeEach
    void signIn() {
        teacher = new Visitor(port).signIn(centres.plates().instructor().signIn(), Centre.PASSWORD);
    }

    @ParameterizedTest
    @CsvSource({"/sign-in", "/join", "/vehicles/import", "/tasks/import"})
    void ofStrangers_noLargeBodyIsRead(String path) {
        for (boolean declared : List.of(true, false)) {
            assertEquals(
                    413,
                    new Visitor(port).upload(path, letters(100 * KIB, declared)).statusCode());
        }
        assertEquals(
                413, new Visitor(port).upload(path, letters(20 * MIB, true)).statusCode());
    }

    /** Also where the rest of it never comes. */
    @Test
    void aLargeBody_isRefusedBeforeItIsThere() throws Exception {
        try (var socket = new Socket("localhost", port)) {
            socket.setSoTimeout(3000);
            socket.getOutputStream()
                    .write(("POST /sign-in HTTP/1.1\r\nHost: x\r\nContent-Type: application/x-www-form-urlencoded\r\n"
                                    + "Content-Length: 4000000\r\n\r\na=b")
                            .getBytes(StandardCharsets.US_ASCII));
            byte[] status = socket.getInputStream().readNBytes(12);
            assertEquals("HTTP/1.1 413", new String(status, StandardCharsets.US_ASCII));
        }
    }

    @Test
    void whoSignedIn_sendsLargeFilesToThePagesThatTakeThem() {
        assertEquals(413, teacher.upload("/classes", letters(100 * KIB, true)).statusCode());
        for (boolean declared : List.of(true, false)) {
            // read whole, then refused for its missing token
            assertEquals(
                    302,
                    teacher.upload("/vehicles/import", letters(3 * MIB, declared))
                            .statusCode());
            assertEquals(
                    413,
                    teacher.upload("/vehicles/import", letters(5 * MIB, declared))
                            .statusCode());
        }
    }

    @Test
    void oneLargeFile_isReadAtATime_andSmallFormsGoOnBesideIt() throws Exception {
        var first = halfSent();
        for (int tries = 0; !isReadBeside(first); tries++) {
            assertTrue(tries < 20, "two are read at once");
            first.pieces.closeExceptionally(new IllegalStateException("refused: another was read when it came"));
            first = halfSent();
        }
        assertEquals(503, teacher.upload("/tasks/import", letters(MIB, true)).statusCode());
        assertEquals(200, new Visitor(port).get("/sign-in").statusCode());
        assertEquals(302, new Visitor(port).tryToSignIn("nobody", "nothing").statusCode());
        first.pieces.submit(hundredKib());
        first.pieces.close();
        assertEquals(302, first.status.get());
        assertEquals(302, teacher.upload("/tasks/import", letters(MIB, true)).statusCode());
    }

    private record Upload(SubmissionPublisher<ByteBuffer> pieces, CompletableFuture<Integer> status) {}

    /** Begins a large upload and keeps its second half back. */
    private Upload halfSent() {
        var pieces = new SubmissionPublisher<ByteBuffer>();
        var status = CompletableFuture.supplyAsync(
                () -> teacher.upload("/vehicles/import", BodyPublishers.fromPublisher(pieces, 200 * KIB))
                        .statusCode());
        while (pieces.getNumberOfSubscribers() == 0) {
            Thread.onSpinWait();
        }
        pieces.submit(hundredKib());
        return new Upload(pieces, status);
    }

    /** Whether others are refused while it stands half read; it is refused itself where one of them is being read as it comes. */
    private boolean isReadBeside(Upload first) {
        for (int tries = 0; tries < 50 && !first.status.isDone(); tries++) {
            if (teacher.upload("/tasks/import", letters(MIB, true)).statusCode() == 503) {
                return true;
            }
        }
        return false;
    }

    private static ByteBuffer hundredKib() {
        return ByteBuffer.wrap("a".repeat(100 * KIB).getBytes(StandardCharsets.US_ASCII));
    }

    private static BodyPublisher letters(int bytes, boolean declared) {
        byte[] body = "a".repeat(bytes).getBytes(StandardCharsets.US_ASCII);
        return declared
                ? BodyPublishers.ofByteArray(body)
                : BodyPublishers.ofInputStream(() -> new ByteArrayInputStream(body));
    }
}
