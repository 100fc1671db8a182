package app.galdrin.web.gate.internal;

import jakarta.servlet.ServletException;
import java.io.IOException;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.RemoteIpValve;
import org.apache.catalina.valves.ValveBase;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;

/** Believes what named proxies say of where a request came from, and nobody else: otherwise anyone who asks could choose an address. */
@Component
class Proxies implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {

    private static final String FORWARDED = "X-Forwarded-For";
    private static final Pattern ADDRESS = Pattern.compile("[0-9a-fA-F.:]{2,45}");

    private final List<String> addresses;

    /** @param proxies addresses of the proxies, none as a rule */
    Proxies(@Value("${galdrin.proxies}") List<String> proxies) {
        this.addresses = proxies.stream()
                .map(String::strip)
                .filter(a -> !a.isEmpty())
                .map(Proxies::asSeen)
                .toList();
    }

    /** Returns an address as the server writes it. */
    private static String asSeen(String address) {
        try {
            if (ADDRESS.matcher(address).matches()) {
                return InetAddress.getByName(address).getHostAddress(); // no name, so that nothing is looked up
            }
        } catch (UnknownHostException e) {
            // said below
        }
        throw new IllegalArgumentException(
                "GALDRIN_PROXIES (" + address + "): addresses such as 10.0.0.5, with commas");
    }

    /** A proxy that passes on what the asker wrote may name anything as an address; what is none is not believed. */
    private static final class Addresses extends ValveBase {

        Addresses() {
            super(true);
        }

        @Override
        public void invoke(Request request, Response response) throws IOException, ServletException {
            boolean readable = Collections.list(request.getHeaders(FORWARDED)).stream()
                    .flatMap(value -> Arrays.stream(value.split(",", -1)))
                    .allMatch(address -> ADDRESS.matcher(address.strip()).matches());
            if (!readable) {
                request.getCoyoteRequest().getMimeHeaders().removeHeader(FORWARDED);
            }
            getNext().invoke(request, response);
        }
    }

    @Override
    public void customize(TomcatServletWebServerFactory factory) {
        if (!addresses.isEmpty()) {
            var valve = new RemoteIpValve();
            valve.setInternalProxies(addresses.stream().map(Pattern::quote).collect(Collectors.joining("|")));
            valve.setRemoteIpHeader(FORWARDED);
            valve.setProtocolHeader("X-Forwarded-Proto");
            factory.addEngineValves(new Addresses(), valve);
        }
    }
}
