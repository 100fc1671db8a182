package app.galdrin.web.task.internal;

import app.galdrin.core.simulated.TryOut;
import app.galdrin.core.task.Assignment;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Iterator;
import java.util.NoSuchElementException;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;

/**
 * A try-out that goes on while its page is written: the page walks through the portions, each is worked out when it is asked for, and
 * what stands on the page by then is sent before. So whoever waits sees how far it is, without a script and without anything kept here.
 */
public final class Trying implements Iterable<Trying.Portion> {

    static final int SHEETS = 1000;
    private static final int AT_ONCE = 50;
    private static final long SEED = 20;
    /** Thirty people who try something out take turns of a second or two. */
    private static final int PATIENCE_SECONDS = 120;

    private final Assignment assignment;
    private final TriedWords words;
    private final HttpServletResponse response;
    private final Semaphore place;
    private final TryOut.Run run;

    /** {@code place} is taken for each portion by itself. */
    Trying(Assignment assignment, TriedWords words, HttpServletResponse response, Semaphore place) {
        this.assignment = assignment;
        this.words = words;
        this.response = response;
        this.place = place;
        this.run = new TryOut.Run(assignment, SHEETS, SEED);
    }

    /** How many sheets are done, of how many. */
    public record Portion(int done, int total) {}

    /** How many sheets of each person are done. */
    public int getSheets() {
        return SHEETS;
    }

    @Override
    public Iterator<Portion> iterator() {
        return new Iterator<>() {
            @Override
            public boolean hasNext() {
                return run.done() < run.total();
            }

            @Override
            public Portion next() {
                if (!hasNext()) {
                    throw new NoSuchElementException();
                }
                goOn();
                return new Portion(run.done(), run.total());
            }
        };
    }

    /** Someone who has gone away is not worked for any more. */
    private void goOn() {
        try {
            response.flushBuffer();
            if (!place.tryAcquire(PATIENCE_SECONDS, TimeUnit.SECONDS)) {
                throw new IllegalStateException("no place to try a task out");
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException("stopped", e);
        }
        try {
            run.goOn(AT_ONCE);
        } finally {
            place.release();
        }
    }

    /** What came of it, once the portions were walked through. */
    public TriedView getView() {
        return words.of(assignment.practical(), SHEETS, run.tried());
    }
}
