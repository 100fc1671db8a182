package app.galdrin.web.sitting;

import app.galdrin.core.sitting.NetMoves;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.bay.StandingCause;
import app.galdrin.web.bay.Standings;
import app.galdrin.web.bay.VehicleStanding;
import app.galdrin.web.sitting.SittingMapper.Mover;
import app.galdrin.web.sitting.VehicleWait.Cause;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Uses that sittings make of a vehicle they share: what each waits for, and what all of them together have moved. */
@Service
public class VehicleUses {

    /** Greatest number of sheets whose moves are added up. */
    private static final int MOST_MOVERS = 50;

    private final SittingMapper mapper;
    private final Sittings sittings;
    private final Standings standings;

    VehicleUses(SittingMapper mapper, Sittings sittings, Standings standings) {
        this.mapper = mapper;
        this.sittings = sittings;
        this.standings = standings;
    }

    /** Returns why the vehicle of a sheet cannot be read now; empty where it can. */
    public Optional<VehicleWait> waitsFor(Sitting sitting) {
        return waitsFor(sitting, false);
    }

    /**
     * Returns why the vehicle of a sheet cannot be read, or cannot be adjusted in a further round; empty where it can. A sheet reads the state it
     * began on, or one that was put back to the same setting. Anyone who has adjusted the vehicle may complete what they read before.
     */
    Optional<VehicleWait> waitsFor(Sitting sitting, boolean adjusts) {
        UUID centre = sitting.centreId();
        Optional<UUID> left = mapper.leftBy(centre, sitting.id());
        if (sitting.isReference() || left.isPresent() && !adjusts) {
            return Optional.empty();
        }
        UUID vehicle = sitting.sheet().vehicleId();
        return standings
                .changeAfter(centre, vehicle, left.orElse(sitting.stateId()))
                .map(change -> new VehicleWait(
                        change.cause() == StandingCause.ROUND ? Cause.ADJUSTED : Cause.SET,
                        change.names(),
                        change.madeAt()))
                .or(() -> standings
                        .find(centre, vehicle)
                        .filter(now -> isInUse(now, sitting))
                        .map(now -> new VehicleWait(Cause.IN_USE, now.names(), now.madeAt())));
    }

    /** Returns whether somebody else made the state that a vehicle is in, and has not handed in yet. */
    private boolean isInUse(VehicleStanding now, Sitting sitting) {
        UUID mover = now.sittingId();
        return now.cause() == StandingCause.ROUND
                && mover != null
                && !mover.equals(sitting.id())
                && !sittings.whole(sitting.centreId(), mover).state().handedIn();
    }

    /** Adds up the moves of every sheet whose rounds moved a vehicle since it was last set or put back, whatever its task. */
    public NetMoves movesSinceSet(SignedIn me, UUID vehicleId) {
        UUID centre = me.centreId();
        var moves = new NetMoves();
        Instant since = standings
                .setting(centre, vehicleId)
                .map(VehicleStanding::madeAt)
                .orElse(Instant.EPOCH);
        for (Mover mover : mapper.moversSince(centre, vehicleId, since, MOST_MOVERS)) {
            if (mover.sittingId() == null) {
                moves.addUnknown();
            } else {
                // also for an apprentice who puts back what others moved before
                Sitting sitting = sittings.whole(centre, mover.sittingId());
                moves.add(
                        sitting.task().practical(),
                        sitting.sheet().sheet(),
                        sittings.log(sitting).answers());
            }
        }
        return moves;
    }
}
