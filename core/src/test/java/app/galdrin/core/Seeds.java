package app.galdrin.core;

import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import java.util.stream.LongStream;
import org.jspecify.annotations.NullMarked;

/** Seeded random cases: the seed is a test's argument, so a failure's name says how to get it back. */
@NullMarked
public final class Seeds {

    private Seeds() {}

    public static LongStream some() {
        return LongStream.rangeClosed(1, 200);
    }

    public static RandomGenerator generator(long seed) {
        return RandomGeneratorFactory.of("Xoshiro256PlusPlus").create(seed);
    }

    public static double between(RandomGenerator random, double least, double most) {
        return least + (most - least) * random.nextDouble();
    }
}
