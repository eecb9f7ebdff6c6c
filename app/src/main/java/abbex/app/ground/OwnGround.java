package abbex.app.ground;

import abbex.core.ground.Profile;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;

/** Ground that a vehicle has to pass, such as its owner's driveway. */
record OwnGround(UUID id, String name, Profile profile) {
    /** As it is kept: along and up in mm, points apart by semicolons. */
    static String text(Profile profile) {
        return profile.points().stream()
                .map(p -> plain(p.along()) + " " + plain(p.up()))
                .collect(Collectors.joining(";"));
    }

    private static String plain(double mm) {
        return BigDecimal.valueOf(mm).stripTrailingZeros().toPlainString();
    }

    static Profile profile(String text) {
        List<Profile.Point> points = new ArrayList<>();
        for (String point : text.split(";")) {
            String[] both = point.split(" ");
            points.add(new Profile.Point(Double.parseDouble(both[0]), Double.parseDouble(both[1])));
        }
        return new Profile(points);
    }
}
