package app.galdrin.web.background;

import java.util.concurrent.atomic.AtomicInteger;
import org.springframework.stereotype.Component;

/** Counter of the requests that this server is answering. */
@Component
public class RequestCount {

    private final AtomicInteger underWay = new AtomicInteger();

    public void begin() {
        underWay.incrementAndGet();
    }

    public void end() {
        underWay.decrementAndGet();
    }

    boolean isAnybodyWaiting() {
        return underWay.get() > 0;
    }
}
