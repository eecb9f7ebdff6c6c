package db.migration;

import abbex.app.facts.Fact;
import abbex.app.facts.Fact.Kind;
import abbex.app.facts.Facts;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads what migrations 1 to 11 kept of a sheet: a name and a text a line, both in the words of those days. The words
 * stand here as they were and never change again. What cannot be read is kept as it is.
 */
final class FormerInputs {
    private static final Map<String, String> PROBES = Map.ofEntries(
            Map.entry("fender lip", "FENDER_LIP"),
            Map.entry("liner, front", "LINER_FRONT"),
            Map.entry("liner, rear", "LINER_REAR"),
            Map.entry("inner arch", "INNER_ARCH"),
            Map.entry("frame", "FRAME"),
            Map.entry("strut or damper", "STRUT"),
            Map.entry("spring perch", "SPRING_PERCH"),
            Map.entry("tie-rod end", "TIE_ROD"),
            Map.entry("control arm", "CONTROL_ARM"),
            Map.entry("sway link", "SWAY_LINK"),
            Map.entry("hose or wire", "HOSE"),
            Map.entry("brake cable", "BRAKE_CABLE"),
            Map.entry("swingarm", "SWINGARM"),
            Map.entry("hugger", "HUGGER"));
    private static final Map<String, String> FACES = Map.of(
            "from the tread", "TREAD",
            "from the outer shoulder", "OUTER_SHOULDER",
            "from the outer sidewall", "OUTER_SIDEWALL",
            "from the inner shoulder", "INNER_SHOULDER",
            "from the inner sidewall", "INNER_SIDEWALL");
    private static final Map<String, String> USES =
            Map.of("from new", "NEW", "on the vehicle", "NOW", "planned", "PLANNED");
    private static final Map<String, String> LOWS = Map.of(
            "UNDERSIDE", "low point of the underside",
            "DIPPED_BEAM", "dipped-beam lamp, lower edge",
            "FRONT_FOG", "front fog lamp, lower edge",
            "HEADLAMP", "headlamp, centre",
            "BUMPER", "bumper’s face, middle",
            "NOSE_LIFT", "nose lift, raises the front axle’s body by");
    private static final Map<String, String> FROMS = Map.of(
            "AHEAD", "ahead of the front axle",
            "BETWEEN", "behind the front axle",
            "BEHIND", "behind the rear axle");
    private static final Set<String> MEASURES =
            Set.of("WHEELBASE", "FRAME_BASE", "TRACK_FRONT", "TRACK_REAR", "TYRE_FRONT", "TYRE_REAR");
    private static final Set<String> WAYS = Set.of(
            "GF", "HF", "RIM", "FG", "TG", "CAB", "BED", "BOARD", "HANGF", "HANGR", "AXLE", "AX", "FT", "FR", "SEAT",
            "BODY", "FREE", "RIDER");
    private static final Pattern PLACED = Pattern.compile("(LF|RF|RR|LR|front|seat|rear|vehicle) (.+)");
    private static final Pattern STAGED = Pattern.compile("(before|now|sheet (\\d+)) (.+)");
    private static final Pattern READ = Pattern.compile("(.*) \\(([^()]*)\\)");
    private static final Pattern AT = Pattern.compile("(probe|mark) (LF|RF|RR|LR) (.+) ([\\d.]+)");
    private static final Pattern DOSE = Pattern.compile(".* ([\\d.]+)( mm|°|)");
    private static final Pattern DRIVE = Pattern.compile(
            "bump \\{LF=([\\d.]+), RF=([\\d.]+), RR=([\\d.]+), LR=([\\d.]+)}(, both locks)?(, hung)?, lean ([\\d.]+)");

    /** A low point as it was kept: its name or what it is, its distance and where that began. */
    record Low(String kind, String name, String along) {
        /** What somebody called it; empty when it bore the name of its kind. */
        String given() {
            return name.equals(LOWS.get(kind)) ? "" : name;
        }

        String from() {
            return FROMS.entrySet().stream()
                    .filter(f -> along.endsWith(" " + f.getValue()))
                    .map(Map.Entry::getKey)
                    .findFirst()
                    .orElse("");
        }

        String raw() {
            String words = FROMS.get(from());
            return words == null ? along : along.substring(0, along.length() - words.length() - 1);
        }

        String line() {
            return "low " + LOWS.get(kind) + " " + name + " " + along;
        }
    }

    private static final List<String> WALK = List.of("LF", "RF", "RR", "LR");

    private final List<Fact> bumps = new ArrayList<>();
    private final Map<Integer, String> stages;
    private final List<Low> lows;

    /**
     * @param stages of the sheets that there were, by their number
     * @param lows the low points of the vehicle
     */
    FormerInputs(Map<Integer, String> stages, List<Low> lows) {
        this.stages = stages;
        this.lows = lows;
    }

    Facts read(String inputs) {
        Facts facts = new Facts();
        Map<Integer, String> said = new java.util.TreeMap<>(stages);
        inputs.lines().forEach(l -> {
            int tab = l.indexOf('\t');
            String name = l.substring(0, tab);
            String text = l.substring(tab + 1);
            Matcher staged = STAGED.matcher(name);
            if (staged.matches() && staged.group(3).equals("stage")) {
                said.put(seq(staged), text);
            } else {
                facts.add(fact(name, text).orElseGet(() -> Fact.of(Kind.OTHER, List.of(name), text)));
            }
        });
        facts.add(bumps);
        said.forEach((seq, stage) -> facts.add(Fact.of(Kind.STAGE, List.of(seq.toString()), stage)));
        return facts;
    }

    private int seq(Matcher staged) {
        int newest = new TreeSet<>(stages.keySet()).last();
        return switch (staged.group(1)) {
            case "before" -> 1;
            case "now" -> newest;
            default -> Integer.parseInt(staged.group(2));
        };
    }

    private Optional<Fact> fact(String name, String text) {
        Matcher staged = STAGED.matcher(name);
        if (staged.matches() && !stages.isEmpty()) {
            return Optional.of(ofSheet(Integer.toString(seq(staged)), staged.group(3), text));
        }
        Matcher at = AT.matcher(name);
        if (at.matches() && PROBES.containsKey(at.group(3))) {
            return probed(at, text);
        }
        String code = code(name);
        if (MEASURES.contains(code)) {
            return Optional.of(Fact.of(Kind.MEASURE, List.of(code), text));
        }
        return switch (name) {
            case "vehicle" -> Optional.of(vehicle(text));
            case "kit", "odometer", "head angle" -> Optional.of(Fact.of(Kind.valueOf(code), List.of(), text));
            case "road test" -> drive(text);
            default -> longer(name, text);
        };
    }

    private static String code(String name) {
        return name.toUpperCase(Locale.ROOT).replace(' ', '_');
    }

    private static Fact vehicle(String text) {
        int comma = text.indexOf(", ");
        return comma < 0
                ? Fact.of(Kind.VEHICLE, List.of(), text, "")
                : Fact.of(Kind.VEHICLE, List.of(), text.substring(0, comma), text.substring(comma + 2));
    }

    private Optional<Fact> longer(String name, String text) {
        if (name.startsWith("advertised ")) {
            return Optional.of(Fact.of(Kind.ADVERTISED, List.of(name.substring(11)), text.replaceFirst(" to ", " – ")));
        }
        if (name.startsWith("ground ")) {
            return Optional.of(Fact.of(Kind.GROUND, List.of(name.substring(7)), text));
        }
        if (name.startsWith("in the plan ")) {
            return remedy(name.substring(12), text);
        }
        if (name.startsWith("wheels ")) {
            return wheels(name.substring(7), text);
        }
        return lows.stream()
                .filter(low -> low.line().equals(name))
                .map(low -> Fact.of(
                        Kind.LOW_POINT, List.of(low.kind(), low.given(), Fact.line(low.raw()), low.from()), text))
                .findFirst();
    }

    private static Fact ofSheet(String seq, String what, String text) {
        Matcher placed = PLACED.matcher(what);
        if (placed.matches()) {
            List<String> says = new ArrayList<>();
            for (String one : text.split(" and ")) {
                Matcher read = READ.matcher(one);
                says.addAll(read.matches() ? List.of(read.group(1), read.group(2)) : List.of(one, ""));
            }
            Kind kind = WAYS.contains(placed.group(2)) ? Kind.READING : Kind.OWN_READING;
            return new Fact(kind, List.of(seq, placed.group(1), placed.group(2)), says);
        }
        if (what.startsWith("pressure ")) {
            String wheel = what.substring(9);
            boolean end = wheel.equals("front") || wheel.equals("rear");
            return Fact.of(Kind.PRESSURE, List.of(seq, end ? wheel : wheel.toUpperCase(Locale.ROOT)), text);
        }
        return what.equals("stand in")
                ? Fact.of(Kind.STAND_IN, List.of(seq), text)
                : Fact.of(Kind.STATE, List.of(seq, code(what)), text);
    }

    private static Optional<Fact> probed(Matcher at, String text) {
        List<String> about = List.of(at.group(2), PROBES.get(at.group(3)), plain(at.group(4)));
        if (at.group(1).equals("mark")) {
            return Optional.ofNullable(FACES.get(text)).map(face -> Fact.of(Kind.ROAD_MARK, about, face));
        }
        List<String> says = new ArrayList<>();
        for (String one : text.split(" and ")) {
            FACES.forEach((words, face) -> {
                if (one.endsWith(" " + words)) {
                    says.addAll(List.of(one.substring(0, one.length() - words.length() - 1), face));
                }
            });
        }
        return says.isEmpty() ? Optional.empty() : Optional.of(new Fact(Kind.PROBE, about, says));
    }

    private static String plain(String number) {
        return new java.math.BigDecimal(number).stripTrailingZeros().toPlainString();
    }

    private static Optional<Fact> remedy(String what, String text) {
        Matcher dose = DOSE.matcher(text);
        if (!dose.matches()) {
            return Optional.empty();
        }
        String unit = switch (dose.group(2)) {
            case " mm" -> "MM";
            case "°" -> "DEGREES";
            default -> "POINTS";
        };
        return Optional.of(Fact.of(Kind.REMEDY, List.of(what.split(" ", 2)), dose.group(1), unit));
    }

    private static Optional<Fact> wheels(String what, String text) {
        return USES.entrySet().stream()
                .filter(use -> what.startsWith(use.getKey() + " "))
                .map(use -> {
                    String item = code(what.substring(use.getKey().length() + 1));
                    int end = item.lastIndexOf('_');
                    return Fact.of(
                            Kind.WHEEL_SET,
                            List.of(use.getValue(), item.substring(0, end), item.substring(end + 1)),
                            text);
                })
                .findFirst();
    }

    private Optional<Fact> drive(String text) {
        Matcher drive = DRIVE.matcher(text);
        if (!drive.matches()) {
            return Optional.empty();
        }
        for (int corner = 0; corner < WALK.size(); corner++) {
            bumps.add(Fact.of(Kind.ROAD_BUMP, List.of(WALK.get(corner)), plain(drive.group(corner + 1))));
        }
        List<String> far = List.of(
                Boolean.toString(drive.group(5) != null),
                Boolean.toString(drive.group(6) != null),
                plain(drive.group(7)));
        return Optional.of(new Fact(Kind.ROAD_TEST, List.of(), far));
    }
}
