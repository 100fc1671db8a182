package app.galdrin.web.equipment;

import app.galdrin.core.equipment.CertifiedLength;
import app.galdrin.core.equipment.EquipmentKind;
import app.galdrin.core.equipment.Tool;
import app.galdrin.core.equipment.ToolLength;
import app.galdrin.core.measure.CatalogueInstrument;
import app.galdrin.core.measure.Use;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.web.words.Words;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;

/** Words for pieces of equipment; pages call it by its name. */
@Component("equipmentWords")
public class EquipmentWords {

    /** Digits of a certificate's figure. */
    private static final int DIGITS = 4;

    /** Two standard uncertainties hold 95 of 100. */
    public static final double COVERAGE = 2;

    private final Words words;

    EquipmentWords(Words words) {
        this.words = words;
    }

    /** Returns the name of a kind. */
    public String kind(EquipmentKind kind) {
        return words.text((kind.reads().isPresent() ? "instrument." : "equipment.kind.") + kind.key());
    }

    /** Returns whether it reads angles; else its figures are lengths. */
    public static Quantity quantity(EquipmentKind kind) {
        return kind.reads().map(CatalogueInstrument::quantity).orElse(Quantity.LENGTH);
    }

    /**
     * Returns a figure of a certificate with its unit.
     *
     * @param value mm or deg
     */
    public String amount(EquipmentKind kind, double value) {
        return words.text("equipment.unit." + quantity(kind).key(), number(value));
    }

    /** Returns a figure without its unit, as a form has it; mm or deg. */
    public static String number(double value) {
        BigDecimal rounded = BigDecimal.valueOf(value)
                .setScale(DIGITS, RoundingMode.HALF_EVEN)
                .stripTrailingZeros();
        return rounded.signum() == 0 ? "0" : rounded.toPlainString();
    }

    /** Returns the smallest step that is usual for a kind that is read. */
    public String usualStep(EquipmentKind kind) {
        double step = Tool.usual(kind.key(), kind).resolution();
        return amount(kind, quantity(kind).toDocument(step));
    }

    /** Returns the length that is usual for a kind that has one. */
    public String usualLength(EquipmentKind kind) {
        return words.text(
                "equipment.unit.length", number(kind.length().orElseThrow().usual()));
    }

    /** Returns how a piece stands by its date: in one word and a day. */
    public String date(PieceRevision piece, LocalDate today) {
        if (!piece.inUse()) {
            return words.text("equipment.away");
        }
        LocalDate due = piece.dueOn();
        if (due == null) {
            return words.text("equipment.undated");
        }
        return words.text(piece.isPast(today) ? "equipment.past" : "equipment.inDate", due);
    }

    /** Returns what anybody who reads with a piece has to know of it, a sentence each. */
    public List<String> notes(String name, PieceRevision piece) {
        EquipmentKind kind = piece.ofKind();
        List<String> notes = new ArrayList<>();
        kind.length().ifPresent(length -> notes.add(length(name, length, piece)));
        if (piece.offsetShown() != 0) {
            notes.add(offset(name, piece));
        }
        return notes;
    }

    /** Returns what a piece shows too much or too little, and what to do about it; empty where it shows what is. */
    public String offset(String name, PieceRevision piece) {
        double offset = piece.offsetShown();
        String said = "equipment." + error(piece.ofKind()) + (offset > 0 ? ".more" : ".less");
        return offset == 0 ? "" : words.text(said, name, amount(piece.ofKind(), Math.abs(offset)));
    }

    /** Returns how an error is told: of a level it falls out of most readings, other angles have it with the way they are meant. */
    private static String error(EquipmentKind kind) {
        if (kind.isPair()) {
            return "pair";
        }
        if (quantity(kind) != Quantity.ANGLE) {
            return "shows";
        }
        boolean leans = kind.reads()
                .filter(i -> i.uses().contains(Use.LEVEL) || i.uses().contains(Use.AXIS))
                .isPresent();
        return leans ? "lean" : "angle";
    }

    private String length(String name, ToolLength length, PieceRevision piece) {
        double known = piece.tool().length().map(CertifiedLength::value).orElse(length.usual());
        return words.text("equipment.length." + length.key(), name, words.text("equipment.unit.length", number(known)));
    }
}
