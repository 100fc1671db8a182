package app.galdrin.benchmarks;

import java.io.BufferedOutputStream;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.ObjectReadContext;
import tools.jackson.core.ObjectWriteContext;
import tools.jackson.core.StreamWriteFeature;
import tools.jackson.core.json.JsonFactory;

/** Reads every line with the command's JSON library and writes it again: what compute's throughput is compared with. */
public final class Reread {

    private Reread() {}

    public static void main(String[] args) throws IOException {
        JsonFactory factory = JsonFactory.builder()
                .disable(StreamWriteFeature.AUTO_CLOSE_TARGET)
                .disable(StreamWriteFeature.FLUSH_PASSED_TO_STREAM)
                .build();
        OutputStream out = new BufferedOutputStream(System.out, 1 << 16);
        var in = new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8), 1 << 16);
        for (String line = in.readLine(); line != null; line = in.readLine()) {
            try (JsonParser parser = factory.createParser(ObjectReadContext.empty(), line);
                    JsonGenerator json = factory.createGenerator(ObjectWriteContext.empty(), out)) {
                for (JsonToken token = parser.nextToken(); token != null; token = parser.nextToken()) {
                    if (token == JsonToken.VALUE_NUMBER_FLOAT) {
                        json.writeNumber(parser.getDoubleValue()); // a number is read and written, not copied as text
                    } else {
                        json.copyCurrentEvent(parser);
                    }
                }
            }
            out.write('\n');
        }
        out.flush();
    }
}
