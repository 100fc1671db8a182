package app.galdrin.web.procedure.internal;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.procedure.Family;
import app.galdrin.core.procedure.Guide;
import app.galdrin.core.procedure.MeasuringContext;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.spec.Judgement;
import app.galdrin.core.start.TaskStart;
import app.galdrin.core.task.ExpectedUncertainty;
import app.galdrin.core.task.Measure;
import app.galdrin.core.uncertainty.Estimate;
import app.galdrin.web.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Makes the matrix of all procedures. */
final class Matrix {

    private static final List<Measurand> COLUMNS = List.of(
            Measurand.TOTAL_TOE,
            Measurand.TOE,
            Measurand.THRUST,
            Measurand.CAMBER,
            Measurand.CASTER,
            Measurand.KPI,
            Measurand.SETBACK,
            Measurand.TURN_OUT,
            Measurand.RUN_OUT);

    private final Words words;
    private final MeasuringContext standing;

    Matrix(Words words, MeasuringContext standing) {
        this.words = words;
        this.standing = standing;
    }

    MatrixView view() {
        List<MatrixView.Row> rows = new ArrayList<>();
        Optional<Family> before = Optional.empty();
        for (Procedure procedure : Procedures.all()) {
            Guide guide = procedure.guide();
            rows.add(new MatrixView.Row(
                    procedure.key(),
                    procedure.family(),
                    !before.equals(Optional.of(procedure.family())),
                    COLUMNS.stream().map(m -> where(procedure, m)).toList(),
                    guide.minutesToSet(),
                    guide.minutesToRead(),
                    sure(procedure)));
            before = Optional.of(procedure.family());
        }
        return new MatrixView(COLUMNS, rows);
    }

    /** Front, rear or both axles. */
    private static String where(Procedure procedure, Measurand measurand) {
        boolean front = sees(procedure, measurand, Axle.FRONT);
        boolean rear = sees(procedure, measurand, Axle.REAR);
        return front && rear ? "both" : front ? "front" : rear ? "rear" : "";
    }

    private static boolean sees(Procedure procedure, Measurand measurand, Axle axle) {
        return procedure.sees().stream()
                .anyMatch(f -> f.measurand() == measurand && f.axle().equals(Optional.of(axle)));
    }

    private String sure(Procedure procedure) {
        List<FigureId> usual = TaskStart.usualFigures(procedure);
        Map<FigureId, Estimate> once = ExpectedUncertainty.once(Measure.of("once", procedure, usual, 1), standing);
        return usual.stream()
                .filter(once::containsKey)
                .findFirst()
                .map(figure -> words.text(
                        "procedures.sure",
                        words.name(figure),
                        words.doubt(
                                Judgement.K
                                        * Optional.ofNullable(once.get(figure))
                                                .orElseThrow()
                                                .standardUncertainty(),
                                figure)))
                .orElse("");
    }
}
