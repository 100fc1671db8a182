package app.galdrin.web.marking;

import static org.junit.jupiter.api.Assertions.assertEquals;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.procedure.Hands;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.simulated.Apprentice;
import app.galdrin.core.simulated.Habit;
import app.galdrin.core.simulated.Paper;
import app.galdrin.core.simulated.Pen;
import app.galdrin.core.simulated.StepWriters;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.web.Browser;
import app.galdrin.web.Centre;
import app.galdrin.web.GaldrinTest;
import app.galdrin.web.TestCentres;
import app.galdrin.web.account.People;
import app.galdrin.web.account.Role;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.marksheet.SittingMarks;
import app.galdrin.web.sitting.Entries;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.SittingSheet;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.sitting.VehicleReferences;
import app.galdrin.web.task.Tasks;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** A class whose sheets need nothing, marked at the desk by the keyboard alone. */
@GaldrinTest
class ClassOfSixteenTest {

    private static final int CLASS = 16;

    @LocalServerPort
    private int port;

    @Autowired
    private TestCentres centres;

    @Autowired
    private Tasks tasks;

    @Autowired
    private Sittings sittings;

    @Autowired
    private VehicleReferences vehicles;

    @Autowired
    private Entries entries;

    @Autowired
    private SittingMarks sittingMarks;

    @Autowired
    private People people;

    /** A person of this centre who does a whole sheet as it should be done. */
    private final class Writer implements Pen {
        private final SignedIn who;
        private final Sitting sitting;
        private final Paper paper;

        Writer(SignedIn who, Sitting sitting) {
            this.who = who;
            this.sitting = sitting;
            this.paper = new Paper(SittingSheet.of(sitting));
        }

        @Override
        public void write(LineKey line, String text) {
            Centre.write(sittings, entries, who, sitting, line.key(), text);
            paper.write(line, text);
        }

        @Override
        public Answers answers() {
            return paper.answers();
        }

        Apprentice apprentice() {
            return new Apprentice(
                    sittingMarks.assignment(sitting), this, () -> Hands.trained(0, new SplittableRandom(4)));
        }
    }

    private static final Truth FOUND = toe(0.3, 0.1);
    private static final Truth LEFT = toe(-0.04, -0.04);

    private static Truth toe(double left, double right) {
        return new Truth(Map.of(
                FigureId.of(Measurand.TOE, Wheel.FRONT_LEFT), Math.toRadians(left),
                FigureId.of(Measurand.TOE, Wheel.FRONT_RIGHT), Math.toRadians(right)));
    }

    private void sits(Centre centre, String name) {
        UUID id = people.add(centre.id(), Role.APPRENTICE, name, name + "." + centre.id(), Centre.PASSWORD);
        var opening = tasks.current(centre.id(), centre.taskId()).orElseThrow();
        Sitting sitting = sittings.sitting(centre.instructor(), sittings.begin(opening, id, null));
        StepWriters.writeAll(
                new Writer(people.session(centre.id(), id), sitting).apprentice(), Habit.CAREFUL, FOUND, LEFT);
        readLeft(centre, vehicles.referenceAsLeft(centre.instructor(), sitting));
        readLeft(centre, vehicles.referenceAsLeftAgain(centre.instructor(), sitting));
    }

    private void readLeft(Centre centre, UUID reference) {
        Sitting left = sittings.sitting(centre.instructor(), reference);
        left.task()
                .practical()
                .allSteps()
                .flatMap(step -> step.within().stream())
                .forEach(m -> new Writer(centre.instructor(), left).apprentice().read(m, 1, LEFT, m.repeats()));
    }

    @Test
    void threeKeysASheet_areEnough() {
        Centre centre = centres.plates();
        Sitting found = sittings.sitting(
                centre.instructor(),
                vehicles.referenceAsFound(centre.instructor(), tasks.task(centre.id(), centre.taskId()), 1));
        found.task()
                .practical()
                .measure("found")
                .ifPresent(
                        m -> new Writer(centre.instructor(), found).apprentice().read(m, 0, FOUND, m.repeats()));
        for (int i = 0; i < CLASS; i++) {
            sits(centre, "Person" + i);
        }
        try (Browser desk = new Browser(port, 1280, 800)) {
            desk.signIn(centre.instructor().signIn(), Centre.PASSWORD).go("/marking");
            desk.click("main table a[href^='/marking/']");
            for (int sheet = 0; sheet < CLASS; sheet++) {
                for (String key : new String[] {"s", "r", "n"}) {
                    String before = desk.path();
                    desk.find("body").sendKeys(key);
                    switch (key) {
                        case "s" -> desk.waitFor(() -> desk.has("#release:not([disabled])"));
                        case "r" -> desk.waitFor(() -> !desk.has("#release"));
                        default -> {
                            if (sheet < CLASS - 1) {
                                desk.waitFor(() -> !desk.path().equals(before) && desk.has("#sign"));
                            }
                        }
                    }
                }
            }
        }
        assertEquals(CLASS, sittings.released(centre.id()).size(), "every sheet is released");
    }
}
