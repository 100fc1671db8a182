package app.galdrin.compute;

import java.util.ResourceBundle;
import java.util.function.ToIntFunction;
import picocli.CommandLine;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.ParseResult;

/** Base of the program's commands: help, version, and the exit code. */
final class Command {

    static final int COULD_NOT_RUN = 2;

    private Command() {}

    /** A command of a name, with its own words, that takes nothing yet but help and version. */
    static CommandSpec named(String name, ResourceBundle words) {
        var spec = CommandSpec.create().name(name).resourceBundle(words);
        spec.usageMessage().width(100);
        spec.version(Words.of("programVersion"));
        spec.mixinStandardHelpOptions(true);
        return spec;
    }

    /** Runs a command to its end and leaves with its status. */
    static void run(CommandSpec spec, ToIntFunction<ParseResult> command, String... args) {
        System.exit(new CommandLine(spec)
                .setExecutionStrategy(given -> {
                    Integer help = CommandLine.executeHelpRequest(given);
                    return help == null ? command.applyAsInt(given) : help;
                })
                .execute(args));
    }

    /** Says why the command could not run. */
    static int refused(String key, Object... arguments) {
        System.err.println(Words.of(key, arguments));
        return COULD_NOT_RUN;
    }
}
