package app.galdrin.compute;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** A command that ran as a process of its own: how it ended and what it printed. */
record Ran(int status, String out, String err) {

    static Ran process(Path folder, Class<?> command, String input, String... arguments)
            throws IOException, InterruptedException {
        Path in = Files.writeString(folder.resolve("in"), input);
        Path out = folder.resolve("out");
        Path err = folder.resolve("err");
        List<String> line = new ArrayList<>(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-cp",
                System.getProperty("java.class.path"),
                command.getName()));
        line.addAll(List.of(arguments));
        int status = new ProcessBuilder(line)
                .redirectInput(in.toFile())
                .redirectOutput(out.toFile())
                .redirectError(err.toFile())
                .start()
                .waitFor();
        return new Ran(
                status, Files.readString(out, StandardCharsets.UTF_8), Files.readString(err, StandardCharsets.UTF_8));
    }
}
