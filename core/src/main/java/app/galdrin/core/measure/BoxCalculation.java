package app.galdrin.core.measure;

import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.uncertainty.Dual;
import app.galdrin.core.uncertainty.Estimate;
import app.galdrin.core.uncertainty.Propagation;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;

/** One run through the formulas of {@link ToeBox}, with every reading known to the propagation once. */
final class BoxCalculation {

    /** Greatest number of independent readings: two spacings, four hub gaps, eight rim gaps. */
    private static final int READINGS = 14;

    private final BoxReadings readings;
    private final Propagation propagation;
    private final Dual skewLeft;
    private final Dual skewRight;
    private final Map<Wheel, Dual> toes = new EnumMap<>(Wheel.class);

    BoxCalculation(BoxReadings r, BoxUncertainty u) {
        this.readings = r;
        this.propagation = Propagation.of(READINGS, u.spacing(), u.hubGap(), u.gap());
        Dual opening = propagation
                .reading(BoxPlaces.SPACING_FRONT.name(), r.spacingFront(), u.spacing())
                .subtract(propagation.reading(BoxPlaces.SPACING_REAR.name(), r.spacingRear(), u.spacing()))
                .divide(r.stationDistance());
        Dual leaning = acrossHubs(Wheel.FRONT_LEFT, u.hubGap())
                .subtract(acrossHubs(Wheel.REAR_LEFT, u.hubGap()))
                .divide(r.wheelbase());
        this.skewLeft = opening.add(leaning).divide(2).atan();
        this.skewRight = opening.subtract(leaning).divide(2).atan();
        new EnumMap<>(r.wheels()).forEach((wheel, gaps) -> toes.put(wheel, toe(wheel, gaps, u.gap())));
    }

    private Dual acrossHubs(Wheel left, double uHub) {
        return hub(left, uHub).subtract(hub(left.opposite(), uHub));
    }

    private Dual hub(Wheel wheel, double uHub) {
        return propagation.reading(BoxPlaces.hubGap(wheel), readings.hubGaps().at(wheel), uHub);
    }

    private Dual toe(Wheel wheel, RimGaps gaps, double uGap) {
        return propagation
                .reading(BoxPlaces.frontGap(wheel), gaps.frontGap(), uGap)
                .subtract(propagation.reading(BoxPlaces.rearGap(wheel), gaps.rearGap(), uGap))
                .divide(gaps.baseline())
                .asin()
                .subtract(wheel.left() ? skewLeft : skewRight);
    }

    BoxResult result(Optional<BoxTracks> tracks) {
        Map<Wheel, Estimate> estimates = new EnumMap<>(Wheel.class);
        toes.forEach((wheel, toe) -> estimates.put(wheel, propagation.estimate(toe)));
        Optional<Dual> thrust = halfDifference(Wheel.REAR_LEFT);
        Optional<Dual> ahead = halfDifference(Wheel.FRONT_LEFT)
                .map(t -> thrust.map(t::subtract).orElse(t));
        return new BoxResult(
                skewLeft.value(),
                skewRight.value(),
                estimates,
                total(Wheel.FRONT_LEFT),
                total(Wheel.REAR_LEFT),
                thrust.map(propagation::estimate),
                ahead.map(propagation::estimate),
                trackDifference(),
                tracks);
    }

    private Optional<Estimate> total(Wheel left) {
        return toe(left).flatMap(l -> toe(left.opposite()).map(l::add)).map(propagation::estimate);
    }

    private Optional<Dual> halfDifference(Wheel left) {
        return toe(left).flatMap(l -> toe(left.opposite()).map(l::subtract)).map(difference -> difference.divide(2));
    }

    private Optional<Dual> toe(Wheel wheel) {
        return Optional.ofNullable(toes.get(wheel));
    }

    private double trackDifference() {
        double opening =
                (readings.spacingFront() - readings.spacingRear()) * readings.wheelbase() / readings.stationDistance();
        return opening - readings.acrossHubs(Wheel.FRONT_LEFT) + readings.acrossHubs(Wheel.REAR_LEFT);
    }
}
