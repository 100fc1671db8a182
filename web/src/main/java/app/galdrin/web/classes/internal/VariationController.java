package app.galdrin.web.classes.internal;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.sitting.OwnFigures;
import app.galdrin.core.task.Measure;
import app.galdrin.core.variance.VarianceComponents;
import app.galdrin.core.variance.VarianceComponents.Reading;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.marksheet.SittingMarks;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.task.TaskVersion;
import app.galdrin.web.task.Tasks;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** Page of the sources of variation: a class's readings split into vehicle, person and repeat. */
@Controller
class VariationController {

    /** Every reading of each is worked. */
    private static final int MOST_SITTINGS = 120;

    private final MatrixMapper mapper;
    private final Tasks tasks;
    private final Sittings sittings;
    private final SittingMarks sittingMarks;
    private final VariationWords words;

    VariationController(
            MatrixMapper mapper, Tasks tasks, Sittings sittings, SittingMarks sittingMarks, VariationWords words) {
        this.mapper = mapper;
        this.tasks = tasks;
        this.sittings = sittings;
        this.sittingMarks = sittingMarks;
        this.words = words;
    }

    @GetMapping("/marking/class/{taskId}/variation")
    String variation(@AuthenticationPrincipal SignedIn me, @PathVariable UUID taskId, Model model) {
        TaskVersion task = tasks.task(me.centreId(), taskId);
        List<UUID> sat = mapper.sittings(me.centreId(), taskId, MOST_SITTINGS);
        List<Measure> measures = task.practical().measures(0).stream().toList();
        Map<MeasuredFigure, List<Reading>> readings = readings(me, sat, measures);
        List<VariationView> views = new ArrayList<>();
        readings.forEach((key, all) -> views.add(words.view(
                key.measure(),
                key.figure(),
                VarianceComponents.of(all),
                task.firstSheet().sheet())));
        model.addAttribute("task", task);
        model.addAttribute("sittings", sat.size());
        model.addAttribute("views", views);
        return "classes/variation";
    }

    private record MeasuredFigure(Measure measure, FigureId figure) {}

    /** Every repeat as found, by the figure it comes to. */
    private Map<MeasuredFigure, List<Reading>> readings(SignedIn me, List<UUID> sat, List<Measure> measures) {
        Map<MeasuredFigure, List<Reading>> readings = new LinkedHashMap<>();
        measures.forEach(m -> m.figures().forEach(f -> readings.put(new MeasuredFigure(m, f), new ArrayList<>())));
        for (UUID id : sat) {
            Sitting sitting = sittings.sitting(me, id);
            var own = new OwnFigures(
                    sittingMarks.assignment(sitting), sittings.log(sitting).answers());
            String person = sitting.people().get(0).id().toString();
            readings.forEach((key, all) -> own.each(key.measure(), 0, key.figure())
                    .forEach(
                            e -> all.add(new Reading(person, sitting.settingId().toString(), e.value()))));
        }
        return readings;
    }
}
