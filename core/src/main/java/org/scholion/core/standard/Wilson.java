package org.scholion.core.standard;

/**
 * The interval in which a share lies with 95 % confidence, after Wilson 1927: it never leaves 0 to 1 and stays wide
 * when there is little evidence.
 */
public record Wilson(double low, double high) {
    /** The 0.975 quantile of the standard normal distribution. */
    private static final double Z = 1.959963984540054;

    /**
     * The interval of a share.
     *
     * @param share held to 0…1 where it lies outside
     * @param trials above 0; need not be whole
     */
    public static Wilson of(double share, double trials) {
        double p = Math.max(0, Math.min(1, share));
        double zz = Z * Z;
        double centre = p + zz / (2 * trials);
        double half = Z * Math.sqrt(p * (1 - p) / trials + zz / (4 * trials * trials));
        double whole = 1 + zz / trials;
        return new Wilson(Math.max(0, (centre - half) / whole), Math.min(1, (centre + half) / whole));
    }
}
