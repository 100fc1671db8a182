package app.galdrin.web.demo.internal;

import app.galdrin.core.equipment.EquipmentKind;
import app.galdrin.core.equipment.WorkshopCheck;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.equipment.Equipment;
import app.galdrin.web.equipment.NewRevision;
import java.time.LocalDate;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** The equipment of the demo's workshop: one of each kind, and a second piece where its certificate has something to say. */
@Component
class DemoEquipment {

    private static final LocalDate CHECKED = LocalDate.of(2026, 3, 2);

    private final Equipment equipment;

    DemoEquipment(Equipment equipment) {
        this.equipment = equipment;
    }

    /** Adds them for an instructor's centre. */
    void load(SignedIn me) {
        equipment.addUsual(me.centreId(), me.personId());
        LocalDate certified = LocalDate.of(2025, 10, 6);
        add(
                me,
                "tape",
                "Tape 2",
                new NewRevision(null, 0.2, 0.1, null, 0, "MTW-0417", certified, certified.plusYears(1), true, ""));
        add(
                me,
                "plates",
                "Toe plates B",
                new NewRevision(
                        null, 0, 0, 508.0, 0.25, "", certified, certified.plusYears(2), true, "Longer ones for vans"));
        UUID level = add(
                me,
                "digitalInclinometer",
                "Digital inclinometer 2",
                new NewRevision(null, 0.1, 0.025, null, 0, "MTW-0388", CHECKED, CHECKED.plusYears(1), true, ""));
        check(me, level, 1.32, -1.12, CHECKED);
        check(me, level, 0.95, -0.73, CHECKED.plusMonths(3));
        check(me, level, 1.05, -0.79, CHECKED.plusMonths(6));
    }

    private UUID add(SignedIn me, String kind, String name, NewRevision known) {
        UUID id = equipment
                .add(me.centreId(), me.personId(), EquipmentKind.named(kind).orElseThrow(), name)
                .orElseThrow();
        equipment.revise(me.centreId(), me.personId(), id, known);
        return id;
    }

    /** A level turned end for end; both readings in deg. */
    private void check(SignedIn me, UUID level, double first, double second, LocalDate day) {
        equipment.check(me, level, WorkshopCheck.TURNED, first, second, day);
    }
}
