package app.galdrin.web.layout;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import java.net.URI;
import java.util.Map;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;

/** The address at which phones and tablets reach this installation, from the operator's settings; a request could claim anything. */
@Component("publicAddress")
public class PublicAddress implements ApplicationRunner {

    /** Light modules around the code, which a camera needs to find it. */
    private static final int QUIET = 2;

    private final String base;

    PublicAddress(@Value("${galdrin.public-address}") String address) {
        this.base = address.strip().replaceFirst("/+$", "");
        if (!base.isEmpty() && !base.matches("https?://[A-Za-z0-9.:\\[\\]-]{1,200}")) {
            throw new IllegalArgumentException(
                    "GALDRIN_PUBLIC_ADDRESS (" + address + "): an address such as https://galdrin.example");
        }
    }

    /**
     * A code to scan.
     *
     * @param href where it leads
     * @param size of its picture, modules
     * @param path of its dark modules, a unit each
     */
    public record Code(URI href, int size, String path) {}

    /** The code of a page, its path with a leading slash; empty where nobody said where people reach this. */
    public Optional<Code> code(String page) {
        return base.isEmpty() ? Optional.empty() : Optional.of(drawn(base + page));
    }

    private static Code drawn(String href) {
        BitMatrix modules = modules(href);
        var path = new StringBuilder();
        for (int y = 0; y < modules.getHeight(); y++) {
            for (int x = 0; x < modules.getWidth(); x++) {
                if (modules.get(x, y)) {
                    path.append('M').append(x).append(' ').append(y).append("h1v1h-1z");
                }
            }
        }
        return new Code(URI.create(href), modules.getWidth(), path.toString());
    }

    private static BitMatrix modules(String text) {
        try {
            var hints = Map.of(
                    EncodeHintType.MARGIN, QUIET, EncodeHintType.ERROR_CORRECTION, (Object) ErrorCorrectionLevel.M);
            return new QRCodeWriter().encode(text, BarcodeFormat.QR_CODE, 1, 1, hints);
        } catch (WriterException e) {
            throw new IllegalArgumentException(text, e);
        }
    }

    /** Prints the code on the console: two rows of modules a line, light on dark. */
    @Override
    @SuppressWarnings("SystemOut")
    public void run(ApplicationArguments arguments) {
        if (!base.isEmpty()) {
            lines(base + "/join").lines().forEach(line -> System.out.println("qr: " + line));
        }
    }

    static String lines(String text) {
        BitMatrix modules = modules(text);
        var lines = new StringBuilder();
        for (int y = 0; y < modules.getHeight(); y += 2) {
            for (int x = 0; x < modules.getWidth(); x++) {
                boolean below = y + 1 < modules.getHeight() && modules.get(x, y + 1);
                lines.append(half(!modules.get(x, y), !below));
            }
            lines.append('\n');
        }
        return lines.toString();
    }

    private static char half(boolean above, boolean below) {
        if (above) {
            return below ? '█' : '▀';
        }
        return below ? '▄' : ' ';
    }
}
