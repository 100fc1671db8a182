package app.galdrin.web.gate.internal;

import java.io.IOException;
import java.util.concurrent.TimeUnit;
import org.apache.coyote.Adapter;
import org.apache.coyote.Processor;
import org.apache.coyote.http11.Http11NioProtocol;
import org.apache.coyote.http11.Http11Processor;
import org.apache.tomcat.util.net.AbstractEndpoint.Handler.SocketState;
import org.apache.tomcat.util.net.SocketWrapperBase;

/**
 * HTTP as the server speaks it, but the head of a request has its time as a whole. The server's own timeout begins anew with every letter, so
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

        TimedProcessor(TimedHeads protocol, Adapter adapter) {
            super(protocol, adapter);
        }

        @Override
        public SocketState service(SocketWrapperBase<?> socket) throws IOException {
            SocketState state = super.service(socket);
            boolean unfinished = state == SocketState.LONG && !isAsync();
            if (unfinished && until == 0) {
                until = System.nanoTime() + TimeUnit.SECONDS.toNanos(SECONDS);
            } else if (unfinished && System.nanoTime() > until) {
                state = SocketState.CLOSED;
                unfinished = false;
            }
            if (!unfinished) {
                until = 0; // whoever comes next has a time of his own: processors are used again
            }
            return state;
        }
    }
}
