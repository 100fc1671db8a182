package app.galdrin.web;

import app.galdrin.core.measure.ToeMethod;
import app.galdrin.core.measure.ToeMethods;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.task.AnswerUnit;
import app.galdrin.core.task.MarkingScheme;
import app.galdrin.core.task.ToeAsked;
import app.galdrin.core.task.ToeTask;
import app.galdrin.web.account.People;
import app.galdrin.web.account.Role;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.library.Library;
import app.galdrin.web.library.NewVehicle;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.task.Mode;
import app.galdrin.web.task.OutcomeSchool;
import app.galdrin.web.task.TaskDraft;
import app.galdrin.web.task.Tasks;
import java.util.List;
import java.util.UUID;

/** A centre of a test's own, so that tests on one database do not meet. */
public record Centre(UUID id, SignedIn instructor, SignedIn apprentice, SignedIn neighbour, UUID taskId, String code) {

    public static final String PASSWORD = "a long enough one";

    public static Centre make(People people, Library library, Tasks tasks, NewVehicle vehicle, ToeMethod method) {
        String tag = Ids.next().toString().substring(24);
        UUID centre = people.makeCentre("Centre " + tag, "Europe/London");
        UUID teacher = people.add(centre, Role.INSTRUCTOR, "Teacher " + tag, "t." + tag, PASSWORD);
        UUID first = people.add(centre, Role.APPRENTICE, "First " + tag, "a." + tag, PASSWORD);
        UUID second = people.add(centre, Role.APPRENTICE, "Second " + tag, "b." + tag, PASSWORD);
        UUID group = people.makeClass(centre, "Class", List.of(first, second));
        UUID sheet = library.addVehicle(centre, vehicle);
        var scheme = MarkingScheme.defaults(method, vehicle.sheet().geometry(), 2);
        var asked = method == ToeMethods.of("strings") ? ToeAsked.TOTAL_AND_EACH : ToeAsked.TOTAL;
        var toe = new ToeTask(
                vehicle.sheet(),
                asked,
                method,
                2,
                AnswerUnit.DEGREES,
                DecisionRule.SIMPLE,
                ToeTask.PREPARATION,
                scheme);
        UUID task = tasks.set(
                centre, teacher, new TaskDraft("Toe", sheet, group, toe, Mode.ASSESSMENT, OutcomeSchool.GRADED));
        String code = tasks.open(centre, teacher, task).code();
        return new Centre(
                centre,
                people.session(centre, teacher),
                people.session(centre, first),
                people.session(centre, second),
                task,
                code);
    }

    /** The apprentice's sitting of the task. */
    public Sitting sitting(Tasks tasks, Sittings sittings) {
        UUID sitting = sittings.begin(tasks.current(id, taskId).orElseThrow(), apprentice.personId(), 1);
        return sittings.sitting(apprentice, sitting);
    }
}
