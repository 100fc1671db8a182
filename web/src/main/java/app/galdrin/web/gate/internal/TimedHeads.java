package app.galdrin.web.gate.internal;

import java.io.IOException;
import java.util.concurrent.TimeUnit;
import org.apache.coyote.Adapter;
import org.apache.coyote.Processor;
import org.apache.coyote.http11.Http11NioProtocol;
import org.apache.coyote.http11.Http11Processor;
import org.apache.tomcat.util.net.AbstractEndpoint.Handler.SocketState;
import org.apache.tomcat.util.net.SocketWrapperBase;
import org.jspecify.annotations.Nullable;

/**
 * HTTP as the server speaks it, but the head of a request has its time as a whole. The server's own timeout begins again with every letter, so
 * that somebody who sends one now and then would hold a connection for ever.
 */
public final class TimedHeads extends Http11NioProtocol {

    private static final long SECONDS = 10;

    @Override
    protected Processor createProcessor() {
        return new TimedProcessor(this, getAdapter());
    }

    private static final class TimedProcessor extends Http11Processor {
        private long until;
        private @Nullable SocketWrapperBase<?> held;

        TimedProcessor(TimedHeads protocol, Adapter adapter) {
            super(protocol, adapter);
        }

        @Override
        public SocketState service(SocketWrapperBase<?> socket) throws IOException {
            if (socket != held) {
                until = 0; // processors are used again, and the last one's head may have stopped half way
                held = socket;
            }
            SocketState state = super.service(socket);
            boolean unfinished = state == SocketState.LONG && !isAsync();
            if (unfinished && until == 0) {
                until = System.nanoTime() + TimeUnit.SECONDS.toNanos(SECONDS);
            } else if (unfinished && System.nanoTime() > until) {
                state = SocketState.CLOSED;
                unfinished = false;
            }
            if (!unfinished) {
                until = 0;
                held = null;
            }
            return state;
        }
    }
}
