package app.galdrin.web.baysheet.internal;

import app.galdrin.core.marking.MarkLine;
import app.galdrin.core.marking.Marker;
import app.galdrin.core.marking.References;
import app.galdrin.core.marking.SittingWork;
import app.galdrin.core.measure.Asked;
import app.galdrin.core.measure.ToeFigures;
import app.galdrin.core.spec.Judgement;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.ToeTask;
import app.galdrin.web.layout.Words;
import app.galdrin.web.marking.EvidenceWords;
import app.galdrin.web.sitting.Entry;
import app.galdrin.web.sitting.Log;
import app.galdrin.web.sitting.Route;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Slot;
import app.galdrin.web.sitting.Stage;
import app.galdrin.web.sitting.Works;
import app.galdrin.web.sketch.Sketch;
import app.galdrin.web.sketch.Sketches;
import app.galdrin.web.sketch.ToleranceRule;
import app.galdrin.web.task.Mode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Everything one stage of a sheet shows. */
public record SheetView(
        Sitting sitting,
        Log log,
        Stage stage,
        int repeat,
        List<Route.Step> route,
        Sketch sketch,
        Map<Slot, FieldView> fields,
        List<RepeatsView> repeats,
        List<RepeatsView> found,
        List<LimitView> limits,
        Optional<Practice> practice,
        Optional<Doubt> doubt) {

    /** A toe figure's limits beside the apprentice's own, in the answer's unit. */
    public record LimitView(Asked asked, String min, String preferred, String max, String own) {}

    /** What the sheet says at once in practice mode, and to an instructor reading his own reference. */
    public record Practice(
            Optional<Skews> box, Optional<String> total, Optional<ToleranceRule> rule, List<EvidenceWords.Told> told) {}

    /** How far the strings are off, as sentences' arguments: mm over the wheelbase. */
    public record Skews(String left, String right) {}

    /** The uncertainty of the apprentice's own figures, which he needs to tell what is too close to tell. */
    public record Doubt(String total, Optional<String> wheel) {}

    public FieldView field(String place) {
        return field(Slot.of(stage, place));
    }

    public FieldView field(String place, int repeat) {
        return field(new Slot(stage, place, repeat));
    }

    private FieldView field(Slot slot) {
        FieldView field = fields.get(slot);
        if (field == null) {
            throw new IllegalStateException("no field " + slot.key());
        }
        return field;
    }

    public FieldView at(Sketch.SketchPlace place) {
        return field(place.id(), place.eachRepeat() ? repeat : 0);
    }

    /** The stage's number on the route. */
    public int number() {
        return 1 + route.stream().map(Route.Step::stage).toList().indexOf(stage);
    }

    public Optional<Stage> next() {
        List<Stage> stages = route.stream().map(Route.Step::stage).toList();
        int here = stages.indexOf(stage);
        return here + 1 < stages.size() ? Optional.of(stages.get(here + 1)) : Optional.empty();
    }

    public List<Route.Step> unfinished() {
        return route.stream()
                .filter(s -> s.stage() != Stage.HAND_IN && !s.complete())
                .toList();
    }

    public boolean closed() {
        return log.handedIn();
    }

    public boolean flagged() {
        return log.at(Slot.of(Stage.FLAG, "needsYou"))
                .filter(e -> e.written().equals("raised"))
                .isPresent();
    }

    /** Makes the view of a stage. */
    static final class Maker {
        private final Sitting sitting;
        private final Log log;
        private final Stage stage;
        private final int repeat;
        private final Fields fields;
        private final EvidenceWords evidence;
        private final Words words;

        Maker(Sitting sitting, Log log, Stage stage, int repeat, Fields fields, EvidenceWords evidence, Words words) {
            this.sitting = sitting;
            this.log = log;
            this.stage = stage;
            this.repeat = repeat;
            this.fields = fields;
            this.evidence = evidence;
            this.words = words;
        }

        SheetView make() {
            ToeTask task = sitting.task().toe();
            Sketch sketch =
                    Sketches.of(sitting.task().sheet().id(), task.sheet().geometry(), task.method());
            boolean speaks = sitting.task().mode() == Mode.PRACTICE || sitting.isReference();
            return new SheetView(
                    sitting,
                    log,
                    stage,
                    repeat,
                    Route.of(sitting, log),
                    sketch,
                    fields.of(stage),
                    stage.onSketch() ? repeats(sketch, stage) : List.of(),
                    stage == Stage.WORK ? repeats(sketch, Stage.AS_FOUND) : List.of(),
                    limits(),
                    speaks ? Optional.of(practice()) : Optional.empty(),
                    doubt());
        }

        private List<RepeatsView> repeats(Sketch sketch, Stage stage) {
            Map<Slot, FieldView> all = fields.of(stage);
            List<RepeatsView> rows = new ArrayList<>();
            for (Sketch.SketchPlace place : sketch.places()) {
                List<RepeatsView.Cell> cells = new ArrayList<>();
                List<Entry> struck = new ArrayList<>();
                int first = place.eachRepeat() ? 1 : 0;
                int last = place.eachRepeat() ? sitting.task().toe().repeats() : 0;
                for (int i = first; i <= last; i++) {
                    var slot = new Slot(stage, place.id(), i);
                    FieldView field = all.get(slot);
                    if (field != null) {
                        cells.add(new RepeatsView.Cell(field, i == repeat));
                    }
                    struck.addAll(log.struckAt(slot));
                }
                rows.add(new RepeatsView(place, cells, struck));
            }
            return rows;
        }

        private List<LimitView> limits() {
            ToeTask task = sitting.task().toe();
            List<LimitView> limits = new ArrayList<>();
            for (Asked asked : task.asked().figures()) {
                evidence.limits(task, asked)
                        .ifPresent(l -> limits.add(new LimitView(
                                asked,
                                answer(l.limits().min().orElseThrow(), asked),
                                answer(l.limits().target().orElseThrow(), asked),
                                answer(l.limits().max().orElseThrow(), asked),
                                log.at(Slot.of(Stage.WORK, asked.key()))
                                        .map(e -> Fields.echo(e, task.answerUnit(), words))
                                        .orElse("–"))));
            }
            return limits;
        }

        private String answer(double toe, Asked asked) {
            ToeTask task = sitting.task().toe();
            return words.answer(task.answerUnit().ofToe(toe, asked, task.baseline()), task.answerUnit());
        }

        private List<ToeFigures> worked(Stage readings) {
            ToeTask task = sitting.task().toe();
            return task.work(log.readings(readings, task.repeats()));
        }

        private Practice practice() {
            ToeTask task = sitting.task().toe();
            List<ToeFigures> worked = worked(stage == Stage.AS_LEFT ? Stage.AS_LEFT : Stage.AS_FOUND);
            if (worked.isEmpty()) {
                return new Practice(Optional.empty(), Optional.empty(), Optional.empty(), List.of());
            }
            ToeFigures mean = ToeFigures.mean(worked);
            return new Practice(
                    mean.skews().map(s -> new Skews(perWheelbase(s.left()), perWheelbase(s.right()))),
                    Optional.of(words.angle(mean.total().value())),
                    evidence.rule(task, Asked.TOTAL, mean.total()),
                    told(task));
        }

        private String perWheelbase(double skew) {
            return words.length(0.1
                    * Math.rint(10
                            * Math.abs(Math.tan(skew)
                                    * sitting.task().toe().sheet().geometry().wheelbase())));
        }

        /** In practice the same marking speaks at once. */
        private List<EvidenceWords.Told> told(ToeTask task) {
            Optional<Criterion> criterion = switch (stage) {
                case WORK -> Optional.of(Criterion.WORKING);
                case JUDGE -> Optional.of(Criterion.VERDICT);
                case PLAN -> Optional.of(Criterion.PLAN);
                default -> Optional.empty();
            };
            SittingWork work = Works.work(task, log);
            return criterion
                    .flatMap(c -> Marker.mark(task, work, References.none()).lines().stream()
                            .filter(l -> l.criterion() == c)
                            .findFirst())
                    .map(MarkLine::evidence)
                    .map(e -> evidence.tell(task, e))
                    .orElse(List.of())
                    .stream()
                    .filter(t -> t.right().isPresent()) // what is not written yet needs no reminder here
                    .toList();
        }

        private Optional<Doubt> doubt() {
            List<ToeFigures> worked = worked(Stage.AS_FOUND);
            if (worked.isEmpty()) {
                return Optional.empty();
            }
            ToeFigures mean = ToeFigures.mean(worked);
            double k = Judgement.K;
            return Optional.of(new Doubt(
                    words.doubt(k * mean.total().standardUncertainty()),
                    mean.left().map(l -> words.doubt(k * l.standardUncertainty()))));
        }
    }
}
