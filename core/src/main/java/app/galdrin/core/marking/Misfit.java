package app.galdrin.core.marking;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.uncertainty.DoubtSource;
import app.galdrin.core.uncertainty.Estimate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.IntStream;
import org.hipparchus.linear.EigenDecompositionSymmetric;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.special.Gamma;

/** Chi-squared of differences, in the directions in which there is any doubt. */
final class Misfit {

    /** The share of the greatest eigenvalue below which a covariance is rounding noise of figures that follow from one another. */
    private static final double NOTHING = 1e-9;

    private static final double SELDOM = 0.001;

    /** Each in figures, and so long that a length of 1 along it is one standard doubt. */
    private final double[][] directions;

    private Misfit(RealMatrix covariance) {
        var doubt = new EigenDecompositionSymmetric(covariance);
        double greatest = doubt.getEigenvalue(0); // in falling order
        this.directions = IntStream.range(0, covariance.getRowDimension())
                .filter(i -> doubt.getEigenvalue(i) > NOTHING * greatest)
                .mapToObj(i -> doubt.getEigenvector(i)
                        .mapDivide(Math.sqrt(doubt.getEigenvalue(i)))
                        .toArray())
                .toArray(double[][]::new);
    }

    /**
     * Measures the differences of every figure in every repeat from the reference.
     *
     * @param own the figures of each repeat, rad or mm
     * @param reference what they are compared with, rad or mm
     * @param figures which of them
     */
    static Misfit of(List<Map<FigureId, Estimate>> own, Map<FigureId, Estimate> reference, List<FigureId> figures) {
        return new Misfit(covariance(own, reference, figures));
    }

    /** Returns the covariance of all differences. Own readings and the reference's are independent; one reference is compared with all repeats. */
    private static RealMatrix covariance(
            List<Map<FigureId, Estimate>> own, Map<FigureId, Estimate> reference, List<FigureId> figures) {
        RealMatrix covariance = shared(own.stream()
                .flatMap(repeat -> figures.stream().map(f -> budget(repeat, f)))
                .toList());
        // what is so of the vehicle or the bay is in both, and falls out
        RealMatrix ofReference =
                shared(figures.stream().map(f -> budget(reference, f)).toList());
        int n = figures.size();
        for (int i = 0; i < own.size(); i++) {
            for (int j = 0; j < own.size(); j++) {
                covariance.setSubMatrix(
                        covariance
                                .getSubMatrix(i * n, i * n + n - 1, j * n, j * n + n - 1)
                                .add(ofReference)
                                .getData(),
                        i * n,
                        j * n);
            }
        }
        return covariance;
    }

    private static Map<String, Double> budget(Map<FigureId, Estimate> sitting, FigureId figure) {
        return Objects.requireNonNull(sitting.get(figure))
                .budget()
                .without(DoubtSource::isCommonToAll)
                .parts();
    }

    /** The covariance of figures, of which each has its doubt by source: D·Dᵀ, a row a figure. */
    private static RealMatrix shared(List<Map<String, Double>> budgets) {
        Map<String, Integer> sources = new HashMap<>();
        budgets.forEach(parts -> parts.keySet().forEach(source -> sources.putIfAbsent(source, sources.size())));
        var doubts = new double[budgets.size()][Math.max(1, sources.size())];
        for (int i = 0; i < doubts.length; i++) {
            double[] row = doubts[i];
            budgets.get(i).forEach((source, part) -> row[sources.getOrDefault(source, 0)] = part);
        }
        RealMatrix all = MatrixUtils.createRealMatrix(doubts);
        return all.multiplyTransposed(all);
    }

    double of(double[] differences) {
        double[] inDoubts = inDoubts(differences);
        double sum = dot(inDoubts, inDoubts);
        return Double.isNaN(sum) ? Double.POSITIVE_INFINITY : sum;
    }

    /** Returns how much of the differences' chi-squared goes away with the best amounts of these patterns; 0 where there is no telling. */
    double along(List<double[]> patterns, double[] differences) {
        List<double[]> independent = new ArrayList<>();
        double explained = 0;
        for (double[] pattern : patterns) {
            double[] rest = inDoubts(pattern);
            for (double[] before : independent) {
                double share = dot(rest, before);
                Arrays.setAll(rest, i -> rest[i] - share * before[i]);
            }
            double length = Math.sqrt(dot(rest, rest));
            if (length > NOTHING) {
                Arrays.setAll(rest, i -> rest[i] / length);
                independent.add(rest);
                double part = dot(rest, inDoubts(differences));
                explained += part * part;
            }
        }
        return Double.isFinite(explained) ? explained : 0;
    }

    /** Returns how many times a pattern there is in differences, either way; 0 where there is no telling. */
    double amount(double[] pattern, double[] differences) {
        double[] one = inDoubts(pattern);
        double amount = Math.abs(dot(one, inDoubts(differences)) / dot(one, one));
        return Double.isFinite(amount) ? amount : 0;
    }

    /** Returns the length along each direction, in standard uncertainties. */
    private double[] inDoubts(double[] figures) {
        return Arrays.stream(directions).mapToDouble(d -> dot(d, figures)).toArray();
    }

    private static double dot(double[] one, double[] other) {
        double sum = 0;
        for (int i = 0; i < one.length; i++) {
            sum += one[i] * other[i];
        }
        return sum;
    }

    /** Returns whether honest hands leave as much in one of a thousand cases or more, when so many amounts were chosen to fit. */
    boolean honest(double left, int chosen) {
        return left < Double.POSITIVE_INFINITY
                && directions.length > chosen
                && Gamma.regularizedGammaQ((directions.length - chosen) / 2.0, Math.max(0, left) / 2) >= SELDOM;
    }
}
