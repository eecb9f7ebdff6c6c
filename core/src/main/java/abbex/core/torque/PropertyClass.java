package abbex.core.torque;

import java.util.Optional;

/** Property classes of bolts with their proof stresses (ISO 898-1, table 3, from memory). */
public enum PropertyClass {
    C4_6("4.6", 225, 225),
    C5_8("5.8", 380, 380),
    C8_8("8.8", 580, 600),
    C9_8("9.8", 650, 650),
    C10_9("10.9", 830, 830),
    C12_9("12.9", 970, 970);

    private static final double THICK = 16;

    private final String text;
    private final double thin;
    private final double thick;

    PropertyClass(String text, double thin, double thick) {
        this.text = text;
        this.thin = thin;
        this.thick = thick;
    }

    /** As it stands on a bolt's head. */
    public String text() {
        return text;
    }

    public static Optional<PropertyClass> read(String text) {
        for (PropertyClass one : values()) {
            if (one.text.equals(text.strip())) {
                return Optional.of(one);
            }
        }
        return Optional.empty();
    }

    /** Proof stress in MPa. */
    public double proofStress(ScrewThread thread) {
        return thread.diameter() > THICK ? thick : thin;
    }

    /** Proof load in N: proof stress times stress area. */
    public double proofLoad(ScrewThread thread) {
        return proofStress(thread) * thread.stressArea();
    }
}
