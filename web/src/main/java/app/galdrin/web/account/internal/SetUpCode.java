package app.galdrin.web.account.internal;

import app.galdrin.web.account.FirstRun;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.context.annotation.Profile;
import org.springframework.stereotype.Component;

/** Prints the set-up code of an installation that nobody has begun yet, on the console and not into the log. */
@Component
@Profile("!demo")
class SetUpCode implements ApplicationRunner {

    private final FirstRun firstRun;

    SetUpCode(FirstRun firstRun) {
        this.firstRun = firstRun;
    }

    @Override
    @SuppressWarnings("SystemOut") // the console is where its operator looks
    public void run(ApplicationArguments arguments) {
        firstRun.offer().ifPresent(code -> System.out.println("Set-up code for the first page: " + code));
    }
}
