package app.galdrin.core.simulated;

import app.galdrin.core.answer.LineText;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.marking.Marker;
import app.galdrin.core.marking.References;
import app.galdrin.core.marking.WorkingEvidence;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.sitting.Sheet;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Work;
import java.util.Optional;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;

/**
 * A question of a sheet once more with other numbers: readings of another state of the same vehicle, from which a figure is to be worked as
 * the task teaches it.
 *
 * @param item the figure, with the unit it is asked in
 * @param readings of everything that is measured as found
 */
public record SecondQuestion(Assignment assignment, Work work, Work.Item item, Answers readings) {

    /** Distance of the vehicle as found, in half tolerances. */
    private static final double OFF = 2;

    /** The same seed asks the same; empty where the figure is not asked on this sheet. */
    public static Optional<SecondQuestion> of(Assignment assignment, FigureId figure, long seed) {
        RandomGenerator random = RandomGeneratorFactory.of("Xoshiro256PlusPlus").create(seed);
        return assignment
                .practical()
                .of(Work.class)
                .filter(work -> work.item(figure).isPresent())
                .findFirst()
                .map(work -> new SecondQuestion(
                        assignment, work, work.item(figure).orElseThrow(), readings(assignment, random)));
    }

    private static Answers readings(Assignment assignment, RandomGenerator random) {
        var paper = new Paper(new Sheet(assignment));
        var hands = new Apprentice(assignment, paper, () -> new HonestHands(1, random));
        var found = FoundState.about(assignment.sheet(), OFF, random);
        assignment.practical().measures(0).forEach(m -> hands.read(m, 0, found, m.repeats()));
        return paper.answers();
    }

    public Measure measure() {
        return assignment.practical().measure(item.from()).orElseThrow();
    }

    /** Returns the line of the answer on the sheet. */
    public LineKey line() {
        return LineKey.of(work.id(), item.figure().key());
    }

    /** Returns what was typed, read as the sheet reads it. */
    public LineText read(String typed) {
        return LineText.read(
                typed, new Sheet(assignment).line(line()).orElseThrow().answer());
    }

    /** Marks an answer as the sheet's own would be: with the slip that explains it. */
    public WorkingEvidence judged(LineText.ParsedText answer) {
        var paper = new Paper(new Sheet(assignment));
        readings.standing().forEach((line, written) -> paper.write(line, written.text()));
        paper.write(line(), answer.written());
        return Marker.mark(assignment, paper.answers(), References.none()).lines().stream()
                .flatMap(line -> line.evidence().stream())
                .filter(WorkingEvidence.class::isInstance)
                .map(WorkingEvidence.class::cast)
                .filter(e -> e.figure().equals(item.figure()))
                .findFirst()
                .orElseThrow();
    }
}
