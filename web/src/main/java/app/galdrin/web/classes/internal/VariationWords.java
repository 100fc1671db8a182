package app.galdrin.web.classes.internal;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.spec.Judgement;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.task.Measure;
import app.galdrin.core.variance.VarianceComponents;
import app.galdrin.core.variance.VarianceComponents.Outcome;
import app.galdrin.core.variance.VarianceComponents.Source;
import app.galdrin.web.words.StepWords;
import app.galdrin.web.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Says and draws a split spread. */
@Component
class VariationWords {

    private static final double WIDTH = 400;
    private static final double ROW = 26;

    private final Words words;
    private final StepWords steps;

    VariationWords(Words words, StepWords steps) {
        this.words = words;
        this.steps = steps;
    }

    VariationView view(Measure measure, FigureId figure, Outcome outcome, SpecificationSheet sheet) {
        String name = words.name(figure);
        String from = steps.title(measure);
        if (outcome instanceof Outcome.TooFew few) {
            String line = words.text("variation.tooFew", few.people(), few.states(), few.repeated());
            return new VariationView(name, from, List.of(), List.of(line), WIDTH, 0);
        }
        VarianceComponents split = ((Outcome.Split) outcome).into();
        List<VariationView.Bar> bars = new ArrayList<>();
        for (Source source : Source.values()) {
            bars.add(new VariationView.Bar(
                    source.key(),
                    words.text("variation." + source.key()),
                    ROW * bars.size(),
                    WIDTH * split.share(source),
                    Math.round(100 * split.share(source)),
                    words.doubt(split.deviation(source), figure)));
        }
        return new VariationView(name, from, bars, lines(measure, figure, split, sheet), WIDTH, ROW * bars.size());
    }

    private List<String> lines(Measure measure, FigureId figure, VarianceComponents split, SpecificationSheet sheet) {
        List<String> lines = new ArrayList<>();
        lines.add(words.text("variation.of", split.readings(), split.people(), split.states()));
        Source most = split.greatest(true);
        lines.add(words.text(
                "variation.most",
                words.text("variation." + most.key()),
                Math.round(100 * split.share(most)),
                words.text("variation." + split.greatest(false).key() + ".then")));
        double expanded = Judgement.K * split.ofOnePerson(measure.repeats());
        sheet.limits(figure)
                .filter(l -> l.min().isPresent() && l.max().isPresent())
                .ifPresent(l -> lines.add(decides(measure, figure, expanded, l)));
        if (!split.negative().isEmpty()) {
            lines.add(words.text(
                    "variation.negative",
                    split.negative().stream()
                            .sorted()
                            .map(s -> words.text("variation." + s.key()))
                            .collect(Collectors.joining(", "))));
        }
        return lines;
    }

    private String decides(Measure measure, FigureId figure, double expanded, Limits limits) {
        double tolerance = limits.max().orElseThrow() - limits.min().orElseThrow();
        String how = expanded > tolerance / 2 ? "no" : "yes";
        return words.text(
                "variation.decides." + how,
                measure.repeats(),
                words.doubt(expanded, figure),
                words.doubt(tolerance, figure));
    }
}
