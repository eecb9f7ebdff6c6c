package abbex.core.wheels;

import java.util.Optional;
import java.util.stream.Stream;

/**
 * The speed up to which a tyre carries its load, by its symbol (ISO 4000-1 / UN R30, from memory). The order is the speed's:
 * H lies between U and V, so letters are never compared.
 */
public enum SpeedSymbol {
    A1(5),
    A2(10),
    A3(15),
    A4(20),
    A5(25),
    A6(30),
    A7(35),
    A8(40),
    B(50),
    C(60),
    D(65),
    E(70),
    F(80),
    G(90),
    J(100),
    K(110),
    L(120),
    M(130),
    N(140),
    P(150),
    Q(160),
    R(170),
    S(180),
    T(190),
    U(200),
    H(210),
    V(240),
    W(270),
    Y(300);

    private final int kmh;

    SpeedSymbol(int kmh) {
        this.kmh = kmh;
    }

    public int kmh() {
        return kmh;
    }

    public static Optional<SpeedSymbol> of(String text) {
        return Stream.of(values()).filter(s -> s.name().equals(text)).findFirst();
    }
}
