package app.galdrin.web.task.internal;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.procedure.MeasuringContext;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.spec.Judgement;
import app.galdrin.core.task.CanDecide;
import app.galdrin.core.task.CanDecide.Help;
import app.galdrin.core.task.ExpectedUncertainty;
import app.galdrin.core.task.Measure;
import app.galdrin.core.uncertainty.Estimate;
import app.galdrin.web.sketch.DoubtRule;
import app.galdrin.web.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Says whether a measurement can decide what it is to tell. Figures of both sides that come out alike are said once. */
final class Decisions {

    private final Words words;
    private final DecisionRule rule;

    Decisions(Words words, DecisionRule rule) {
        this.words = words;
        this.rule = rule;
    }

    List<DecisionRow> of(Measure measure, MeasuringContext standing) {
        Map<FigureId, Estimate> expected = ExpectedUncertainty.asAsked(measure, standing);
        List<DecisionRow> rows = new ArrayList<>();
        for (FigureId figure : measure.figures()) {
            Estimate estimate = expected.get(figure);
            boolean said = measure.figures().contains(figure.otherSide()) && figure.compareTo(figure.otherSide()) > 0;
            if (estimate != null && !said) {
                rows.add(CanDecide.of(measure, figure, standing)
                        .map(can -> row(can, measure, standing))
                        .orElseGet(() -> without(figure, estimate)));
            }
        }
        return rows;
    }

    /** The name of the figure, or of both wheels' where both are asked. */
    private String name(FigureId figure, Measure measure) {
        boolean both = !figure.equals(figure.otherSide()) && measure.figures().contains(figure.otherSide());
        return both
                ? words.text(
                        "bench.eachWheel",
                        words.text("measurand." + figure.measurand().key()),
                        words.text("axle." + figure.axle().orElseThrow().key()))
                : words.name(figure);
    }

    private DecisionRow without(FigureId figure, Estimate estimate) {
        String doubt = words.doubt(Judgement.K * estimate.standardUncertainty(), figure);
        return new DecisionRow(words.name(figure), null, words.text("bench.promise", doubt), List.of());
    }

    private DecisionRow row(CanDecide can, Measure measure, MeasuringContext standing) {
        FigureId figure = can.figure();
        String near = words.doubt(can.expanded(), figure);
        String said = words.text("bench.decides.near", near);
        if (!can.canSayInside(rule)) {
            said += " " + words.text("bench.decides.never");
        } else if (can.doubtful().isPresent()) {
            said += " "
                    + words.text("bench.decides.share", percent(can.doubtful().getAsDouble()));
        }
        List<String> help = can.help(measure, standing).stream().map(this::said).toList();
        return new DecisionRow(name(figure, measure), DoubtRule.of(figure, can.limits(), can.expanded()), said, help);
    }

    private String said(Help help) {
        long then = percent(help.doubtful());
        if (help instanceof Help.Repeats more) {
            return words.text("bench.help.repeats", more.repeats(), then);
        }
        if (help instanceof Help.Instrument other) {
            return words.text(
                    "bench.help.instrument",
                    words.text("instrument." + other.with().key()),
                    words.text("doubt." + other.tool()),
                    then);
        }
        String way = words.text(
                "procedure." + ((CanDecide.Help.Alternative) help).procedure().key());
        return words.text("bench.help.way", way, then);
    }

    private static long percent(double share) {
        return Math.round(100 * share);
    }
}
