package app.galdrin.web.marking;

import app.galdrin.core.Keyed;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.marking.Evidence;
import app.galdrin.core.marking.ThrustLine;
import app.galdrin.core.spec.Direction;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.spec.Part;
import app.galdrin.core.task.Plan.Instead;
import app.galdrin.web.words.StepWords;
import app.galdrin.web.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Says what was planned and moved, and where that leads. */
@Component
final class PlanWords {

    /** An angle that shows as none, rad. */
    private static final double STRAIGHT = Math.toRadians(0.005);

    private final Words words;
    private final StepWords steps;
    private final SlipWords slips;

    PlanWords(Words words, StepWords steps, SlipWords slips) {
        this.words = words;
        this.steps = steps;
        this.slips = slips;
    }

    EvidenceText effect(Evidence.Effect e) {
        List<String> lines = new ArrayList<>();
        lines.add(say(
                "evidence.effect",
                moves(e),
                words.figure(e.own().value(), e.figure()),
                words.figure(e.after(), e.figure())));
        e.limits().target().ifPresent(t -> lines.add(say("evidence.effect.preferred", words.figure(t, e.figure()))));
        if (e.credit() < 1) {
            rule(e).ifPresent(lines::add);
        }
        e.line().ifPresent(line -> lines.add(thrustLine(line)));
        if (e.splitAssumed()) {
            lines.add(say("evidence.move.split"));
        }
        return EvidenceText.of(words.name(e.figure()), e.credit() == 1, lines)
                .slipped(slips.all(e.slips(), e.figure()));
    }

    /** Returns the rule by which a plan was marked. */
    private Optional<String> rule(Evidence.Effect e) {
        Limits limits = e.limits();
        if (limits.min().isEmpty() || limits.max().isEmpty()) {
            return Optional.empty();
        }
        double min = limits.min().getAsDouble();
        double max = limits.max().getAsDouble();
        String near = words.doubt((max - min) / 4, e.figure());
        boolean left = e.moves().stream().allMatch(m -> m.amount() == 0);
        return Optional.of(
                left
                        ? say("evidence.effect.left", near)
                        : say(
                                "evidence.effect.rule",
                                near,
                                words.figure(min, e.figure()),
                                words.figure(max, e.figure())));
    }

    /** Returns what a front wheel is counted from, and how the steering wheel sits then. */
    String thrustLine(ThrustLine line) {
        String counted = say("evidence.thrustLine." + way(line.thrust()), words.angleSize(line.thrust()));
        return line.steeringWheel()
                .map(wheel -> counted + " " + say("evidence.steeringWheel." + way(wheel), words.angleSize(wheel)))
                .orElse(counted);
    }

    private static String way(double angle) {
        return Math.abs(angle) < STRAIGHT ? "straight" : angle > 0 ? "right" : "left";
    }

    private String moves(Evidence.Effect e) {
        return e.moves().stream().allMatch(m -> m.amount() == 0)
                ? say("way." + Direction.LEAVE.key())
                : e.moves().stream()
                        .filter(m -> m.amount() != 0)
                        .map(m -> say(
                                "evidence.effect.move",
                                steps.adjuster(m.adjuster()),
                                amount(m.way(), m.amount(), m.unit(), true)))
                        .collect(Collectors.joining("; "));
    }

    EvidenceText move(Evidence.Move e) {
        List<String> lines = new ArrayList<>();
        String planned = amount(e.way(), e.planned(), e.unit(), true);
        lines.add(
                e.needed().isPresent()
                        ? say(
                                "evidence.move",
                                planned,
                                amount(e.neededWay(), e.needed().get(), e.unit(), true),
                                words.turns(e.allowance()),
                                say("adjusterUnit." + e.unit()))
                        : say("evidence.move.way", planned, amount(e.neededWay(), 0, e.unit(), false)));
        if (e.splitAssumed()) {
            lines.add(say("evidence.move.split"));
        }
        return EvidenceText.of(steps.adjuster(e.adjuster()), e.credit() == 1, lines)
                .slipped(slips.all(e.slip().map(Set::of).stream().toList()));
    }

    EvidenceText sequence(Evidence.Sequence e) {
        String how = e.untouched().isEmpty() ? "kept" : e.moved().isEmpty() ? "notRead" : "tooEarly";
        return EvidenceText.of(
                say("evidence.sequence"),
                e.credit() == 1,
                List.of(say(
                        "evidence.sequence." + how,
                        e.round(),
                        e.moved().isEmpty() ? "" : steps.adjuster(e.moved()),
                        e.untouched().isEmpty() ? "" : name(e.untouched()))));
    }

    EvidenceText noMove(Evidence.NoMove e) {
        String right = e.right().stream().map(this::instead).collect(Collectors.joining(" " + say("or") + " "));
        return EvidenceText.of(
                say("plan.noMove", name(e.adjustment())),
                e.credit() == 1,
                List.of(say("evidence.noMove", instead(e.planned()), right)));
    }

    private String instead(Instead instead) {
        return say("instead." + instead.key());
    }

    /** The name of a figure, of a part or of what is adjusted together, by key. */
    String name(String key) {
        int dot = key.indexOf('.');
        boolean part =
                Keyed.find(Part.values(), dot < 0 ? key : key.substring(0, dot)).isPresent();
        return part ? steps.adjuster(key) : FigureId.parse(key).map(words::name).orElseGet(() -> steps.adjustment(key));
    }

    private String amount(Direction way, double amount, String unit, boolean withAmount) {
        String said = say("way." + way.key());
        return way == Direction.LEAVE || !withAmount || amount == 0
                ? said
                : say("move", said, words.turns(amount), say("adjusterUnit." + unit));
    }

    private String say(String key, Object... args) {
        return words.text(key, args);
    }
}
