package app.galdrin.web.task.internal;

import app.galdrin.core.Keyed;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Tolerance;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.task.Band;
import app.galdrin.core.task.Checklist;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.Judge;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Plan;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Round;
import app.galdrin.core.task.Scheme;
import app.galdrin.core.task.SchemeDefaults;
import app.galdrin.core.task.Step;
import app.galdrin.core.task.Work;
import app.galdrin.web.library.SheetVersion;
import app.galdrin.web.task.TaskVersion;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.util.LinkedMultiValueMap;
import org.springframework.util.MultiValueMap;

/** The task bench's form filled in so that it stands for a practical that was set: what {@link BenchForm} reads, the other way round. */
final class BenchPrefill {

    private final MultiValueMap<String, String> fields = new LinkedMultiValueMap<>();
    private final Practical practical;
    private final Scheme usual;

    private BenchPrefill(Practical practical, SpecificationSheet sheet) {
        this.practical = practical;
        this.usual = SchemeDefaults.of(practical, sheet);
    }

    /** On the newest sheet of its vehicle. */
    static MultiValueMap<String, String> with(TaskVersion task, List<SheetVersion> newest) {
        var filled = new BenchPrefill(task.practical(), task.firstSheet().sheet());
        newest.stream()
                .filter(s -> s.vehicleId().equals(task.firstSheet().vehicleId()))
                .forEach(s -> filled.put("sheet", s.id().toString()));
        filled.put("class", task.classId().toString());
        filled.whole();
        filled.marks();
        return filled.fields;
    }

    private void put(String field, String value) {
        fields.set(field, value);
    }

    private void tick(String field) {
        put(field, "on");
    }

    private void key(String field, Keyed word) {
        put(field, word.key());
    }

    private void whole() {
        put("title", practical.title());
        key("school", practical.school());
        key("rule", practical.rule());
        key("mode", practical.mode());
        key("outcome", practical.outcome());
        practical.frontsTo().ifPresent(datum -> key("frontsTo", datum));
        practical.minutes().ifPresent(m -> put("minutes", m.toString()));
        put("order", practical.steps().stream().map(Step::id).collect(Collectors.joining(",")));
        practical.steps().forEach(step -> {
            key("kind." + step.id(), step.kind());
            if (step instanceof Checklist list) {
                checklist(list);
            } else if (step instanceof Measure measure) {
                measure(measure);
            } else if (step instanceof Work work
                    && work.asked().stream().anyMatch(i -> !i.steps().isEmpty())) {
                fields.add("steps", work.id());
            } else if (step instanceof Round round) {
                round(round);
            }
        });
    }

    private void checklist(Checklist list) {
        put("list." + list.id(), list.isClosing() ? "closing" : "prepare");
        tick("listed." + list.id());
        list.items().forEach(item -> {
            fields.add("items." + list.id(), item.id());
            if (item.critical()) {
                fields.add("critical." + list.id(), item.id());
            }
            if (item.witnessed()) {
                fields.add("witnessed." + list.id(), item.id());
            }
            if (item.inTurn()) {
                fields.add("inTurn." + list.id(), item.id());
            }
            put("why." + list.id() + "." + item.id(), ReasonsText.write(item.why()));
        });
    }

    private void measure(Measure measure) {
        String id = measure.id();
        put("procedure." + id, measure.procedure().key());
        measure.procedure().tools().forEach((tool, with) -> put("tool." + id + "." + tool, with.key()));
        if (measure.procedure().isRunOutTakenOff()) {
            tick("runOut." + id);
        }
        put("repeats." + id, String.valueOf(measure.repeats()));
        put("working." + id, measure.taught());
        key("steering." + id, measure.steering());
        measure.figures().forEach(figure -> fields.add("figures." + id, figure.key()));
        measure.figuresAndDifferences().forEach(this::figure);
        if (practical
                .of(Work.class)
                .anyMatch(w -> w.targets().stream().anyMatch(t -> t.from().equals(id)))) {
            tick("target." + id);
        }
    }

    private void figure(FigureId figure) {
        tick("figured." + figure.key());
        put(
                "unit." + figure.key(),
                practical
                        .of(Work.class)
                        .flatMap(w -> w.item(figure).stream())
                        .map(item -> item.unit().key())
                        .findFirst()
                        .orElse("none"));
        if (practical.of(Judge.class).anyMatch(j -> j.figures().contains(figure))) {
            tick("judge." + figure.key());
        }
        if (practical.of(Plan.class).anyMatch(p -> p.figures().contains(figure))) {
            tick("plan." + figure.key());
        }
    }

    private void round(Round round) {
        tick("roundsent." + round.id());
        put("most." + round.id(), String.valueOf(round.most()));
        put("aim." + round.id(), String.valueOf(round.aim()));
        List<String> measured = practical.steps().stream()
                .filter(Measure.class::isInstance)
                .map(Step::id)
                .toList();
        round.measures()
                .forEach(again -> measured.stream()
                        .filter(id -> again.id().startsWith(id))
                        .max(Comparator.comparing(String::length))
                        .ifPresent(id -> tick("again." + id)));
    }

    private void marks() {
        put("slipKeeps", String.valueOf(practical.scheme().slipKeepsPercent()));
        put(
                "grades",
                practical.scheme().grades().stream()
                        .map(g -> g.name() + " " + g.from())
                        .collect(Collectors.joining(", ")));
        for (Criterion criterion : practical.scheme().criteria()) {
            String key = criterion.id().key();
            tick("schemed." + key);
            put("marks." + key, String.valueOf(criterion.marks()));
            if (criterion.mustPass()) {
                tick("must." + key);
            }
            criterion.bands().entrySet().stream()
                    .filter(band -> !isUsual(criterion.id(), band))
                    .forEach(band -> band("band." + key + "." + band.getKey().key(), band));
        }
    }

    /** A usual one follows from the procedure and is left to it. */
    private boolean isUsual(Criterion.Id criterion, Map.Entry<FigureId, Band> band) {
        return usual.criterion(criterion)
                .flatMap(c -> c.band(band.getKey()))
                .filter(b -> Tolerance.ROUNDING.equal(b.full(), band.getValue().full()))
                .filter(b -> Tolerance.ROUNDING.equal(b.none(), band.getValue().none()))
                .filter(b -> band.getValue().steps().isEmpty())
                .isPresent();
    }

    private void band(String field, Map.Entry<FigureId, Band> band) {
        put(field, new BandText(band.getKey().measurand().quantity()).write(band.getValue()));
    }
}
