package app.galdrin.web.equipment;

import app.galdrin.core.answer.AnswerType.Amount;
import app.galdrin.core.answer.LineText;
import app.galdrin.core.equipment.EquipmentKind;
import app.galdrin.core.equipment.ToolLength;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.Unit;
import app.galdrin.web.words.LineTextWords;
import app.galdrin.web.words.Sentence;
import app.galdrin.web.words.Words;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A certificate as it is typed. What is left empty is as usual for the kind.
 *
 * @param offset what it shows too much, mm or deg
 * @param offsetDoubt ± at 95 of 100, mm or deg
 * @param length mm
 * @param lengthDoubt ± at 95 of 100, mm
 * @param away {@code true} where it is not in use
 */
public record PieceForm(
        String resolution,
        String offset,
        String offsetDoubt,
        String length,
        String lengthDoubt,
        String certificate,
        String certifiedOn,
        String dueOn,
        String away,
        String note) {

    private static final int LONGEST_NUMBER = 60;
    private static final int LONGEST_NOTE = 400;

    /** More than any scale's step, and than any tool that is still used shows wrong: mm, deg. */
    private static final double COARSEST = 5;

    private static final double FARTHEST_OFF = 20;

    /** Finer than any scale, mm, deg. */
    private static final double FINEST = 0.001;

    public PieceForm {
        resolution = text(resolution);
        offset = text(offset);
        offsetDoubt = text(offsetDoubt);
        length = text(length);
        lengthDoubt = text(lengthDoubt);
        certificate = text(certificate);
        certifiedOn = text(certifiedOn);
        dueOn = text(dueOn);
        away = text(away);
        note = text(note);
    }

    private static String text(@Nullable String typed) {
        return typed == null ? "" : typed.strip();
    }

    /** Returns the form of what is known of a piece. */
    public static PieceForm of(PieceRevision piece) {
        return new PieceForm(
                piece.resolution() == null ? "" : EquipmentWords.number(piece.resolution()),
                known(piece.offsetShown()),
                known(EquipmentWords.COVERAGE * piece.offsetDoubt()),
                piece.toolLength() == null ? "" : EquipmentWords.number(piece.toolLength()),
                known(EquipmentWords.COVERAGE * piece.lengthDoubt()),
                piece.certificate(),
                piece.certifiedOn() == null ? "" : piece.certifiedOn().toString(),
                piece.dueOn() == null ? "" : piece.dueOn().toString(),
                piece.inUse() ? "" : "true",
                "");
    }

    /** Returns the same figures with the certificate and the dates that a piece has. */
    public PieceForm datedAs(PieceRevision piece) {
        PieceForm its = of(piece);
        return new PieceForm(
                resolution,
                offset,
                offsetDoubt,
                length,
                lengthDoubt,
                its.certificate,
                its.certifiedOn,
                its.dueOn,
                its.away,
                note);
    }

    private static String known(double value) {
        return value == 0 ? "" : EquipmentWords.number(value);
    }

    /** Returns what is wrong with it, by field. */
    public Map<String, Sentence> faults(EquipmentKind kind, LocalDate today) {
        Map<String, Sentence> faults = new LinkedHashMap<>();
        shown(kind, FINEST, COARSEST).fault(resolution).ifPresent(why -> faults.put("resolution", why));
        shown(kind, -FARTHEST_OFF, FARTHEST_OFF).fault(offset).ifPresent(why -> faults.put("offset", why));
        shown(kind, 0, FARTHEST_OFF).fault(offsetDoubt).ifPresent(why -> faults.put("offsetDoubt", why));
        kind.length().ifPresent(known -> {
            lengthOf(known).fault(length).ifPresent(why -> faults.put("length", why));
            doubtOfLength().fault(lengthDoubt).ifPresent(why -> faults.put("lengthDoubt", why));
            if (length.isEmpty() && !lengthDoubt.isEmpty()) {
                faults.put("length", Sentence.of("equipment.length.missing"));
            }
        });
        dates(today, faults);
        if (certificate.length() > LONGEST_NUMBER) {
            faults.put("certificate", Sentence.of("equipment.long", LONGEST_NUMBER));
        }
        if (note.length() > LONGEST_NOTE) {
            faults.put("note", Sentence.of("equipment.long", LONGEST_NOTE));
        }
        return faults;
    }

    private void dates(LocalDate today, Map<String, Sentence> faults) {
        Optional<LocalDate> from = day(certifiedOn);
        Optional<LocalDate> until = day(dueOn);
        if (!certifiedOn.isEmpty()
                && from.filter(d -> !d.isAfter(today) && d.getYear() >= 2000).isEmpty()) {
            faults.put("certifiedOn", Sentence.of("equipment.day.wrong", Words.quote(certifiedOn)));
        }
        if (!dueOn.isEmpty()
                && until.filter(d -> d.getYear() >= 2000 && d.getYear() < 2200).isEmpty()) {
            faults.put("dueOn", Sentence.of("equipment.due.wrong", Words.quote(dueOn)));
        } else if (from.isPresent() && until.isPresent() && until.get().isBefore(from.get())) {
            faults.put("dueOn", Sentence.of("equipment.due.before", dueOn, certifiedOn));
        }
    }

    /** A field that may be left empty. */
    private record OptionalAmount(Amount amount) {
        Optional<Sentence> fault(String typed) {
            return !typed.isEmpty() && LineText.read(typed, amount) instanceof LineText.Refusal refused
                    ? Optional.of(LineTextWords.why(refused))
                    : Optional.empty();
        }

        /** mm or deg. */
        @Nullable
        Double value(String typed) {
            return typed.isEmpty()
                    ? null
                    : ((LineText.ParsedText) LineText.read(typed, amount))
                            .value()
                            .orElseThrow();
        }
    }

    private static OptionalAmount shown(EquipmentKind kind, double least, double most) {
        boolean angle = EquipmentWords.quantity(kind) == Quantity.ANGLE;
        return new OptionalAmount(
                angle
                        ? new Amount(Quantity.ANGLE, Unit.DEG, least, most)
                        : new Amount(Quantity.LENGTH, Unit.MM, least, most));
    }

    private static OptionalAmount lengthOf(ToolLength known) {
        return new OptionalAmount(new Amount(Quantity.LENGTH, Unit.MM, known.least(), known.most()));
    }

    private static OptionalAmount doubtOfLength() {
        return new OptionalAmount(new Amount(Quantity.LENGTH, Unit.MM, 0, FARTHEST_OFF));
    }

    private static Optional<LocalDate> day(String typed) {
        try {
            return Optional.of(LocalDate.parse(typed));
        } catch (DateTimeParseException e) {
            return Optional.empty(); // the fault says what was read
        }
    }

    private static double orNone(@Nullable Double value) {
        return value == null ? 0 : value;
    }

    /** Returns what it says, of a form without faults. */
    public NewRevision toRevision(EquipmentKind kind) {
        Optional<OptionalAmount> itsLength = kind.length().map(PieceForm::lengthOf);
        return new NewRevision(
                kind.reads().isEmpty() ? null : shown(kind, FINEST, COARSEST).value(resolution),
                orNone(shown(kind, -FARTHEST_OFF, FARTHEST_OFF).value(offset)),
                orNone(shown(kind, 0, FARTHEST_OFF).value(offsetDoubt)) / EquipmentWords.COVERAGE,
                itsLength.map(amount -> amount.value(length)).orElse(null),
                itsLength.isEmpty() ? 0 : orNone(doubtOfLength().value(lengthDoubt)) / EquipmentWords.COVERAGE,
                certificate,
                day(certifiedOn).orElse(null),
                day(dueOn).orElse(null),
                !away.equals("true"),
                note);
    }
}
