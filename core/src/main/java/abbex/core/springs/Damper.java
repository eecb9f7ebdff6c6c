package abbex.core.springs;

/**
 * A damper as it stands at the height that travel is counted from.
 *
 * @param ratio how far its rod moves for a millimetre of the wheel
 * @param out how far its rod still comes out, mm
 * @param in how far it goes in to metal, mm
 * @param gas force that pushes its rod out, N
 */
public record Damper(double ratio, double out, double in, double gas) {
    public Damper {
        if (!(ratio > 0 && ratio <= 2 && out >= 0 && in >= 0 && out + in > 0 && gas >= 0)) {
            throw new IllegalArgumentException(
                    "damper: ratio " + ratio + ", out " + out + ", in " + in + " mm, gas " + gas + " N");
        }
    }
}
