package app.galdrin.web.workshop;

import app.galdrin.core.sitting.NetMoves;
import app.galdrin.core.spec.Stance;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.bay.OpenSitting;
import app.galdrin.web.bay.StandingCause;
import app.galdrin.web.bay.Standings;
import app.galdrin.web.bay.VehicleStanding;
import app.galdrin.web.library.Library;
import app.galdrin.web.library.SheetVersion;
import app.galdrin.web.sitting.VehicleUses;
import app.galdrin.web.words.StepWords;
import app.galdrin.web.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Makes the cards of vehicles. */
@Service("vehicleCards")
public class VehicleCards {

    private final Library library;
    private final Standings standings;
    private final VehicleUses uses;
    private final Words words;
    private final StepWords names;

    VehicleCards(Library library, Standings standings, VehicleUses uses, Words words, StepWords names) {
        this.library = library;
        this.standings = standings;
        this.uses = uses;
        this.words = words;
        this.names = names;
    }

    /** The card of one vehicle that stands somewhere; {@code sheet} says which parts it has. */
    public VehicleCard card(SignedIn me, SheetVersion sheet, VehicleStanding standing) {
        return made(me, sheet, standing, standings.openOn(me.centreId(), sheet.vehicleId()));
    }

    /** The card of a vehicle where it stands now; empty where nobody has used it yet. */
    public Optional<VehicleCard> now(SignedIn me, SheetVersion sheet) {
        return standings.find(me.centreId(), sheet.vehicleId()).map(standing -> card(me, sheet, standing));
    }

    /** The cards of all vehicles of a centre: by make and model. */
    public List<VehicleCard> all(SignedIn me) {
        List<SheetVersion> sheets = library.newestSheets(me.centreId());
        Map<UUID, VehicleStanding> now = standings.of(
                me.centreId(), sheets.stream().map(SheetVersion::vehicleId).toList());
        return sheets.stream()
                .map(sheet -> now.containsKey(sheet.vehicleId())
                        ? card(me, sheet, now.get(sheet.vehicleId()))
                        : made(me, sheet, null, List.of()))
                .toList();
    }

    private VehicleCard made(
            SignedIn me, SheetVersion sheet, @Nullable VehicleStanding standing, List<OpenSitting> open) {
        if (standing == null || !standing.isAdjusted()) {
            return new VehicleCard(sheet, standing, stateAndMoves(me, sheet, standing), open, List.of(), null);
        }
        NetMoves moves = uses.movesSinceSet(me, sheet.vehicleId());
        var wayBack = new WayBackWords(words, names);
        return new VehicleCard(
                sheet,
                standing,
                state(me, standing),
                open,
                wayBack.parts(moves, sheet.sheet()),
                wayBack.note(moves).orElse(null));
    }

    /** Returns what a sheet says of the state it began on: somebody left the vehicle so, or it was put back; empty where it was set for the task. */
    public Optional<String> leftOrPutBack(SignedIn me, UUID stateId) {
        return standings
                .madeBy(me.centreId(), stateId)
                .filter(made -> made.stateCause() == StandingCause.ROUND || made.stateCause() == StandingCause.PUT_BACK)
                .map(made -> state(me, made));
    }

    /** The same, with what was turned for its setting where that was planned. */
    private String stateAndMoves(SignedIn me, SheetVersion sheet, @Nullable VehicleStanding standing) {
        if (standing == null || standing.isAdjusted()) {
            return state(me, standing);
        }
        List<String> turned = new WayBackWords(words, names)
                .turned(standings.moves(me.centreId(), standing.settingId()), sheet.sheet());
        return turned.isEmpty()
                ? state(me, standing)
                : words.text("vehicle.state.turned", state(me, standing), String.join(" ", turned));
    }

    /** Returns the state of a vehicle in a sentence: how it came about, whose doing it was, and when. */
    public String state(SignedIn me, @Nullable VehicleStanding standing) {
        if (standing == null) {
            return words.text("vehicle.state.unused");
        }
        boolean isNews = standing.cause() == StandingCause.PLACED || standing.cause() == StandingCause.LENT;
        VehicleStanding made =
                isNews ? standings.madeBy(me.centreId(), standing.stateId()).orElse(standing) : standing;
        String said = words.text(
                "vehicle.state." + made.stateCause().key(), made.names(), words.dayTime(made.madeAt(), me.zoneId()));
        String noted = made.note() == null ? said : words.text("vehicle.state.noted", said, made.note());
        return made.stance().isAny() ? noted : words.text("vehicle.state.stands", noted, stance(made.stance()));
    }

    /** Returns how a vehicle stands on its springs. */
    public String stance(Stance stance) {
        List<String> said = new ArrayList<>();
        stance.rideHeight().ifPresent(height -> said.add(words.text("stance.rideHeight", words.length(height))));
        stance.load().ifPresent(load -> said.add(words.text("stance.load", words.whole(Math.round(load)))));
        return String.join(", ", said);
    }
}
