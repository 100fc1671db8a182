package app.galdrin.core.task;

import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.procedure.Place;
import java.util.Optional;
import java.util.Set;

/**
 * One thing to write in a step.
 *
 * @param id its name within the step
 * @param answer what may be written
 * @param repeated whether it is written again in every repeat
 * @param critical whether someone can be hurt if it is left out; such a line has to pass
 * @param witnessed whether the instructor has to see it done
 * @param figure the figure it is about
 * @param place the place on the drawing it is written at
 * @param needless the line whose answer makes this one needless, and that answer
 * @param optional whether it may be left empty: a step is complete without it
 * @param calls answers that call the instructor
 */
public record Line(
        String id,
        AnswerType answer,
        boolean repeated,
        boolean critical,
        boolean witnessed,
        Optional<FigureId> figure,
        Optional<Place> place,
        Optional<Needless> needless,
        boolean optional,
        Set<String> calls) {

    /** An answer on another line of the step that leaves nothing to write on this one. */
    public record Needless(String line, String answer) {}

    /** A line that is written once. */
    public static Line of(String id, AnswerType answer) {
        return new Line(
                id, answer, false, false, false, Optional.empty(), Optional.empty(), Optional.empty(), false, Set.of());
    }

    /** A line to tick. */
    public static Line tick(String id, boolean critical, boolean witnessed) {
        return new Line(
                id,
                new AnswerType.Tick(),
                false,
                critical,
                witnessed,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                false,
                Set.of());
    }

    /** The same with what it guards: whether it has to pass, and whether the instructor has to see it. */
    public Line guarding(boolean hasToPass, boolean hasToBeSeen) {
        return new Line(id, answer, repeated, hasToPass, hasToBeSeen, figure, place, needless, optional, calls);
    }

    static Line reading(Place place) {
        return new Line(
                place.id(),
                place.answer(),
                place.eachRepeat(),
                false,
                false,
                Optional.empty(),
                Optional.of(place),
                Optional.empty(),
                false,
                Set.of());
    }

    /** The same, about a figure. */
    public Line about(FigureId about) {
        return new Line(
                id, answer, repeated, critical, witnessed, Optional.of(about), place, needless, optional, calls);
    }

    /** The same, needless where another line of the step is answered so. */
    public Line unless(String line, String answered) {
        return new Line(
                id,
                answer,
                repeated,
                critical,
                witnessed,
                figure,
                place,
                Optional.of(new Needless(line, answered)),
                optional,
                calls);
    }

    /** The same, which calls the instructor by one of these answers. */
    public Line calling(String... answers) {
        return new Line(id, answer, repeated, critical, witnessed, figure, place, needless, optional, Set.of(answers));
    }

    /** The same, which may be left empty. */
    public Line optionally() {
        return new Line(id, answer, repeated, critical, witnessed, figure, place, needless, true, calls);
    }
}
