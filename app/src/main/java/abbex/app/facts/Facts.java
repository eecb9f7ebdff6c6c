package abbex.app.facts;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import tools.jackson.databind.json.JsonMapper;

/** Everything that goes into one sheet; two facts about the same thing are one that says both. */
public final class Facts {
    /** Of what is stored: 1 was words by name, a line each; 2 is codes and values. */
    public static final int VERSION = 2;

    private static final JsonMapper JSON = JsonMapper.shared();

    private record Key(Fact.Kind kind, List<String> about) {}

    private record Stored(int version, List<Fact> facts) {}

    /** What differs between two makings of the sheet; empty where one of them says nothing. */
    public record Change(Fact.Kind kind, List<String> about, Optional<Fact> was, Optional<Fact> is) {
        /** It speaks of one of these sheets. */
        boolean ofSheet(Set<String> sheets) {
            return !about.isEmpty() && Fact.sheet(kind.about().get(0)) && sheets.contains(about.get(0));
        }
    }

    private final Map<Key, Fact> facts = new LinkedHashMap<>();

    public static Facts of(Collection<Fact> all) {
        Facts facts = new Facts();
        facts.add(all);
        return facts;
    }

    public void add(Collection<Fact> more) {
        more.forEach(this::add);
    }

    public void add(Fact fact) {
        facts.merge(
                new Key(fact.kind(), fact.about()),
                fact,
                (a, b) -> new Fact(
                        a.kind(),
                        a.about(),
                        Stream.concat(a.says().stream(), b.says().stream()).toList()));
    }

    public List<Fact> all() {
        return List.copyOf(facts.values());
    }

    /** What a fact of a kind about something says first. */
    Optional<String> said(Fact.Kind kind, List<String> about) {
        return Optional.ofNullable(facts.get(new Key(kind, about)))
                .map(f -> f.says().get(0));
    }

    /** What has changed since, in the order of the kinds. */
    public List<Change> since(Facts was) {
        Map<Key, Fact> both = new LinkedHashMap<>(was.facts);
        facts.forEach(both::putIfAbsent);
        List<Change> changes = new ArrayList<>();
        both.keySet().forEach(key -> {
            Optional<Fact> before = Optional.ofNullable(was.facts.get(key));
            Optional<Fact> after = Optional.ofNullable(facts.get(key));
            if (!before.map(Fact::says).equals(after.map(Fact::says))) {
                changes.add(new Change(key.kind(), key.about(), before, after));
            }
        });
        changes.sort(java.util.Comparator.comparing(Change::kind));
        return changes;
    }

    /** As it is kept. */
    public String stored() {
        return JSON.writeValueAsString(new Stored(VERSION, all()));
    }

    /**
     * Reads what {@link #stored} wrote.
     *
     * @throws IllegalArgumentException for another version
     */
    public static Facts parse(String stored) {
        Stored read = JSON.readValue(stored, Stored.class);
        if (read.version() != VERSION) {
            throw new IllegalArgumentException("facts of version " + read.version() + ", not " + VERSION);
        }
        return of(read.facts());
    }
}
