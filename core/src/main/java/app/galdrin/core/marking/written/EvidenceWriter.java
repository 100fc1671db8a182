package app.galdrin.core.marking.written;

import app.galdrin.core.Keyed;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.marking.Evidence;
import app.galdrin.core.marking.FigureValue;
import app.galdrin.core.marking.IntermediateMark;
import app.galdrin.core.marking.MatchedReason;
import app.galdrin.core.marking.PlannedMove;
import app.galdrin.core.marking.ReadingEvidence;
import app.galdrin.core.marking.ThrustLine;
import app.galdrin.core.marking.WorkingEvidence;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.sitting.MissingReading;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.spec.SheetScale;
import app.galdrin.core.task.Band;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import tools.jackson.core.JsonGenerator;

/** Evidence as an object: its kind under {@code is}, then keys and numbers. Angles are degrees, lengths mm, worked figures as asked, all to nine places. */
final class EvidenceWriter {

    private final JsonGenerator json;
    private final Decimals decimals;

    EvidenceWriter(JsonGenerator json) {
        this.json = json;
        this.decimals = new Decimals(json);
    }

    /** The members of one piece of evidence, within an object that is open. */
    void members(Evidence evidence) {
        if (evidence instanceof Evidence.MissingEntry e) {
            is("missing").text("what", e.what().key()).text("of", e.subject());
            if (!e.readings().isEmpty()) {
                missing(e.readings());
            }
        } else if (evidence instanceof Evidence.Item e) {
            is("item").text("item", e.item()).flag("done", e.done());
            e.before().ifPresent(id -> text("before", id));
        } else if (evidence instanceof Evidence.GivenReason e) {
            why(e);
        } else if (evidence instanceof Evidence.Answer e) {
            is("answer").text("asked", e.asked()).text("family", e.family());
            e.written().ifPresent(written -> text("written", written));
            text("right", e.right()).text("remark", e.remark());
        } else if (evidence instanceof ReadingEvidence e) {
            reading(e);
        } else if (evidence instanceof Evidence.Repeats e) {
            repeats(e);
        } else if (evidence instanceof WorkingEvidence e) {
            working(e);
        } else if (evidence instanceof Evidence.Target e) {
            target(e);
        } else {
            decided(evidence);
        }
        number("credit", evidence.credit());
    }

    private void decided(Evidence evidence) {
        if (evidence instanceof Evidence.JudgedFigure e) {
            is("judged").figure(e.figure()).value("own", e.figure(), e.own()).limits(e.figure(), e.limits());
            e.shown().ifPresent(this::shown);
            word("rule", e.rule()).word("zone", e.zone()).word("said", e.said()).words("right", e.right());
            e.line().ifPresent(this::thrustLine);
            if (!e.slips().isEmpty()) {
                slips(e.slips());
                flag("possible", e.possible());
            }
        } else if (evidence instanceof Evidence.TimeTaken e) {
            is("time")
                    .number("limit", e.limit())
                    .number("taken", e.taken())
                    .number("none", e.limit() + e.band().none());
        } else if (evidence instanceof Evidence.FigureComparison e) {
            is("compared").figure(e.figure()).text("first", e.first()).text("second", e.second());
            amount("difference", e.figure(), e.difference()).amount("expanded", e.figure(), e.expanded());
            word("said", e.said()).word("right", e.right());
        } else if (evidence instanceof Evidence.CanBeAdjusted e) {
            is("canBeAdjusted").text("adjustment", e.adjustment()).word("said", e.said());
            word("actual", e.actual());
        } else if (evidence instanceof Evidence.AsLeft e) {
            is("asLeft").figure(e.figure()).value("reference", e.figure(), e.reference());
            limits(e.figure(), e.limits()).word("rule", e.rule()).word("zone", e.zone());
            flag("again", e.again()).flag("accepted", e.accepted()).flag("aimed", e.aimed());
            e.line().ifPresent(this::thrustLine);
        } else if (evidence instanceof Evidence.NotAdjustable e) {
            is("notAdjustable").figure(e.figure()).value("reference", e.figure(), e.reference());
            limits(e.figure(), e.limits()).word("zone", e.zone());
            flag("found", e.found()).flag("reported", e.reported());
        } else if (evidence instanceof Evidence.Effect e) {
            effect(e);
        } else if (evidence instanceof Evidence.Move e) {
            move(e);
        } else if (evidence instanceof Evidence.Sequence e) {
            is("sequence").count("round", e.round()).text("moved", e.moved()).text("untouched", e.untouched());
        } else if (evidence instanceof Evidence.NoMove e) {
            is("noMove").text("adjustment", e.adjustment()).word("planned", e.planned());
            words("right", e.right());
        } else {
            throw new IllegalArgumentException("no writing of " + evidence.getClass());
        }
    }

    private void reading(ReadingEvidence e) {
        is("reading")
                .figure(e.figure())
                .value("own", e.figure(), e.own())
                .value("reference", e.figure(), e.reference());
        amount("difference", e.figure(), e.difference()).band(e.figure(), e.band());
        amount("promised", e.figure(), e.promised());
        count("taken", e.taken()).count("asked", e.asked());
        e.doubtFrom().ifPresent(d -> text("doubtFrom", d.group()).number("doubtShare", d.share()));
        slips(e.slips());
        if (!e.slips().isEmpty()) {
            flag("possible", e.possible());
        }
        if (!e.places().isEmpty()) {
            json.writeArrayPropertyStart("places");
            e.places().forEach(place -> json.writeString(place.key()));
            json.writeEndArray();
        }
    }

    private void repeats(Evidence.Repeats e) {
        is("repeats").figure(e.figure());
        json.writeArrayPropertyStart("each");
        e.each().forEach(v -> decimals.write(inRecord(e.figure(), v)));
        json.writeEndArray();
        amount("range", e.figure(), e.range()).band(e.figure(), e.band());
    }

    private void working(WorkingEvidence e) {
        is("working").figure(e.figure()).text("from", e.from()).word("unit", e.unit());
        text("taught", e.taught()).number("honest", e.honest()).number("written", e.written());
        number("tolerance", e.tolerance()).flag("addedUp", e.addedUp());
        e.rounded().ifPresent(r -> number("rounded", r));
        if (!e.unread().isEmpty()) {
            missing(e.unread());
        }
        slips(e.slips());
        if (!e.slips().isEmpty()) {
            flag("possible", e.possible());
        }
        if (!e.way().isEmpty()) {
            json.writeArrayPropertyStart("way");
            e.way().forEach(this::onTheWay);
            json.writeEndArray();
            e.follows().ifPresent(f -> number("follows", f));
        }
    }

    private void onTheWay(IntermediateMark step) {
        json.writeStartObject();
        word("what", step.what()).number("honest", step.honest());
        step.wrote().ifPresent(wrote -> number("written", wrote));
        number("tolerance", step.tolerance()).number("credit", step.credit());
        json.writeEndObject();
    }

    private void target(Evidence.Target e) {
        is("target").text("from", e.from()).text("procedure", e.procedure()).text("place", e.place());
        e.against().ifPresent(place -> text("against", place));
        number("honest", e.honest()).number("written", e.written()).number("tolerance", e.tolerance());
    }

    private void effect(Evidence.Effect e) {
        is("effect").figure(e.figure()).value("own", e.figure(), e.own()).word("zone", e.zone());
        amount("after", e.figure(), e.after()).limits(e.figure(), e.limits());
        json.writeArrayPropertyStart("moves");
        for (PlannedMove move : e.moves()) {
            json.writeStartObject();
            text("adjuster", move.adjuster()).text("unit", move.unit()).word("way", move.way());
            number("amount", move.amount());
            json.writeEndObject();
        }
        json.writeEndArray();
        flag("splitAssumed", e.splitAssumed()).slips(e.slips());
        e.line().ifPresent(this::thrustLine);
    }

    private void thrustLine(ThrustLine line) {
        json.writeObjectPropertyStart("thrustLine");
        number("thrust", Quantity.ANGLE.toDocument(line.thrust()));
        line.steeringWheel().ifPresent(wheel -> number("steeringWheel", Quantity.ANGLE.toDocument(wheel)));
        json.writeEndObject();
    }

    private void move(Evidence.Move e) {
        is("move").text("adjuster", e.adjuster()).text("unit", e.unit()).word("way", e.way());
        number("planned", e.planned()).word("neededWay", e.neededWay());
        e.needed().ifPresent(needed -> number("needed", needed));
        number("allowance", e.allowance()).flag("splitAssumed", e.splitAssumed());
        e.slip().ifPresent(slip -> slips(List.of(Set.of(slip))));
    }

    // ---- members

    private EvidenceWriter is(String kind) {
        return text("is", kind);
    }

    private EvidenceWriter text(String name, String text) {
        json.writeStringProperty(name, text);
        return this;
    }

    private EvidenceWriter word(String name, Keyed word) {
        return text(name, word.key());
    }

    private void missing(List<MissingReading> readings) {
        json.writeArrayPropertyStart("readings");
        for (MissingReading one : readings) {
            json.writeStartObject();
            text("procedure", one.procedure()).text("place", one.place()).count("repeat", one.repeat());
            json.writeEndObject();
        }
        json.writeEndArray();
    }

    private void words(String name, Collection<? extends Keyed> words) {
        json.writeArrayPropertyStart(name);
        words.stream().map(Keyed::key).sorted().forEach(json::writeString);
        json.writeEndArray();
    }

    private EvidenceWriter flag(String name, boolean flag) {
        json.writeBooleanProperty(name, flag);
        return this;
    }

    EvidenceWriter number(String name, double number) {
        json.writeName(name);
        decimals.write(number);
        return this;
    }

    private EvidenceWriter count(String name, int count) {
        json.writeNumberProperty(name, count);
        return this;
    }

    private EvidenceWriter figure(FigureId figure) {
        return text("figure", figure.key());
    }

    private static double inRecord(FigureId figure, double inCore) {
        return figure.measurand().quantity().toDocument(inCore);
    }

    private EvidenceWriter amount(String name, FigureId figure, double inCore) {
        return number(name, inRecord(figure, inCore));
    }

    private EvidenceWriter value(String name, FigureId figure, FigureValue value) {
        json.writeObjectPropertyStart(name);
        amount("value", figure, value.value()).amount("u", figure, value.doubt());
        json.writeEndObject();
        return this;
    }

    private void shown(SheetScale.DisplayedFigure shown) {
        json.writeObjectPropertyStart("shown");
        word("unit", shown.unit()).number("value", shown.value()).number("expanded", shown.expanded());
        json.writeEndObject();
    }

    private EvidenceWriter limits(FigureId figure, Limits limits) {
        json.writeObjectPropertyStart("limits");
        limits.min().ifPresent(v -> amount("min", figure, v));
        limits.preferred().ifPresent(v -> amount("preferred", figure, v));
        limits.max().ifPresent(v -> amount("max", figure, v));
        json.writeEndObject();
        return this;
    }

    private void why(Evidence.GivenReason e) {
        is("why").text("item", e.item());
        e.answer().ifPresent(answer -> text("answer", answer));
        json.writeArrayPropertyStart("reasons");
        for (MatchedReason reason : e.reasons()) {
            json.writeStartObject();
            json.writeArrayPropertyStart("words");
            reason.words().forEach(json::writeString);
            json.writeEndArray();
            flag("found", reason.found());
            json.writeEndObject();
        }
        json.writeEndArray();
    }

    private EvidenceWriter band(FigureId figure, Band band) {
        json.writeObjectPropertyStart("band");
        amount("full", figure, band.full()).amount("none", figure, band.none());
        if (!band.steps().isEmpty()) {
            json.writeArrayPropertyStart("steps");
            for (Band.Step step : band.steps()) {
                json.writeStartObject();
                amount("within", figure, step.within()).count("percent", step.percent());
                json.writeEndObject();
            }
            json.writeEndArray();
        }
        json.writeEndObject();
        return this;
    }

    private void slips(List<Set<String>> slips) {
        json.writeArrayPropertyStart("slips");
        for (Set<String> together : slips) {
            json.writeStartArray();
            together.stream().sorted().forEach(json::writeString);
            json.writeEndArray();
        }
        json.writeEndArray();
    }
}
