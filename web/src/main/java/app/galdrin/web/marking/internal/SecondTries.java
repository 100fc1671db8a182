package app.galdrin.web.marking.internal;

import app.galdrin.core.answer.LineText;
import app.galdrin.core.answer.LineText.ParsedText;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.marking.MarkSheet;
import app.galdrin.core.marking.WorkingEvidence;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.simulated.SecondQuestion;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Measure;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.marksheet.SittingMarks;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.words.LineTextWords;
import app.galdrin.web.words.ReadingWords;
import app.galdrin.web.words.Sentence;
import app.galdrin.web.words.Words;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Second tries after release: each figure that was worked wrongly, asked once more with other numbers. One try, which is kept and not marked. */
@Service
class SecondTries {

    private static final int MOST = 40;

    private final SecondTryMapper mapper;
    private final SittingMarks sittingMarks;
    private final Words words;
    private final ReadingWords readings;

    SecondTries(SecondTryMapper mapper, SittingMarks sittingMarks, Words words, ReadingWords readings) {
        this.mapper = mapper;
        this.sittingMarks = sittingMarks;
        this.words = words;
        this.readings = readings;
    }

    /**
     * A question.
     *
     * @param readings a row a place: its name, then what was read in each repeat
     * @param tried what was answered, and what it should have been; empty while it waits
     */
    record Question(String figure, String name, String unit, List<Row> readings, Optional<Answer> tried) {}

    /** A place with its readings. */
    record Row(String place, List<String> read) {}

    /** An answer with what was right. */
    record Answer(String written, String honest, boolean right) {}

    /** The figures of a released sheet whose working lost marks, in their order. */
    List<Question> of(Sitting sitting, UUID person, MarkSheet sheet) {
        if (!sitting.state().shown()) {
            return List.of();
        }
        Assignment assignment = sittingMarks.assignment(sitting);
        Map<String, SecondTryMapper.TryRow> tried = mapper.of(sitting.centreId(), sitting.id(), person, MOST).stream()
                .collect(Collectors.toMap(SecondTryMapper.TryRow::figure, Function.identity()));
        List<Question> questions = new ArrayList<>();
        for (FigureId figure : wrong(sheet)) {
            question(sitting, assignment, figure)
                    .ifPresent(q -> questions.add(
                            view(q, Optional.ofNullable(tried.get(figure.key())).map(t -> answer(t, q)))));
        }
        return questions;
    }

    private static List<FigureId> wrong(MarkSheet sheet) {
        return sheet.lines().stream()
                .flatMap(line -> line.evidence().stream())
                .filter(e -> e instanceof WorkingEvidence w && w.credit() < 1)
                .map(e -> ((WorkingEvidence) e).figure())
                .distinct()
                .toList();
    }

    /** The same for the same sheet, for every reader at any time. */
    private static Optional<SecondQuestion> question(Sitting sitting, Assignment assignment, FigureId figure) {
        long seed = sitting.id().getLeastSignificantBits() ^ (31L * figure.key().hashCode());
        return SecondQuestion.of(assignment, figure, seed);
    }

    private Question view(SecondQuestion question, Optional<Answer> tried) {
        Measure measure = question.measure();
        List<Row> rows = new ArrayList<>();
        for (Place place : question.assignment().places(measure)) {
            List<String> read = new ArrayList<>();
            for (int repeat = 1; repeat <= measure.repeats(); repeat++) {
                var line = new LineKey(measure.id(), place.id(), place.eachRepeat() ? repeat : 0, 0);
                if (place.eachRepeat() || repeat == 1) {
                    question.readings()
                            .at(line)
                            .ifPresent(written -> read.add(
                                    readings.full(place, written.value().orElse(0))));
                }
            }
            rows.add(new Row(name(place), read));
        }
        FigureId figure = question.item().figure();
        return new Question(
                figure.key(),
                words.name(figure),
                words.text("answerUnit." + question.item().unit().key()),
                rows,
                tried);
    }

    private String name(Place place) {
        return words.text(place.words(), words.text(place.wheelWords()));
    }

    private Answer answer(SecondTryMapper.TryRow tried, SecondQuestion question) {
        return new Answer(
                tried.written(),
                words.answer(tried.honest().doubleValue(), question.item().unit()),
                tried.isRight());
    }

    /** Takes the one try; says why where the answer can't be read, and then nothing is used up. */
    Optional<Sentence> answer(SignedIn me, Sitting sitting, MarkSheet sheet, String figureKey, String typed) {
        FigureId figure = FigureId.parse(figureKey)
                .filter(f -> sitting.state().shown() && wrong(sheet).contains(f))
                .orElseThrow(() -> new NotThere("second question", Words.quote(figureKey), me));
        SecondQuestion question = question(sitting, sittingMarks.assignment(sitting), figure)
                .orElseThrow(() -> new NotThere("second question", figure, me));
        LineText read = question.read(typed);
        if (read instanceof LineText.Refusal refused) {
            return Optional.of(LineTextWords.why(refused));
        }
        var understood = (ParsedText) read;
        if (understood.value().isEmpty()) {
            return Optional.of(Sentence.of("again.nothing"));
        }
        WorkingEvidence judged = question.judged(understood);
        mapper.insert(
                me.centreId(),
                sitting.id(),
                me.personId(),
                figure.key(),
                understood.written(),
                BigDecimal.valueOf(judged.written()),
                BigDecimal.valueOf(judged.honest()),
                judged.right());
        return Optional.empty();
    }
}
