package org.scholion.core.draw;

import java.util.Random;

/**
 * Chance from a seed. The first numbers of {@link Random} are nearly the same for neighbouring seeds, so that versions 1,
 * 2, 3 of a paper would hardly differ; the seed is mixed first (Stafford's variant 13 of the finalizer of MurmurHash3).
 */
public final class Chance {
    private Chance() {}

    public static Random of(long seed) {
        long mixed = (seed ^ (seed >>> 30)) * 0xbf58476d1ce4e5b9L;
        mixed = (mixed ^ (mixed >>> 27)) * 0x94d049bb133111ebL;
        return new Random(mixed ^ (mixed >>> 31));
    }
}
